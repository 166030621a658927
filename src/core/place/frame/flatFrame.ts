import { turn } from '../../shape/azimuth';
import { widestRadius, type FaceFrame, type Place } from './faceFrame';
import type { PartForm } from './partForm';
import { uprightFrame } from './uprightFrame';

/** The face of a piece worked in rows: its middle lies between its edges, nothing goes round and no row climbs. */
export function flatFrame(form: PartForm, front: number): FaceFrame {
  const upright = uprightFrame(form, front);
  const widthMm = turn * widestRadius(form);
  const angle = (a: Place, b: Place) => Math.abs(a.azimuth - b.azimuth);
  return {
    ...upright,
    shareApart: (line, apart) => (upright.row(line, front, false).stepMm * apart) / widthMm,
    higherMm: () => 0,
    surfaceMm: (row, _lines, apart) => apart * row.stepMm,
    chordMm: (_row, surfaceMm) => surfaceMm,
    straight: (a, b) => ({
      mm: angle(a, b) * (form.profile.radius[a.line - 1] ?? 0),
      degrees: (angle(a, b) * 360) / turn,
    }),
  };
}
