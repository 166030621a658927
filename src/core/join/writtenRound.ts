import pluralize from 'pluralize';
import { roundCount, type WorkedThrough } from '../fabric/fabric';
import type { RoundSource, WorksIn } from '../notation/pattern';
import type { Suggestion } from '../notation/problem';
import type { JoinSentence } from '../notation/sentence/join';
import { frontSentence } from '../place/move/front';
import { stitchAtAzimuth, stitchAzimuth } from '../shape/azimuth';
import { blankJoin, type Join, type JoinPart, type Unit } from './joined';
import type { Joining } from './joining';
import { ledgerOf } from './ledger';
import { inRound, roundAt, rowsCovered } from './numbers';
import { endOf, nosewWidth, type Units } from './placing';
import { problem } from './problem';
import { alongAt } from './wall';

/** Stitches of one round that one piece is worked in with. */
interface Run extends WorkedThrough {
  said: WorksIn;
}

/** A run with the unit that is worked in there. */
interface WrittenEntry {
  run: Run;
  piece: JoinPart;
  unit: Unit;
}

/** A round that the maker wrote with pieces in it. */
interface WrittenRound {
  wall: JoinPart;
  source: RoundSource;
  /** by index */
  round: number;
  count: number;
  /** the front line, as a real stitch number */
  axis: number;
  entries: WrittenEntry[];
}

/** The round as a sentence that joins, for whoever asks what says so. */
function sentenceOf({ wall, source }: WrittenRound, said: WorksIn): JoinSentence {
  const { part } = wall;
  return {
    kind: 'nosew',
    text: source.text,
    whole: source.text,
    line: source.line,
    span: { from: 0, to: source.text.length },
    edge: null,
    round: source.number,
    joined: [{ parts: said.part ? [said.part] : [], wall: { id: part.id, name: part.name } }],
    place: {},
  };
}

/** Whether two runs are one: what they work through is the same, and together they are no wider than it. */
const isOne = (one: Run, other: Run, width: number): boolean =>
  one.words === other.words && one.count + other.count <= width;

/**
 * Neighbouring stitches through one piece are one run, where they are no wider than it: an increase stands among them, or the round
 * begins there (`3 sc through the tail, 24 sc, 3 sc through the tail`).
 */
function runsOf(state: Joining, wall: JoinPart, round: number): Run[] {
  const { fabric, part } = wall;
  const label = fabric.label[round - 1];
  const widthOf = ({ said }: Run) => {
    const piece = state.parts.find((one) => one.part.id === said.part?.id);
    return piece ? nosewWidth(piece) : 0;
  };
  const runs: Run[] = [];
  for (const one of fabric.workedThrough) {
    if (one.round !== round) continue;
    const said = part.worksIn?.find((entry) => entry.round === label && entry.words === one.words);
    if (!said) continue;
    const run = { ...one, said };
    const before = runs.at(-1);
    const isNext = before && before.from + before.count === run.from;
    if (isNext && isOne(before, run, widthOf(run))) before.count += run.count;
    else runs.push(run);
  }
  const [first] = runs;
  const last = runs.at(-1);
  const isOverStart =
    first &&
    last &&
    first !== last &&
    first.from === 1 &&
    last.from + last.count > roundCount(fabric, round) &&
    isOne(first, last, widthOf(first));
  return isOverStart ? [...runs.slice(1, -1), { ...last, count: last.count + first.count }] : runs;
}

const wrapped = (off: number, count: number): number => off - count * Math.round(off / count);
const middleOf = ({ from, count }: Run): number => from + (count - 1) / 2;

/**
 * How far the middle between two units is off the front line or the back, in stitches, with a sign: pairs are taken from the outside
 * in. One unit alone is looked at where it is about in the middle.
 */
function axisOffs(offs: readonly number[], count: number): number[] {
  const sorted = [...offs].sort((a, b) => a - b);
  const [only] = sorted;
  if (sorted.length === 1) {
    const off = wrapped(2 * (only ?? 0), count) / 2;
    return Math.abs(off) <= aboutMiddle ? [off] : [];
  }
  if (sorted.length % 2 === 1) return [];
  return sorted
    .slice(0, sorted.length / 2)
    .map((off, i) => wrapped(off + (sorted[sorted.length - 1 - i] ?? 0), count) / 2);
}

/** One that is so many stitches off the middle was meant to be in it. */
const aboutMiddle = 1.5;
/** Half a stitch off is what whole stitches come to where the numbers are odd. */
const leastUneven = 0.75;

/** The pair or the single unit that is furthest off the middle, and by how much; 0 where all are even. */
function worstOff(own: readonly WrittenEntry[], count: number, axis: number): number {
  const offs = own.map(({ run }) => wrapped(middleOf(run) - axis, count));
  return axisOffs(offs, count).reduce((most, off) => (Math.abs(off) > Math.abs(most) ? off : most), 0);
}

/** Brings the face in line with what a round works in. */
function faceOver({ wall: { part }, source }: WrittenRound, stitch: number): Suggestion[] {
  if (part.front) return [];
  const text = frontSentence(stitch, source.number);
  return [{ title: 'Put the face in line', edits: [{ line: part.line, text, insertAfter: true }] }];
}

