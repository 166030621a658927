import { places, toyOfParts as toy } from '../__tests__/toyOfParts';
import { pinWord } from '../join/pins';
import { placeOf } from '../join/pose/posed';
import { applyEdits } from '../notation/applyEdits';
import { analyseToy } from './analyse';
import { assembled } from './assembled';
import { joinPart } from './joinAll';

/** The stitch of its own edge that a unit has at a pin. */
function edgeAt(text: string, name: string, at: string): number | undefined {
  const join = analyseToy(text).joined.joins.find(({ unit }) => unit.name === name);
  const pin = join?.pins?.find((one) => one.at === at);
  return join?.path?.find(({ round, stitch }) => round === pin?.round && stitch === pin.stitch)?.edge;
}

// The arms on round 8 put the front of the body at 12½ there. Sixteen rounds of 24 later, leaning a quarter of a stitch each, that line
// passes 16½, and the back 4½.
describe('the edge of a body faces where its limbs have its front', () => {
  const closed = '\nR16: (2 sc, dec) x 6 [18]\nR17: (sc, dec) x 6 [12]\nR18: dec x 6 [6]';
  const head = toy('', { start: 'bottom', lean: 0.25 }).replace(
    'x 6 [24]\n\nArm',
    `x 6 [24]${closed}\n\nArm`,
  );
  const seam = 'Sew the head to the body.';

  test('sewn onto a closed head', () => {
    const text = `${head}Sew the arms to the sides of the body on round 8.\n${seam}`;
    expect([16, 17]).toContain(edgeAt(text, 'body', 'front'));
    expect([4, 5]).toContain(edgeAt(text, 'body', 'back'));
  });

  test('to the open edge of a head, whichever is said first', () => {
    const open = toy('', { start: 'bottom', lean: 0.25 });
    const arms = 'Sew the arms to the sides of the body on round 8.';
    for (const text of [`${open}${arms}\n${seam}`, `${open}${seam}\n${arms}`]) {
      const { joins, fronts } = analyseToy(text).joined;
      const join = joins.find(({ unit, on }) => unit.part === 'head' || on.part === 'head');
      expect(join?.kind).toBe('edge-to-edge');
      const front = join?.pins?.find(({ at }) => at === 'front');
      expect(fronts.has('body')).toBe(true);
      expect([16, 17]).toContain(front?.stitch);
    }
  });

  test('what is known only after the seam turns it too: arms in line with the legs, so many rounds above them', () => {
    const text = `${head}Sew two legs to the sides of the body on round 8.\nSew the arms to the body, 6 rounds above the legs.\n${seam}`;
    expect([16, 17]).toContain(edgeAt(text, 'body', 'front'));
  });

  // Ten rounds under the seam is round 14½, the front of round 15 at 12½; nine rounds later it is at 14¾.
  test('arms that go by the seam turn it themselves', () => {
    const text = `${head}Sew the arms to the sides of the body, 10 rounds below the head.\n${seam}`;
    expect([14, 15]).toContain(edgeAt(text, 'body', 'front'));
  });

  test('with nothing joined to it, opposite the start of its last round', () => {
    expect([12, 13]).toContain(edgeAt(`${head}${seam}`, 'body', 'front'));
  });
});

