import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';

const demo = resolve(__dirname, '../../../demo');
const texts = readdirSync(demo)
  .filter((file) => file.endsWith('.txt'))
  .map((file) => [file, readFileSync(resolve(demo, file), 'utf8')] as const);

/** What ends each message of the other language: no pattern has it. */
const sign = '⟧';

const withMaps = (_: string, value: unknown): unknown =>
  value instanceof Map || value instanceof Set ? [...value] : ArrayBuffer.isView(value) ? null : value;

type All = Record<'toy' | 'sheet' | 'tasks' | 'needs' | 'others', string>;

/** Everything that is worked out of a text and said of it, by a Hoppla that speaks so from its first word on. */
async function allOf(text: string, speaks: boolean): Promise<All> {
  jest.resetModules();
  const { speakBy } = await import('../words/language');
  if (speaks) speakBy((_message, _values, english) => `${english}${sign}`, 'xx');
  const { analyseToy } = await import('./analyse');
  const { buildSheet } = await import('./sheet/buildSheet');
  const { tasksOf } = await import('./tasksOf');
  const { suppliesOf } = await import('./supplies/suppliesOf');
  const { patternForOthers } = await import('./sheet/forOthers');
  const toy = analyseToy(text);
  return {
    toy: JSON.stringify([toy.problems, toy.parts, toy.joined], withMaps),
    sheet: JSON.stringify(buildSheet(toy), withMaps),
    tasks: JSON.stringify(tasksOf(toy), withMaps),
    needs: JSON.stringify(suppliesOf(toy), withMaps),
    others: patternForOthers(toy, { terms: 'uk', hand: 'right' }).text,
  };
}

const inEnglish = (text: string): string => text.replaceAll(sign, '');
/** The lines of a pattern that are read back: remarks are not. */
const read = (text: string): string[] => text.split('\n').filter((line) => !line.startsWith('//'));

describe.each(texts)('%s in another language', (_, text) => {
  let english: All;
  let other: All;
  beforeAll(async () => {
    english = await allOf(text, false);
    other = await allOf(text, true);
  }, 60_000);

  test.each(['toy', 'sheet', 'tasks'] as const)('is the same %s, said in other words', (what) => {
    expect(other[what]).toContain(sign);
    expect(inEnglish(other[what])).toBe(english[what]);
  });

  test('takes the same, known by the same names', () => {
    expect(other.needs).toBe(inEnglish(other.needs));
    expect(other.needs).toBe(english.needs);
  });

  test('is written for others in the language of patterns, with remarks in hers', () => {
    expect(read(other.others)).toEqual(read(english.others));
    expect(other.others).toContain(sign);
  });

  test('is mended in the language of patterns', () => {
    const edits = [...other.toy.matchAll(/"edits":(\[[^\]]*\])/g)].map(([, written]) => written);
    for (const written of edits) expect(written).not.toContain(sign);
  });
});
