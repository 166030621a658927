import { readFileSync } from 'node:fs';
import { join } from 'node:path';
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
export const wordings: Wording[] = JSON.parse(
  readFileSync(join(process.cwd(), 'src/core/__tests__/wordings.json'), 'utf8'),
);

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

/** What of a wording is not as worked out, in words; empty where all is. And whether anything was asked or told. */
export function wrongIn({ text, expected }: Wording): { wrong: string[]; silent: boolean } {
  const toy = analyseToy(text);
  const wrong: string[] = [];
  const errors = toy.problems
    .filter(({ severity }) => severity === 'error')
    .map(({ code }) => code as string);
  const codes = toy.problems.map(({ code }) => code as string);
  const { counts, skip = 0, parts, place = [], noplace = [], has = [] } = expected;
  const worked = workedIn(toy.parts).slice(skip);
  if (counts && !same(worked, counts)) wrong.push(`counts ${worked.join()}`);
  const got = toy.parts.map(({ source, checks }) => [
    bareName(source.name),
    source.make,
    checks.map((c) => c.worked),
  ]);
  if (
    parts &&
    !same(
      got,
      parts.map(([name, make, of]) => [bareName(name), make, of]),
    )
  )
    wrong.push(`parts ${JSON.stringify(got)}`);
  const extra = errors.filter(
    (code) => !(expected.codes ?? []).includes(code) && !(expected.allow ?? []).includes(code),
  );
  if (expected.codes) {
    const missing = expected.codes.filter((code) => !errors.includes(code));
    if (missing.length > 0) wrong.push(`no ${missing.join()}`);
  } else if (extra.length > 0) wrong.push(`errors ${extra.join()}`);
  for (const { f, gap, posts } of place) {
    const features = toy.parts.flatMap((part) => part.features.filter(({ kind }) => kind === f));
    if (gap && !features.some((feature) => same(feature.gap, gap)))
      wrong.push(`${f} gap ${JSON.stringify(features.map((one) => one.gap))}`);
    const there = toy.parts.flatMap((part) => postsOf(part, f));
    if (posts && !same([...there].sort(), [...posts].sort())) wrong.push(`${f} ${there.join(' ')}`);
  }
  for (const f of noplace)
    if (toy.parts.some((part) => part.features.some(({ kind }) => kind === f))) wrong.push(`${f} placed`);
  for (const code of has) if (!codes.includes(code)) wrong.push(`no ${code}`);
  wrong.push(...wrongStops(toy, expected.stops ?? []));
  const asked = toy.problems.some(({ severity }) => severity !== 'info') || toy.pattern.notes.length > 0;
  return { wrong, silent: wrong.length > 0 && !asked };
}
