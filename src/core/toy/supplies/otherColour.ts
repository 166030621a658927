import type { PartAnalysis, ToyAnalysis } from '../analysis';
import { unitYarn } from './ballLasts';
import { carriedRounds, endMm, yarnOfPart } from './yarnOfPart';

/** What of a toy could be worked in another colour, so that a yarn is enough. */
export interface OtherColour {
  /** parts that are alike go together: their names, and how many are made of each */
  parts: { name: string; make: number }[];
  /** only these rounds of it, by their numbers; null for all of it */
  rounds: [first: number, last: number] | null;
  /** they are rows */
  isRows: boolean;
  /** what the other colour takes, and what is left of this one, in metres */
  otherM: number;
  leftM: number;
}

/** What a part takes of a yarn, all its units together, in mm. */
interface Taking {
  part: PartAnalysis;
  /** by round, from 1; at 0 what stands before the first, behind the last the tail */
  byRound: Float64Array;
  /** with what is worked onto it */
  allMm: number;
  /** a new end of it in each unit, in mm: where it is cut off or begun once more */
  eachEndMm: number;
}

/** Parts that are worked in one colour or in another together, as a pair of ears is. */
interface Group {
  takings: Taking[];
  allMm: number;
}

const total = (values: Iterable<number>): number => [...values].reduce((sum, value) => sum + value, 0);

function takingsOf(toy: ToyAnalysis, yarn: string): Taking[] {
  return toy.parts.flatMap((part): Taking[] => {
    if (part.fabric.rounds === 0) return [];
    const { byRound: each, ontoMm } = unitYarn(yarn, part, toy);
    const { make } = part.source;
    const byRound = each.map((mm) => mm * make);
    const allMm = total(byRound) + ontoMm * make;
    const strands = Math.max(1, ...yarnOfPart(part, toy).map((one) => (one.name === yarn ? one.strands : 1)));
    const eachEndMm = endMm * strands * make;
    return allMm > 0 ? [{ part, byRound, allMm, eachEndMm }] : [];
  });
}

const sideWords = /\b(?:left|right|front|back|upper|lower|first|second|third|fourth|one|two|\d+)\b/gi;
/** What a part is, whichever of several: `left ear` and `Ears 2` are ears. */
const whatItIs = (name: string): string =>
  name.toLowerCase().replace(sideWords, '').trim().replace(/\s+/g, ' ').replace(/s$/, '');

function groupsOf(takings: readonly Taking[]): Group[] {
  const groups = new Map<string, Group>();
  for (const taking of takings) {
    const { name, id } = taking.part.source;
    const key = whatItIs(name) || id;
    const known = groups.get(key) ?? { takings: [], allMm: 0 };
    groups.set(key, { takings: [...known.takings, taking], allMm: known.allMm + taking.allMm });
  }
  return [...groups.values()];
}

/** More kinds of pieces are not tried together. */
const mostGroups = 12;

/** Every choice of some groups, but for none and for all. */
function choicesOf(groups: readonly Group[]): Group[][] {
  const kinds = [...groups].sort((a, b) => b.allMm - a.allMm).slice(0, mostGroups);
  const choices = Array.from({ length: 2 ** kinds.length - 1 }, (_, i) =>
    kinds.filter((_kind, k) => ((i + 1) >> k) % 2 === 1),
  );
  return choices.filter(({ length }) => length < groups.length);
}

const takenBy = (groups: readonly Group[]): number => total(groups.map(({ allMm }) => allMm));

/** The largest kinds one after the other until they are enough, where there are too many kinds to try every choice. */
function largestFirst(groups: readonly Group[], missingMm: number): Group[][] {
  const kinds = [...groups].sort((a, b) => b.allMm - a.allMm);
  const needed = kinds.findIndex((_kind, i) => takenBy(kinds.slice(0, i + 1)) >= missingMm) + 1;
  return needed > 0 && needed < kinds.length ? [kinds.slice(0, needed)] : [];
}

