import { chance, mutated, type Chance } from '../__tests__/mutate';
import { analyseToy, forgetToys, type ToyAnalysis } from './analyse';
import { fingerprint } from './fingerprint';

const cold = (text: string): ToyAnalysis => {
  forgetToys();
  return analyseToy(text);
};
const eyesOf = (toy: ToyAnalysis) =>
  toy.parts.map((part) => part.eyes?.units.map(({ from, of }) => [from, of]));
const counts = (toy: ToyAnalysis) => toy.parts.map(({ checks }) => checks.map(({ worked }) => worked));

describe('numbers that once stayed behind an edit', () => {
  const tube = (chains: number) =>
    `Head\nCh ${chains}, join\nR1: sc in each ch around\nR2-R6: sc around\nEyes: 6 mm, between R3 and R4, 4 apart\n`;
  const repeated = (of: string) =>
    `Ball\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (2 sc, dec) x 6\nR6-R9: repeat ${of}\n`;
  const coloured = (colour: string) =>
    `Ball\nR1: 6 sc in ring\nwith ${colour} yarn\nR2: inc x 6\nR3: sc around\n`;

  test.each([
    ['the chain of a tube, on a line of its own', tube(12), tube(30)],
    ['what a line of rounds repeats', repeated('R4'), repeated('R4-R5')],
    ['a colour on a line of its own', coloured('red'), coloured('blue')],
    [
      'a round on the line after the first of a range',
      'Ball\nR1: 6 sc in ring\nRepeat rounds 1 to 1 3 times\n',
      'Ball\nR1: 7 sc in ring\nRepeat rounds 1 to 1 3 times\n',
    ],
  ])('%s', (_, before, after) => {
    const fresh = cold(after);
    cold(before);
    expect(fingerprint(analyseToy(after))).toBe(fingerprint(fresh));
    expect(fingerprint(cold(before))).not.toBe(fingerprint(fresh));
  });

  test('the tube of thirty has its eyes in holes of thirty', () => {
    analyseToy(tube(12));
    const toy = analyseToy(tube(30));
    expect(counts(toy)[0]).toEqual([30, 30, 30, 30, 30, 30]);
    expect(eyesOf(toy)[0]).toEqual([
      [13, 30],
      [17, 30],
    ]);
  });

  test('two parts of one name have answers of their own, whichever is edited', () => {
    const ears = (first: string, second: string) =>
      `Ear\nR1: ${first}\nR2: sc around\n\nEar\nR1: ${second}\nR2: sc around\n`;
    expect(counts(analyseToy(ears('6 sc in ring', '8 sc in ring')))).toEqual([
      [6, 6],
      [8, 8],
    ]);
    expect(counts(analyseToy(ears('8 sc in ring', '6 sc in ring')))).toEqual([
      [8, 8],
      [6, 6],
    ]);
    expect(counts(analyseToy(ears('6 sc in ring', '6 sc in ring')))).toEqual([
      [6, 6],
      [6, 6],
    ]);
    const [first, second] = analyseToy(ears('6 sc in ring [7]', '8 sc in ring [9]')).problems.filter(
      ({ code }) => code === 'count-mismatch',
    );
    expect([
      [first!.part, first!.partId],
      [second!.part, second!.partId],
    ]).toEqual([
      ['Ear', 'ear'],
      ['Ear', 'ear-2'],
    ]);
    expect(
      new Set(analyseToy(ears('6 sc in ring', '8 sc in ring')).parts.map(({ source }) => source.id)).size,
    ).toBe(2);
  });
});

test('what an edit does not touch is not worked out again', () => {
  const toy = (rounds: number) =>
    `Head\nR1: 6 sc in ring\nR2: inc x 6\nR3-R9: sc around\nEyes: 6 mm, between R3 and R4, 4 apart\n\nTail\nR1: 6 sc in ring\nR2-R${rounds}: sc around\n`;
  const [head] = analyseToy(toy(8)).parts;
  const [sameHead, tail] = analyseToy(toy(9)).parts;
  expect(sameHead).toBe(head);
  expect(tail!.checks).toHaveLength(9);
  // Back and forth finds both again.
  expect(analyseToy(`${toy(8)}\n`).parts[0]).toBe(head);
});

