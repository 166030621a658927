import { analyseToy } from './analyse';

/** A part that is worked in: its name, the stitches of its edge, where it goes. */
type Piece = readonly [name: string, edge: number, where: string];

const places = {
  sides: 'on both sides',
  front: 'at the front',
  back: 'at the back',
} as const;

const arms = (edge: number): Piece => ['Arm', edge, places.sides];
const snout = (edge: number): Piece => ['Snout', edge, places.front];
const tail = (edge: number): Piece => ['Tail', edge, places.back];
const pair = (name: string, edge: number, off: number): Piece => [
  name,
  edge,
  `${off} stitches from the front`,
];
const isPair = (piece: Piece): boolean => piece[2] !== places.front && piece[2] !== places.back;

/** Rounds of increases from 6 up to so many stitches. */
function increases(count: number): string[] {
  let stitches = Math.min(6, count);
  const rounds = [`R1: ${stitches} sc in ring`];
  while (stitches < count) {
    const more = Math.min(6, count - stitches);
    rounds.push(`R${rounds.length + 1}: inc x ${more}${stitches > more ? `, ${stitches - more} sc` : ''}`);
    stitches += more;
  }
  return rounds;
}

/** A body whose plain rounds have so many stitches, with parts worked into the fifth of them. */
function joined(count: number, pieces: readonly Piece[], loops = '') {
  const rounds = increases(count);
  const into = rounds.length + 5;
  const body = ['Body', ...rounds, `R${rounds.length + 1}-R${rounds.length + 9}: sc around [${count}]`];
  const limbs = pieces.map((piece) => {
    const own = increases(piece[1]);
    const head = `${piece[0]}${isPair(piece) ? ' (make 2)' : ''}`;
    return [head, ...own, `R${own.length + 1}-R${own.length + 4}: sc around`].join('\n');
  });
  const said = pieces.map(
    (piece) =>
      `Crochet the ${piece[0].toLowerCase()}${isPair(piece) ? 's' : ''} into the body on round ${into}${loops}, ${piece[2]}.`,
  );
  return analyseToy(['Terms: US', body.join('\n'), ...limbs, `Assembly\n${said.join('\n')}`].join('\n\n'))
    .joined;
}
type Joined = ReturnType<typeof joined>;

/** A round in short: `4 A4 8 A4 4`. */
function short({ joins, units }: Joined, ledger = joins[0]?.ledger): string {
  const nameOf = (part: string, unit: number) =>
    units.find((one) => one.part === part && one.unit === unit)?.name.replace(/left |right /, '') ?? '?';
  return (ledger ?? [])
    .map((entry) =>
      'plain' in entry
        ? entry.plain
        : `${nameOf(entry.part, entry.unit).charAt(0).toUpperCase()}${entry.stitches}`,
    )
    .join(' ');
}

const wrap = (off: number, count: number) => off - count * Math.round(off / count);

/** Where the middles should be, by the conventions: the front line at (n + 1) / 2, the sides a quarter of the round from it. */
function wanted(count: number, piece: Piece): number[] {
  const axis = (count + 1) / 2;
  if (piece[2] === places.front) return [axis];
  if (piece[2] === places.back) return [axis + count / 2];
  const off = piece[2] === places.sides ? count / 4 : Number.parseInt(piece[2], 10);
  return [axis - off, axis + off];
}

/** The least that any round costs which is its own mirror image about a half stitch near the front, by trying all. */
function least(count: number, pieces: readonly Piece[]): number {
  const axis = (count + 1) / 2;
  let best = Infinity;
  for (const about of [-1, -0.5, 0, 0.5, 1].map((by) => axis + by)) {
    // Parts on the axis have one place; each pair has its distances. Used stitches tell whether two of them collide.
    const go = (index: number, used: ReadonlySet<number>, cost: number): void => {
      if (cost >= best) return;
      const piece = pieces[index];
      if (!piece) {
        best = cost;
        return;
      }
      const width = Math.floor(piece[1] / 2);
      const targets = wanted(count, piece);
      const offs = isPair(piece)
        ? Array.from({ length: count }, (_, i) => (i + 1) / 2)
        : [piece[2] === places.back ? count / 2 : 0];
      for (const off of offs) {
        const middles = isPair(piece) ? [about - off, about + off] : [about + off];
        const firsts = middles.map((middle) => middle - (width - 1) / 2);
        if (firsts.some((first) => !Number.isInteger(first))) continue;
        const stitches = firsts.flatMap((first) =>
          Array.from({ length: width }, (_, k) => (((first + k) % count) + count) % count),
        );
        const isFree = new Set([...used, ...stitches]).size === used.size + stitches.length;
        const more = middles.reduce((sum, middle, i) => sum + wrap(middle - targets[i]!, count) ** 2, 0);
        if (isFree) go(index + 1, new Set([...used, ...stitches]), cost + more);
      }
    };
    go(0, new Set(), 0);
  }
  return best;
}