/** Whole pieces: as few kinds as are enough, of them those that take least; at most two ways. */
function wholePieces(takings: readonly Taking[], missingMm: number): OtherColour[] {
  const groups = groupsOf(takings);
  const tried = choicesOf(groups).filter((choice) => takenBy(choice) >= missingMm);
  const enough = tried.length > 0 ? tried : largestFirst(groups, missingMm);
  const fewest = Math.min(...enough.map(({ length }) => length));
  return enough
    .filter(({ length }) => length === fewest)
    .sort((a, b) => takenBy(a) - takenBy(b))
    .slice(0, 2)
    .map((choice) => ({
      parts: choice.flatMap((group) => group.takings.map(({ part }) => calledOf(part))),
      rounds: null,
      isRows: false,
      otherM: takenBy(choice) / 1000,
      leftM: (takenBy(choice) - missingMm) / 1000,
    }));
}

const calledOf = ({ source: { name, make } }: PartAnalysis) => ({ name, make });

/** Some rounds of a part, by index from 1, with what they take and what is freed by working them in another colour, in mm. */
interface Stripe {
  taking: Taking;
  from: number;
  to: number;
  takesMm: number;
  freedMm: number;
}

/** No more of a part is a stripe. */
const mostOfPart = 1 / 2;

/** The stripes of a part that free so much, none of which could be shorter at its end. */
function stripesOf(taking: Taking, missingMm: number): Stripe[] {
  const { part, byRound, eachEndMm } = taking;
  const { rounds, row } = part.fabric;
  const stripes: Stripe[] = [];
  for (let from = 1; from <= rounds; from += 1) {
    const isFirst = from === 1;
    let takesMm = isFirst ? (byRound[0] ?? 0) : 0;
    for (let to = from; to <= rounds && to - from + 1 <= rounds * mostOfPart; to += 1) {
      if (row[to - 1] !== row[from - 1]) break;
      takesMm += byRound[to] ?? 0;
      const isLast = to === rounds;
      const withTail = takesMm + (isLast ? (byRound[rounds + 1] ?? 0) : 0);
      const isCarried = to - from + 1 <= carriedRounds;
      const isInside = !isFirst && !isLast;
      const ends = isInside ? (isCarried ? 0 : 2) : 1;
      const freedMm = withTail - ends * eachEndMm;
      if (freedMm < missingMm) continue;
      stripes.push({ taking, from, to, takesMm: withTail, freedMm });
      break;
    }
  }
  return stripes;
}

/** The stripe of fewest rounds, of those that are as short the one that takes least. */
function shortestStripe(takings: readonly Taking[], missingMm: number): OtherColour[] {
  const lengthOf = ({ from, to }: Stripe) => to - from;
  const [stripe] = takings
    .flatMap((taking) => stripesOf(taking, missingMm))
    .sort((a, b) => lengthOf(a) - lengthOf(b) || a.freedMm - b.freedMm);
  if (!stripe) return [];
  const { part, eachEndMm } = stripe.taking;
  const ends = [stripe.from > 1, stripe.to < part.fabric.rounds].filter(Boolean).length;
  const numberOf = (round: number) => part.fabric.label[round - 1] ?? round;
  return [
    {
      parts: [calledOf(part)],
      rounds: [numberOf(stripe.from), numberOf(stripe.to)],
      isRows: part.fabric.row[stripe.from - 1] === 1,
      // The other colour is joined in and cut off.
      otherM: (stripe.takesMm + ends * eachEndMm) / 1000,
      leftM: (stripe.freedMm - missingMm) / 1000,
    },
  ];
}

/**
 * What could be worked in another colour where a yarn does not last: whole pieces, then a stripe in one of them. Nothing where it lasts,
 * or where no pieces but all are enough and no stripe either.
 *
 * @param yarn its name, as among what the toy takes
 * @param metres of it that are there
 */
export function inOtherColour(toy: ToyAnalysis, yarn: string, metres: number): OtherColour[] {
  const takings = takingsOf(toy, yarn);
  const missingMm = takenBy(groupsOf(takings)) - metres * 1000;
  if (missingMm <= 0) return [];
  return [...wholePieces(takings, missingMm), ...shortestStripe(takings, missingMm)];
}
