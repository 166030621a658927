import type { Fabric } from '../fabric/fabric';
import type { Profile } from '../shape/profile';
import type { Gauge } from '../shape/gauge';
import { earlierAct, type Stop, type Window } from './acts';
import { closingAt, type Closing, type Stays } from './closing';
import { usualHands, type Hands } from './hands';
import { openingAfter } from './reach';
import { windowsOf, type Enclosed, type Filling, type Impossible, type Inside, type WorkIn } from './windows';
import type { ClosingSchool } from '../notation/sentence/close';

export interface StopPlan {
  stops: Stop[];
  closing: Closing | null;
  impossible: Impossible[];
}

/** What the stops of one part are computed from. */
export interface StopInput {
  part: string;
  fabric: Fabric;
  gauge: Gauge;
  profile: Profile;
  inside: readonly Inside[];
  filling: Filling | null;
  workIns?: readonly WorkIn[];
  enclosed?: readonly Enclosed[];
  /** what the text says of an end that is not closed */
  stays: Stays;
  /** which way the thread goes that draws the end together, where the text says */
  school?: ClosingSchool | null;
  /** with a last slip stitch */
  slips?: boolean;
  /** the name of the part that grows out of its last round */
  carries: string | null;
  /** the tail the text asks for, in mm: where it is longer than what is needed it holds */
  tailMm?: number;
  hands?: Hands;
}

/** The fewest moments that lie in every window, each as late as is easy: always the earliest end of those still open. */
export function fewestMoments(windows: readonly Window[]): { after: number; acts: Window[] }[] {
  const open = [...windows].sort((a, b) => a.easy - b.easy || earlierAct(a.act, b.act));
  const moments: { after: number; acts: Window[] }[] = [];
  while (open.length > 0) {
    const after = open[0]?.easy ?? 0;
    const acts = open.filter(({ earliest }) => earliest <= after);
    for (const act of acts) open.splice(open.indexOf(act), 1);
    moments.push({ after, acts: acts.sort((a, b) => earlierAct(a.act, b.act)) });
  }
  return moments;
}

/** Finds the fewest pauses of a part that honour every act's window, each as late as is still easy. */
export function planStops(input: StopInput): StopPlan {
  const { part, fabric, gauge, profile, hands = usualHands } = input;
  const last = fabric.rounds;
  if (last === 0) return { stops: [], closing: null, impossible: [] };
  const endCount = (fabric.offset[last] ?? 0) - (fabric.offset[last - 1] ?? 0);
  const flat = fabric.row[last - 1] === 1;
  const needed = closingAt(endCount, {
    flat,
    carries: input.carries,
    stays: input.stays,
    school: input.school ?? null,
    slips: input.slips ?? false,
    widthMm: gauge.widthMm,
  });
  const closing = { ...needed, tailMm: Math.max(needed.tailMm, input.tailMm ?? 0) };
  const label = (round: number) => fabric.label[round - 1] ?? round;
  const passage = { fabric, gauge, profile };
  const { windows, impossible } = windowsOf({
    ...passage,
    inside: input.inside,
    filling: input.filling,
    workIns: input.workIns ?? [],
    enclosed: input.enclosed ?? [],
    closing,
    hands,
  });
  const stops = fewestMoments(windows).map(({ after, acts }): Stop => {
    const latest = Math.min(...acts.map((window) => window.latest));
    return {
      part,
      after: label(after),
      row: after,
      earliest: label(Math.max(...acts.map((window) => window.earliest))),
      latest: label(latest),
      openingMm: openingAfter(passage, after),
      latestOpeningMm: openingAfter(passage, latest),
      acts: acts.map(({ act, feature, part: worked, fills, why, earliest, easy, latest: last }) => ({
        act,
        feature,
        part: worked,
        fills,
        why: why(after),
        window: { earliest, easy: Math.max(easy, after), latest: last },
      })),
    };
  });
  return { stops, closing, impossible };
}
