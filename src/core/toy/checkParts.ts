import type { Item } from '../notation/ast';
import type { Problem } from '../notation/problem';
import type { PartSource, Pattern, RoundSource } from '../notation/pattern';
import type { JoinedToy } from '../join/joined';
import { PartNames } from '../notation/sentence/names';
import { isJoin } from '../notation/sentence/join';
import type { Sentence } from '../notation/sentence/sentence';
import { isBareApart } from '../notation/sentence/feature';
import { toyHeaderEdits } from '../notation/editText';
import { isColourName } from '../supplies/yarnColour';
import { saying } from '../words/problems/problems';
import { isRowAndRound } from '../fabric/rounds';
import type { RoundsSaid } from '../notation/sentence/said';
import type { PartAnalysis } from './analysis';

interface ColourUse {
  name: string;
  column: number;
}

function coloursIn(items: readonly Item[]): ColourUse[] {
  return items.flatMap((item) => {
    if (item.type === 'colour') return [{ name: item.name, column: item.span.from + 1 }];
    if (item.type === 'work' && item.colour) return [{ name: item.colour, column: item.span.from + 1 }];
    return item.type === 'group' ? coloursIn(item.items) : [];
  });
}

/** Colours used in rounds that no `Yarn` line defines; asked only where the text defines yarns, or names a colour by a letter. */
export function undefinedColours({ header, parts }: Pattern): Problem[] {
  const known = (name: string) =>
    header.yarns.some(
      (yarn) =>
        yarn.name.toLowerCase() === name.toLowerCase() ||
        yarn.value.toLowerCase().includes(name.toLowerCase()),
    );
  const problems: Problem[] = [];
  const said = new Set<string>();
  for (const part of parts) {
    for (const round of part.rounds) {
      for (const { name, column } of coloursIn([...round.foundation, ...round.work.items])) {
        if (said.has(name) || known(name) || (header.yarns.length === 0 && name.length > 1)) continue;
        said.add(name);
        const after = header.yarns.at(-1)?.line ?? 0;
        problems.push({
          ...saying('colour-undefined', { round: round.number, yarn: name }),
          severity: 'warning',
          part: part.name,
          round: round.number,
          line: round.line,
          column,
          suggestions: [
            {
              title: `Add a line for “${name}”`,
              edits: [
                {
                  line: after,
                  text: `Yarn ${name}: ${name.length > 1 ? name : 'which colour?'}`,
                  insertAfter: true,
                },
              ],
            },
          ],
        });
      }
    }
  }
  return problems;
}

/** The rounds that a sentence names by their numbers. */
const numbersOf = ({ gap, otherGap, range, round, countFrom }: RoundsSaid): number[] =>
  countFrom
    ? []
    : [...(gap ?? []), ...(otherGap ?? []), ...(range ?? []), ...(round === undefined ? [] : [round])];

/** Sentences that name a number which a row and a round of the part they are about both have. */
export function rowsAndRounds(parts: readonly PartAnalysis[], { joins }: JoinedToy): Problem[] {
  const toldOf = (
    { source, fabric }: PartAnalysis,
    { line, span }: Sentence,
    said: RoundsSaid,
  ): Problem[] => {
    const round = numbersOf(said).find((number) => isRowAndRound(fabric, number));
    if (round === undefined) return [];
    return [
      {
        ...saying('row-and-round', { part: source.name, round }),
        severity: 'warning',
        part: source.name,
        partId: source.id,
        line,
        column: span.from + 1,
        suggestions: [],
      },
    ];
  };
  const ofFeatures = parts.flatMap((part) =>
    part.source.steps.flatMap((step) => (step.kind === 'feature' ? toldOf(part, step, step) : [])),
  );
  const ofJoins = [...new Set(joins.map(({ sentence }) => sentence))].flatMap((sentence) => {
    const wall = parts.find(({ source }) =>
      joins.some((one) => one.sentence === sentence && one.on.part === source.id),
    );
    return wall ? toldOf(wall, sentence, sentence) : [];
  });
  return [...ofFeatures, ...ofJoins];
}

/** `Change colour`, without to which. */
const changes =
  /(?<![a-z])(?:(?:chang|switch|alternat)\w*\s+(?:the\s+)?(?:colou?rs?|yarns?)(?!\s*(?:to|in)\b)|colou?r\s+change(?!\s*(?:to|in)\b))/i;

/** Words of a round that name a yarn and that are not read: what is worked in it would be lost without a word. */
function colourUnread({ text, work }: RoundSource, { header }: Pattern): string | null {
  const letters = header.yarns.map(({ name }) => name);
  const isYarn = (word: string) => letters.includes(word) || isColourName(word);
  const words = unknownIn(work.items).flatMap((unknown) => unknown.split(/[^A-Za-z\d]+/));
  const named = words.find(isYarn);
  if (named !== undefined) return named;
  const isTold = coloursIn(work.items).length > 0;
  return isTold ? null : (changes.exec(text)?.[0] ?? null);
}

