import { readFileSync } from 'node:fs';
import { sizeOfPart } from '../src/core/toy/stuffedPart';
import { join } from 'node:path';
import { analyseToy } from '../src/core/toy/analyse';
import { assembled } from '../src/core/toy/assembled';
import { safetyOf } from '../src/core/toy/safetyOf';

const open = (name: string) => analyseToy(readFileSync(join(__dirname, `${name}.txt`), 'utf8'));

test.each(['otter', 'hedgehog', 'owl', 'toadstool', 'frog'])('the %s adds up and has nothing to settle', (name) => {
  expect(open(name).problems.filter(({ severity }) => severity !== 'info')).toEqual([]);
});

test('the otter’s head is a ball with its eyes on the front and its muzzle below them', () => {
  const head = open('otter').parts[0]!;
  expect(head.eyes?.missStitches).toBeCloseTo(0, 1);
  expect(head.stops.closing?.how).toBe('gather');
  // The muzzle: the cream stitches of rounds 14 to 18 lie about the front line, within a stitch.
  const cream = head.fabric.palette.indexOf('cream');
  for (let round = 14; round <= 18; round += 1) {
    let sum = 0;
    let count = 0;
    for (let i = head.fabric.offset[round - 1]!; i < head.fabric.offset[round]!; i += 1) {
      if (head.fabric.colour[i] !== cream) continue;
      const stitch = i - head.fabric.offset[round - 1]! + 0.5;
      const angle = head.starts[round - 1]! + (2 * Math.PI * stitch) / 48 - head.map.front;
      sum += Math.atan2(Math.sin(angle), Math.cos(angle));
      count += 1;
    }
    expect(count).toBeGreaterThan(10);
    expect(Math.abs((sum / count) * 48) / (2 * Math.PI)).toBeLessThan(1);
  }
});

test('the frog’s head lies on its side, its eyes level and its mouth as wide as its cheeks', () => {
  const [head] = open('frog').parts;
  const { widthMm, heightMm } = sizeOfPart(head!);
  expect(widthMm).toBeLessThan(heightMm);
  expect(head!.eyes?.levelMm).toBeLessThan(0.1);
  const mouth = head!.features.find(({ kind }) => kind === 'mouth');
  const cheeks = head!.features.find(({ kind }) => kind === 'cheeks');
  expect([mouth!.units[0]!.fromLine, mouth!.units[0]!.toLine]).toEqual(cheeks!.units.map(({ fromLine }) => fromLine));
});

test('the toadstool: stem in cap, arms through the stem, its skirt worked into it, all of one piece in the drawing', () => {
  const toy = open('toadstool');
  expect(toy.joined.joins.map(({ kind, unit, on }) => [kind, unit.name, on.part])).toEqual([
    ['pushed-in', 'cap', 'stem'],
    ['through', 'arm', 'stem'],
  ]);
  expect(toy.joined.workedOn.map(({ unit, round, path }) => [unit.name, round, path!.length])).toEqual([['skirt', 14, 24]]);
  expect(toy.joined.loose).toEqual([]);
  expect(assembled(toy).filter(({ loose }) => loose)).toEqual([]);
  expect(assembled(toy).map(({ unit }) => unit.part)).toEqual(['stem', 'cap', 'arms', 'skirt']);
});

test('the owl for babies passes its own screening; its wings are worked in evenly on both sides', () => {
  const toy = open('owl');
  expect(safetyOf(toy).findings).toEqual([]);
  const [left, right] = toy.joined.joins;
  expect(left!.ledger).toEqual(right!.ledger);
  expect(left!.sum).toBe(42);
});

test('the hedgehog: four feet and the snout in one round without sewing, even on both sides, spines along three lines', () => {
  const toy = open('hedgehog');
  const noSew = toy.joined.joins.filter(({ kind }) => kind === 'no-sew');
  expect(noSew.map(({ unit, round }) => [unit.part, round])).toEqual([['snout', 15], ...Array(4).fill(['foot', 15])]);
  const [{ ledger, sum }] = noSew as [(typeof noSew)[0]];
  expect(sum).toBe(48);
  // The front of 48 stitches is at 24½: what is worked in lies the same to its left and right.
  const counts = ledger!.map((line) => ('plain' in line ? line.plain : line.stitches));
  const taken = counts.flatMap((count, i) => Array<boolean>(count).fill(!('plain' in ledger![i]!)));
  const front = noSew[0]!.stitch!;
  for (let off = 0.5; off < 24; off += 1) {
    const at = (stitch: number) => taken[(stitch - 1 + 48) % 48];
    expect(at(front + off)).toBe(at(front - off));
  }
  expect(toy.parts.flatMap(({ lines }) => lines.map(({ along }) => along))).toEqual(['back', 'left', 'right']);
  expect(toy.joined.loose).toEqual([]);
});
