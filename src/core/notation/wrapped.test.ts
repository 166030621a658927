import * as fc from 'fast-check';
import { analyseToy } from '../toy/analyse';
import {
  deleteRound,
  duplicateRound,
  insertRound,
  moveRound,
  roundCards,
  setRound,
} from '../edit/editRounds';
import { applyEdits } from './applyEdits';
import { readPattern } from './readPattern';

const head = 'R1: 6 sc in MR [6]\nR2: inc x 6 [12]\nR3: (sc 1, inc) x 6 [18]\n';
const counts = (text: string) => analyseToy(text).parts[0]!.checks.map(({ worked }) => worked);

test.each([
  ['after a comma', 'R4: sc in next 2 sts, 2 sc in next st,\n(sc in next 2 sts, inc) x 5 (24)', 24],
  ['before how often', 'R4: (sc in next 2 sts, inc)\nx 6 (24)', 24],
  ['inside a bracket, and before the total', 'R4: (2 sc,\ninc) repeat 6 times\n(24)', 24],
  [
    'in the middle of words',
    'Rnd 4: *2 sc in the next st, sc in the\nnext 2 sts; repeat from *\naround [24]',
    24,
  ],
])('a round over several lines: %s', (_, round, made) => {
  const { problems, pattern } = analyseToy(head + round);
  expect(counts(head + round)).toEqual([6, 12, 18, made]);
  expect(problems).toEqual([]);
  expect(new Set(pattern.lineKinds)).toEqual(new Set(['round']));
});

test.each([
  ['a sentence', 'R4: sc around,\nStuff firmly.', 'step'],
  ['an empty line', 'R4: sc around,\n\ninc', 'blank'],
  ['a round', 'R4: sc around,\nR5: sc around', 'round'],
])('%s begins anew', (_, text, kind) => {
  const { lineKinds, parts } = readPattern(head + text);
  expect(lineKinds[4]).toBe(kind);
  expect(parts[0]!.rounds[3]).toMatchObject({ line: 4, lines: 1 });
});

test('a sentence behind it stands on its own line, with its rounds', () => {
  const text = `${head}R4: (2 sc, inc)\nx 6 (24). Insert 9 mm eyes between R3 and R4, 6 apart.\nR5: sc around`;
  const [step] = readPattern(text).parts[0]!.steps;
  expect(step).toMatchObject({ line: 5, text: 'Insert 9 mm eyes between R3 and R4, 6 apart' });
  const [part] = readPattern(text).parts;
  const first = insertRound(text, part!, { after: roundCards(part!)[0]!, body: 'sc around' });
  expect(first).toContain('between R4 and R5');
});

test('what changes such a round takes or leaves all of its lines', () => {
  const text = `${head}R4: (2 sc, inc)\nx 6\nStuff.\nR5: sc around\n`;
  const [part] = readPattern(text).parts;
  const cards = roundCards(part!);
  const four = cards[3]!;
  expect(deleteRound(text, part!, four)).toBe(`${head}Stuff.\nR4: sc around\n`);
  expect(counts(duplicateRound(text, part!, four))).toEqual([6, 12, 18, 24, 24, 24]);
  expect(setRound(text, four, 'sc around', 18)).toBe(`${head}R4: sc around [18]\nStuff.\nR5: sc around\n`);
  expect(moveRound(text, part!, four, 1)).toBe(`${head}R4: sc around\nStuff.\nR5: (2 sc, inc) x 6\n`);
  expect(insertRound(text, part!, { after: four, body: 'sc around' }).split('\n')[5]).toBe('R5: sc around');
});

test('wherever a round is broken after a comma, it is the same round, and remedies leave nothing of it behind', () => {
  const rounds = ['sc 2, inc, sc 5, inc, sc 5, inc, sc 3 [21]', '(sc, inc, sc 4), sc 3, (inc, sc 8) [20]'];
  fc.assert(
    fc.property(fc.constantFrom(...rounds), fc.nat(5), fc.boolean(), (round, which, slips) => {
      const said = slips ? round.replace('sc 3', 'sc 2') : round;
      const commas = [...said.matchAll(/, /g)].map(({ index }) => index + 1);
      const at = commas[which % commas.length]!;
      const broken = `${head}R4: ${said.slice(0, at)}\n${said.slice(at + 1)}\nR5: sc around`;
      const whole = analyseToy(`${head}R4: ${said}\nR5: sc around`);
      const { parts, problems } = analyseToy(broken);
      expect(parts[0]!.checks.map(({ worked }) => worked)).toEqual(
        whole.parts[0]!.checks.map(({ worked }) => worked),
      );
      const remedies = problems.flatMap(({ suggestions }) => suggestions);
      expect(remedies.length > 0).toBe(slips);
      for (const { edits } of remedies) {
        const after = analyseToy(applyEdits(broken, edits));
        expect(after.parts[0]!.checks).toHaveLength(5);
        expect(after.pattern.notes).toEqual([]);
      }
    }),
  );
});