// A head of 36 in its middle, worked from the left to the right: stitches run upwards, so underneath is a quarter of a round, 9, before the
// front. Round 8 begins at the back: its front is at 18½.
describe('on a part that lies on its side', () => {
  const lying = (sentences: string, start = 'left') =>
    analyseToy(
      `Lean: 0\nGauge: 5 mm x 5 mm\nHead\nStart: ${start}\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6: (4 sc, inc) x 6\nR7-R13: sc around\nR14: (4 sc, dec) x 6\nR15: (3 sc, dec) x 6\nR16: (2 sc, dec) x 6\nR17: (sc, dec) x 6\nR18: dec x 6\n\nFoot (make 2)\nR1: 6 sc in ring\nR2: inc x 6\nR3-R5: sc around\n${sentences}`,
    );
  const feet =
    'Sew the left foot to the head on round 7, stitch 9. Sew the right foot to the head on round 12, stitch 9.';
  const tipOf = (toy: ReturnType<typeof lying>, name: string) => {
    const unit = assembled(toy).find((one) => one.unit.name === name)!;
    return placeOf(unit, { along: 0, azimuth: 0 });
  };

  test('what is sewn to a round and a stitch is under it, left and right by the rounds', () => {
    const toy = lying(feet);
    expect(toy.joined.joins.map(({ unit, round, stitch }) => [unit.name, round, stitch])).toEqual([
      ['left foot', 7, 9],
      ['right foot', 12, 9],
    ]);
    const [left, right] = [tipOf(toy, 'left foot'), tipOf(toy, 'right foot')];
    expect(left[1]).toBeLessThan(-30);
    expect(right[1]).toBeLessThan(-30);
    expect(left[0]).toBeLessThan(right[0]!);
    const [join] = toy.joined.joins;
    const words = join?.pins?.map(({ at }) => pinWord(joinPart(toy.parts[0]!), at));
    expect(words).toEqual(['left', 'right', 'bottom', 'top']);
  });

  test('begun at the right, its rounds run to the left and its stitches down', () => {
    const toy = lying(feet, 'right');
    const [join] = toy.joined.joins;
    expect(join?.unit.side).toBe('right');
    expect(join?.problems.map(({ code }) => code)).toContain('join-side');
    expect(tipOf(toy, join!.unit.name)[1]).toBeGreaterThan(30);
  });

  test('in the middle of the front and of the back', () => {
    const toy = lying(
      'Sew one foot to the front of the head on round 9. Sew one foot to the back of the head on round 9.',
    );
    const [front, back] = toy.joined.joins.map(({ stitch }) => stitch);
    expect([front, back]).toEqual([18.5, 0.5]);
  });

  test('where up and down are asked for it still says that it can not tell', () => {
    const toy = lying('Sew the feet to the head on round 8, 4 stitches from the front.');
    expect(toy.joined.joins.every(({ round }) => round === null)).toBe(true);
    expect(toy.problems.map(({ code }) => code)).toContain('join-unworked');
  });
});

// The body of 24 begins closed: its open edge is its end. If that is its top, it was begun at the bottom, and left and right are the other
// way round: it is asked, and one tap says so. Round 24 is then the first below that edge, and 21 the fourth.
test('a top edge of a part that is taken to begin at its top is asked about', () => {
  const sentence = 'Sew the arms to the body 4 rounds below the top edge, one on each side.';
  const asked = analyseToy(toy(sentence));
  expect(asked.joined.joins.map(({ round }) => round)).toEqual([null, null]);
  const problem = asked.problems.find(({ code }) => code === 'join-row-missing');
  expect(problem?.suggestions.map(({ title }) => title)).toEqual(['Round 1 of the body is at the bottom']);
  const settled = applyEdits(toy(sentence), problem!.suggestions[0]!.edits);
  expect(places(settled).map(([, round]) => round)).toEqual([21, 21]);
  expect(places(toy('Sew the arms to the body 4 rounds below the top, one on each side.'))).toHaveLength(2);
});

const body =
  'Body\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6: (4 sc, inc) x 6\nR7-R16: sc around\nR17: (4 sc, dec) x 6\nR18: (3 sc, dec) x 6\nR19: sc around\nR20: (2 sc, dec) x 6\nR21: (sc, dec) x 6\nR22: dec x 6\n';

// Decreases over the toes, in the middle of round 4 of a foot: five rounds later, leaning a quarter of a stitch each, that is not where the
// middle of the round is. Twelve stitches from round 4 on: 6½ there, 7¾ on round 9.
test('a foot is sewn with its toes to the front, not with the middle of its last round', () => {
  const foot =
    'Foot\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: 3 sc, 6 dec, 3 sc\nR5-R9: sc around\n';
  const text = `Gauge: 5 mm x 4.2 mm\nLean: 0.25\n${body}\n${foot}Sew the foot to the front of the body on round 12.`;
  expect([7, 8]).toContain(edgeAt(text, 'foot', 'start'));
});

// A front of its own at stitch 3 of 12: its layer of six is 1 to 6 (the middle 3½ is as near as whole stitches come), and left of it is 1.
test('a flat piece with a front of its own is folded beside it', () => {
  const flat = (front: string) => {
    const ear = `Ear\n${front}\nR1: 6 sc in ring\nR2: inc x 6\nR3-R8: sc around\n`;
    const sentence = 'Flatten the ear and sew it to the front of the body on round 3.';
    const [join] = analyseToy(`Gauge: 5 mm x 4.2 mm\nLean: 0\n${body}\n${ear}${sentence}`).joined.joins;
    const left = join?.pins?.[0];
    return join?.path
      ?.filter(({ round, stitch }) => round === left?.round && stitch === left.stitch)
      .map(({ edge }) => edge);
  };
  expect(flat('Front: stitch 3.5 of round 8')).toEqual([1, 12]);
  expect(flat('Front: stitch 6.5 of round 8')).toEqual([3, 4]);
});
