import type { Act, ActKind } from '../../plan/acts';
import type { StopPlan } from '../../plan/stops';

/** What each act is called at a stop. */
export const stopTitle: Record<ActKind, string> = {
  'work-in': 'Work it in',
  'pull-through': 'Pull it through',
  'key-ring': 'Put the ring in',
  'seat-nose': 'Seat the nose',
  'seat-eyes': 'Seat the eyes',
  embroider: 'Stitch',
  core: 'A core for the neck',
  'put-in': 'Put it in',
  stuff: 'Stuff the bulk',
  'top-up': 'Top up the stuffing',
  close: 'Close',
  cut: 'Cut the yarn',
};

/** How often a part is filled: more than once where necks divide it. */
export const bulksOf = ({ stops }: StopPlan): number =>
  stops.flatMap(({ acts }) => acts).filter(({ act }) => act === 'stuff').length;

/**
 * What an act of one stop is called: what is stitched or worked in by its name.
 *
 * @param bulks how often the part is filled
 */
export function actTitle({ act, feature, part, fills }: Act, bulks: number): string {
  if (act === 'embroider') return `Stitch the ${feature ?? 'face'}`;
  if (act === 'put-in') return `Put the ${feature ?? 'thing'} in`;
  if (act === 'work-in') return `Have the ${part ?? 'part'} ready`;
  if (act === 'pull-through') return `Pull the ${part ?? 'part'} through`;
  if (act === 'stuff' && fills && bulks > 1) return `Stuff rounds ${fills.from} to ${fills.to}`;
  return stopTitle[act];
}
