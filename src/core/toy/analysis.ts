import type { RoundCheck } from '../fabric/checkRounds';
import type { Fabric } from '../fabric/fabric';
import type { JoinedToy } from '../join/joined';
import type { Problem } from '../notation/problem';
import type { PartSource, Pattern } from '../notation/pattern';
import type { PartForm } from '../place/frame/partForm';
import type { FeaturePlacement } from '../place/resolve/placement';
import type { SurfaceLine } from '../place/resolve/surfaceLine';
import type { Pace } from '../plan/time';
import type { Order } from '../plan/order';
import type { StopPlan } from '../plan/stops';
import type { Gauge } from '../shape/gauge';
import type { MapView } from '../shape/map';
import type { Profile } from '../shape/profile';

/** A part with everything computed from it. */
export interface PartAnalysis {
  source: PartSource;
  checks: RoundCheck[];
  fabric: Fabric;
  /** the loops of it that other parts are worked into, as bits for each stitch; null where none is */
  taken: Uint8Array | null;
  starts: Float64Array;
  profile: Profile;
  form: PartForm;
  map: MapView;
  /** everything that is put on it, in the order of the text */
  features: FeaturePlacement[];
  /** the eyes put on whole among them, which lead the face */
  eyes: FeaturePlacement | null;
  /** what is worked along lines of it once it is finished */
  lines: SurfaceLine[];
  stops: StopPlan;
  problems: Problem[];
}

export interface ToyAnalysis {
  text: string;
  pattern: Pattern;
  gauge: Gauge;
  /** the lean stated, or null where the usual figure is taken */
  lean: number | null;
  parts: PartAnalysis[];
  /** how the parts come together */
  joined: JoinedToy;
  /** in which order the whole is made */
  order: Order;
  /** everything that is wrong or worth knowing, in the order of the text */
  problems: Problem[];
  /** yarn the maker's hands take for what the formula says, once weighed */
  yarnUse?: number;
  /** how fast the maker works, once that is known */
  pace?: Pace;
}
