import { ballOf24 } from '../__tests__/ballOf24';
import { applyEdits } from '../notation/applyEdits';
import { eyeDirections } from '../place/words/directions';
import { writeRule } from '../place/rule/writeRule';
import { scaleEyes } from '../edit/inYarn';
import { analyseToy } from './analyse';
import { buildSheet } from './sheet/buildSheet';
import { safetyOf } from './safetyOf';
import { suppliesOf } from './supplies/suppliesOf';
import { templatesOf } from './templates';

const head = ['Gauge: 5 mm x 4 mm', 'Head', ...ballOf24, 'Stuff firmly.'];
const where = 'between R6 and R7, 4 showing';
const toyWith = (...lines: string[]) => analyseToy([...head, ...lines].join('\n'));
const eyesOf = (...lines: string[]) => toyWith(...lines).parts[0]!.eyes!;
const made = (sentence: string): string => {
  const { rule } = eyesOf(sentence);
  return `${rule.style ?? 'pressed'} ${rule.sizeMm}`;
};
const pieces = (sentence: string): string[] =>
  suppliesOf(toyWith(sentence)).hardware.map(({ kind, sizeMm, count }) => `${count} ${kind} ${sizeMm}`);

test.each([
  [`Sew felt eyes, 8 mm, ${where}.`, 'felt 8'],
  [`Felt eyes, 8 mm, ${where}.`, 'felt 8'],
  [`Eyes of felt, 8 mm, ${where}.`, 'felt 8'],
  [`Cut two 8 mm circles of black felt for the eyes and sew them ${where}.`, 'felt 8'],
  [`Use two 10 mm felt circles for eyes, ${where}.`, 'felt 10'],
  [`Felt eyes, 30 mm, ${where}.`, 'felt 30'],
  [`Crocheted eyes, 10 mm, ${where}.`, 'crochet 10'],
  [`Button eyes, 8 mm, ${where}.`, 'button 8'],
  [`Sew 8 mm buttons as eyes ${where}.`, 'button 8'],
  ['Felt eyes, 8 mm, between R6 and R7, 5 post to post.', 'felt 8'],
  ['Button eyes, 8 mm, between R6 and R7, 5 post to post.', 'button 8'],
  [`Sew felt eyes, 8 mm, ${where}, through the head twice.`, 'felt 8'],
  [`Sew on button eyes, 8 mm, ${where}, sewing through the head.`, 'button 8'],
  [`Eyes: 8 mm felt, ${where}.`, 'felt 8'],
  [`Glue felt circles for eyes, 9 mm, ${where}.`, 'felt 9'],
  [`8 mm felt eyes on white felt circles of 12 mm, ${where}.`, 'felt 8'],
  [`Insert 8 mm safety eyes ${where}.`, 'pressed 8'],
  [`Insert 8 mm eyes ${where}, work the crochet tight around them.`, 'pressed 8'],
  [`Insert 9 mm eyes with felt behind them ${where}.`, 'pressed 9'],
  [`Insert 9 mm eyes with felt circles of 16 mm ${where}.`, 'pressed 9'],
  [`Put 8 mm safety eyes through black felt circles, 12 mm, ${where}.`, 'pressed 8'],
  [`Insert 9 mm safety eyes ${where}, backed with felt.`, 'pressed 9'],
])('“%s” are %s', (sentence, expected) => {
  expect(made(sentence)).toBe(expected);
  // Where they are sewn or pressed, they lie in the same holes, and no word of it is left over.
  const { units, problems } = eyesOf(sentence);
  expect(units.map(({ from }) => from)).toEqual(
    eyesOf(`Insert 8 mm eyes ${where}.`).units.map(({ from }) => from),
  );
  expect(problems.filter(({ code }) => code === 'words-unused')).toEqual([]);
});

test('what is sewn on has no washer, no post, and is not pressed in before stuffing', () => {
  expect(pieces(`Felt eyes, 8 mm, ${where}.`)).toEqual(['2 felt for eyes 8']);
  expect(pieces(`Button eyes, 8 mm, ${where}.`)).toEqual(['2 button 8']);
  const toy = toyWith(`Felt eyes, 8 mm, ${where}.`);
  const steps = toy.order.steps.filter(({ about }) => about === 'eyes').map(({ do: doing }) => doing);
  expect(steps).toEqual(['attach']);
  expect(toy.parts[0]!.stops.stops.flatMap(({ acts }) => acts.map(({ act }) => act))).not.toContain(
    'seat-eyes',
  );
  expect(toy.parts[0]!.eyes!.washerMm).toBeNull();
  expect(eyeDirections(toy.parts[0]!.form, toy.parts[0]!.eyes!).count).not.toMatch(/post/);
});

