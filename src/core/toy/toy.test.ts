import { applyEdits } from '../notation/applyEdits';
import { analyseToy } from './analyse';
import { migrate, readDocument, writeDocument, type ToyDocument } from '../keep/document';
import { setPartHeader, setToyHeader } from '../notation/editText';
import { memoise } from './memoise';
import { buildSheet } from './sheet/buildSheet';
import { sheetHtml } from './sheet/sheetHtml';
import { sheetMarkdown } from './sheet/sheetMarkdown';
import { sheetText } from './sheet/sheetText';

const document: ToyDocument = {
  format: 'hoppla-toy',
  version: 2,
  id: 'bee',
  parts: [{ id: 'p1', called: 'head', work: '' }],
  text: 'Head\nR1: 6 sc in ring',
  made: '2026-01-02T03:04:05.000Z',
  changed: '2026-01-02T03:04:05.000Z',
};

describe('document', () => {
  test('what is written is read back', () => {
    expect(readDocument(writeDocument(document))).toEqual({ ok: true, document });
  });

  test.each([
    ['cut off', writeDocument(document).slice(0, 40), /cut off/],
    ['another kind of file', '{"hello": 1}', /not made by Hoppla/],
    ['a list', '[1, 2]', /not made by Hoppla/],
    ['a newer version', JSON.stringify({ ...document, version: 9 }), /newer Hoppla/],
    [
      'a version far below any',
      JSON.stringify({ ...document, version: -2147483648 }),
      /version is missing or not a whole number/,
    ],
    ['no text', JSON.stringify({ ...document, text: undefined }), /pattern text is missing/],
    ['a text that is a number', JSON.stringify({ ...document, text: 5 }), /pattern text/],
    ['a broken date', JSON.stringify({ ...document, made: 'yesterday' }), /date it was made/],
    ['something foreign', JSON.stringify({ ...document, spell: 'x' }), /“spell” does not belong/],
    ['far too much', 'x'.repeat(1_100_000), /too large/],
  ])('%s gets a message', (_, contents, message) => {
    const read = readDocument(contents);
    expect(read.ok).toBe(false);
    expect(read.ok ? '' : read.message).toMatch(message);
  });

  test('migrations are applied one version after the other', () => {
    const steps = {
      1: (doc: Record<string, unknown>) => ({ ...doc, a: 1 }),
      2: (doc: Record<string, unknown>) => ({ ...doc, b: Number(doc.a) + 1 }),
    };
    expect(migrate({ version: 1 }, steps, 3)).toEqual({ version: 3, a: 1, b: 2 });
  });
});

describe('edits of the text', () => {
  test('header lines are set in place, put in, and taken out', () => {
    expect(setToyHeader('Toy: A\nHead\n', 'Toy', 'B')).toBe('Toy: B\nHead\n');
    expect(setToyHeader('Toy: A\nHead\n', 'Hand', 'left')).toBe('Toy: A\nHand: left\nHead\n');
    expect(setToyHeader('Toy: A\nHand: left\nHead\n', 'Hand', '')).toBe('Toy: A\nHead\n');
    expect(setToyHeader('Head\n', 'Toy', 'B')).toBe('Toy: B\nHead\n');
  });

  test('a part’s header stands under its heading, or above its first round where it has none', () => {
    const headed = 'Head\nR1: 6 sc in ring\n';
    expect(setPartHeader(headed, analyseToy(headed).parts[0]!.source, 'Start', 'bottom')).toBe(
      'Head\nStart: bottom\nR1: 6 sc in ring\n',
    );
    const bare = 'R1: 6 sc in ring\n';
    const set = setPartHeader(bare, analyseToy(bare).parts[0]!.source, 'Start', 'bottom');
    expect(set).toBe('Start: bottom\nR1: 6 sc in ring\n');
    expect(analyseToy(set).parts[0]!.source.start).toBe('bottom');
  });

  test('edits keep Windows line ends and count lines as they were', () => {
    expect(
      applyEdits('a\r\nb\r\nc', [
        { line: 1, text: 'x', insertAfter: true },
        { line: 3, text: 'z' },
      ]),
    ).toBe('a\r\nx\r\nb\r\nz');
  });
});

describe('sheet', () => {
  const toy = analyseToy(
    'Toy: Ball <3\nHead\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4-R9: sc around [18]\nR10: (sc, dec) x 6 [12]\nR11: dec x 6 [6]\nEyes: 6 mm, between R5 and R6, 4 showing\nSew the ball onto a stick.\nA note of *mine*.',
  );
  const sheet = buildSheet(toy);

  test('stops stand after their rounds, and a range is divided there', () => {
    const lines = sheet.parts[0]!.lines.map((line) =>
      line.kind === 'round' ? `${line.label} ${line.count}` : line.kind === 'marks' ? line.text : line.title,
    );
    expect(lines).toEqual([
      'R1 6',
      'R2 12',
      'R3 18',
      'While working round 6, put a marker into stitch 7 (left eye) and stitch 12 (right eye) as you pass.',
      'R4–9 18',
      'Stop after round 9',
      'R10 12',
      'Stop after round 10',
      'R11 6',
      'Stop after round 11',
    ]);
  });

  test('all three forms carry the eyes, the stops, the notes and the cautions; a maker’s signs are only signs', () => {
    for (const out of [sheetMarkdown(sheet), sheetText(sheet), sheetHtml(sheet)]) {
      expect(out).toContain('eyes between round 5 and 6');
      expect(out).toMatch(/not for children under three/);
      expect(out).toMatch(/certifies nothing/);
      expect(out).toMatch(/A note of/);
      expect(out).toContain('Sew the ball onto a stick');
    }
    expect(sheetHtml(sheet)).toContain('Ball &lt;3');
    expect(sheetMarkdown(sheet)).toContain('\\*mine\\*');
  });
});

test('eyes on a toy for under three are warned of', () => {
  const toy = analyseToy(
    'For: under 3\nHead\nR1: 6 sc in ring\nR2: inc around\nR3-R6: sc around\nEyes: 6 mm, between R3 and R4, 4 apart',
  );
  expect(toy.problems.map((problem) => problem.code)).toContain('eyes-under-three');
});

test('analysing twice gives the same, and warnings are not added up', () => {
  const text =
    'For: under 3\nHead\nR1: 6 sc in ring\nR2: inc around\nR3-R6: sc around\nEyes: 6 mm, between R3 and R4, 4 apart';
  expect(analyseToy(text).problems).toEqual(analyseToy(text).problems);
});

test('a memoised function computes once for each object and all that is handed over beside it, and forgets the oldest', () => {
  let runs = 0;
  const add = memoise((of: { n: number }, more: number, by?: { times: number }) => {
    runs += 1;
    return of.n + more * (by?.times ?? 1);
  });
  const [one, other] = [{ n: 1 }, { n: 1 }];
  expect([
    add(one, 1),
    add(one, 1),
    add(one, 2),
    add(other, 1),
    add(one, 1, { times: 3 }),
    add(one, 1, { times: 4 }),
    add(one, 1, { times: 3 }),
  ]).toEqual([2, 2, 3, 2, 4, 5, 4]);
  expect(runs).toBe(5);
  for (let more = 10; more < 14; more += 1) add(one, more);
  add(one, 1);
  expect(runs).toBe(10);
});
