/** What stands in a message between its words. */
export type Said = string | number | null | undefined;

/**
 * Says a message in another language.
 *
 * @param message the English with its places numbered: `Round {{a}} of {{b}}`
 * @param values what goes into the places, by their letters; what is counted as `count`
 * @param english what is said where the language has no words for it
 */
export type Translator = (message: string, values: Readonly<Record<string, Said>>, english: string) => string;

/** The tag of what Hoppla is written in. */
export const ownLanguage = 'en';

let translator: Translator | null = null;
let language = ownLanguage;

/** From now on all that is said is said by it, in the language of that tag. What was said before stays as it is. */
export function speakBy(other: Translator, tag: string): void {
  translator = other;
  language = tag;
}

/** The tag of the language that is spoken. */
export const spoken = (): string => language;

/** The letter of a place: `a` for the first. */
const placeName = (place: number): string => String.fromCharCode('a'.charCodeAt(0) + place);

/** A message as it stands in the list of words, from what stands between its places. */
export const messageOf = (parts: readonly string[]): string =>
  parts.map((part, place) => (place === 0 ? part : `{{${placeName(place - 1)}}}${part}`)).join('');

/**
 * What is said to a maker, in the language she reads: `` t`Round ${label} of ${rounds}` ``. The English is its name in the list of words.
 * What patterns are written in is no part of it.
 */
export function t(parts: TemplateStringsArray, ...values: readonly Said[]): string {
  let english = parts[0] ?? '';
  for (let place = 0; place < values.length; place++) english += `${values[place]}${parts[place + 1] ?? ''}`;
  if (!translator) return english;
  const named = Object.fromEntries(values.map((value, place) => [placeName(place), value]));
  return translator(messageOf(parts), named, english);
}

/** A word with more than one sense in English, by the sense it has here: `` tAs('shape')`Round` `` is no round of stitches. */
export const tAs =
  (sense: string) =>
  (parts: TemplateStringsArray): string => {
    const english = parts.join('');
    return translator ? translator(`${english} (${sense})`, {}, english) : english;
  };

/** So many of something, in the form the language has for that many: `{{count}} stitch`. */
export function counted(count: number, one: string, english: string): string {
  return translator ? translator(`{{count}} ${one}`, { count }, english) : english;
}

const placesOf = (message: string): string =>
  [...message.matchAll(/\{\{(\w+)\}\}/g)]
    .map(([, place]) => place)
    .sort()
    .join();

/** The messages of a translation that say each number their English says, once: others are said in English. */
export function soundMessages(translation: Readonly<Record<string, unknown>>): Record<string, string> {
  const sound = Object.entries(translation).filter((entry): entry is [string, string] => {
    const [message, words] = entry;
    if (typeof words !== 'string' || words.trim() === '') return false;
    return placesOf(words) === placesOf(message);
  });
  return Object.fromEntries(sound);
}
