import { roundCount } from '../../fabric/fabric';
import type { FeatureKind } from '../../notation/sentence/said';
import { gapOf, upOf, widestRadius } from '../frame/faceFrame';
import { liesOnItsSide } from '../frame/frameOf';
import { frontAzimuth } from '../frame/frontLine';
import { holeAt } from '../frame/holes';
import { landmarkLines } from '../frame/landmarks';
import { choosePair } from '../frame/pair';
import { seatHoles, type PartForm } from '../frame/partForm';
import { levelPair, linesApart, middleOf } from '../frame/sidewaysFrame';
import { usualEyeMm } from './hardware';
import { featureLibrary } from './library';
import { usualSideways, usualVertical } from './readRule';
import type { FeatureRule } from './rule';

/**
 * A rule to begin with, for a feature set by thumb: as makers usually do it, a stitch (a round on a part that lies) wider or narrower
 * where that centres it better.
 *
 * @param eyes the line of holes of the eyes, by index; 0 where there are none
 * @param front azimuth of the front line
 */
export function proposedRule(kind: FeatureKind, form: PartForm, eyes: number, front: number): FeatureRule {
  if (kind === 'eyes') return proposedEyes(form);
  if (liesOnItsSide(form)) return proposedSideways(kind, form);
  const entry = featureLibrary[kind];
  const usual = usualVertical(kind);
  const line = usualLine(kind, form, eyes);
  const along = line ?? Math.max(1, Math.min(form.fabric.rounds - 1, Math.round(form.fabric.rounds / 2)));
  const middle = holeAt(seatHoles(form, along, 'foot'), front);
  const miss = (wide: number) => Math.abs(choosePair(middle, wide).miss);
  const byLine = { by: 'gap', gap: gapOf(form, along) } as const;
  return {
    ...bareRule(kind),
    wide: centredWidth(kind, [0, -1, 1], miss),
    vertical: kind === 'key ring' ? { by: 'start' } : ((line === null ? null : usual) ?? byLine),
    sideways: entry.pair ? usualSideways(kind) : { by: 'front' },
  };
}

function bareRule(kind: FeatureKind): Omit<FeatureRule, 'wide' | 'vertical' | 'sideways'> {
  const { styles, stitched, usualMm, high, pair } = featureLibrary[kind];
  return {
    kind,
    style: styles[0] ?? null,
    embroidered: stitched,
    sizeMm: stitched ? null : usualMm,
    high,
    sides: pair ? 'both' : 'middle',
    seat: null,
  };
}

/** The usual width, or one beside it that lies nearer to the middle. */
function centredWidth(kind: FeatureKind, steps: readonly number[], miss: (wide: number) => number): number {
  const { wide, pair, stitched } = featureLibrary[kind];
  if (pair || !stitched) return wide;
  const widths = steps.map((by) => wide + by).filter((width) => width > 0);
  return widths.reduce((best, width) => (miss(width) < miss(best) - 0.05 ? width : best));
}

/** The line a feature usually lies on, by the eyes; null where that is not on the part. */
function usualLine(kind: FeatureKind, form: PartForm, eyes: number): number | null {
  const { usual } = featureLibrary[kind];
  if (!usual || eyes <= 0) return null;
  const line = eyes + upOf(form) * (usual.direction === 'above' ? 1 : -1) * usual.rounds;
  return line >= 1 && line < form.fabric.rounds ? line : null;
}

function proposedSideways(kind: FeatureKind, form: PartForm): FeatureRule {
  const { usual, pair } = featureLibrary[kind];
  const miss = (wide: number) => Math.abs(choosePair(middleOf(form), wide).miss);
  return {
    ...bareRule(kind),
    lying: true,
    wide: centredWidth(kind, [0, 1, -1], miss),
    vertical: usual
      ? { by: 'stitches', stitches: usual.rounds, direction: usual.direction, to: 'eyes' }
      : { by: 'stitches', stitches: 0, direction: 'above', to: 'front' },
    sideways: pair ? usualSideways(kind) : { by: 'front' },
  };
}

/** Eyes to begin with where nothing is said; only a first guess to move about. */
export function proposedEyes(form: PartForm): FeatureRule {
  const rule: FeatureRule = {
    ...bareRule('eyes'),
    style: null,
    sizeMm: usualEyeMm(form.gauge.widthMm),
    wide: 1,
    high: 1,
    vertical: null,
    sideways: { by: 'front' },
    seat: 'foot',
  };
  if (!liesOnItsSide(form)) {
    const line = usualEyeLine(form);
    const apart = usualEyesApart(form, line);
    return { ...rule, vertical: { by: 'gap', gap: gapOf(form, line) }, sideways: { by: 'apart', apart } };
  }
  const [first, second] = usualEyeLines(form);
  return {
    ...rule,
    lying: true,
    vertical: { by: 'stitches', stitches: 0, direction: 'above', to: 'front' },
    sideways: { by: 'rounds', from: gapOf(form, first)[0], to: gapOf(form, second)[0] },
  };
}

/** The line in the middle of the part's wall, above the neck where head and body are worked in one piece. */
export function usualEyeLine({ fabric, orientation }: PartForm): number {
  const necks = orientation.lying ? [] : landmarkLines(fabric, 'neck');
  // The uppermost piece: the first that is worked where the start is at the top, else the last.
  const [from, to] =
    orientation.start === 'top' ? [1, necks[0] ?? fabric.rounds] : [(necks.at(-1) ?? 0) + 1, fabric.rounds];
  let widest = 0;
  for (let round = from; round <= to; round += 1) widest = Math.max(widest, roundCount(fabric, round));
  const wall: number[] = [];
  for (let round = from; round < to; round += 1) {
    if (roundCount(fabric, round) === widest && roundCount(fabric, round + 1) === widest) wall.push(round);
  }
  const fallback = Math.max(1, Math.min(fabric.rounds - 1, Math.round((from - 1 + to) / 2)));
  return wall[Math.floor(wall.length / 2)] ?? fallback;
}

/** A sixth of the round. */
export function usualEyesApart({ fabric }: PartForm, line: number): number {
  const count = roundCount(fabric, line + 1);
  return Math.max(2, Math.min(Math.round(count / 6), count - 1));
}

/** On a part that lies: about half the face apart, a round more or fewer where the holes of those lines lie nearer to level. */
export function usualEyeLines(form: PartForm): [number, number] {
  const { part, fabric, gauge, starts } = form;
  const most = Math.max(1, fabric.rounds - 2);
  const usual = Math.max(1, Math.min(most, Math.round(widestRadius(form) / gauge.heightMm)));
  const off = (apart: number) => {
    const lines = linesApart(form, apart);
    const beside = lines.flatMap((line) => [line, line + 1]);
    const front = frontAzimuth(part, fabric, starts, beside);
    const wanted = { heightMm: 0, seat: 'foot' } as const;
    const [one, other] = levelPair(form, { front, facing: 1 }, lines, wanted);
    const unlevel = Math.abs(one.heightMm - other.heightMm) / gauge.widthMm;
    const beyond = Math.abs((lines[0] + lines[1]) / 2 - middleOf(form));
    return unlevel + beyond + Math.abs(apart - usual) / 10;
  };
  const near = [0, 1, -1, 2, -2].map((by) => usual + by).filter((one) => one >= 1 && one <= most);
  return linesApart(
    form,
    near.reduce((best, one) => (off(one) < off(best) - 1e-9 ? one : best), usual),
  );
}
