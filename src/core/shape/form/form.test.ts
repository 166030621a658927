import { dome, formInput, formOf, middleOf, usualGauge } from '../../__tests__/formOf';
import { roundStarts, stitchAzimuth } from '../azimuth';
import { analyseToy } from '../../toy/analyse';
import { formText } from '../forms/formText';
import { formAzimuths } from './azimuths';
import { straightMm, surfaceMm } from './distances';
import { finishOf } from './finish';
import { measureForm, volumeMl } from './measures';
import { Relaxation, stretchOf } from './relaxation';
import { formSoFar, relaxForm } from './relaxForm';
import { facingWords, hiddenBy, outwardAt } from './sight';
import { standing, type Stand } from './stand';
import { openEdges, surfaceOf } from './surface';

const upright: Stand = { front: 0, dir: 1, start: 'bottom', lying: false };
const tube = 'R1: ch 24, join, sc in each ch around\nR2-R20: sc around';
const disc = `${dome}\nR5: (3 sc, inc) x 6\nR6: (4 sc, inc) x 6\nR7: (5 sc, inc) x 6\nR8: (6 sc, inc) x 6`;
const ball = (widthMm: number) =>
  formText({ kind: 'ball', widthMm, heightMm: widthMm, start: null }, 'Ball', usualGauge, 'us');
const degrees = (radians: number) => (radians * 180) / Math.PI;

/** Angle between the way up at the bottom and the way up at the top of a part, in degrees. */
function turnOfAxis(text: string, rounds: number): number {
  const { fabric, form } = formOf(text);
  const way = (from: number, to: number) => {
    const [a, b] = [middleOf(fabric, form, from), middleOf(fabric, form, to)];
    const d = b.map((value, axis) => value - a[axis]!);
    const size = Math.hypot(...d);
    return d.map((value) => value / size);
  };
  const [low, high] = [way(5, 7), way(rounds - 3, rounds)];
  return degrees(Math.acos(low.reduce((sum, value, axis) => sum + value * high[axis]!, 0)));
}

