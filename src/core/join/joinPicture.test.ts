import { toyOfParts as toy, type Worked } from '../__tests__/toyOfParts';
import { analyseToy } from '../toy/analyse';
import { wrapAngle } from '../shape/azimuth';
import { joinPart } from '../toy/joinAll';
import { joinPicture, pictureWidth, type JoinPicture, type PictureMark } from './joinPicture';

function pictures(text: string): { name: string; kind: string; picture: JoinPicture; stitches: number }[] {
  const { joined, parts } = analyseToy(text);
  const pieces = parts.map((part) => joinPart(part));
  return [...joined.joins, ...joined.workedOn].flatMap((join) => {
    const picture = joinPicture(join, joined, pieces);
    return picture
      ? [{ name: join.unit.name, kind: join.kind, picture, stitches: join.path?.length ?? 0 }]
      : [];
  });
}

/** Of the first join. */
const firstPicture = (text: string): JoinPicture => pictures(text)[0]!.picture;

const isWords = (mark: PictureMark) => mark.kind === 'words';
const said = ({ marks }: JoinPicture, words: string) =>
  marks.filter(isWords).find((mark) => mark.words === words)!;

const everyWay = toy(
  [
    'Sew the head to the body.',
    'Sew the arms to the sides of the body on round 8.',
    'Flatten the ears and sew them to the head on round 5, one on each side.',
    'Sew the tail to the back of the body on round 20.',
    'Crochet the legs into round 22 of the body, evenly around.',
    'Sew the snout around the start of the head.',
  ].join('\n'),
);

test('every way to join is drawn, all of it on the page', () => {
  const all = pictures(everyWay);
  expect(new Set(all.map(({ kind }) => kind)).size).toBeGreaterThanOrEqual(4);
  for (const { picture } of all) {
    const places = picture.marks.flatMap((mark): (readonly [number, number])[] =>
      mark.kind === 'line' ? [...mark.points] : [[mark.x, mark.y]],
    );
    for (const [x, y] of places) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(pictureWidth);
      expect(y).toBeGreaterThanOrEqual(-4);
      expect(y).toBeLessThanOrEqual(picture.height);
    }
  }
});

test('every stitch of an edge has its place in the drawing', () => {
  const onSpots = pictures(everyWay).filter(({ kind }) => kind === 'open-on-wall' || kind === 'flattened');
  expect(onSpots.length).toBeGreaterThan(4);
  for (const { picture, stitches } of onSpots)
    expect(picture.marks.filter((mark) => mark.kind === 'dot' && mark.tone === 'piece')).toHaveLength(
      stitches,
    );
});

describe.each<Worked>([{}, { hand: 'left' }, { start: 'bottom' }, { hand: 'left', start: 'bottom' }])(
  'as one looks at it from outside, %p',
  (worked) => {
    test('the top pin is above the bottom one, the right one to the right of the left one', () => {
      const text = toy('Sew the arms to the sides of the body on round 10.', worked);
      for (const { picture } of pictures(text)) {
        expect(said(picture, 'top').y).toBeLessThan(said(picture, 'bottom').y);
        expect(said(picture, 'left').x).toBeLessThan(said(picture, 'right').x);
      }
    });

    test('of what is worked in the left part stands left of the front, which is below', () => {
      const text = toy('Crochet the arms into round 10 of the body, one on each side.', worked);
      const picture = firstPicture(text);
      expect(said(picture, 'left arm').x).toBeLessThan(said(picture, 'front').x);
      expect(said(picture, 'right arm').x).toBeGreaterThan(said(picture, 'front').x);
    });
  },
);

// Twelve stitches to sixteen: four take two, and each of the sixteen stands once in the lower row.
test('of two edges each stitch stands once, with a thread for each pair', () => {
  const picture = firstPicture(
    'Gauge: 5 mm x 5 mm\nBody\nR1: 8 sc in ring [8]\nR2: inc x 8 [16]\nR3-R6: sc around [16]\nSew the head to the body.\n\nHead\nStart: bottom\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3-R6: sc around [12]',
  );
  const threads = picture.marks.filter((mark) => mark.kind === 'line' && mark.tone === 'way');
  expect(threads).toHaveLength(16);
  expect(picture.marks.filter(isWords)).toHaveLength(12 + 16);
});

test('what is pulled through is drawn from stitch to stitch, with what lies inside', () => {
  const picture = firstPicture(toy('Pull the tail through the body from side to side at round 8.'));
  const words = picture.marks.filter(isWords).map((mark) => mark.words);
  expect(words).toEqual(['in, stitch 6½', 'out, stitch 18½', expect.stringMatching(/mm inside$/), 'front']);
});

