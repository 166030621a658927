import pluralize from 'pluralize';

/** A part, by what outlives renaming, and by its name as it stands in its heading. */
export interface NamedPart {
  id: string;
  name: string;
  alsoCalled?: readonly string[];
}

/** A part a sentence names: how many of its units, and which. */
export interface NamedUnits extends NamedPart {
  /** how many of them; null where the sentence does not say */
  count: number | 'all' | null;
  /** which of a pair, as one looks at the toy's front */
  side: 'left' | 'right' | null;
}

/** A part that is named, and how it stands in the sentence. */
export interface Mention extends NamedUnits {
  /** after `to`, `onto`, `on`, `of`, `into`, `in`, `at`: what something else is brought to */
  isGoal: boolean;
  /** `both sides of the arm`: where something is, not what it is on */
  isBeside: boolean;
  /** it opens the sentence and a colon or comma follows */
  opens: boolean;
  /** index of its first word, and of the word after it */
  at: number;
  until: number;
}

interface Word {
  text: string;
  /** the sign that follows it, if one does */
  sign: string;
}

const counts: Record<string, number | 'all'> = {
  a: 1,
  an: 1,
  one: 1,
  first: 1,
  second: 1,
  third: 1,
  fourth: 1,
  two: 2,
  both: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  all: 'all',
  each: 'all',
  every: 'all',
};
const ordinals = new Set(['first', 'second', 'third', 'fourth']);
// `Sew on the arms`: there `on` belongs to the verb.
const verbs = new Set(
  'sew sewn sewing stitch stitched attach join pin put fasten whip whipstitch applique appliqué'.split(' '),
);
const goals = new Set(['to', 'onto', 'on', 'of', 'into', 'in', 'at', 'against']);
const between = new Set([
  'the',
  'his',
  'her',
  'its',
  'their',
  'of',
  'main',
  'side',
  'sides',
  'top',
  'bottom',
  'front',
  'back',
]);
// A place on a part, not a part, also where one is called so.
const places = new Set(['back', 'front', 'top', 'middle', 'base', 'left', 'right', 'start', 'end', 'side']);

pluralize.addIrregularRule('antenna', 'antennae');
/** Words that were asked for, so many of them: a sentence is held against every name, word by word, at every edit. */
const singles = new Map<string, string>();
const mostSingles = 5000;

function single(word: string): string {
  const known = singles.get(word);
  if (known !== undefined) return known;
  const found = pluralize.singular(word);
  if (singles.size >= mostSingles) singles.clear();
  singles.set(word, found);
  return found;
}

