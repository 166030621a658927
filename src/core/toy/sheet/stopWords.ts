import type { ActKind } from '../../plan/stops';

/** What each act is called at a stop. */
export const stopTitle: Record<ActKind, string> = {
  'seat-nose': 'Seat the nose',
  'seat-eyes': 'Seat the eyes',
  stuff: 'Stuff the bulk',
  'top-up': 'Top up the stuffing',
  close: 'Close',
};
