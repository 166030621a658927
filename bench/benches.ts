import { isStretched, stretchPart } from '../src/core/edit/stretch';
import { buildFabric } from '../src/core/fabric/buildFabric';
import { readPattern } from '../src/core/notation/readPattern';
import { readWorkLine } from '../src/core/notation/grammar';
import { roundStarts } from '../src/core/shape/azimuth';
import { Relaxation, projectSprings } from '../src/core/shape/form/relaxation';
import { formText } from '../src/core/shape/forms/formText';
import { fabricMap } from '../src/core/shape/map';
import { formInputOf } from '../src/core/toy/formOfPart';
import { analyseToy } from '../src/core/toy/analyse';
import { patternForOthers } from '../src/core/toy/sheet/forOthers';

export interface Bench {
  name: string;
  run: () => void;
  runs?: number;
  /** what the ratio is to, where it is not the bare pass all others are compared with */
  against?: { name: string; run: () => void };
}

const cone = [
  'R1: 6 sc in magic ring',
  'R2: inc x 6',
  'R3: (sc, inc) x 6',
  'R4: (2 sc, inc) x 6',
  'R5: (3 sc, inc) x 6',
  'R6: (4 sc, inc) x 6',
  'R7: (5 sc, inc) x 6',
  'R8: (6 sc, inc) x 6',
];
const toyOf = (stitches: number) =>
  `Part\n${cone.join('\n')}\nR9-R${8 + Math.round((stitches - 216) / 48)}: sc around\n`;

const large = readPattern(toyOf(20_000)).parts[0];
const long = Array.from({ length: 1000 }, (_, i) =>
  i % 25 === 0
    ? `Part ${i / 25}:`
    : i % 25 === 1
      ? 'R1: 6 sc in magic ring [6]'
      : `R${i % 25}: *sc in next ${i % 7} sts, sc in next st; repeat from * around (6 sts)`,
);
let turn = 0;

const words = [
  'R4:',
  'sc',
  'inc',
  'dec',
  '(',
  ')',
  '[24]',
  '*',
  'x',
  '6',
  '12',
  'around',
  'repeat from *',
  'ch 3',
  'in ring',
  'next',
  'until',
  'each st',
  '\n',
  ',',
  'BLO',
  'change to B',
  'Head',
  'join',
  '99999999',
  'twice',
  'between R3 and R4',
  '9 mm eyes',
  'stuff',
];
/** Word soup from a seed: the same texts in every run. */
function soup(seed: number): string {
  let state = seed * 2654435761 + 1;
  const next = (below: number) => {
    state = (state * 1103515245 + 12345) % 2147483648;
    return state % below;
  };
  return Array.from({ length: 5 + next(30) }, () => words[next(words.length)]).join(' ');
}
const noise = 'x9 (sc '.repeat(150_000);

const typed = toyOf(4000);
const typedAnalysis = analyseToy(`${typed}Eyes: 9 mm, between R20 and R21, 6 showing`).parts[0];
const eyes = (gap: number) => `${typed}Eyes: 9 mm, between R${gap} and R${gap + 1}, 6 showing`;

const relaxed = (text: string) => {
  const part = analyseToy(text).parts[0];
  if (!part) throw new Error('The bench needs a part.');
  const input = formInputOf(part);
  const once = new Relaxation(input);
  once.run(Infinity);
  // As many sweeps of the springs as relaxing takes, and nothing else.
  const sweeps = once.steps * 4;
  const places = once.places.slice();
  return {
    relax: () => new Relaxation(input).run(Infinity),
    bare: () => {
      for (let i = 0; i < sweeps; i += 1) projectSprings(once.springs, places);
    },
  };
};
const tube3000 = relaxed(toyOf(3000));
const ball5000 = relaxed(
  formText(
    { kind: 'ball', widthMm: 198, heightMm: 198, start: null },
    'Ball',
    { widthMm: 5, heightMm: 4.8, assumed: false },
    'us',
  ),
);
const keystroke = (round: number) => `${typed.trimEnd()}\nR${round}: sc around`;

// Ten heads of four features each, the eyes of one moved at every run.
const face = (gap: number) =>
  `Eyes: 8 mm, between R${gap} and R${gap + 1}, 7 apart.\nNose: satin triangle, 1 round below the eyes, 3 wide, 2 rounds high.\nMouth: embroidered smile, 4 rounds below the eyes, 3 wide.\nCheeks: felt, 8 mm, 2 rounds below the eyes, 1 stitch outside the eyes.`;
const heads = (gap: number) =>
  Array.from(
    { length: 10 },
    (_, i) =>
      `Head ${i + 1}:\n${cone.slice(0, 6).join('\n')}\nR7-R20: sc around\n${face(i === 0 ? gap : 9)}\n`,
  ).join('\n');
analyseToy(heads(9));

