import { roundCount } from '../fabric/fabric';
import { overSentences } from '../notation/editText';
import type { ProblemCode } from '../words/problems/codes';
import { writeJoin } from '../notation/sentence/join';
import { stitchAtAzimuth, stitchAzimuth, turn, wrapAngle } from '../shape/azimuth';
import { blankJoin, type AnyJoin, type Join, type JoinPart, type Unit } from './joined';
import type { Joining } from './joining';
import { isPlan, ledgerOf, rankedLedgers, solveLedger, type LedgerTask, type NoLedger } from './ledger';
import { putJoin } from './move';
import { inRound, labelOf, roundAt, rowOfLabel, rowsCovered } from './numbers';
import { nosewWidth, type Placing } from './placing';
import { problem } from './problem';
import { alongAt } from './wall';

/** A unit that is worked into a round, with where it should be. */
interface Entry {
  unit: Unit;
  /** what says so: others of the same round have their own */
  sentence: AnyJoin;
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
          ...roundAt(wall, round),
          problems: [problem(piece, 'join-around', facts, { sentence })],
        });
      continue;
    }
    const first = entries.length;
    units.forEach((unit, i) => {
      const width = nosewWidth(piece);
      const target = axis + (wrapAngle((around.azimuths[i] ?? front) - front) / turn) * count;
      entries.push({
        unit,
        sentence,
        piece,
        target,
        width,
        mirror: around.paired ? first + (i === 0 ? 1 : 0) : null,
      });
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
  const { wall } = placing;
  const { fabric, starts } = wall;
  const round = Math.max(1, Math.min(fabric.rounds, Math.round(row)));
  const count = roundCount(fabric, round);
  const into: Round = { wall, round, count, axis: stitchAtAzimuth(fabric, starts, round, front), front };
  const entries = entriesOf(state, placings, into);
  if (entries.length === 0) return;
  const task = taskOf(into, entries);
  const [best, ...others] = rankedLedgers(task);
  const plan = best ?? solveLedger(task);
  const otherLedgers = others.map((other) => ledgerOf(task, other));
  const bare = {
    ...roundAt(wall, round),
    base: fabric.label[(fabric.base[round - 1] ?? 0) - 1] ?? null,
  };
  // It is one round: loops that one of its sentences says hold for the parts of the others too.
  const oneLoop = [...new Set(entries.map(({ sentence }) => loopsSaid(sentence)))].filter(
    (loops) => loops !== 'both',
  );
  const ofRound = oneLoop.length === 1 ? oneLoop[0] : undefined;
  entries.forEach((entry, i) => {
    const { unit, sentence } = entry;
    const loops = ofRound ?? loopsSaid(sentence);
    const join = { ...blankJoin('no-sew', unit, wall, sentence), ...bare, loops };
    state.joins.push(
      isPlan(plan)
        ? {
            ...join,
            ...workedIn(state, into, entry, plan.starts[i] ?? 1),
            ledger: ledgerOf(task, plan),
            otherLedgers,
            sum: count,
          }
        : { ...join, problems: i === 0 ? [impossible(placings, into, plan, waysIn(entries, into))] : [] },
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
  return {
    stitch: inRound(middle, count),
    covers: { ...rowsCovered(wall, [round, round]), stitches: [start, ((start + width - 2) % count) + 1] },
    missMm: Math.abs(off) * wall.gauge.widthMm,
    centre: {
      along: alongAt(state.wall(wall), round),
      azimuth: stitchAzimuth(wall.fabric, wall.starts, round, middle),
    },
  };
}

function impossible(
  placings: readonly Placing[],
  { wall, round, count }: Round,
  { why, missing }: NoLedger,
  ways: WaysIn,
) {
  const codes: Record<NoLedger['why'], ProblemCode> = {
    room: 'nosew-room',
    half: 'nosew-half',
    parity: 'nosew-parity',
  };
  const [{ piece, sentence }] = placings as readonly [Placing, ...Placing[]];
  const { rounds, narrower } = ways;
  const nearest = rounds[0] ?? null;
  const facts = { missing, wall: wall.part.name, round: labelOf(wall, round), count, nearest, narrower };
  const told = problem(piece, codes[why], facts, { severity: 'error', sentence });
  const sentences = [...new Set(placings.map((placing) => placing.sentence))];
  const suggestions = rounds.map((label) => ({
    title: `Work them into round ${label}`,
    edits: overSentences(
      sentences.map((said) => ({ said, words: writeJoin(putJoin(said, wall, { round: label, at: null })) })),
    ),
  }));
  return { ...told, suggestions };
}

/** What would work where a round does not: tried, the nearest first. */
interface WaysIn {
  /** other rounds of the wall, by the maker's numbers */
  rounds: number[];
  /** the piece that would go in with a stitch less, and how many there are of it */
  narrower: { name: string; count: number } | null;
}

/** So many rounds off, and so many of them, are looked at. */
const furthestOff = 8;
const mostRounds = 2;

const taskOf = ({ count, axis }: Pick<Round, 'count' | 'axis'>, entries: readonly Entry[]): LedgerTask => ({
  count,
  gap: 0,
  axis,
  parts: entries.map(({ unit, width, target, mirror }) => ({
    part: unit.part,
    unit: unit.unit,
    width,
    target,
    mirror,
  })),
});

/** The same units on another round: their places turn with its stitches. */
function onRound(entries: readonly Entry[], from: Round, to: Pick<Round, 'count' | 'axis'>): Entry[] {
  return entries.map((entry) => ({
    ...entry,
    target: to.axis + ((entry.target - from.axis) / from.count) * to.count,
  }));
}

function waysIn(entries: readonly Entry[], into: Round): WaysIn {
  const { wall, round, front } = into;
  const { fabric, starts } = wall;
  const nearestFirst = Array.from({ length: 2 * furthestOff }, (_, i) =>
    i % 2 === 0 ? round + i / 2 + 1 : round - (i + 1) / 2,
  );
  const rounds = nearestFirst.filter((row) => {
    // Rounds that bear one number can't be told apart by a sentence.
    const isNamed = row >= 1 && row <= fabric.rounds && rowOfLabel(wall, labelOf(wall, row)) === row;
    if (!isNamed) return false;
    const there = { count: roundCount(fabric, row), axis: stitchAtAzimuth(fabric, starts, row, front) };
    return isPlan(solveLedger(taskOf(there, onRound(entries, into, there))));
  });
  const narrow = entries.find((one) => {
    const isPair = (other: Entry) => other.piece === one.piece;
    const less = entries.map((entry) => (isPair(entry) ? { ...entry, width: entry.width - 1 } : entry));
    return one.width > 1 && isPlan(solveLedger(taskOf(into, less)));
  });
  return {
    rounds: rounds.slice(0, mostRounds).map((row) => labelOf(wall, row)),
    narrower: narrow ? { name: narrow.piece.part.name, count: narrow.piece.part.make } : null,
  };
}

function loopsSaid({ text }: AnyJoin): Join['loops'] {
  if (/\b(?:blo|back loops?)\b/i.test(text)) return 'back';
  return /\b(?:flo|front loops?)\b/i.test(text) ? 'front' : 'both';
}
