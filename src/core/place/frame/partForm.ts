import type { Fabric } from '../../fabric/fabric';
import type { PartSource } from '../../notation/pattern';
import type { Gauge } from '../../shape/gauge';
import type { Profile } from '../../shape/profile';
import type { Orientation } from './direction';
import { footHoles, splits, type Holes } from './holes';
import type { Seat } from './pair';

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
export function seatHoles(form: PartForm, round: number, seat: Seat): Holes {
  return (seat === 'foot' ? footHoles : splits)(form.fabric, form.starts, form.lean, round);
}
