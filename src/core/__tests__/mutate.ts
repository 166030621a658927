/** A small repeatable source of chance. */
export interface Chance {
  /** a whole number from 0, below `n` */
  below(n: number): number;
  pick<T>(list: readonly T[]): T;
}

/** Chance from a seed (a linear congruence, the usual constants): the same numbers in every run. */
export function chance(seed: number): Chance {
  let state = (seed * 2654435761 + 12345) >>> 0;
  const below = (n: number) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return Math.floor((state / 4294967296) * n);
  };
  return { below, pick: (list) => list[below(list.length)]! };
}

// What upsets a reader: numbers without measure, brackets, half words, signs that mean something elsewhere.
const splinters = [
  '',
  ' ',
  '0',
  '1',
  '-1',
  '999999',
  '9007199254740993',
  '1e9',
  '3.5',
  '½',
  '(',
  ')',
  '[',
  ']',
  '*',
  '<',
  '{',
  '"',
  'x 0',
  'x 99',
  'around',
  'sc',
  'inc',
  'dec',
  'skip 1',
  'ch 5',
  'turn',
  'join',
  'in ring',
  'into one',
  'repeat rounds 1 to 9 99 times',
  'R0:',
  'R1:',
  'R999:',
  'R2-R1:',
  'between R0 and R1',
  'between R3 and R4',
  '0 apart',
  '900 apart',
  '9 mm eyes',
  'Felt cheeks, 8 mm',
  'Start: left',
  'Start: bottom',
  'Front: stitch 0 of round 1',
  'Gauge: 0 mm x 0 mm',
  'Lean: 1',
  'Hand: left',
  'FLO',
  'in the front loops of R1',
  'through both layers',
  'NaN',
  '\u0000',
  '\u202e',
  '😀',
  'constructor',
  '__proto__',
  '\t',
  '\n',
  '\n\n',
];

/**
 * Spoils a text in a few places: signs struck out, doubled or swapped, lines taken out, doubled or moved, splinters put in.
 *
 * @param luck decides where and how; the same luck spoils it the same way
 */
export function mutated(text: string, luck: Chance): string {
  let lines = text.split('\n');
  const times = 1 + luck.below(5);
  for (let i = 0; i < times; i += 1) {
    const at = luck.below(lines.length);
    const line = lines[at] ?? '';
    const sign = luck.below(line.length + 1);
    const put = (changed: string) => {
      lines[at] = changed;
    };
    switch (luck.below(9)) {
      case 0:
        put(line.slice(0, sign) + line.slice(sign + 1));
        break;
      case 1:
        put(line.slice(0, sign) + luck.pick(splinters) + line.slice(sign));
        break;
      case 2:
        put(line.slice(0, sign));
        break;
      case 3:
        put(line.replace(/\d+/, () => String(luck.pick([0, 1, 2, 7, 13, 500, 3001, 1e6, 1e20]))));
        break;
      case 4:
        lines.splice(at, 1);
        break;
      case 5:
        lines.splice(at, 0, line);
        break;
      case 6:
        lines.splice(luck.below(lines.length), 0, ...lines.splice(at, 1));
        break;
      case 7:
        put(`${line} ${luck.pick(lines)}`);
        break;
      default:
        lines = [...lines.slice(0, at), luck.pick(splinters), ...lines.slice(at)];
    }
    if (lines.length === 0) lines = [''];
  }
  return lines.join('\n');
}

/** Every state a text goes through while one of its lines is deleted sign by sign from the end, which is also how it is typed. */
export function retypings(text: string): string[] {
  const lines = text.split('\n');
  return lines.flatMap((line, at) =>
    Array.from({ length: line.length }, (_, length) =>
      lines.map((other, index) => (index === at ? line.slice(0, length) : other)).join('\n'),
    ),
  );
}