describe('against mathematics', () => {
  test.each(['none', 'light', 'medium'] as const)(
    'a tube of n stitches keeps its circumference within 3 %%, stuffing %s',
    (firmness) => {
      const { fabric, form } = formOf(tube, { firmness });
      const { rounds, heightMm } = measureForm(fabric, form, upright);
      for (const round of rounds.slice(1, -1)) {
        expect(Math.abs(round.circumferenceMm / (24 * 5) - 1)).toBeLessThan(0.03);
        // Stitches stand at the corners of a polygon of that circumference.
        expect(Math.abs((round.radiusMm * 2 * Math.PI) / (24 * 5) - 1)).toBeLessThan(0.04);
      }
      // Twenty rounds; the first lies one round height over the chain.
      expect(Math.abs(heightMm / (19.96 * 4.8) - 1)).toBeLessThan(0.03);
    },
  );

  test('six increases a round make a flat disc', () => {
    const { fabric, form } = formOf(disc, { firmness: 'none' });
    const { heightMm, widthMm } = measureForm(fabric, form, upright);
    expect(heightMm).toBeLessThan(widthMm * 0.1);
    expect(Math.abs(widthMm / ((48 * 5) / Math.PI) - 1)).toBeLessThan(0.05);
  });

  test.each([70, 80, 100, 120])(
    'a firm ball of %i mm is round, every stitch within 6 %% of the mean radius',
    (width) => {
      const { fabric, form } = formOf(ball(width), { firmness: 'firm', gathered: true });
      const { widthMm, heightMm, depthMm, volumeMl: volume } = measureForm(fabric, form, upright);
      expect(Math.abs(widthMm / heightMm - 1)).toBeLessThan(0.05);
      expect(Math.abs(widthMm / depthMm - 1)).toBeLessThan(0.02);
      const middle = [0, 0, 0];
      for (let i = 0; i < form.nodes.stitches * 3; i += 1)
        middle[i % 3]! += form.places[i]! / form.nodes.stitches;
      const centre = bestCentre(form.places, form.nodes.stitches, middle);
      const radii = Array.from({ length: form.nodes.stitches }, (_, i) =>
        Math.hypot(...[0, 1, 2].map((axis) => form.places[i * 3 + axis]! - centre[axis]!)),
      );
      const mean = radii.reduce((sum, radius) => sum + radius, 0) / radii.length;
      for (const radius of radii) expect(Math.abs(radius / mean - 1)).toBeLessThan(0.06);
      expect(Math.abs(volume / (((4 / 3) * Math.PI * mean ** 3) / 1000) - 1)).toBeLessThan(0.05);
    },
  );

  test('a cone’s wall rises by the angle its increases give', () => {
    // Three increases a round: the radius grows by 3w/2π, so sin of half the opening angle is that over h.
    const rounds = Array.from({ length: 14 }, (_, i) => `R${i + 2}: (${i === 0 ? '' : `${i} sc, `}inc) x 3`);
    const { fabric, form } = formOf(['R1: 3 sc in ring', ...rounds].join('\n'), { firmness: 'light' });
    const [low, high] = [
      measureForm(fabric, form, upright).rounds[5]!,
      measureForm(fabric, form, upright).rounds[13]!,
    ];
    const slope = Math.atan2(high.radiusMm - low.radiusMm, high.heightMm - low.heightMm);
    expect(Math.abs(degrees(slope) - degrees(Math.asin((3 * 5) / (2 * Math.PI) / 4.8)))).toBeLessThan(3);
  });

  test('twice the gauge is eight times the volume', () => {
    const once = formOf(ball(60), { gathered: true });
    const twice = formOf(ball(60), { gathered: true }, { widthMm: 10, heightMm: 9.6, assumed: false });
    expect(
      Math.abs(volumeMl(twice.fabric, twice.form) / volumeMl(once.fabric, once.form) / 8 - 1),
    ).toBeLessThan(0.02);
  });

  test('a cylinder’s volume is base times height', () => {
    const { fabric, form } = formOf(tube, { firmness: 'none' });
    const { rounds } = measureForm(fabric, form, upright);
    const radius = rounds[10]!.radiusMm;
    expect(Math.abs(volumeMl(fabric, form) / ((Math.PI * radius ** 2 * 19.5 * 4.8) / 1000) - 1)).toBeLessThan(
      0.05,
    );
  });
});

/** Middle of the sphere that fits best, by descent. */
function bestCentre(places: Float64Array, count: number, from: number[]): number[] {
  const centre = [...from];
  for (let pass = 0; pass < 60; pass += 1) {
    const radii = Array.from({ length: count }, (_, i) =>
      Math.hypot(...[0, 1, 2].map((axis) => places[i * 3 + axis]! - centre[axis]!)),
    );
    const mean = radii.reduce((sum, radius) => sum + radius, 0) / count;
    const pull = [0, 0, 0];
    for (let i = 0; i < count; i += 1)
      for (const axis of [0, 1, 2])
        pull[axis]! +=
          ((radii[i]! - mean) / radii[i]!) * (places[i * 3 + axis]! - centre[axis]!) * (2 / count);
    for (const axis of [0, 1, 2]) centre[axis]! += pull[axis]!;
  }
  return centre;
}