// Every way a part can begin, go on and refer to another round.
const starts = [
  'R1: 6 sc in ring',
  'R1: 8 sc in magic ring [8]',
  'Ch 12, join\nR1: sc in each ch around',
  'Ch 9\nRow 1: sc in 2nd ch from hook and in each ch across, turn',
  'R1: ch 7, sc in 2nd ch from hook, 4 sc, 3 sc in last ch, on the other side of the chain 4 sc, inc',
  'R1: 6 sc in ring, join with sl st',
];
const goings = [
  'inc x 6',
  'inc around',
  'sc around',
  'BLO sc around',
  'FLO sc around',
  '(sc, inc) x 6',
  '(2 sc, dec) x 3',
  'dec around',
  'change to B, sc around',
  'in the front loops of R2, sc around',
  'sc 3, ch 4, sl st in 2nd ch from hook, sc 3',
  'repeat R2',
  'sc around [12]',
  'sc across, turn',
  '',
];
const sentences = [
  'Eyes: 6 mm, between R2 and R3, 4 apart',
  '8 mm eyes between R3 and R4, 3 showing',
  'Felt cheeks, 8 mm',
  'Mouth: smile 1 round below the eyes',
  'Stuff firmly.',
  'Do not stuff.',
  'Close the hole.',
  'with red yarn',
  'in B',
  'Repeat rounds 2 to 3 2 times',
  'Start: bottom',
  'Start: left',
  'Front: stitch 3 of round 2',
  'Sew to the head between R2 and R4.',
  'A note.',
];
const headers = [
  'Hand: left',
  'Lean: 0',
  'Gauge: 6 mm x 5 mm',
  'Terms: UK',
  'Apart: showing',
  'Yarn B: cream',
  'For: under 3',
  'Toy: Dot',
];
const names = ['Head', 'Ear', 'Ear', 'Leg (make 2)', 'Body'];

function generatedToy(luck: Chance): string {
  const part = () => {
    const lines = [
      luck.pick(names),
      ...(luck.below(4) === 0 ? [luck.pick(sentences)] : []),
      luck.pick(starts),
    ];
    let round = 2;
    for (let i = luck.below(9); i > 0; i -= 1) {
      const last = luck.below(4) === 0 ? round + luck.below(4) : round;
      lines.push(`${last > round ? `R${round}-R${last}` : `R${round}`}: ${luck.pick(goings)}`);
      round = last + 1;
      if (luck.below(5) === 0) lines.push(luck.pick(sentences));
    }
    return [...lines, luck.pick(sentences)].join('\n');
  };
  return [
    ...Array.from({ length: luck.below(3) }, () => luck.pick(headers)),
    '',
    ...Array.from({ length: 1 + luck.below(4) }, part),
  ].join('\n');
}

/** One edit as a maker does it: a line put in, taken out, said otherwise, a number changed; or any slip of the finger. */
function edited(text: string, luck: Chance): string {
  const lines = text.split('\n');
  const at = luck.below(lines.length);
  const line = lines[at] ?? '';
  switch (luck.below(6)) {
    case 0:
      lines.splice(at, 0, luck.pick(sentences));
      break;
    case 1:
      lines.splice(at, 1);
      break;
    case 2:
      lines[at] = line.replace(/^(R\d+(?:-R\d+)?:).*/, `$1 ${luck.pick(goings)}`);
      break;
    case 3:
      lines[at] = line.replace(/\d+/g, (digits) =>
        luck.below(2) === 0 ? String(Number(digits) + 1) : digits,
      );
      break;
    case 4:
      lines.splice(0, 1, luck.pick(headers));
      break;
    default:
      return mutated(text, luck);
  }
  return lines.join('\n');
}

test('any sequence of edits, worked out as it is made, comes to what its last text comes to by itself', () => {
  for (let seed = 0; seed < 30; seed += 1) {
    const luck = chance(seed);
    const texts = [generatedToy(luck)];
    for (let i = 0; i < 6; i += 1) texts.push(edited(texts.at(-1)!, luck));
    forgetToys();
    // Undo on the way: an earlier text comes back and goes again.
    const warm = texts.flatMap((text, index) => {
      if (index > 1) analyseToy(texts[index - 2]!);
      return fingerprint(analyseToy(text));
    });
    texts.forEach((text, index) => {
      if (warm[index] !== fingerprint(cold(text))) {
        forgetToys();
        for (const before of texts.slice(0, index)) analyseToy(before);
        const late = analyseToy(text);
        expect(late).toEqual(cold(text));
        throw new Error(`Only the fingerprints differ, seed ${seed}, text ${index}: ${text}`);
      }
    });
  }
});

test('a fingerprint tells apart what differs in any field, number or order', () => {
  const all = [
    {},
    { a: 1 },
    { a: 2 },
    { b: 1 },
    { a: '1' },
    { a: null },
    { a: [1, 2] },
    { a: [2, 1] },
    { a: [[1], 2] },
    { a: new Float64Array([1, 2.0000001]) },
    { a: 0 },
    { a: -0 },
    { a: 1, b: 2 },
    { a: 'x', b: 'y' },
    { a: 'xb', y: '' },
  ];
  expect(new Set(all.map(fingerprint)).size).toBe(all.length);
  expect(fingerprint({ a: new Float64Array([1, 2]) })).toBe(fingerprint({ a: [1, 2] }));
});
