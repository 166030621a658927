import { roundCount } from '../../fabric/fabric';
import type { Problem, Suggestion } from '../../notation/problem';
import type { EyePlacement } from '../eyes';
import { washerMm } from '../hardware';
import type { FeaturePlacement } from '../features/featurePlacement';
import { atDistance, type FeatureRule } from '../features/featureRule';
import { featureStep, writeFeature } from '../features/featureSentence';
import { choosePair } from '../pair';
import type { PartForm } from '../partForm';
import { underWasher, underWasherWords } from '../washers';
import { placeOf, type LyingFrame } from './frame';
import { raisedByStitches } from './raisedByStitches';

/** Half a round is what whole rounds cost where the middle falls on one. */
const offFrom = 0.55;
const mm = (value: number) => `${value < 10 ? Math.round(value * 10) / 10 : Math.round(value)} mm`;

interface Area {
  id: string;
  x: number;
  y: number;
  z: number;
  halfWide: number;
  halfHigh: number;
}

/** Conflicts of a feature on a part that lies on its side; each with remedies that rewrite its sentence. */
export function lyingProblems(
  form: PartForm,
  frame: LyingFrame,
  placed: FeaturePlacement,
  all: readonly FeaturePlacement[],
  eyes: EyePlacement | null,
): Problem[] {
  const { part, fabric } = form;
  const { rule, id, kind, units } = placed;
  const step = featureStep(part, id);
  const problems: Problem[] = [];
  const change = (title: string, next: Partial<FeatureRule>): Suggestion => ({
    title,
    edits: [writeFeature(part, id, { ...rule, ...next })],
  });
  const add = (
    code: string,
    severity: Problem['severity'],
    message: string,
    suggestions: Suggestion[] = [],
  ) =>
    problems.push({
      code,
      severity,
      part: part.name,
      line: step?.line,
      column: (step?.span.from ?? 0) + 1,
      message,
      suggestions,
    });
  const moved = [-1, 1]
    .map((by) => raisedByStitches(rule, by, placed.counted))
    .flatMap((next, i) => (next ? [change(i === 0 ? '1 stitch down' : '1 stitch up', next)] : []));

  const oneSide = rule.sides === 'left' || rule.sides === 'right';
  const single = rule.sides === 'middle';
  if (!oneSide && Math.abs(placed.missStitches) >= offFrom) {
    const size = placed.apart ?? rule.wide;
    const better = [size, size + 1, size - 1].filter(
      (one) => one > 0 && Math.abs(choosePair(frame.middle, one).miss) < Math.abs(placed.missStitches) - 0.05,
    );
    add(
      'not-centred',
      'warning',
      `The middle ${single ? 'of' : 'between'} the ${id} falls ${Math.round(Math.abs(placed.missStitches) * 100) / 100} of a round ${placed.missSide} of the middle of the face, ${mm(placed.missMm)}.`,
      better
        .slice(0, 3)
        .map((one) =>
          single
            ? change(`${one} wide`, { wide: one, sideways: { by: 'front' } })
            : change(`${one} rounds apart`, { sideways: atDistance(placed.rule.sideways, one) }),
        ),
    );
  }
  const closes = roundCount(fabric, fabric.rounds) <= 12;
  if (closes && units.some(({ toLine, fromLine }) => fabric.rounds - Math.max(toLine, fromLine) <= 1))
    add(
      'near-closing',
      'warning',
      `The ${id} lies on the rounds that close the piece, where the fabric is drawn together.`,
    );
  if (kind === 'nose' && !rule.embroidered && rule.sizeMm !== null) {
    const across = washerMm(rule.sizeMm);
    const [post] = units;
    const under =
      post && underWasherWords(underWasher(form, post.fromLine, post.fromAzimuth, across), fabric.label);
    if (under)
      add(
        under.code,
        'warning',
        `The washer of the nose, about ${mm(across)} across, ${under.words}: it will not sit flat.`,
        moved,
      );
    for (const eye of post ? (eyes?.posts ?? []) : []) {
      const [a, b] = [
        placeOf(form, frame, eye),
        placeOf(form, frame, { line: post!.fromLine, azimuth: post!.fromAzimuth }),
      ];
      const away = Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
      const room = (across + (eyes?.washerMm ?? 0)) / 2;
      if (away < room)
        add(
          'washers-overlap',
          'error',
          `The washers of the nose and the ${eye.side} eye need ${mm(room)} from post to post, and have ${mm(away)}: they overlap inside.`,
          moved,
        );
    }
  }
  if (kind !== 'sculpting') {
    const touching =
      kind === 'lashes' ||
      (rule.sideways.by === 'inLine' && rule.sideways.to === 'eyes' && rule.vertical?.by === 'level');
    const others = [
      ...all
        .slice(0, all.indexOf(placed))
        .filter((other) => other.kind !== 'sculpting')
        .flatMap((other) => areasOf(form, frame, other)),
      ...(touching ? [] : eyeAreas(form, frame, eyes)),
    ];
    const own = areasOf(form, frame, placed);
    for (const other of new Set(others.map((area) => area.id))) {
      const touch = own.some((area) =>
        others.some(
          (one) =>
            one.id === other &&
            Math.sign(one.z) === Math.sign(area.z) &&
            Math.abs(one.x - area.x) < one.halfWide + area.halfWide - 0.5 &&
            Math.abs(one.y - area.y) < one.halfHigh + area.halfHigh - 0.5,
        ),
      );
      if (touch) add('features-overlap', 'warning', `The ${id} and the ${other} lie over each other.`, moved);
    }
  }
  return problems;
}

function areasOf(form: PartForm, frame: LyingFrame, { id, rule, units }: FeaturePlacement): Area[] {
  const sized = rule.sizeMm !== null && !rule.embroidered;
  const high = sized ? (rule.sizeMm ?? 0) : rule.high * form.gauge.widthMm;
  return units.map((unit) => {
    const [a, b] = [
      placeOf(form, frame, { line: unit.fromLine, azimuth: unit.fromAzimuth }),
      placeOf(form, frame, { line: unit.toLine, azimuth: unit.toAzimuth }),
    ];
    // What is stitched reaches down from its line; what is sewn on lies about it.
    return {
      id,
      x: (a[0] + b[0]) / 2,
      y: (a[1] + b[1]) / 2 - (sized ? 0 : Math.max(0, high - form.gauge.widthMm) / 2),
      z: a[2],
      halfWide: unit.halfMm,
      halfHigh: Math.max(1, high) / 2,
    };
  });
}

function eyeAreas(form: PartForm, frame: LyingFrame, eyes: EyePlacement | null): Area[] {
  return (eyes?.posts ?? []).map((post) => {
    const [x, y, z] = placeOf(form, frame, post);
    const half = (eyes?.rule.sizeMm ?? 0) / 2;
    return { id: 'eyes', x, y, z, halfWide: half, halfHigh: half };
  });
}