function wordsOf(text: string): Word[] {
  return [...text.toLowerCase().matchAll(/([\p{L}\p{N}’'-]+|°)([:,;.]?)/gu)].map(
    ([, word = '', sign = '']) => ({
      text: word,
      sign,
    }),
  );
}

/** The words of a name that may stand for it: all of them, or the last one. */
function callingsOf(name: string): string[][] {
  const words = wordsOf(name).map(({ text }) => single(text));
  const last = words.at(-1);
  const known = [words, ...(words.length > 1 && last ? [[last]] : [])];
  return known.filter(
    (calling) =>
      calling.length > 0 &&
      !(calling.length === 1 && (places.has(calling[0] ?? '') || (calling[0] ?? '').length < 2)),
  );
}

/** The names of a toy's parts, as words of the language. */
export class PartNames {
  private known: (NamedPart & { words: string[] })[] | null = null;

  constructor(private readonly parts: readonly NamedPart[]) {}

  /** What the parts are called, worked out once a sentence asks. */
  private get callings() {
    this.known ??= this.calls();
    return this.known;
  }

  private calls() {
    const known = this.parts.flatMap(({ id, name, alsoCalled = [] }) =>
      [name, ...alsoCalled].flatMap(callingsOf).map((words) => ({ id, name, words })),
    );
    // The longer name first, and of two parts called by one word the first.
    return known.sort((a, b) => b.words.length - a.words.length);
  }

  /** Every part a sentence names, in order. */
  in(sentence: string): Mention[] {
    const words = wordsOf(sentence);
    const found: Mention[] = [];
    for (let at = 0; at < words.length;) {
      const one = this.callings.find(({ words: calling }) =>
        calling.every((word, i) => single(words[at + i]?.text ?? '') === word),
      );
      if (!one) {
        at += 1;
        continue;
      }
      const until = at + one.words.length;
      if (isTailOf(words, at, until)) {
        at = until + 1;
        continue;
      }
      if (isYarnTail(words, at)) {
        at = until;
        continue;
      }
      // `The arm openings` are those of all arms.
      const ofEach = endsOfEach.has(words[until]?.text ?? '') && words[until - 1]?.sign === '';
      const many = ofEach || words[until - 1]?.text !== one.words.at(-1);
      const before = beforeName(words, at);
      // `Left ear: head, R5`: what goes there, and straight behind the colon what it goes on.
      const isBehindColon = found.at(-1)?.until === at && words[at - 1]?.sign === ':';
      found.push({
        id: one.id,
        name: one.name,
        isBeside: before.isBeside,
        count: before.count ?? (many ? null : before.side || before.article ? 1 : null),
        side: before.side,
        isGoal: before.isGoal || isBehindColon,
        opens: before.opens && /[:,]/.test(words[until - 1]?.sign ?? ''),
        at,
        until,
      });
      at = until;
    }
    return found;
  }
}

/** What each of several has one of. */
const endsOfEach = new Set(['openings', 'ends', 'edges', 'tops', 'bases', 'pieces']);

const ofYarn = new Set(
  'yarn long sewing remaining starting beginning closing thread leftover spare extra loose hanging attached'.split(
    ' ',
  ),
);
const articles = new Set(['the', 'a', 'this', 'that', 'its', 'each', 'both']);
const handled = new Set(['using', 'with', 'weave', 'leave', 'leaving', 'hide', 'bury', 'trim', 'knot']);

/** `Using the long tail`: the end of the yarn, not the tail of the animal. */
function isYarnTail(words: readonly Word[], at: number): boolean {
  if (single(words[at]?.text ?? '') !== 'tail') return false;
  let i = at - 1;
  while (articles.has(words[i]?.text ?? '')) i -= 1;
  const before = words[i];
  const isEnd = words[at + 1]?.text === 'end' || words[at + 1]?.text === 'ends';
  return (
    isEnd ||
    (before !== undefined && before.sign === '' && (ofYarn.has(before.text) || handled.has(before.text)))
  );
}

/** `With the leg tails`: the ends of yarn that hang from a part, which the sentence is not about. */
function isTailOf(words: readonly Word[], at: number, until: number): boolean {
  const isTail = single(words[until]?.text ?? '') === 'tail' && words[until - 1]?.sign === '';
  const before = words.slice(Math.max(0, at - 3), at);
  return isTail && before.some(({ text, sign }) => sign === '' && handled.has(text));
}

/** The words of a sentence in small letters, each part that it names as `@0`, `@1` in the order of the mentions. */
export function wordsWithNames(sentence: string, mentions: readonly Mention[]): string {
  const words = wordsOf(sentence).map(({ text, sign }) => text + sign);
  // From the end, so that what stands before keeps its place.
  for (const [i, { at, until }] of [...mentions.entries()].reverse()) {
    const sign = /[:,;.]$/.exec(words[until - 1] ?? '')?.[0] ?? '';
    words.splice(at, until - at, `@${i}${sign}`);
  }
  return words.join(' ');
}

/** `The first and second legs` are two: the words about `and`, and how many were counted behind it. */
function withFirst(words: readonly Word[], count: Mention['count']): Mention['count'] {
  const [one = '', and, other = ''] = words.map(({ text }) => text);
  return and === 'and' && ordinals.has(one) && ordinals.has(other) ? 2 : count;
}

/** What stands before a name and belongs to it: `to both sides of the`, `the two front`. */
function beforeName(words: readonly Word[], at: number) {
  let side: Mention['side'] = null;
  let count: Mention['count'] = null;
  let article = false;
  let i = at - 1;
  for (; i >= 0; i -= 1) {
    const { text, sign } = words[i] ?? { text: '', sign: '.' };
    if (sign !== '') break;
    if (text === 'left' || text === 'right') side = text;
    else if (Object.hasOwn(counts, text)) count ??= counts[text] ?? null;
    else if (/^\d+$/.test(text)) count ??= Number(text);
    else if (text === 'the') article = true;
    else if (!between.has(text)) break;
    // `both sides of the head`: the count is of the sides.
    if (text === 'side' || text === 'sides') count = null;
  }
  const lead = words[i]?.sign === '' ? words[i]?.text : undefined;
  const passed = words.slice(i + 1, at).map(({ text }) => text);
  const isParticle = lead === 'on' && verbs.has(words[i - 1]?.text ?? '');
  const isGoal =
    (lead !== undefined && goals.has(lead) && !isParticle) ||
    passed.includes('of') ||
    passed.some((word) => goals.has(word));
  const isBeside = passed.some((word) => word === 'side' || word === 'sides');
  return {
    side,
    count: withFirst(words.slice(Math.max(0, i - 1), i + 2), count),
    article,
    isGoal,
    isBeside,
    opens: i < 0,
  };
}
