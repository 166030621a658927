import { roundCount } from '../fabric/fabric';
import type { ProblemCode } from '../notation/problemCodes';
import { stitchAtAzimuth, stitchAzimuth, turn, wrapAngle } from '../shape/azimuth';
import { blankJoin, type AnyJoin, type Join, type JoinPart, type Unit } from './joined';
import type { Joining } from './joining';
import { isPlan, ledgerOf, solveLedger, type LedgerTask, type NoLedger } from './ledger';
import { inRound, labelOf } from './numbers';
import { nosewWidth, type Placing } from './placing';
import { problem } from './problem';
import { alongAt } from './wall';

/** A unit that is worked into a round, with where it should be. */
interface Entry {
  unit: Unit;
  piece: JoinPart;
  target: number;
  width: number;
  mirror: number | null;
}

/** The round they are all worked into. */
interface Round {
  wall: JoinPart;
  /** by index */
  round: number;
  count: number;
  axis: number;
  front: number;
}

/** The units of a no-sew round whose place around is said; those of the others are asked about. */
function entriesOf(
  state: Joining,
  placings: readonly Placing[],
  { wall, round, count, axis, front }: Round,
): Entry[] {
  const entries: Entry[] = [];
  for (const placing of placings) {
    const { units, piece, sentence } = placing;
    const around = state.around(placing, round, front);
    if (!around) {
      const facts = { piece: piece.part.name, wall: wall.part.name, count: units.length };
      for (const unit of units)
        state.joins.push({
          ...blankJoin('no-sew', unit, wall, sentence),
          round: labelOf(wall, round),
          problems: [problem(piece, 'join-around', facts, { sentence })],
        });
      continue;
    }
    const first = entries.length;
    units.forEach((unit, i) => {
      const width = nosewWidth(piece);
      const target = axis + (wrapAngle((around.azimuths[i] ?? front) - front) / turn) * count;
      entries.push({ unit, piece, target, width, mirror: around.paired ? first + (i === 0 ? 1 : 0) : null });
    });
  }
  return entries;
}

/** Joins parts into one round of a wall, without sewing. */
export function joinWithoutSewing(
  state: Joining,
  placings: readonly Placing[],
  row: number,
  front: number,
): void {
  const [placing] = placings;
  if (!placing) return;
  const { wall, sentence } = placing;
  const { fabric, starts } = wall;
  const round = Math.max(1, Math.min(fabric.rounds, Math.round(row)));
  const count = roundCount(fabric, round);
  const into: Round = { wall, round, count, axis: stitchAtAzimuth(fabric, starts, round, front), front };
  const entries = entriesOf(state, placings, into);
  if (entries.length === 0) return;
  const task: LedgerTask = {
    count,
    gap: 0,
    axis: into.axis,
    parts: entries.map(({ unit, ...entry }) => ({ ...entry, part: unit.part, unit: unit.unit })),
  };
  const plan = solveLedger(task);
  const bare = {
    round: labelOf(wall, round),
    base: fabric.label[(fabric.base[round - 1] ?? 0) - 1] ?? null,
    loops: loopsSaid(sentence),
  };
  entries.forEach((entry, i) => {
    const join = { ...blankJoin('no-sew', entry.unit, wall, sentence), ...bare };
    state.joins.push(
      isPlan(plan)
        ? {
            ...join,
            ...workedIn(state, into, entry, plan.starts[i] ?? 1),
            ledger: ledgerOf(task, plan),
            sum: count,
          }
        : { ...join, problems: i === 0 ? [impossible(placing, into, plan)] : [] },
    );
  });
}

/** Where a unit of a no-sew round comes to lie. */
function workedIn(
  state: Joining,
  { wall, round, count }: Round,
  { width, target }: Entry,
  start: number,
): Pick<Join, 'stitch' | 'covers' | 'missMm' | 'centre'> {
  const middle = start + (width - 1) / 2;
  const off = middle - target - count * Math.round((middle - target) / count);
  const label = labelOf(wall, round);
  return {
    stitch: inRound(middle, count),
    covers: { rounds: [label, label], stitches: [start, ((start + width - 2) % count) + 1] },
    missMm: Math.abs(off) * wall.gauge.widthMm,
    centre: {
      along: alongAt(state.wall(wall), round),
      azimuth: stitchAzimuth(wall.fabric, wall.starts, round, middle),
    },
  };
}

function impossible({ piece, sentence }: Placing, { wall, round, count }: Round, { why, missing }: NoLedger) {
  const codes: Record<NoLedger['why'], ProblemCode> = {
    room: 'nosew-room',
    half: 'nosew-half',
    parity: 'nosew-parity',
  };
  const facts = { missing, wall: wall.part.name, round: labelOf(wall, round), count };
  return problem(piece, codes[why], facts, { severity: 'error', sentence });
}

function loopsSaid({ text }: AnyJoin): Join['loops'] {
  if (/\b(?:blo|back loops?)\b/i.test(text)) return 'back';
  return /\b(?:flo|front loops?)\b/i.test(text) ? 'front' : 'both';
}
