import { analyseToy } from '../toy/analyse';

const rounds = 'Head\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R8: sc around\n';
const eyesOf = (text: string) => {
  const toy = analyseToy(text);
  const [head] = toy.parts;
  const said = head!.problems.filter(({ code }) => code === 'eyes-size').map(({ message }) => message);
  return { mm: head!.eyes?.rule.sizeMm, said: said.join(' ') };
};

test.each([
  ['I used 8 mm safety eyes.', 8],
  ['Safety eyes: 8 mm', 8],
  ['Materials: grey yarn, safety eyes (8 mm), stuffing', 8],
  ["You'll need: black yarn, 3 mm hook, 7mm black safety eyes, fibrefill", 7],
  ['Materials\n- 3.5 mm hook\n- a pair of 10.5 mm plastic eyes', 10.5],
])('eyes without a size have that of the materials, and it is told: %s', (line, mm) => {
  const eyes = eyesOf(`Mouse\n\n${line}\n\n${rounds}Place the eyes between R5 and R6, 4 stitches showing.`);
  expect(eyes.mm).toBe(mm);
  expect(eyes.said).toContain('materials');
});

test.each([
  ['no list', 'Grey yarn'],
  ['two sizes in it', 'Materials: 6 mm safety eyes, 9 mm safety eyes'],
  ['only a hook', 'Materials: 3 mm hook, safety eyes'],
])('with %s the usual size is taken, and it is told', (_, line) => {
  const eyes = eyesOf(`Mouse\n\n${line}\n\n${rounds}Place the eyes between R5 and R6, 4 stitches showing.`);
  expect(eyes.said).toContain('does not give a size');
});

test('what the sentence says holds, and so does another sentence of the part', () => {
  const list = 'Mouse\n\nMaterials: 8 mm safety eyes\n\n';
  expect(eyesOf(`${list}${rounds}Eyes: 6 mm, between R5 and R6, 4 showing.`)).toEqual({ mm: 6, said: '' });
  const two = `${list}${rounds}Use 6 mm eyes. Place the eyes between R5 and R6, 4 stitches showing.`;
  expect(eyesOf(two)).toEqual({ mm: 6, said: '' });
});
