import type { Item } from '../notation/ast';
import type { Problem } from '../notation/problem';
import type { PartSource, Pattern } from '../notation/pattern';
import { isJoin, type Joined } from '../notation/sentence/join';
import type { NamedUnits } from '../notation/sentence/names';
import { isBareApart } from '../notation/sentence/feature';
import { toyHeaderEdits } from '../notation/editText';

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

/** How many units of a part are put in place: a bare plural means all of them, `one wing to each side` two. */
function unitsPlaced({ count }: NamedUnits, { make }: PartSource, onBothSides: boolean): number {
  if (onBothSides && count === 1) return 2;
  return count === 'all' || (count === null && make > 1) ? make : (count ?? 1);
}

interface Joining {
  joined: readonly Joined[];
  onBothSides: boolean;
  owner: PartSource;
  line: number;
}

function joiningsOf(parts: readonly PartSource[]): Joining[] {
  return parts.flatMap((owner) =>
    owner.steps.flatMap((step) =>
      isJoin(step)
        ? [{ joined: step.joined, onBothSides: step.sides === 'both', owner, line: step.line }]
        : [],
    ),
  );
}

/** Units of a part that sentences put somewhere, and the last line that names it. */
function placedOf(part: PartSource, joinings: readonly Joining[]): { units: number; line: number } {
  let units = 0;
  let line = part.line;
  for (const { joined, onBothSides, owner, line: at } of joinings) {
    const named = joined.flatMap(({ parts }) => parts).filter(({ id }) => id === part.id);
    units += named.reduce((sum, one) => sum + unitsPlaced(one, part, onBothSides), 0);
    // `Sew to the head` among an ear's own lines places every ear.
    const meansOwner = owner === part && joined.every(({ parts }) => parts.length === 0);
    if (meansOwner) units += part.make;
    if (named.length > 0) line = at;
  }
  return { units, line };
}

/** The part the others hang on: the body, else the largest, or what that is sewn to. */
function rootOf(parts: readonly PartSource[], joinings: readonly Joining[]): PartSource | undefined {
  const largest = [...parts].sort((a, b) => b.rounds.length - a.rounds.length)[0];
  let root = parts.find(({ name, rounds }) => /\bbody\b/i.test(name) && rounds.length > 0) ?? largest;
  const seen = new Set<PartSource>();
  while (root && !seen.has(root)) {
    seen.add(root);
    const next = parts.find(({ id }) => id === wallOf(root as PartSource, joinings));
    if (!next) break;
    root = next;
  }
  return root;
}

/** The part that sentences sew another to; null where none does. */
function wallOf(part: PartSource, joinings: readonly Joining[]): string | null {
  for (const { joined, owner } of joinings) {
    const own = joined.find(({ parts }) =>
      parts.length === 0 ? owner === part : parts.some(({ id }) => id === part.id),
    );
    if (own?.wall && own.wall.id !== part.id) return own.wall.id;
  }
  return null;
}

/**
 * Parts that the sewing sentences never put anywhere, or fewer times than they are made. Silent where the text says nothing of joining.
 */
export function unplacedParts({ parts }: Pattern): Problem[] {
  const joinings = joiningsOf(parts);
  if (parts.length < 2 || joinings.length === 0) return [];
  const main = rootOf(parts, joinings);
  return parts.flatMap((part): Problem[] => {
    const isWorkedOn = part.onto !== undefined || part.grown !== undefined || part.carries !== undefined;
    if (part === main || part.rounds.length === 0 || isWorkedOn) return [];
    const { units, line } = placedOf(part, joinings);
    if (units >= part.make) return [];
    const few = `${part.name} is made ${part.make} times, but only ${units === 1 ? 'one is' : `${units} are`} put in place.`;
    const unused = units === 0;
    return [
      {
        code: unused ? 'part-unused' : 'part-count',
        severity: 'warning',
        part: part.name,
        partId: part.id,
        line: unused ? part.line : line,
        column: 1,
        message: unused ? `${part.name} is made, but no sentence says where it goes.` : few,
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