describe('what the profile can’t show', () => {
  test.each([null, 0, 0.5])(
    'a stuffed wall goes on leaning as it was measured, whatever the stuffing pulls (lean %s)',
    (lean) => {
      const input = formInput(
        `${dome}\nR5: (3 sc, inc) x 6\nR6: (4 sc, inc) x 6\nR7-R14: sc around\nR15: (4 sc, dec) x 6\nR16: (3 sc, dec) x 6\nR17: (2 sc, dec) x 6\nR18: (sc, dec) x 6\nR19: dec x 6`,
        { firmness: 'firm', gathered: true },
      );
      const starts = roundStarts(input.fabric, lean);
      const form = relaxForm({ ...input, starts });
      const azimuths = formAzimuths(input.fabric, form, starts);
      const off: number[] = [];
      for (let round = 0; round < input.fabric.rounds; round += 1) {
        const [from, to] = [input.fabric.offset[round]!, input.fabric.offset[round + 1]!];
        let sum = 0;
        for (let i = from; i < to; i += 1)
          sum += azimuths[i]! - stitchAzimuth(input.fabric, starts, round + 1, i - from + 1);
        off.push(sum / 2 / Math.PI);
      }
      // From the first to the last round of the wall, in stitches: half a stitch would put an eye a hole off.
      expect(Math.abs(off[13]! - off[6]!)).toBeLessThan(0.25);
    },
  );

  test('tall stitches on one side turn the axis by more than 15°', () => {
    const tall = [8, 9, 10].map((round) => `R${round}: sc 6, hdc 6, dc 6, hdc 6`).join('\n');
    expect(turnOfAxis(`${dome}\nR5-R7: sc around\n${tall}\nR11-R16: sc around`, 16)).toBeGreaterThan(15);
    expect(turnOfAxis(`${dome}\nR5-R16: sc around`, 16)).toBeLessThan(3);
  });

  test('increases piled on one side push out on that side', () => {
    const text = (line: string, back: string) =>
      `${dome}\nR5-R8: sc around\nR9: ${line}\nR10-R12: sc around\nR13: ${back}\nR14-R17: sc around`;
    const out = (line: string, back: string) => {
      const { fabric, form } = formOf(text(line, back));
      const middle = middleOf(fabric, form, 8);
      const from = fabric.offset[10]!;
      const count = fabric.offset[11]! - from;
      const radii = Array.from({ length: count }, (_, i) =>
        Math.hypot(form.places[(from + i) * 3]! - middle[0]!, form.places[(from + i) * 3 + 1]! - middle[1]!),
      );
      const mean = (a: number, b: number) =>
        radii.slice(a, b).reduce((sum, radius) => sum + radius, 0) / (b - a);
      // Stitches 8 to 20 of round 11 lie over the piled increases, the last eight opposite.
      return mean(8, 20) / ((mean(0, 3) + mean(count - 8, count)) / 2);
    };
    expect(out('sc 6, inc 8, sc 10', 'sc 6, dec 8, sc 10')).toBeGreaterThan(1.1);
    expect(Math.abs(out('(2 sc, inc) x 8', '(2 sc, dec) x 8') - 1)).toBeLessThan(0.06);
  });

  test('a round in back loops folds the sole off sharply, the same round in both loops bends softly', () => {
    const crease = (word: string) => {
      const text = `${dome}\nR5: (3 sc, inc) x 6\nR6: (4 sc, inc) x 6\nR7: ${word}sc around\nR8-R12: sc around`;
      const toy = analyseToy(text).parts[0]!;
      const { fabric, form } = formOf(text, {
        sole: finishOf({ part: toy.source, fabric: toy.fabric, profile: toy.profile, front: 0 }).sole,
      });
      const at = measureForm(fabric, form, upright).rounds;
      const slope = (low: number, high: number) =>
        Math.atan2(
          at[high - 1]!.heightMm - at[low - 1]!.heightMm,
          at[high - 1]!.radiusMm - at[low - 1]!.radiusMm,
        );
      return { fold: degrees(slope(6, 7) - slope(5, 6)), sole: Math.abs(at[5]!.heightMm - at[1]!.heightMm) };
    };
    const [ridge, plain] = [crease('BLO '), crease('')];
    expect(ridge.fold).toBeGreaterThan(plain.fold + 15);
    expect(ridge.sole).toBeLessThan(plain.sole);
  });

  test('an oval is longer than it is wide, and rounds up further from its chain', () => {
    const { fabric, form } = formOf(
      'R1: ch 13, sc in 2nd ch from hook, sc in next 10 ch, 3 sc in last ch, other side: sc in next 10 ch, 2 sc in last ch\nR2: inc, sc 10, inc 3, sc 10, inc 2\nR3-R4: sc around',
      { firmness: 'none' },
    );
    const { widthMm, depthMm } = measureForm(fabric, form, upright);
    expect(Math.max(widthMm, depthMm)).toBeGreaterThan(1.6 * Math.min(widthMm, depthMm));
  });

  test('slip-stitch rounds are low, tall rounds are high', () => {
    const height = (word: string) => {
      const { fabric, form } = formOf(
        `R1: ch 24, join, sc in each ch around\nR2-R4: sc around\nR5: ${word} around\nR6-R8: sc around`,
        { firmness: 'none' },
      );
      const { rounds } = measureForm(fabric, form, upright);
      return rounds[5]!.heightMm - rounds[3]!.heightMm;
    };
    expect(height('sl st')).toBeLessThan(0.8 * height('sc'));
    expect(height('dc')).toBeGreaterThan(1.4 * height('sc'));
  });

  test('a piece in rows lies flat; a folded piece closes; a pressed one is thin; a frill stands out', () => {
    const rows = formOf(
      'Row 1: ch 11, sc in 2nd ch from hook and in each ch across, turn\nRows 2-8: ch 1, sc across, turn',
      { firmness: 'none' },
    );
    const flat = measureForm(rows.fabric, rows.form, upright);
    expect(flat.depthMm).toBeCloseTo(0, 3);
    expect(flat.widthMm).toBeCloseTo(45, 0);
    expect(flat.volumeMl).toBe(0);

    const folded = formOf(
      `${dome}\nR5-R9: sc around\nR10: fold in half, sc through both layers along the edge`,
      { firmness: 'none' },
    );
    expect(folded.fabric.folded).toBe(10);
    const first = folded.fabric.offset[8]!;
    expect(straightMm(folded.form, first + 3, first + 20)).toBeLessThan(5);

    const open = `${dome}\nR5-R9: sc around`;
    const pressed = formOf(open, { firmness: 'none', pressedAt: 0 });
    const round = formOf(open, { firmness: 'none' });
    expect(measureForm(pressed.fabric, pressed.form, upright).depthMm).toBeLessThan(
      0.5 * measureForm(round.fabric, round.form, upright).depthMm,
    );

    const frill = formOf(
      'R1: ch 20, join, sc in each ch around\nR2-R5: sc around\nR6: BLO sc around\nR7-R9: sc around\nR10: into the front loops of R5: inc around',
    );
    const around = measureForm(frill.fabric, frill.form, upright).rounds;
    expect(around[9]!.radiusMm).toBeGreaterThan(around[4]!.radiusMm * 1.15);
    expect(Math.abs(around[9]!.heightMm - around[4]!.heightMm)).toBeLessThan(5);
    expect(volumeMl(frill.fabric, frill.form)).toBeLessThan(((Math.PI * 17 ** 2 * 45) / 1000) * 1.1);
  });

  test('firmer is bigger, and stretched by what the firmness asks', () => {
    const volumes = (['light', 'medium', 'firm'] as const).map((firmness) => {
      const relaxation = new Relaxation(formInput(ball(70), { firmness, gathered: true }));
      relaxation.run(1000);
      expect(Math.abs(relaxation.stretch() - stretchOf[firmness])).toBeLessThan(0.003);
      return volumeMl(formInput(ball(70)).fabric, formSoFar(relaxation, 5));
    });
    expect(volumes[1]).toBeGreaterThan(volumes[0]!);
    expect(volumes[2]).toBeGreaterThan(volumes[1]!);
  });
});

