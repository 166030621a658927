import type { FaceFrame } from './faceFrame';
import { flatFrame } from './flatFrame';
import type { PartForm } from './partForm';
import { sidewaysFrame } from './sidewaysFrame';
import { uprightFrame } from './uprightFrame';

/** Whether a part lies on its side: said so, and long enough to have a middle. */
export function liesOnItsSide({ orientation, fabric }: PartForm): boolean {
  return orientation.lying && fabric.rounds > 2;
}

/**
 * The frame of a part's face.
 *
 * @param front azimuth of the front line, in radians
 */
export function frameOf(form: PartForm, front: number): FaceFrame {
  if (liesOnItsSide(form)) return sidewaysFrame(form, front);
  return form.fabric.row[0] === 1 ? flatFrame(form, front) : uprightFrame(form, front);
}
