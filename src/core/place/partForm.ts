import type { Fabric } from '../fabric/fabric';
import type { PartSource } from '../notation/pattern';
import type { Gauge } from '../shape/gauge';
import type { Profile } from '../shape/profile';
import type { Orientation } from './direction';
import { frontAzimuth } from './frontLine';
import { footHoles, holeAt, splits, type Holes } from './holes';
import { choosePair, type Pair } from './pair';

/** All that placing on one part needs. */
export interface PartForm {
  part: PartSource;
  fabric: Fabric;
  starts: Float64Array;
  profile: Profile;
  gauge: Gauge;
  lean: number | null;
  orientation: Orientation;
}

/** The holes of a gap for a kind of seat. */
export function seatHoles(form: PartForm, round: number, seat: 'foot' | 'split'): Holes {
  return (seat === 'foot' ? footHoles : splits)(form.fabric, form.starts, form.lean, round);
}

/**
 * The pair of holes nearest to being centred on the front line, for a gap and a distance.
 *
 * @param front azimuth of the front line; where it follows the pair itself, opposite the round start beside it
 */
export function pairAt(
  form: PartForm,
  round: number,
  seat: 'foot' | 'split',
  apart: number,
  front = frontAzimuth(form.part, form.fabric, form.starts, [round, round + 1]),
): { pair: Pair; holes: Holes } {
  const holes = seatHoles(form, round, seat);
  return { pair: choosePair(holeAt(holes, front), apart), holes };
}
