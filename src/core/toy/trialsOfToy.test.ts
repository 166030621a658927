import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Audience } from '../safety/audience';
import { careWords, labelWarnings } from '../safety/careLabel';
import { readRecord, standingOf, type RecordEntry, type TrialEntry } from '../safety/record';
import { shippedRules } from '../safety/ruleBook';
import { kilograms } from '../safety/trials';
import { analyseToy } from './analyse';
import { recordHtml, recordMarkdown, recordSheet, recordText } from './sheet/recordSheet';
import { trialsOfToy } from './trialsOfToy';

const demo = (name: string) => analyseToy(readFileSync(join(__dirname, `../../../demo/${name}.txt`), 'utf8'));

test('the otter: both eyes pulled and turned, every part pulled, then the whole toy', () => {
  const trials = trialsOfToy(demo('otter'));
  expect(trials.map(({ id }) => id)).toEqual([
    'pull left eye of the head',
    'twist left eye of the head',
    'pull right eye of the head',
    'twist right eye of the head',
    'seam left ear',
    'seam right ear',
    'seam body',
    'seam left arm',
    'seam right arm',
    'seam left leg',
    'seam right leg',
    'seam tail',
    'cylinder',
    'drop',
    'weigh',
    'wash',
    'light',
  ]);
  expect(trials[0]).toMatchObject({ forceN: 90, seconds: 10 });
});

test('the owl for babies has nothing pressed on: only its wings and the whole are tried', () => {
  expect(trialsOfToy(demo('owl')).map(({ kind }) => kind)).toEqual([
    'seam',
    'seam',
    'cylinder',
    'drop',
    'weigh',
    'wash',
    'light',
  ]);
});

test('small things are pulled less hard, by the figures of the maker’s own book', () => {
  const toy = analyseToy(
    'Head\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R8: sc around\nInsert 6 mm safety eyes between R4 and R5, 4 showing.',
  );
  const book = { ...shippedRules, figures: { ...shippedRules.figures, pullSmallN: 40 } };
  expect(trialsOfToy(toy, book)[0]).toMatchObject({ kind: 'pull', forceN: 40 });
  expect(kilograms(90)).toBe(9.2);
});

const trial = { id: 'pull left eye of the head', forceN: 90 };
const wrote = (result: TrialEntry['result'], forceN: number | null, toy = 1, note = ''): TrialEntry => ({
  trial: trial.id,
  of: 'left eye of the head',
  toy,
  at: '2026-05-02T10:00:00.000Z',
  result,
  forceN,
  note,
});

test.each<[string, TrialEntry[], string]>([
  ['nothing written', [], 'open'],
  ['held at the force asked', [wrote('held', 90)], 'held'],
  ['held, and nobody measured', [wrote('held', null)], 'held'],
  ['held at less than the force asked', [wrote('held', 60)], 'open'],
  ['failed', [wrote('held', 90), wrote('failed', 80)], 'failed'],
  ['mended and tried again', [wrote('failed', 50), wrote('held', 95)], 'mended'],
  ['of another toy of the batch', [wrote('held', 90, 2)], 'open'],
])('%s', (_, entries, standing) => {
  expect(standingOf(trial, 1, entries)).toBe(standing);
});

test('the record tells how each trial stands, keeps what failed, and promises nothing', () => {
  const entries: RecordEntry[] = [
    { toy: 1, at: '2026-05-01T10:00:00.000Z', maker: 'Pondside, Rowan', lots: 'brown 4711' },
    wrote('failed', 50, 1, 'washer sat askew'),
    wrote('held', 92, 1, 'new <washer>'),
    wrote('held', 92, 2),
  ];
  const sheet = recordSheet(demo('otter'), 1, entries);
  const text = recordText(sheet);
  const lines = text.split('\n');
  expect(lines[0]).toBe('Pondside otter, toy 1');
  expect(lines).toContain('Made by: Pondside, Rowan');
  expect(lines).toContain('Made on: 2026-05-01');
  expect(lines).toContain('Lots: brown 4711');
  expect(lines).toContain(
    '- Pull, left eye of the head: held, after it had failed and was mended (2026-05-02 at 92 N)',
  );
  expect(lines).toContain('- Pull, right eye of the head: not tried');
  expect(lines).toContain('- 2026-05-02  Pull, left eye of the head: FAILED at 50 N: washer sat askew');
  expect(sheet.written).toHaveLength(3);
  expect(text).toMatch(/no certificate/);
  for (const written of [text, recordMarkdown(sheet), recordHtml(sheet)])
    expect(written).not.toMatch(/\bsafe\b|\bguarantee|\bcertified/i);
  expect(recordHtml(sheet)).toContain('new &lt;washer&gt;');
});

test('what nobody has said stands there as not said; what is gone from the pattern is told', () => {
  const gone = { ...wrote('held', 90), trial: 'pull third eye of head' };
  const sheet = recordSheet(demo('owl'), 2, [{ ...gone, toy: 2 }]);
  expect(sheet.facts.slice(1, 4).map(({ value }) => value)).toEqual(['not said', 'not said', 'not said']);
  expect(sheet.written.at(-1)).toMatch(/no longer has/);
});

test.each<[Audience | null, number, RegExp]>([
  [null, 0, /not for children under 3 until/],
  ['under-3', 0, /tested by nobody else/],
  ['under-3', 2, /Not to be given away as it is: 2 things stop it/],
  ['3-and-over', 1, /one thing stops it/],
  ['3-and-over', 0, /Not for children under 3/],
  ['keepsake', 0, /No toy/],
])('a label for %s with %i stops', (audience, stops, words) => {
  const [first, ...more] = labelWarnings(audience, stops);
  expect(first).toMatch(words);
  expect(more.join(' ')).toMatch(/Watch a child with any toy.*law of the place/);
});

test.each<[string[], string]>([
  [['worsted merino, brown'], 'cool water'],
  [['cotton, white', 'acrylic, red'], '30 °C in a bag'],
  [['acrylic'], 'melts'],
  [['medium, grey'], 'nobody has said'],
])('washing of %j: %s', (yarns, words) => {
  expect(careWords(yarns).join(' ')).toContain(words);
});

test('what is kept is read back; what is broken is not taken for an empty record', () => {
  const made = { toy: 1, at: '2026-05-01T10:00:00.000Z', maker: '', lots: '' };
  const kept = JSON.stringify([wrote('held', 90), { ...wrote('held', null), grams: 84 }, made]);
  expect(readRecord(kept)).toEqual([wrote('held', 90), { ...wrote('held', null), grams: 84 }, made]);
  for (const broken of ['', '{', '[{"trial":1}]', '{"a":1}', kept.replace('"held"', '"passed"')])
    expect(readRecord(broken)).toBeNull();
});
