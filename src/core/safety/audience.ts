import { t } from '../words/language';

/** For whom a toy is made. */
export type Audience = 'under-3' | '3-and-over' | 'keepsake' | 'pet';

export const audiences: readonly Audience[] = ['under-3', '3-and-over', 'keepsake', 'pet'];

/** As it is written in the `For:` line. */
export const audienceWords: Record<Audience, string> = {
  'under-3': 'under 3',
  '3-and-over': '3 and over',
  keepsake: 'keepsake, not a toy',
  pet: 'a pet',
};

/** As it is said to the maker. */
export const audienceSaid: Record<Audience, string> = {
  'under-3': t`under 3`,
  '3-and-over': t`3 and over`,
  keepsake: t`keepsake, not a toy`,
  pet: t`a pet`,
};

const small = /\b(bab(y|ies)|newborns?|infants?|toddlers?|crib|teething)\b/i;
const under = /\b(?:under|below|younger than|less than|up to)\s*(?:the age of\s*)?(\d+|two|three|one)\b/i;
const from =
  /\b(\d+|one|two|three|four|five|six)\s*(?:\+|(?:years?|yrs?)?\s*(?:and|or)\s*(?:over|older|up|above)|years?\b)/i;
const range = /\b(\d+)\s*(?:-|–|to)\s*(\d+)\s*(months?|years?)?/i;
const keepsake = /\b(keepsake|display|decoration|ornament|collectors?|adults?|grown[- ]?ups?|shelf)\b/i;
const pet = /\b(pets?|dogs?|cats?|pupp(y|ies)|kittens?)\b/i;
const numbers: Record<string, number> = { one: 1, two: 2, three: 3, four: 4, five: 5, six: 6 };
const valueOf = (word: string | undefined) => numbers[(word ?? '').toLowerCase()] ?? Number(word);

/**
 * Whom a `For:` line means; null where it does not say. Where it names several, the smallest child counts.
 *
 * @param line what stands behind `For:`
 */
export function readAudience(line: string | null): Audience | null {
  if (!line?.trim()) return null;
  const below = under.exec(line);
  const isUnder = below ? valueOf(below[1]) <= 3 || /month/i.test(line) : false;
  if (isUnder || small.test(line) || /\d+\s*months?\b/i.test(line)) return 'under-3';
  const between = range.exec(line);
  if (between) return valueOf(between[1]) < 3 ? 'under-3' : '3-and-over';
  const least = from.exec(line);
  if (least) return valueOf(least[1]) < 3 ? 'under-3' : '3-and-over';
  if (keepsake.test(line)) return 'keepsake';
  if (pet.test(line)) return 'pet';
  return /\b(child(ren)?|kids?|niece|nephew|grand\w+|school)\b/i.test(line) ? '3-and-over' : null;
}