const four: Piece[] = [arms(8), pair('Leg', 12, 5)];
const six: Piece[] = [arms(8), pair('Leg', 12, 6), pair('Ear', 6, 18)];

describe('no-sew rounds worked out by hand are as good as any there is', () => {
  test.each<[count: number, pieces: Piece[], round: string]>([
    [24, [arms(8)], '4 A4 8 A4 4'],
    [18, [arms(6)], '3 A3 6 A3 3'],
    [30, [arms(8)], '6 A4 10 A4 6'],
    [12, [arms(4)], '2 A2 4 A2 2'],
    [20, [arms(6)], '4 A3 6 A3 4'],
    [36, [arms(10)], '7 A5 12 A5 7'],
    [25, [arms(8)], '4 A4 9 A4 4'],
    [21, [arms(6)], '4 A3 7 A3 4'],
    [24, [arms(12)], '3 A6 6 A6 3'],
    // Of an odd edge half a stitch is left over: seven lie three wide.
    [18, [arms(7)], '3 A3 6 A3 3'],
    [24, [tail(6)], 'T1 21 T2'],
    [24, [tail(8)], 'T2 20 T2'],
    [24, [snout(8)], '10 S4 10'],
    [24, [snout(10)], '9 S5 10'],
    [23, [snout(10)], '9 S5 9'],
    [24, [arms(8), tail(8)], 'T2 2 A4 8 A4 2 T2'],
    [24, [arms(8), snout(8)], '4 A4 2 S4 2 A4 4'],
    [24, [arms(8), snout(10)], '4 A4 1 S5 1 A4 5'],
    [24, [arms(8), snout(8), tail(8)], 'T2 2 A4 2 S4 2 A4 2 T2'],
    [12, [arms(6), snout(8)], '1 A3 S4 A3 1'],
    [24, [pair('Leg', 6, 4)], '7 L3 4 L3 7'],
    [30, [pair('Leg', 12, 5)], '7 L6 4 L6 7'],
    [30, [pair('Leg', 12, 2)], '9 L6 L6 9'],
    [36, four, '7 A4 L6 2 L6 A4 7'],
    [36, [...four, tail(6)], 'T1 5 A4 L6 3 L6 A4 5 T2'],
    [48, six, '5 E3 2 A4 1 L6 6 L6 1 A4 2 E3 5'],
    [48, [...six, snout(8), tail(4)], 'T1 4 E3 2 A4 1 L6 1 S4 1 L6 1 A4 2 E3 4 T1'],
    [25, [arms(8), snout(10)], '4 A4 2 S5 2 A4 4'],
    [25, [arms(8), tail(8)], 'T2 2 A4 9 A4 2 T2'],
    [25, [arms(8), snout(10), tail(8)], 'T2 2 A4 2 S5 2 A4 2 T2'],
  ])('%i stitches, %j', (count, pieces, round) => {
    const toy = joined(count, pieces);
    expect(short(toy)).toBe(round);
    const cost = toy.joins.reduce((sum, { unit, stitch }) => {
      const piece = pieces.find(([name]) => unit.name.endsWith(name.toLowerCase()))!;
      const targets = wanted(count, piece);
      const target = unit.side === 'right' ? targets[1]! : targets[0]!;
      return sum + wrap(stitch! - target, count) ** 2;
    }, 0);
    if (pieces.some(isPair)) expect(cost).toBeCloseTo(least(count, pieces), 9);
    expect(toy.joins.map(({ sum }) => sum)).toEqual(toy.joins.map(() => count));
  });

  test.each([
    [' in the front loops only', 'front'],
    [' in the back loops only', 'back'],
    ['', 'both'],
  ])('%s the round is the same, and the loops are said', (loops, kept) => {
    const toy = joined(24, [arms(8)], loops);
    expect([short(toy), toy.joins[0]?.loops]).toEqual(['4 A4 8 A4 4', kept]);
  });
});

