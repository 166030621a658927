import { palette } from '../../ui/palette';
import { holePoint } from '../../core/shape/form/holePoint';
import type { SurfacePoint } from '../../core/shape/form/surfacePoint';
import type { RelaxedForm } from '../../core/shape/form/relaxForm';
import { outwardAt } from '../../core/shape/form/sight';
import { isMirrored, standing } from '../../core/shape/form/stand';
import { stitchFrames, type StitchFrames } from '../../core/shape/form/stitchFrames';
import { surfaceOf, type Surface } from '../../core/shape/form/surface';
import { featureColour } from '../../core/place/rule/library';
import { hasPost } from '../../core/place/rule/rule';
import type { ToyHeader } from '../../core/notation/pattern';
import type { PartAnalysis } from '../../core/toy/analyse';
import { finishOfPart, standOf } from '../../core/toy/formOfPart';
import { yarnColour } from '../../core/supplies/yarnColour';

/** Everything a picture of a form is drawn from. Lengths in mm, as the part stands. */
export interface DrawnForm {
  placed: Float32Array;
  frames: StitchFrames[];
  surface: Surface;
  /** screen colour of each stitch */
  colours: string[];
  mirrored: boolean;
  stuffed: boolean;
  /** mean stitch width */
  step: number;
  eyes: {
    at: [number, number, number];
    out: [number, number, number];
    radius: number;
    washer: number;
    style?: 'oval';
    ring?: { radius: number; of: 'felt' | 'crochet' };
  }[];
  /** stitched strokes, from where the needle comes out to where it goes in */
  strokes: { from: SurfacePoint; to: SurfacePoint; colour: string }[];
  /** felt and crocheted pieces, buttons */
  patches: { at: SurfacePoint; radius: number; colour: string }[];
  outward: (stitch: number) => [number, number, number];
  selected: number | null;
  measured: readonly number[];
  /** nodes the measuring tape passes */
  tape: readonly number[];
}

/** Gathers what is drawn of a part and its relaxed form. */
export function drawnForm(part: PartAnalysis, form: RelaxedForm, header: ToyHeader): DrawnForm {
  const { fabric } = part;
  const stand = standOf(part);
  const placed = standing(form, stand, fabric.row[0] === 1);
  const tints = fabric.palette.map((name) => yarnColour(name, header));
  const standingForm = { nodes: form.nodes, placed, stand };
  const at = (line: number, hole: number) => holePoint(fabric, standingForm, line, hole);
  const eyes = part.features.flatMap(({ rule, units, seat, washerMm }) => {
    if (washerMm === null || rule.sizeMm === null) return [];
    const radius = rule.sizeMm / 2;
    const style = rule.style === 'oval' ? rule.style : undefined;
    const ring = rule.ring ? { ring: { radius: rule.ring.sizeMm / 2, of: rule.ring.of } } : {};
    return units.flatMap((unit) => {
      const point = at(unit.fromLine, unit.from + (seat === 'split' ? 0.5 : 0));
      return point ? [{ at: point.at, out: point.out, radius, washer: washerMm, style, ...ring }] : [];
    });
  });
  const strokes = part.features.flatMap(({ kind, needle }) =>
    (needle?.lies ?? []).flatMap(([from, to]) => {
      const [out, into] = [needle?.points[from], needle?.points[to]];
      const [a, b] = [out && at(out.line, out.hole), into && at(into.line, into.hole)];
      return a && b ? [{ from: a, to: b, colour: featureColour(kind) }] : [];
    }),
  );
  const patches = part.features.flatMap((feature) =>
    feature.needle || hasPost(feature.rule)
      ? []
      : feature.units.flatMap((unit) => {
          // The middle hole of its span; over the start of the round the span runs on.
          const span = (((unit.to - unit.from) % unit.of) + unit.of) % unit.of;
          const middle = at(
            unit.fromLine,
            Math.round((unit.from + span / 2) * 2) / 2 + (feature.seat === 'split' ? 0.5 : 0),
          );
          return middle
            ? [{ at: middle, radius: Math.max(unit.halfMm, 2), colour: featureColour(feature.kind) }]
            : [];
        }),
  );
  return {
    placed,
    frames: stitchFrames(fabric, standingForm),
    surface: surfaceOf(fabric, form.nodes),
    colours: Array.from(fabric.colour, (index) => tints[index] ?? palette.yarnUnknown),
    mirrored: isMirrored(stand),
    stuffed: finishOfPart(part).firmness !== 'none',
    step: part.form.gauge.widthMm,
    eyes,
    strokes,
    patches,
    outward: (stitch) => outwardAt(standingForm, stitch),
    selected: null,
    measured: [],
    tape: [],
  };
}