describe('truth of the method', () => {
  test('the same part relaxes to the same form, at once or in pieces', () => {
    const input = formInput(ball(60), { gathered: true });
    const whole = relaxForm(input);
    const bits = new Relaxation(input);
    while (!bits.resting) bits.run(7);
    expect(formSoFar(bits, 5)).toEqual(whole);
    expect(relaxForm(formInput(ball(60), { gathered: true }))).toEqual(whole);
  });

  test('left-handed is the mirror image of right-handed', () => {
    const { form } = formOf(`${dome}\nR5-R9: sc around`);
    const right = standing(form, { front: 1, dir: 1, start: 'top', lying: false }, false);
    const left = standing(form, { front: 1, dir: -1, start: 'top', lying: false }, false);
    for (let i = 0; i < right.length; i += 3) {
      expect(left[i]).toBeCloseTo(-right[i]!, 4);
      expect([left[i + 1], left[i + 2]]).toEqual([right[i + 1], right[i + 2]]);
    }
  });

  test('start at the bottom stands on its head: turned about the line of sight, not mirrored', () => {
    const { form } = formOf(`${dome}\nR5-R9: sc around`);
    const top = standing(form, { front: 1, dir: 1, start: 'top', lying: false }, false);
    const bottom = standing(form, { front: 1, dir: -1, start: 'bottom', lying: false }, false);
    for (let i = 0; i < top.length; i += 3)
      expect(
        [bottom[i]! + top[i]!, bottom[i + 1]! + top[i + 1]!, bottom[i + 2]! - top[i + 2]!].map(
          (value) => Math.abs(value) < 1e-3,
        ),
      ).toEqual([true, true, true]);
  });

  test('a symmetric part comes out symmetric within 1 % of its width', () => {
    const { fabric, form } = formOf(ball(90), { gathered: true, firmness: 'firm' });
    const { widthMm } = measureForm(fabric, form, upright);
    const placed = standing(form, upright, false);
    const { stitches } = form.nodes;
    const off: number[] = [];
    for (let i = 0; i < stitches; i += 1) {
      // The mirror image of a stitch against the surface at the stitch nearest to it.
      const [x, y, z] = [-placed[i * 3]!, placed[i * 3 + 1]!, placed[i * 3 + 2]!];
      let [near, best] = [0, Infinity];
      for (let j = 0; j < stitches; j += 1) {
        const far = (placed[j * 3]! - x) ** 2 + (placed[j * 3 + 1]! - y) ** 2 + (placed[j * 3 + 2]! - z) ** 2;
        if (far < best) {
          near = j;
          best = far;
        }
      }
      const out = outwardAt({ nodes: form.nodes, placed, stand: upright }, near);
      off.push(
        Math.abs(
          (x - placed[near * 3]!) * out[0] +
            (y - placed[near * 3 + 1]!) * out[1] +
            (z - placed[near * 3 + 2]!) * out[2],
        ),
      );
    }
    off.sort((one, other) => one - other);
    expect(off.reduce((sum, value) => sum + value, 0) / stitches).toBeLessThan(0.01 * widthMm);
    expect(off[Math.floor(stitches * 0.95)]!).toBeLessThan(0.02 * widthMm);
  });

  test('even parts stand where the profile says, within a stitch; starts in joined rounds do not wander', () => {
    const { input, fabric, form } = formOf(`Rounds: joined\n${dome}\nR5-R12: sc around`);
    const azimuths = formAzimuths(fabric, form, input.starts);
    for (let round = 5; round <= 12; round += 1) {
      const first = azimuths[fabric.offset[round - 1]!]!;
      expect(Math.abs(first - (input.starts[round - 1]! + Math.PI / 24))).toBeLessThan((2 * Math.PI) / 24);
    }
  });

  test('on an oval, stitches at the far ends span less of the turn than those along the sides', () => {
    const { input, fabric, form } = formOf(
      'R1: ch 13, sc in 2nd ch from hook, sc in next 10 ch, 3 sc in last ch, other side: sc in next 10 ch, 2 sc in last ch\nR2: inc, sc 10, inc 3, sc 10, inc 2\nR3-R4: sc around',
      { firmness: 'none' },
    );
    const azimuths = formAzimuths(fabric, form, input.starts);
    const from = fabric.offset[3]!;
    const steps = Array.from({ length: 31 }, (_, i) => azimuths[from + i + 1]! - azimuths[from + i]!);
    for (const step of steps) expect(step).toBeGreaterThan(0);
    const even = (2 * Math.PI) / 32;
    const far = (i: number) => Math.hypot(form.places[(from + i) * 3]!, form.places[(from + i) * 3 + 1]!);
    const farthest = steps.map((_, i) => i).reduce((best, i) => (far(i) > far(best) ? i : best), 0);
    const nearest = steps.map((_, i) => i).reduce((best, i) => (far(i) < far(best) ? i : best), 0);
    expect(steps[farthest]!).toBeLessThan(0.8 * even);
    expect(steps[nearest]!).toBeGreaterThan(1.2 * even);
  });
});

