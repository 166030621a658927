import { readPattern } from './readPattern';

const rounds = 'R1: 6 sc in MR (6)\nR2: inc x 6 (12)\n';

test.each([
  ['Arms (x2)', 'Arms', 2],
  ['Arms [make 2]', 'Arms', 2],
  ['Arms: x2', 'Arms', 2],
  ['ARMS – MAKE TWO', 'ARMS', 2],
  ['Arm (make two of these)', 'Arm', 2],
  ['Left arm and right arm', 'Left arm and right arm', 1],
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