// A body that is flat to round 5 and upright from round 6 on: a line over rounds 3 to 9 bends from its crown down its side.
test.each(['', 'Start: bottom\n', 'Hand: left\n'])(
  'the numbers of the rounds stand under each other in their order, also where the wall bends (%j)',
  (said) => {
    const header = said.startsWith('Hand') ? said : '';
    const own = said.startsWith('Start') ? said : '';
    const picture = firstPicture(
      `${header}Body\n${own}R1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (sc 2, inc) x 6\nR5: (sc 3, inc) x 6\nR6-R16: sc around\n\nFin\nR1: 6 sc in mr\nR2: inc x 6\nR3-R5: sc around\n\nAssembly\nFlatten the fin and sew it to the back of the body over rounds 3 to 9.`,
    );
    const numbers = picture.marks.flatMap((mark) =>
      mark.kind === 'words' && /^R\d/.test(mark.words)
        ? [{ round: Number(mark.words.slice(1)), y: mark.y }]
        : [],
    );
    expect(numbers.length).toBeGreaterThanOrEqual(6);
    numbers.sort((a, b) => a.y - b.y);
    const rounds = numbers.map(({ round }) => round);
    const down = [...rounds].sort((a, b) => (own === '' ? a - b : b - a));
    expect(rounds).toEqual(down);
  },
);

test('a string of parts is drawn in its order, this one marked; of many those about it', () => {
  const beads = (count: number) =>
    pictures(
      `Bead (make ${count})\nR1: 6 sc in mr\nR2: sc around\nR3: dec x 3\n\nAssembly\nString the beads on a cord, 1 cm apart.`,
    );
  const three = beads(3);
  expect(three.map(({ kind }) => kind)).toEqual(['strung', 'strung']);
  const numbers = ({ picture }: (typeof three)[0]) =>
    picture.marks.flatMap((mark) => (mark.kind === 'words' ? [mark.words] : []));
  expect(numbers(three[0]!).map((words) => words.slice(0, 2))).toEqual(['1.', '2.', '3.']);
  const pinAt = ({ picture: { marks } }: (typeof three)[0]) =>
    marks.findIndex((mark) => mark.kind === 'dot' && mark.tone === 'pin');
  expect(pinAt(three[1]!)).toBeGreaterThan(pinAt(three[0]!));
  const last = beads(30).at(-1)!;
  expect(numbers(last)).toHaveLength(12);
  expect(numbers(last).at(-1)).toMatch(/^30\./);
  expect(pinAt(last)).toBeGreaterThan(0);
  expect(last.picture.says).toContain('12 of 30');
});

test('of two kinds on one thread each stands where it was strung', () => {
  const found = pictures(
    'Star\nR1: 5 sc in mr\nR2: inc x 5\n\nBead (make 2)\nR1: 6 sc in mr\nR2: sc around\n\nAssembly\nString the beads and the star on a cord.',
  );
  const [one] = found;
  const names = one!.picture.marks.flatMap((mark) => (mark.kind === 'words' ? [mark.words] : []));
  expect(names.map((words) => words.replace(/ \d$/, ''))).toEqual(['1. bead', '2. bead', '3. star']);
});

// A ring of 12 two rounds out from the start lies around it: laid flat it would be torn apart there.
test.each(['', 'Hand: left\n', 'Lean: 0.25\n'])(
  'a ring that goes around the start of its wall is looked at from outside, and goes round once (%j)',
  (header) => {
    const picture = firstPicture(
      `${header}Gauge: 5 mm x 5 mm\nHead\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (sc 2, inc) x 6\nR5: (sc 3, inc) x 6\nR6-R12: sc around\n\nHorn\nR1: 6 sc in mr\nR2: inc x 6\nR3-R6: sc around\n\nAssembly\nSew the horn to the front of the head, two rounds out from the start.`,
    );
    expect(picture.says).toBe('Seen from outside, up as the toy stands.');
    const way = picture.marks.find((mark) => mark.kind === 'line' && mark.tone === 'way');
    const points = way?.kind === 'line' ? way.points : [];
    expect(points).toHaveLength(13);
    const middle = [0, 1].map((axis) => points.slice(1).reduce((sum, point) => sum + point[axis]!, 0) / 12);
    const angles = points.map(([x, y]) => Math.atan2(y - middle[1]!, x - middle[0]!));
    const round = angles.slice(1).reduce((sum, angle, i) => sum + wrapAngle(angle - angles[i]!), 0);
    expect(Math.abs(round)).toBeCloseTo(2 * Math.PI);
  },
);