describe('surface and measures', () => {
  test('a gathered ball has no open edge, a tube has two', () => {
    const closed = formOf(ball(50), { gathered: true });
    const edges = openEdges(surfaceOf(closed.fabric, closed.form.nodes));
    // A spiral's last stitch leaves a small gap beside it.
    for (const loop of edges) expect(loop.length).toBeLessThan(5);
    const open = formOf(tube);
    expect(
      openEdges(surfaceOf(open.fabric, open.form.nodes)).filter((loop) => loop.length > 20),
    ).toHaveLength(2);
  });

  test('the way around a tube by tape is half its circumference, straight through it is its diameter', () => {
    const { fabric, form } = formOf(tube, { firmness: 'none' });
    const a = fabric.offset[10]!;
    const b = a + 12;
    expect(Math.abs(surfaceMm(form, a)[b]! / (12 * 5) - 1)).toBeLessThan(0.04);
    expect(Math.abs(straightMm(form, a, b) / ((24 * 5) / Math.PI) - 1)).toBeLessThan(0.05);
  });

  test('along a ball the tape follows the great circle', () => {
    const { fabric, form } = formOf(ball(80), { gathered: true, firmness: 'firm' });
    const { rounds, heightMm } = measureForm(fabric, form, upright);
    const widest = rounds.reduce((best, round, i) => (round.radiusMm > rounds[best]!.radiusMm ? i : best), 0);
    const far = surfaceMm(form, form.nodes.startPole);
    const from = fabric.offset[widest]!;
    expect(Math.abs(far[from]! / ((Math.PI / 4) * heightMm) - 1)).toBeLessThan(0.06);
    expect(far[form.nodes.startPole]).toBe(0);
  });

  test('distance is the same both ways', () => {
    const { form } = formOf(`${dome}\nR5-R9: sc around`);
    const there = surfaceMm(form, 20);
    for (const other of [0, 60, 100, 150]) expect(surfaceMm(form, other)[20]).toBeCloseTo(there[other]!, 6);
  });

  test('the front of a ball faces forward and is seen; from the back the ball itself is in the way', () => {
    const { fabric, form, input } = formOf(ball(70), { gathered: true });
    const stand: Stand = { front: 2, dir: 1, start: 'top', lying: false };
    const placed = standing(form, stand, false);
    const azimuths = formAzimuths(fabric, form, input.starts);
    const round = 11;
    const from = fabric.offset[round - 1]!;
    const front = Array.from({ length: fabric.offset[round]! - from }, (_, i) => from + i).reduce(
      (best, stitch) => (Math.cos(azimuths[stitch]! - 2) > Math.cos(azimuths[best]! - 2) ? stitch : best),
      from,
    );
    expect(facingWords(outwardAt({ nodes: form.nodes, placed, stand }, front))).toBe('forward');
    expect(hiddenBy(fabric, { nodes: form.nodes, placed }, front, 'front')).toEqual([]);
    const back = hiddenBy(fabric, { nodes: form.nodes, placed }, front, 'back');
    expect(back.length).toBeGreaterThan(0);
    for (const hiding of back) expect(Math.abs(hiding - round)).toBeLessThanOrEqual(2);
    const crown = outwardAt({ nodes: form.nodes, placed, stand }, 2);
    expect(facingWords(crown)).toContain('up');
  });

  test.each([
    ['', 'no stitches'],
    ['R1: 6 sc in ring', 'one round'],
    ['R1: 1 sc in ring\nR2: sc', 'a thread'],
    ['R1: 6 sc in ring\nR2: sc 3', 'unfinished'],
    ['R1: ch 1', 'a chain'],
  ])('%j gives a form without a fault', (text) => {
    const part = analyseToy(text || 'Head').parts[0];
    if (!part) return;
    const { fabric, form } = formOf(
      text || 'Head',
      finishOf({ part: part.source, fabric: part.fabric, profile: part.profile, front: 0 }),
    );
    for (const value of form.places) expect(Number.isFinite(value)).toBe(true);
    for (const value of Object.values(measureForm(fabric, form, upright)).filter(
      (one) => typeof one === 'number',
    ))
      expect(Number.isFinite(value)).toBe(true);
  });
});