/** A toy of 14 units joined to one body; each run moves the arms by a round. */
const limbs = (round: number) =>
  [
    `Body\n${cone.slice(0, 6).join('\n')}\nR7-R40: sc around\n`,
    ...['Arm', 'Leg', 'Ear', 'Horn', 'Fin', 'Wing', 'Paw'].map(
      (name) => `${name} (make 2)\nR1: 6 sc in magic ring\nR2: inc x 6\nR3-R6: sc around\n`,
    ),
    'Assembly',
    `Sew the arms to the body on round ${round}, one on each side.`,
    'Sew the legs to the body on round 36, 6 stitches from the front.',
    'Flatten the ears and sew them to the body on round 7, 5 stitches from the front.',
    'Sew the horns to the body on round 6, 3 stitches from the front.',
    'Sew the fins to the body on round 24, 4 stitches from the back.',
    'Sew the wings to the body on round 30, 4 stitches from the back.',
    'Sew the paws to the body on round 16, 7 stitches from the front.',
  ].join('\n');

/** A toy of 6,000 stitches with a face and a pair of arms, to be written out for somebody else. */
const handedOn = analyseToy(
  `Toy: Large\nTerms: US\n\nHead\n${cone.join('\n')}\nR9-R124: sc around\n${face(9)}\nStuff.\n\nArm (make 2)\nR1: 6 sc in magic ring\nR2: inc x 6\nR3-R10: sc around\n\nAssembly\nSew the arms to the head on round 60, one on each side.`,
);
const stretchedText = `Head\n${cone.join('\n')}\nR9-R124: sc around\nStuff.\n`;
const toStretch = analyseToy(stretchedText);

/** Every figure a release note quotes comes from here. */
export const benches: Bench[] = [
  {
    name: 'join a toy of 14 units after an edit',
    run: () => {
      turn += 1;
      const { joined } = analyseToy(limbs(10 + (turn % 6)));
      if (joined.joins.length !== 14) throw new Error('not all are joined');
    },
  },
  {
    name: 'build the fabric of a 20,000-stitch part',
    run: () => {
      if (large) buildFabric(large, 'us');
    },
  },
  // Each run reads lines no run has read before, so that nothing is remembered.
  {
    name: 'read a text of 1,000 lines, all new',
    runs: 5,
    run: () => {
      turn += 1;
      for (const line of long) readWorkLine(`${line} ${turn}`);
    },
  },
  {
    name: 'the same with manners, sentences and headings, as a pattern',
    runs: 5,
    run: () => {
      turn += 1;
      readPattern(long.map((line) => `${line} ${turn}`).join('\n'));
    },
  },
  {
    name: 'read it again with one line changed',
    runs: 9,
    run: () => {
      turn += 1;
      readPattern(long.map((line, i) => (i === 500 ? `R20: sc in next ${turn + 900} sts` : line)).join('\n'));
    },
  },
  {
    name: 'one more edit of a 4,000-stitch toy, eyes to stops',
    run: () => {
      turn += 1;
      analyseToy(eyes(20 + (turn % 30)));
    },
  },
  {
    name: 'analyse 10,000 texts of word soup; none may throw',
    runs: 1,
    run: () => {
      for (let seed = 0; seed < 10_000; seed += 1) analyseToy(soup(seed));
    },
  },
  {
    name: 'refuse a megabyte of noise',
    run: () => {
      analyseToy(noise);
    },
  },
  {
    name: 'azimuths of 4,000 stitches',
    run: () => {
      if (typedAnalysis) roundStarts(typedAnalysis.fabric, 0.25);
    },
  },
  {
    name: 'relax a part of 3,000 stitches to rest',
    runs: 7,
    run: tube3000.relax,
    against: { name: 'the same spring projections alone', run: tube3000.bare },
  },
  {
    name: 'relax a ball of 5,000 stitches to rest',
    runs: 5,
    run: ball5000.relax,
    against: { name: 'the same spring projections alone', run: ball5000.bare },
  },
  {
    name: 'keystroke to profile and map, 4,000 stitches',
    run: () => {
      turn += 1;
      const part = analyseToy(keystroke(200 + turn)).parts[0];
      if (part) fabricMap(part.map);
    },
  },
  {
    name: 'place all 40 features of a toy after an edit',
    run: () => {
      turn += 1;
      analyseToy(heads(8 + (turn % 8)));
    },
  },
  {
    name: 'map of 4,000 stitches',
    run: () => {
      if (typedAnalysis) fabricMap(typedAnalysis.map);
    },
  },
  {
    name: 'write 6,000 stitches out for others, and read back',
    runs: 5,
    run: () => {
      const { kept } = patternForOthers(handedOn, { terms: 'us', hand: 'right' });
      if (kept !== null) throw new Error('it is not written out');
    },
  },
  {
    name: 'stretch a part of 6,000 stitches, and read back',
    runs: 5,
    run: () => {
      turn += 1;
      const wide = 1.1 + (turn % 7) / 50;
      const found = stretchPart(stretchedText, toStretch, 'head', { wide, high: 1, round: 0 });
      if (!isStretched(found)) throw new Error('it is not stretched');
    },
  },
];