test('eyes that go by a button are none', () => {
  const above =
    'Sew a 10 mm button at the front between R8 and R9. Insert 8 mm eyes 2 rounds above the button, 4 showing.';
  expect(pieces(above)).toEqual(['1 button 10', '2 safety eye 8', '2 washer 12']);
});

test.each(['Start: left', 'Start: right'])(
  'worked from the side (%s) they are read back the same too',
  (start) => {
    const lying = [...head.slice(0, 2), start, ...head.slice(2)].join('\n');
    const eyes = 'Felt eyes, 8 mm, 4 rounds apart, 2 stitches above the front line.';
    const { source, eyes: placed, problems } = analyseToy(`${lying}\n${eyes}`).parts[0]!;
    expect(placed!.rule).toMatchObject({ style: 'felt', lying: true });
    expect(placed!.washerMm).toBeNull();
    const edit = writeRule(source, 'eyes', placed!.rule);
    const after = analyseToy(applyEdits(`${lying}\n${eyes}`, [edit])).parts[0]!;
    expect(after.eyes!.rule).toEqual(placed!.rule);
    expect(after.eyes!.units).toEqual(placed!.units);
    expect(problems.map(({ code }) => code)).not.toContain('words-unused');
  },
);

test('the size of safety eyes among the materials is none of felt eyes', () => {
  const materials = 'You need a pair of 12 mm safety eyes';
  const sizeOf = (sentence: string) =>
    analyseToy([materials, ...head, sentence].join('\n')).parts[0]!.eyes!.rule.sizeMm;
  expect(sizeOf(`Insert the eyes ${where}.`)).toBe(12);
  expect(sizeOf(`Sew on the felt eyes ${where}.`)).toBe(9);
});

test('felt eyes have a template, and the felt they are cut from', () => {
  const toy = toyWith(`Black felt eyes, 8 mm, ${where}.`);
  expect(templatesOf(toy).map(({ name, cut }) => `${cut} ${name}`)).toContain('2 Eyes');
  expect(suppliesOf(toy).felt).toEqual([{ colour: 'black', pieces: 2, areaMm2: 288 }]);
});

test('for small children a button is told, and so is what may come off; no caution speaks of washers', () => {
  const findingsOf = (sentence: string) =>
    safetyOf(analyseToy(['For: under 3', ...head, sentence].join('\n'))).findings.map(({ code }) => code);
  expect(findingsOf(`Button eyes, 8 mm, ${where}.`)).toContain('button');
  expect(findingsOf(`Felt eyes, 8 mm, ${where}.`)).toContain('sewn-on');
  expect(findingsOf(`Insert 8 mm eyes ${where}.`)).toContain('pressed-part');
  const under3 = ['For: under 3', ...head].join('\n');
  const codesOf = (sentence: string) => analyseToy(`${under3}\n${sentence}`).problems.map(({ code }) => code);
  expect(codesOf(`Insert 8 mm eyes ${where}.`)).toContain('eyes-under-three');
  expect(codesOf(`Felt eyes, 8 mm, ${where}.`)).not.toContain('eyes-under-three');
  const cautions = buildSheet(toyWith(`Felt eyes, 8 mm, ${where}.`)).cautions.join(' ');
  expect(cautions).not.toMatch(/washers/);
  expect(cautions).toMatch(/swallowed/);
});

test.each(['felt', 'crochet', 'button', null] as const)(
  'written as %s they are read back the same',
  (style) => {
    const toy = toyWith(`Insert 8 mm eyes ${where}.`);
    const { source, eyes } = toy.parts[0]!;
    const rule = { ...eyes!.rule, style, sizeMm: 9 };
    const after = analyseToy(applyEdits(toy.text, [writeRule(source, 'eyes', rule)]));
    expect(after.parts).toHaveLength(1);
    expect(after.parts[0]!.eyes!.rule).toEqual(rule);
    expect(after.problems.map(({ code }) => code)).toEqual(toy.problems.map(({ code }) => code));
  },
);

test('in another yarn they grow as the toy does, by no size that is sold', () => {
  const grown = scaleEyes(toyWith(`Felt eyes, 8 mm, ${where}.`).text, 1.4);
  expect(analyseToy(grown).parts[0]!.eyes!.rule).toMatchObject({ style: 'felt', sizeMm: 11 });
});

test.each([
  [`Bead eyes, 6 mm, ${where}.`, 'Bead eyes'],
  [`Embroider eyes on felt circles ${where}.`, 'felt circles'],
  [`Insert 8 mm eyes ${where}, keep the felt flat.`, 'felt'],
  [`Googly eyes, 8 mm, ${where}.`, 'Googly eyes'],
  ['Pom-pom nose, 10 mm, between R7 and R8.', 'Pom-pom nose'],
])('“%s”: what they are made of is told', (sentence, words) => {
  const told = toyWith(sentence).problems.filter(({ code }) => code === 'words-unused');
  expect(told.map(({ message }) => message).join()).toContain(words);
});
