import type { Join } from '../join/joined';
import type { Problem } from '../notation/problem';
import { saying } from '../words/problems/problems';
import type { PartAnalysis } from './analysis';
import { sizeOfPart } from './stuffedPart';

/** Of a needle that is drawn through so much is left to hold at its end, in mm: our own figure. */
const holdMm = 20;

/** Something a needle is drawn straight through. */
export interface Through {
  part: PartAnalysis;
  what: string;
  mm: number;
  line: number;
}

/** What is pulled through or strung. */
function byJoins(parts: readonly PartAnalysis[], joins: readonly Join[]): Through[] {
  const partOf = (id: string) => parts.find(({ source }) => source.id === id);
  return joins.flatMap(({ kind, unit, on, insideMm, sentence }): Through[] => {
    const part = partOf(kind === 'strung' ? unit.part : on.part);
    if (!part) return [];
    const { line } = sentence;
    if (kind === 'through') return [{ part, what: unit.name, mm: insideMm ?? 0, line }];
    return kind === 'strung' ? [{ part, what: 'thread', mm: sizeOfPart(part).heightMm, line }] : [];
  });
}

/** What is drawn in across a face: from the one side to the other inside the head. */
const bySculpting = (parts: readonly PartAnalysis[]): Through[] =>
  parts.flatMap((part) =>
    part.features
      .filter(({ kind }) => kind === 'sculpting')
      .map(({ id, straightMm }) => ({ part, what: id, mm: straightMm, line: part.source.line })),
  );

/** All that a needle is drawn straight through. */
export const drawnThrough = (parts: readonly PartAnalysis[], joins: readonly Join[]): Through[] => [
  ...byJoins(parts, joins),
  ...bySculpting(parts),
];

/** How long a needle is that is drawn through so much, in mm: in steps of five, as they are sold. */
export const needleLengthMm = (mm: number): number => Math.ceil((mm + holdMm) / 5) * 5;

/** Where a needle is too short for what is drawn through with it; once for each part and thing. */
export function needleProblems(
  parts: readonly PartAnalysis[],
  joins: readonly Join[],
  needleMm: number,
): Problem[] {
  const short = drawnThrough(parts, joins).filter(({ mm }) => mm + holdMm > needleMm);
  const once = short.filter(
    (one, i) => short.findIndex((other) => other.part === one.part && other.what === one.what) === i,
  );
  return once.map(({ part, what, mm, line }) => {
    const facts = {
      part: part.source.name,
      what,
      mm: Math.round(mm),
      needleMm,
      wantedMm: needleLengthMm(mm),
    };
    return {
      ...saying('needle-short', facts),
      severity: 'info' as const,
      part: part.source.name,
      partId: part.source.id,
      line,
      column: 1,
      suggestions: [],
    };
  });
}
