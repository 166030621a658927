import { formAzimuths } from '../../core/shape/form/azimuths';
import { pointAt } from '../../core/shape/form/pointAt';
import type { RelaxedForm } from '../../core/shape/form/relaxForm';
import { outwardAt } from '../../core/shape/form/sight';
import { isMirrored, standing } from '../../core/shape/form/stand';
import { stitchFrames, type StitchFrames } from '../../core/shape/form/stitchFrames';
import { surfaceOf, type Surface } from '../../core/shape/form/surface';
import { washerMm } from '../../core/place/hardware';
import type { ToyHeader } from '../../core/notation/pattern';
import type { PartAnalysis } from '../../core/toy/analyse';
import { finishOf } from '../../core/shape/form/finish';
import { standOf } from '../../core/toy/formOfPart';
import { yarnColour } from '../../ui/yarnColour';

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
  eyes: { at: [number, number, number]; out: [number, number, number]; radius: number; washer: number }[];
  outward: (stitch: number) => [number, number, number];
  selected: number | null;
  measured: readonly number[];
  /** nodes the measuring tape passes */
  tape: readonly number[];
}

/** Gathers what is drawn of a part and its relaxed form. */
export function drawnForm(part: PartAnalysis, form: RelaxedForm, header: ToyHeader): DrawnForm {
  const { fabric, starts } = part;
  const stand = standOf(part);
  const placed = standing(form, stand, fabric.row[0] === 1);
  const azimuths = formAzimuths(fabric, form, starts);
  const tints = fabric.palette.map((name) => yarnColour(name, header));
  const eyes = part.eyes?.posts.flatMap((post) => {
    const point = pointAt(fabric, form.nodes, placed, stand, azimuths, part.eyes?.round ?? 1, post.azimuth);
    const size = part.eyes?.rule.sizeMm ?? 8;
    return point ? [{ at: point.at, out: point.out, radius: size / 2, washer: washerMm(size) }] : [];
  }) ?? [];
  return {
    placed, frames: stitchFrames(fabric, form.nodes, placed, stand), surface: surfaceOf(fabric, form.nodes),
    colours: Array.from(fabric.colour, (index) => tints[index] ?? '#ffffff'), mirrored: isMirrored(stand),
    stuffed: finishOf(part.source, fabric, part.profile, part.map.front).firmness !== 'none', step: part.form.gauge.widthMm, eyes,
    outward: (stitch) => outwardAt(form.nodes, placed, stand, stitch), selected: null, measured: [], tape: [],
  };
}
