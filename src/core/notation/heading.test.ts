import { analyseToy } from '../toy/analyse';
import { readPattern } from './readPattern';

const rounds = 'R1: 6 sc in MR (6)\nR2: inc x 6 (12)\n';

test.each([
  ['Arms (x2)', 'Arms', 2],
  ['Arms [make 2]', 'Arms', 2],
  ['Arms: x2', 'Arms', 2],
  ['ARMS – MAKE TWO', 'ARMS', 2],
  ['Arm (make two of these)', 'Arm', 2],
  ['Left arm and right arm', 'arm', 2],
  ['Left and right ear', 'ear', 2],
  ['Left ear / right ear', 'ear', 2],
  ['Ear 1 and 2', 'Ear', 2],
  ['Ears, two pieces', 'Ears', 2],
  ['Ears (2x, in brown yarn)', 'Ears', 2],
  ['Ears (work the same for both)', 'Ears', 2],
  ['**Ears** *make 2*', 'Ears', 2],
  ['Petals (make 5-6)', 'Petals', 6],
  ['Arms (make 2) and legs (make 2)', 'Arms and legs', 4],
  ['Front legs (make 2), back legs (make 2)', 'Front legs/back legs', 4],
  ['2x Arms', 'Arms', 2],
  ['2 x arm', 'arm', 2],
  ['Make 2 arms', 'arms', 2],
  ['Make two: Arms', 'Arms', 2],
  ['Arms - 2', 'Arms', 2],
  ['Arms (both alike)', 'Arms', 2],
  ['Pair of arms', 'arms', 2],
  ['Wings (1 pair)', 'Wings', 2],
  ['Outer ear (make 2)', 'Outer ear', 2],
  ['Inner ears x 2', 'Inner ears', 2],
  ['Tentacles, make 8', 'Tentacles', 8],
  ['The Head', 'Head', 1],
  ['*** HEAD ***', 'HEAD', 1],
  ['--- Head ---', 'Head', 1],
  ['[Head]', 'Head', 1],
  ['<b>Head</b>', 'Head', 1],
  ['1. Head', 'Head', 1],
  ['I. Head', 'Head', 1],
  ['Head (white yarn)', 'Head', 1],
  ['Head, in white', 'Head', 1],
  ['HEAD & BODY', 'HEAD & BODY', 1],
  ['Head/Body', 'Head/Body', 1],
  ['Eye patch', 'Eye patch', 1],
  ['Shell bottom', 'Shell bottom', 1],
  ['Ears 👂 x2', 'Ears', 2],
  ['Legs (make 4 – 2 brown, 2 white)', 'Legs', 4],
  ['Cheeks (optional, make 2)', 'Cheeks', 2],
  ['Now we will make the ears (2 pieces).', 'ears', 2],
  ['And finally the tail:', 'tail', 1],
  ["Let's crochet the legs (x4)", 'legs', 4],
  ['Front Paws (make two identical)', 'Front Paws', 2],
  ['Snout [pink]', 'Snout', 1],
  ['Nostrils [pink, x2]', 'Nostrils', 2],
])('%s begins a part', (heading, name, make) => {
  const { parts } = readPattern(`Terms: US\nBase\n${rounds}\n${heading}\n${rounds}`);
  expect(parts.map((part) => [part.name, part.make, part.rounds.length])).toEqual([
    ['Base', 1, 2],
    [name, make, 2],
  ]);
});

test('round 1 again under words that are no heading begins a part of that name', () => {
  const { parts, notes } = readPattern(`Terms: US\nBase\n${rounds}\nThe thing on its back, left\n${rounds}`);
  expect(parts.map((part) => [part.name, part.rounds.length])).toEqual([
    ['Base', 2],
    ['The thing on its back, left', 2],
  ]);
  expect(notes).toHaveLength(1);
});

test.each(['Stuff firmly, then close.', 'sew the ears on x 2', '6 sc (x 2)'])('%s begins none', (line) => {
  const { parts } = readPattern(`Terms: US\nBase\n${rounds}${line}\n`);
  expect(parts.map((part) => part.name)).toEqual(['Base']);
});

test.each([
  ['(make 2)', '', 2],
  ['You need two of these.', '', 2],
  ['Work the following twice:', '', 2],
  ['', 'Make a second ear the same way.', 2],
  ['', 'Repeat for the other ear.', 2],
  ['', 'Make another one.', 2],
  ['', 'Make one more.', 2],
  ['', 'Make 2 more.', 3],
  ['', 'Make 2 in total.', 2],
  // Of another part, or of rounds: no word of how often this one is made.
  ['', 'Repeat for the other arm.', 1],
  ['', 'Work 2 more rounds.', 1],
])('under the heading “%s”, under the rounds “%s”', (under, behind, make) => {
  const [part, ...more] = readPattern(`US terms\nEars\n${under}\n${rounds}${behind}`).parts;
  expect([part?.name, part?.make, more]).toEqual(['Ears', make, []]);
});

test('a heading that has said how often is not added to', () => {
  const [part] = readPattern(`US terms\nEars (make 2)\n${rounds}Repeat for the other ear.`).parts;
  expect(part?.make).toBe(2);
});

test.each([
  ['Scarf: see picture [40]', ['see picture [40]']],
  ['Scarf: knit with leftover yarn', ['knit with leftover yarn']],
  ['Edging: sc around all four sides [40]', ['sc around all four sides [40]']],
  ['Legs: make 2', []],
  ['Ear: in brown', []],
])('%s: what stands behind a name and makes no round is kept as a note', (line, notes) => {
  const { pattern } = analyseToy(`Ball\nR1: 6 sc in ring\n${line}`);
  expect(pattern.parts).toHaveLength(2);
  expect(pattern.notes.map(({ text }) => text)).toEqual(notes);
});