test.each<[said: string, stitch: number, loops: string]>([
  ['Crochet the tail in the front loops of round 9 of the body, at the back.', 24, 'front'],
  ['Crochet the tail into the body on round 9 in the front loops only, at the back.', 24, 'front'],
  ['Crochet the tail in the back loops of round 9 of the body, in the front.', 12, 'back'],
])('which loops is no place: %s', (said, stitch, loops) => {
  const body = ['Body', ...increases(24), 'R5-R13: sc around'].join('\n');
  const { joins } = analyseToy(
    `${body}\n\nTail\nR1: 6 sc in ring\nR2-R5: sc around\n\nAssembly\n${said}`,
  ).joined;
  expect(joins.map((join) => [join.round, join.stitch, join.loops])).toEqual([[9, stitch, loops]]);
});

test('loops said of one part of a round hold for all that is worked into it', () => {
  const body = ['Body', ...increases(24), 'R5-R13: sc around'].join('\n');
  const said =
    'Crochet the arms into the body on round 9 in the back loops only, on both sides. Crochet the tail into the body on round 9, at the back.';
  const { joins } = analyseToy(
    `${body}\n\nArm (make 2)\nR1: 6 sc in ring\nR2-R5: sc around\n\nTail\nR1: 6 sc in ring\nR2-R5: sc around\n\nAssembly\n${said}`,
  ).joined;
  expect(joins.map(({ loops }) => loops)).toEqual(['back', 'back', 'back']);
});

describe('several rounds that are as good stand beside it', () => {
  test.each<[count: number, pieces: Piece[], others: string[]]>([
    // The sides lie at 8 and 23, between two places of four stitches: nearer the front, further from it, or all half a stitch on.
    [30, [arms(8)], ['5 A4 12 A4 5', '5 A4 11 A4 6']],
    // An odd snout can't lie between the two front stitches: it goes to one or the other.
    [24, [snout(10)], ['10 S5 9']],
    [24, [arms(8)], []],
    [12, [arms(6), snout(8)], []],
  ])('%i stitches, %j', (count, pieces, others) => {
    const toy = joined(count, pieces);
    expect(toy.joins[0]?.otherLedgers.map((ledger) => short(toy, [...ledger]))).toEqual(others);
  });
});

describe('what does not go in is explained', () => {
  test.each<[count: number, pieces: Piece[], code: string, missing: number]>([
    [12, [arms(14)], 'nosew-room', 2],
    [12, [arms(10), snout(8)], 'nosew-room', 2],
    [12, [arms(8), snout(6), tail(6)], 'nosew-room', 2],
    [18, [arms(20)], 'nosew-room', 2],
    [24, [arms(12), pair('Leg', 14, 3)], 'nosew-room', 2],
    [24, [pair('Leg', 12, 4), arms(8), snout(8), tail(8)], 'nosew-room', 4],
    [6, [arms(8)], 'nosew-room', 2],
    [24, [arms(8), snout(8), tail(6)], 'nosew-parity', 1],
    [24, [arms(8), snout(10), tail(8)], 'nosew-parity', 1],
    [25, [arms(8), snout(8), tail(8)], 'nosew-parity', 1],
    [30, [arms(8), snout(6), tail(4)], 'nosew-parity', 1],
    [21, [arms(6), snout(6), tail(6)], 'nosew-parity', 1],
  ])('%i stitches, %j: %s', (count, pieces, code, missing) => {
    const problems = joined(count, pieces).joins.flatMap((join) => join.problems);
    expect(problems.map((problem) => problem.code)).toEqual([code]);
    if (code === 'nosew-room') expect(problems[0]?.message).toContain(`${missing}`);
  });
});