/** What a pair goes by: a left and a right arm are arms, also where each has a heading of its own. */
const kindOf = ({ piece }: WrittenEntry): string =>
  pluralize.singular(
    piece.part.name
      .toLowerCase()
      .replace(/\b(?:left|right|first|second|other|\d+)\b|#/g, '')
      .trim(),
  );

const isUneven = (off: number) => Math.abs(off) > leastUneven;
const toHalf = (stitches: number) => Math.round(2 * stitches) / 2;

/**
 * What lies even in its round may be off the face all the same: rounds lean, and the face is on others. Which of the two it is, is told
 * apart: one is a slip, the other a choice of where the face goes.
 */
function checkEven(state: Joining, written: WrittenRound): void {
  const { wall, source, count, axis, entries } = written;
  for (const kind of new Set(entries.map(kindOf))) {
    const own = entries.filter((entry) => kindOf(entry) === kind);
    const [first, last] = [own[0], own.at(-1)];
    const off = worstOff(own, count, axis);
    if (!first || !last || !isUneven(off)) continue;
    const middle = (count + 1) / 2;
    const facts = {
      piece: kind,
      count: own.length,
      wall: wall.part.name,
      round: source.number,
      off: toHalf(Math.abs(off)),
      isLater: off > 0,
      before: first.run.from - 1,
      after: Math.max(0, count - last.run.from - last.run.count + 1),
      front: middle,
    };
    const sentence = sentenceOf(written, first.run.said);
    const leans = !isUneven(worstOff(own, count, middle));
    const told = leans
      ? problem(first.piece, 'nosew-leans', facts, { severity: 'info', sentence })
      : problem(first.piece, 'nosew-uneven', facts, { sentence });
    state.problems.push(leans ? { ...told, suggestions: faceOver(written, middle) } : told);
  }
}

function checkWidth({ run, piece }: WrittenEntry, written: WrittenRound): Join['problems'] {
  const { open, count } = endOf(piece);
  const half = nosewWidth(piece);
  const isOdd = half * 2 < count && run.count === half + 1;
  if (!open || run.count === half || isOdd) return [];
  const facts = {
    piece: piece.part.name,
    wall: written.wall.part.name,
    round: written.source.number,
    edge: count,
    half,
    taken: run.count,
  };
  return [problem(piece, 'nosew-width', facts, { sentence: sentenceOf(written, run.said) })];
}

/** The units of a written round, in the order they are worked in. Those no part is made for are told. */
function entriesOf(state: Joining, units: Units, written: WrittenRound): WrittenEntry[] {
  const { wall, source, round } = written;
  return runsOf(state, wall, round).flatMap((run) => {
    const { said } = run;
    const sentence = sentenceOf(written, said);
    const piece = state.parts.find(({ part }) => part.id === said.part?.id);
    const facts = { words: said.words, wall: wall.part.name, round: source.number };
    if (!piece || piece === wall) {
      state.problems.push(problem(wall, 'nosew-piece', facts, { sentence }));
      return [];
    }
    const [unit] = units.take(piece, 1);
    if (unit) return [{ run, piece, unit }];
    const made = { ...facts, piece: piece.part.name, make: piece.part.make };
    state.problems.push(problem(piece, 'nosew-units', made, { sentence }));
    return [];
  });
}

function joinRound(state: Joining, units: Units, round: number, wall: JoinPart): void {
  const { part, fabric, starts } = wall;
  const source = part.rounds[round - 1];
  if (!source) return;
  const count = roundCount(fabric, round);
  const front = state.frontOf(wall, [round]);
  const written: WrittenRound = {
    wall,
    source,
    round,
    count,
    axis: stitchAtAzimuth(fabric, starts, round, front),
    entries: [],
  };
  written.entries = entriesOf(state, units, written);
  const parts = written.entries.map(({ run, unit }) => ({
    ...unit,
    width: run.count,
    target: middleOf(run),
    mirror: null,
  }));
  const task = { count, gap: 0, axis: written.axis, parts };
  const ledger = ledgerOf(task, { starts: written.entries.map(({ run }) => run.from), cost: 0, axis: null });
  // On a part that lies, and on a flat one, left and right are not around it: her stitches stand, and no side is told by them.
  const isAcross = wall.orientation.lying || fabric.row[0] === 1;
  for (const entry of written.entries) {
    const { run, unit } = entry;
    const middle = middleOf(run);
    state.joins.push({
      ...blankJoin('no-sew', unit, wall, sentenceOf(written, run.said)),
      asWritten: true,
      called: run.said.part?.side ?? null,
      ...roundAt(wall, round),
      base: fabric.label[(fabric.base[round - 1] ?? 0) - 1] ?? null,
      loops: run.loops,
      stitch: inRound(middle, count),
      covers: {
        ...rowsCovered(wall, [round, round]),
        stitches: [run.from, ((run.from + run.count - 2) % count) + 1],
      },
      ledger,
      sum: count,
      centre: isAcross
        ? null
        : {
            along: alongAt(state.wall(wall), round),
            azimuth: stitchAzimuth(fabric, starts, round, middle),
          },
      problems: checkWidth(entry, written),
    });
  }
  if (!isAcross) checkEven(state, written);
}

/**
 * Joins the pieces that the maker's own rounds are worked through, where she wrote them: the stitches are hers, and what does not come
 * out is told. A width that is not half of the piece's edge, places that are not even about the front, more units than are made, words
 * that name no part.
 */
export function joinAsWritten(state: Joining, units: Units): void {
  for (const wall of state.parts) {
    const rounds = [...new Set(wall.fabric.workedThrough.map(({ round }) => round))];
    for (const round of rounds) joinRound(state, units, round, wall);
  }
}
