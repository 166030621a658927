import type { Join } from '../join/joined';
import { reinforcedIn } from '../notation/sentence/reinforced';
import type { PartAnalysis, ToyAnalysis } from './analysis';

/** Joins that are made with a seam around an edge: not what is worked in or on, pulled through, hung, or fastened by one end. */
const seamless: ReadonlySet<Join['kind']> = new Set(['no-sew', 'worked-on', 'through', 'hung', 'by-end']);
export const hasSeam = ({ kind }: Pick<Join, 'kind'>): boolean => !seamless.has(kind);

/** Whether the seam of a unit is gone round twice: its own sentence says so, or one that reinforces its part. */
export function isJoinedTwice({ unit, sentence }: Join, { parts }: Pick<ToyAnalysis, 'parts'>): boolean {
  const part = parts.find(({ source }) => source.id === unit.part);
  const isReinforced = part !== undefined && reinforcedIn(part.source.steps, 'twice', null).length > 0;
  return sentence.twice === true || isReinforced;
}

/** The same of a part: of all its seams, or where nothing joins it yet. */
export function isPartSewnTwice({ source }: PartAnalysis, { joined, parts }: ToyAnalysis): boolean {
  const seams = joined.joins.filter(({ unit }) => unit.part === source.id);
  const isReinforced = reinforcedIn(source.steps, 'twice', null).length > 0;
  return isReinforced || (seams.length > 0 && seams.every((join) => isJoinedTwice(join, { parts })));
}

/** How a seam is sewn, as the text says it: for the sheet, and for beside the maker. */
export function seamWords(join: Join, toy: ToyAnalysis): string | null {
  if (join.path === null || join.ledger) return null;
  return isJoinedTwice(join, toy)
    ? 'Once round, then once more the other way into the same stitches. Three times through the first and last stitch and at each pin; bury the tail in three directions.'
    : 'Three times through the first and last stitch and at each pin; bury the tail in three directions.';
}
