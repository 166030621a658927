import { t } from '../words/language';
import type { Join } from '../join/joined';
import { reinforcedIn } from '../notation/sentence/reinforced';
import type { SeamSchool } from '../notation/pattern';
import type { PartAnalysis, ToyAnalysis } from './analysis';

/** Joins that are made with a seam around an edge: not what is worked in or on, pulled through, hung, or fastened by one end. */
const seamless: ReadonlySet<Join['kind']> = new Set([
  'no-sew',
  'worked-on',
  'through',
  'hung',
  'strung',
  'by-end',
]);
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

/** The schools of sewing by their own words. */
const schools: readonly [SeamSchool, RegExp][] = [
  ['whip', /\b(?:whip|over[\s-]?cast)\w*(?:[\s-]*stitch\w*)?\b/i],
  ['back', /\bback[\s-]?stitch\w*/i],
  ['top-loop', /\b(?:through|under|in(?:to)?|by)\s+(?:the\s+)?(?:top|front|outer)\s+loops?(?:\s+only)?\b/i],
  ['ladder', /\b(?:ladder|mattress|invisible)[\s-]*stitch\w*/i],
];

/** How a part is sewn on: as its own sentence says, else as the toy’s header does; null where nothing says. */
export function schoolOf({ sentence }: Join, { pattern }: ToyAnalysis): SeamSchool | null {
  const said = schools.find(([, words]) => words.test(sentence.text));
  return said?.[0] ?? pattern.header.seam;
}

const ways: Readonly<Record<SeamSchool, string>> = {
  ladder: t`Ladder stitch: under both loops of an edge stitch, then straight along the wall under its stitch, back and forth. Drawn snug, the thread is not seen.`,
  whip: t`Whip stitch: always from the same side, through the wall stitch and over into the edge stitch. It shows as small slanting stitches and holds well.`,
  back: t`Backstitch: up through the edge one stitch ahead, down where the one before came up. The firmest; it shows as a line.`,
  'top-loop': t`Through the top loop only: the needle takes the outer loop of each edge stitch, so that the other stands up as a rim.`,
};

/** How a seam is sewn, in the way of the maker: for the sheet, beside the maker, and on the card of the join. */
export function schoolWords(join: Join, toy: ToyAnalysis): string | null {
  if (join.path === null || join.ledger || !hasSeam(join)) return null;
  const school = schoolOf(join, toy);
  return t`${ways[school ?? 'ladder']}${school === null ? t` Or the way you are used to.` : ''} The short tail holds the place with one stitch first, the long one sews.`;
}

/** How a seam is sewn, as the text says it: for the sheet, and for beside the maker. */
export function seamWords(join: Join, toy: ToyAnalysis): string | null {
  if (join.path === null || join.ledger) return null;
  return isJoinedTwice(join, toy)
    ? t`Once round, then once more the other way into the same stitches. Three times through the first and last stitch and at each pin; bury the tail in three directions.`
    : t`Three times through the first and last stitch and at each pin; bury the tail in three directions.`;
}
