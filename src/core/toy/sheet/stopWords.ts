import { t, tAs } from '../../words/language';
import { sayTerm } from '../../words/said';
import type { Act, ActKind } from '../../plan/acts';
import type { StopPlan } from '../../plan/stops';

/** What each act is called at a stop. */
export const stopTitle: Record<ActKind, string> = {
  'work-in': t`Work it in`,
  'pull-through': t`Pull it through`,
  'key-ring': t`Put the ring in`,
  'seat-nose': t`Seat the nose`,
  'seat-eyes': t`Seat the eyes`,
  embroider: tAs('what to do')`Stitch`,
  core: t`A core for the neck`,
  'put-in': t`Put it in`,
  stuff: t`Stuff the bulk`,
  'top-up': t`Top up the stuffing`,
  close: t`Close`,
  cut: t`Cut the yarn`,
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
  if (act === 'embroider')
    return t`Stitch the ${feature === null || feature === undefined ? t`face` : sayTerm(feature)}`;
  if (act === 'put-in') return t`Put the ${feature ?? t`thing`} in`;
  if (act === 'work-in') return t`Have the ${part ?? t`part`} ready`;
  if (act === 'pull-through') return t`Pull the ${part ?? t`part`} through`;
  if (act === 'stuff' && fills && bulks > 1) return t`Stuff rounds ${fills.from} to ${fills.to}`;
  return stopTitle[act];
}