/** Rounds that name a yarn, or change it, in words that are not read; the first of each part. */
export function unreadColours(pattern: Pattern): Problem[] {
  return pattern.parts.flatMap((part) => {
    const found = part.rounds.flatMap((round) => {
      const words = colourUnread(round, pattern);
      return words === null ? [] : [{ round, words }];
    });
    const [first] = found;
    if (!first) return [];
    const { round, words } = first;
    const facts = { round: round.number, isRow: round.row, words, more: found.length - 1 };
    return [
      {
        ...saying('colour-unread', facts),
        severity: 'warning',
        part: part.name,
        partId: part.id,
        round: round.number,
        line: round.line,
        column: 1,
        suggestions: [],
      },
    ];
  });
}

/** A part that is put on by a sentence about a feature: the nose that is made and sewn between the eyes. */
function isPutAsFeature(part: PartSource, parts: readonly PartSource[]): boolean {
  const name = part.name.toLowerCase();
  const puts = (step: Sentence) => step.kind === 'feature' && name.includes(step.feature.replace(/s$/, ''));
  return parts.some((other) => other !== part && other.steps.some(puts));
}

/** Words of a round that no manner reads. */
const unknownIn = (items: readonly Item[]): string[] =>
  items.flatMap((item) => {
    if (item.type === 'group') return unknownIn(item.items);
    return item.type === 'unknown' ? [item.text] : [];
  });

/** Those, and what is taken for a yarn: what is left of a manner of working that is not known. */
const unreadIn = (items: readonly Item[]): string[] => [
  ...unknownIn(items),
  ...coloursIn(items).map(({ name }) => name),
];

/** The first round of another part that names this one in words that are not read. */
function roundNaming(
  part: PartSource,
  parts: readonly PartSource[],
): { owner: PartSource; round: RoundSource } | null {
  const names = new PartNames(parts);
  const isNamed = (words: string) => names.in(words).some(({ id }) => id === part.id);
  for (const owner of parts) {
    const round =
      owner === part ? undefined : owner.rounds.find(({ work }) => unreadIn(work.items).some(isNamed));
    if (round) return { owner, round };
  }
  return null;
}

/** A part that no sentence puts anywhere, and that a round speaks of. */
function unreadIntoRound(
  part: PartSource,
  { owner, round }: { owner: PartSource; round: RoundSource },
): Problem {
  return {
    ...saying('nosew-unread', { piece: part.name, wall: owner.name, round: round.number }),
    severity: 'warning',
    part: part.name,
    partId: part.id,
    line: round.line,
    column: 1,
    suggestions: [],
  };
}

/**
 * Parts that no sentence ever puts anywhere, or fewer times than they are made. Silent where the text says nothing of joining, and where
 * it is told already that a sentence puts them on nothing.
 */
export function unplacedParts({ parts }: Pattern, { joins, loose, problems }: JoinedToy): Problem[] {
  const says = joins.length > 0 || parts.some(({ steps }) => steps.some(isJoin));
  if (parts.length < 2) return [];
  return parts.flatMap((part): Problem[] => {
    const left = loose.filter((unit) => unit.part === part.id).length;
    const naming = left > 0 ? roundNaming(part, parts) : null;
    if (naming) return [unreadIntoRound(part, naming)];
    if (!says) return [];
    const isTold = problems.some(({ code, partId }) => code === 'join-no-wall' && partId === part.id);
    if (left === 0 || isTold || isPutAsFeature(part, parts)) return [];
    const own = joins.filter(({ unit }) => unit.part === part.id);
    const units = part.make - left;
    const told =
      units === 0
        ? saying('part-unused', { part: part.name })
        : saying('part-count', { part: part.name, make: part.make, placed: units });
    return [
      {
        ...told,
        severity: 'warning',
        part: part.name,
        partId: part.id,
        line: Math.max(part.line, ...own.map(({ sentence }) => sentence.line)),
        column: 1,
        suggestions: [],
      },
    ];
  });
}

/** Header values for the two readings of “8 apart”. */
export const apartValues = { posts: 'post to post', showing: 'stitches showing' } as const;

/** Asks once what the maker means by “8 apart”, where no line says so and a sentence leaves it open. */
export function apartReadings({ header, parts }: Pattern, text: string): Problem[] {
  if (header.apart !== null) return [];
  for (const part of parts) {
    // Rounds apart are the same number, whichever way they are counted.
    const bare = part.steps.flatMap((one) => (one.kind === 'feature' && isBareApart(one) ? [one] : []));
    const [step] = part.lying ? [] : bare;
    if (!step) continue;
    const put = (reading: keyof typeof apartValues) => ({
      title: reading === 'posts' ? `${step.apart} post to post` : `${step.apart} showing`,
      edits: toyHeaderEdits(text, 'Apart', apartValues[reading]),
    });
    return [
      {
        ...saying('apart-reading', { apart: step.apart ?? 1 }),
        severity: 'info',
        part: part.name,
        line: step.line,
        column: step.span.from + 1,
        suggestions: [put('posts'), put('showing')],
      },
    ];
  }
  return [];
}
