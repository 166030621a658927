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

test('a title over a list of materials is no part, and what is embroidered goes to the face', () => {
  const toy = analyseToy(
    `# Tiny Mouse\n\n**Materials:** cotton in grey; 2.5 mm hook; 5 mm eyes; stuffing\n\n### ${rounds}Insert eyes between R5 and R6, 4 showing.\n\n### Tail\nChain 21. Sl st in second ch from hook and in each chain back. (20)\n\n### Finishing\n- Embroider a nose 2 stitches wide, 1 round below the eyes.\n- Sew the tail to the centre back, round 7.\n`,
  );
  expect(toy.pattern.header.name).toBe('Tiny Mouse');
  expect(toy.parts.map(({ source, checks }) => [source.name, checks.at(-1)?.worked])).toEqual([
    ['Head', 18],
    ['Tail', 20],
  ]);
  expect(toy.parts[0]!.features.map(({ id }) => id)).toEqual(['eyes', 'nose']);
  expect(toy.joined.joins.map(({ kind, round, stitch }) => [kind, round, stitch])).toEqual([
    ['by-end', 7, expect.any(Number)],
  ]);
  expect(toy.problems.map(({ code }) => code)).not.toContain('join-assumed');
});

test('a title that names the terms is a title all the same', () => {
  expect(analyseToy('Pip the Penguin (UK terms)\n\nBody\nRound 1: 6 dc in ring').pattern).toMatchObject({
    header: { name: 'Pip the Penguin' },
    terms: { value: 'uk' },
  });
  expect(analyseToy('Written in US terms.\n\nBody\nRound 1: 6 sc in ring').pattern.header.name).toBeNull();
});
