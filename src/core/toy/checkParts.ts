import type { Item } from '../notation/ast';
import type { Problem } from '../notation/problem';
import type { PartSource, Pattern } from '../notation/pattern';
import { isBareApart } from '../notation/step';
import { toyHeaderEdits } from './editText';

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
          code: 'colour-undefined',
          severity: 'warning',
          part: part.name,
          round: round.number,
          line: round.line,
          column,
          message: `Round ${round.number} uses “${name}”, but no line says which yarn that is.`,
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

const numberWords: Record<string, number> = {
  one: 1,
  a: 1,
  two: 2,
  both: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  all: Infinity,
  each: Infinity,
};

/** How many units of a part a sentence puts in place; 0 where it does not name it. */
function unitsNamed(sentence: string, part: PartSource): number {
  const root = part.name
    .toLowerCase()
    .replace(/[^a-z ]/g, '')
    .trim()
    .replace(/(?<!s)s$/, '');
  if (!root) return 0;
  let units = 0;
  const named = new RegExp(
    `(?:\\b(one|a|two|both|three|four|five|six|all|each|\\d+)\\s+(?:of\\s+)?(?:the\\s+)?)?(?:\\w+\\s+)?\\b${root}(s|es)?\\b`,
    'gi',
  );
  for (const [, count, plural] of sentence.toLowerCase().matchAll(named)) {
    if (count) units += numberWords[count] ?? Number.parseInt(count, 10);
    else units += plural || /s$/.test(part.name.toLowerCase()) ? Infinity : 1;
  }
  return units;
}

/**
 * Parts that the sewing sentences never put anywhere, or fewer times than they are made. Silent where the text says nothing of joining.
 */
export function unplacedParts({ parts }: Pattern): Problem[] {
  const joining = parts.flatMap((part) =>
    part.steps
      .filter((step) => step.kind === 'sew' || step.kind === 'nosew' || step.kind === 'pin')
      .map((step) => ({ step, owner: part })),
  );
  if (parts.length < 2 || joining.length === 0) return [];
  const size = (part: PartSource) => part.rounds.length;
  const main = [...parts].sort((a, b) => size(b) - size(a))[0];
  const problems: Problem[] = [];
  for (const part of parts) {
    if (part === main || part.rounds.length === 0) continue;
    let placed = 0;
    let line = part.line;
    for (const { step, owner } of joining) {
      const named = unitsNamed(step.text, part);
      // `Sew to the head` among an ear's own lines places every ear.
      const own =
        owner === part &&
        named === 0 &&
        !parts.some((other) => other !== part && other !== main && unitsNamed(step.text, other) > 0);
      placed += own ? Infinity : named;
      if (named > 0) line = step.line;
    }
    if (placed === 0) {
      problems.push({
        code: 'part-unused',
        severity: 'warning',
        part: part.name,
        line: part.line,
        column: 1,
        message: `${part.name} is made, but no sentence says where it goes.`,
        suggestions: [],
      });
    } else if (placed < part.make) {
      problems.push({
        code: 'part-count',
        severity: 'warning',
        part: part.name,
        line,
        column: 1,
        message: `${part.name} is made ${part.make} times, but only ${placed === 1 ? 'one is' : `${placed} are`} put in place.`,
        suggestions: [],
      });
    }
  }
  return problems;
}

/** Header values for the two readings of “8 apart”. */
export const apartValues = { posts: 'post to post', showing: 'stitches showing' } as const;

/** Asks once what the maker means by “8 apart”, where no line says so and a sentence leaves it open. */
export function apartReadings({ header, parts }: Pattern, text: string): Problem[] {
  if (header.apart !== null) return [];
  for (const part of parts) {
    // Rounds apart are the same number, whichever way they are counted.
    const step = part.lying
      ? undefined
      : part.steps.find((one) => one.kind === 'feature' && isBareApart(one));
    if (!step) continue;
    const put = (reading: keyof typeof apartValues) => ({
      title: reading === 'posts' ? `${step.apart} post to post` : `${step.apart} showing`,
      edits: toyHeaderEdits(text, 'Apart', apartValues[reading]),
    });
    return [
      {
        code: 'apart-reading',
        severity: 'info',
        part: part.name,
        line: step.line,
        column: step.span.from + 1,
        message: `“${step.apart} apart” is taken from post to post, so ${(step.apart ?? 1) - 1} show between. Do you mean that, or ${step.apart} showing?`,
        suggestions: [put('posts'), put('showing')],
      },
    ];
  }
  return [];
}
