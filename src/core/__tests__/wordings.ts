import texts from './wordings.json';
import { analyseToy, type PartAnalysis, type ToyAnalysis } from '../toy/analyse';

/** What a text in some maker's manner comes to, worked out by hand. */
export interface Wording {
  id: string;
  kind: string;
  text: string;
  expected: {
    /** stitches worked in each round, over all parts in order, after the first `skip` rounds */
    counts?: number[];
    skip?: number;
    parts?: [name: string, make: number, counts: number[]][];
    /** errors that must be among those reported; where absent there must be none but those of `allow` */
    codes?: string[];
    allow?: string[];
    place?: { f: string; gap?: [number, number]; posts?: string[] }[];
    noplace?: string[];
    /** problems of any severity that must be there */
    has?: string[];
    stops?: { act: string; after?: number; l?: number; mm?: number; none?: boolean }[];
  };
}

/** Texts in the manners of many makers. */
export const wordings = texts as unknown as readonly Wording[];

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
const bareName = (name: string) =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
const workedIn = (parts: readonly PartAnalysis[]) =>
  parts.flatMap(({ checks }) => checks.map(({ worked }) => worked));

/** `left:15|16@14/35` of every place of a feature. */
export function postsOf({ fabric, features }: PartAnalysis, kind: string): string[] {
  const gapOf = (line: number) => `${fabric.label[line - 1]}|${fabric.label[line]}`;
  return features
    .filter((feature) => feature.kind === kind)
    .flatMap(({ units }) =>
      units.flatMap(({ side, from, to, of, fromLine, toLine, toOf }) => {
        const first = `${side}:${gapOf(fromLine)}@${from}/${of}`;
        return from === to && fromLine === toLine
          ? [first]
          : [first, `${side}:${gapOf(toLine)}@${to}/${toOf}`];
      }),
    );
}

function wrongStops(toy: ToyAnalysis, stops: NonNullable<Wording['expected']['stops']>): string[] {
  const all = toy.parts.flatMap((part) => part.stops.stops);
  return stops.flatMap(({ act, after, l, mm, none }) => {
    const found = all.filter((stop) => stop.acts.some((one) => one.act === act));
    if (none) return found.length === 0 ? [] : [`${act} after ${found.map((stop) => stop.after).join()}`];
    const fits = found.some(
      (stop) =>
        (after === undefined || stop.after === after) &&
        (l === undefined || stop.latest === l) &&
        (mm === undefined || Math.abs(stop.openingMm - mm) < 1),
    );
    return fits
      ? []
      : [`${act}: ${found.map((s) => `${s.after}/${s.latest}/${s.openingMm.toFixed(1)}`).join(' ')}`];
  });
}

function wrongCounts(toy: ToyAnalysis, { counts, skip = 0 }: Wording['expected']): string[] {
  const worked = workedIn(toy.parts).slice(skip);
  return !counts || same(worked, counts) ? [] : [`counts ${worked.join()}`];
}

function wrongParts(toy: ToyAnalysis, { parts }: Wording['expected']): string[] {
  if (!parts) return [];
  const got = toy.parts.map((part) => [bareName(part.source.name), part.source.make, workedIn([part])]);
  const asked = parts.map(([name, make, counts]) => [bareName(name), make, counts]);
  return same(got, asked) ? [] : [`parts ${JSON.stringify(got)}`];
}

function wrongCodes(toy: ToyAnalysis, { codes, allow = [], has = [] }: Wording['expected']): string[] {
  const errors = toy.problems.filter(({ severity }) => severity === 'error').map(({ code }) => String(code));
  const all = toy.problems.map(({ code }) => String(code));
  const missing = (codes ?? []).filter((code) => !errors.includes(code));
  const extra = codes ? [] : errors.filter((code) => !allow.includes(code));
  const untold = has.filter((code) => !all.includes(code));
  return [
    ...(extra.length > 0 ? [`errors ${extra.join()}`] : []),
    ...[...missing, ...untold].map((code) => `no ${code}`),
  ];
}

function wrongPlaces(toy: ToyAnalysis, { place = [], noplace = [] }: Wording['expected']): string[] {
  const features = toy.parts.flatMap((part) => part.features);
  const placed = place.flatMap(({ f, gap, posts }) => {
    const kept = features.filter(({ kind }) => kind === f);
    const there = toy.parts.flatMap((part) => postsOf(part, f));
    const gapIsOff = gap && !kept.some((feature) => same(feature.gap, gap));
    const postsAreOff = posts && !same([...there].sort(), [...posts].sort());
    return [
      ...(gapIsOff ? [`${f} gap ${JSON.stringify(kept.map((one) => one.gap))}`] : []),
      ...(postsAreOff ? [`${f} ${there.join(' ')}`] : []),
    ];
  });
  const unasked = noplace.filter((f) => features.some(({ kind }) => kind === f)).map((f) => `${f} placed`);
  return [...placed, ...unasked];
}

/** What of a wording is not as worked out, in words; empty where all is. And whether it went by without a question. */
export function wrongIn({ text, expected }: Wording): { wrong: string[]; silent: boolean } {
  const toy = analyseToy(text);
  const wrong = [
    ...wrongCounts(toy, expected),
    ...wrongParts(toy, expected),
    ...wrongCodes(toy, expected),
    ...wrongPlaces(toy, expected),
    ...wrongStops(toy, expected.stops ?? []),
  ];
  const asked = toy.problems.some(({ severity }) => severity !== 'info') || toy.pattern.notes.length > 0;
  return { wrong, silent: wrong.length > 0 && !asked };
}
