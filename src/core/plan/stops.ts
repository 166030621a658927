import type { Fabric } from '../fabric/fabric';
import { openingMm } from '../shape/profile';
import type { Gauge } from '../shape/gauge';
import { closingAt, type Closing } from './closing';
import { usualNeeds, type Needs } from './needs';

export type ActKind = 'seat-eyes' | 'seat-nose' | 'stuff' | 'top-up' | 'close';

export interface Act {
  act: ActKind;
  feature: string | null;
  why: string;
}

/** A pause in the work. Rounds by the numbers in the maker's text. */
export interface Stop {
  part: string;
  /** stop after this round */
  after: number;
  earliest: number;
  /** last call: after this round the opening is too small */
  latest: number;
  openingMm: number;
  latestOpeningMm: number;
  acts: Act[];
}

export interface StopPlan {
  stops: Stop[];
  closing: Closing | null;
  /** acts that no round allows, in words */
  impossible: { act: ActKind; message: string }[];
}

interface Window {
  act: ActKind;
  feature: string | null;
  earliest: number;
  /** last round at which it is easy; the stop is put no later */
  easy: number;
  latest: number;
  why: (after: number) => string;
}

/** What the stops of one part are computed from. */
export interface StopInput {
  part: string;
  fabric: Fabric;
  gauge: Gauge;
  /** indexes (from 1) of the rounds below the gaps that carry pressed eyes */
  eyeRounds: readonly number[];
  /** the same for pressed noses */
  noseRounds?: readonly number[];
  /** parts left flat are not stuffed */
  stuffed: boolean;
  /** the text sews the part on with its edge open */
  sewnOn: boolean;
  /** the name of the part that grows out of its last round */
  carries: string | null;
  needs?: Needs;
}

/** The last round from `from` on up to which the narrowest opening of the rounds worked since still lets `diameter` through; 0 if none. */
function lastRound(fabric: Fabric, gauge: Gauge, from: number, diameter: number): number {
  let last = 0;
  for (let round = from; round <= fabric.rounds; round += 1) {
    if (openingMm(fabric, gauge, round) < diameter) break;
    last = round;
  }
  return last;
}

/**
 * Finds the fewest pauses that honour every act's window, each as late as is still easy.
 *
 * Eyes: earliest when the round above their line of holes is worked; last call when the opening still lets a washer be pressed. The
 * bulk of the stuffing goes in while fingers fit, after the eyes; the rest while a tool fits; closing comes last.
 */
export function planStops({
  part,
  fabric,
  gauge,
  eyeRounds,
  noseRounds = [],
  stuffed,
  sewnOn,
  carries,
  needs = usualNeeds,
}: StopInput): StopPlan {
  const plan: StopPlan = { stops: [], closing: null, impossible: [] };
  const last = fabric.rounds;
  if (last === 0) return plan;
  const endCount = (fabric.offset[last] ?? 0) - (fabric.offset[last - 1] ?? 0);
  const flat = fabric.row[last - 1] === 1;
  const closing = closingAt(endCount, { flat, carries, sewnOn, widthMm: gauge.widthMm });
  plan.closing = closing;
  const label = (round: number) => fabric.label[round - 1] ?? round;
  const opening = (round: number) => openingMm(fabric, gauge, round);
  const windows: Window[] = [];
  // Stuffing waits for the eyes: with the bulk inside no hand gets behind them.
  let eyesDone = 0;

  const pressed = [
    ...eyeRounds.map((below) => ({ below, feature: 'eyes' })),
    ...noseRounds.map((below) => ({ below, feature: 'nose' })),
  ];
  for (const { below, feature } of pressed) {
    const act: ActKind = feature === 'eyes' ? 'seat-eyes' : 'seat-nose';
    // Narrow first rounds do not count: the place itself lies above them.
    const earliest = Math.min(last, below + 1);
    const easy = lastRound(fabric, gauge, earliest, needs.washersEasy);
    const latest = lastRound(fabric, gauge, earliest, needs.washersTight);
    if (latest === 0) {
      plan.impossible.push({
        act,
        message: `After round ${label(earliest)} the opening is only ${Math.round(opening(earliest))} mm: washers can't be pressed there. They need ${needs.washersTight} mm. Move the ${feature}, or embroider ${feature === 'eyes' ? 'them' : 'it'}.`,
      });
      continue;
    }
    eyesDone = Math.max(eyesDone, easy || latest);
    windows.push({
      act,
      feature,
      earliest,
      easy: easy || latest,
      latest,
      why: (after) =>
        `The opening is ${Math.round(opening(after))} mm now. Seat ${feature === 'eyes' ? 'both eyes' : 'the nose'} loosely, look from the front and both sides, then press ${feature === 'eyes' ? 'the washers to the last click: they do not come off whole' : 'its washer to the last click: it does not come off whole'}.`,
    });
  }
  if (stuffed) {
    // With eyes, the bulk waits until they are in: what was wider before them is filled through the same opening.
    const from = Math.min(last, Math.max(1, ...pressed.map(({ below }) => below + 1)));
    let widest = from;
    for (let round = from; round <= last; round += 1) if (opening(round) > opening(widest)) widest = round;
    // The body of the piece must be there before it is filled.
    const easyFrom = widest;
    const easy = lastRound(fabric, gauge, easyFrom, needs.stuffFingers);
    const tool = lastRound(fabric, gauge, easyFrom, needs.stuffTool);
    const byFingers = easy > 0 && eyesDone <= easy;
    const bulk = Math.min(tool, Math.max(easy || tool, eyesDone));
    if (bulk > 0) {
      windows.push({
        act: 'stuff',
        feature: null,
        earliest: Math.min(bulk, Math.max(easyFrom, ...pressed.map(({ below }) => below + 1))),
        easy: bulk,
        latest: tool,
        why: (after) =>
          `${byFingers ? 'Fingers still fit' : 'Only a tool fits'}: the opening is ${Math.round(opening(after))} mm. Push the stuffing to the walls${pressed.length > 0 ? ' and tuck it behind the washers' : ''}.`,
      });
    } else
      plan.impossible.push({
        act: 'stuff',
        message: `The opening never lets stuffing in: it is ${Math.round(opening(widest))} mm at the widest.`,
      });
    if (tool > bulk) {
      windows.push({
        act: 'top-up',
        feature: null,
        earliest: Math.min(tool, bulk + 1),
        easy: tool,
        latest: tool,
        why: (after) =>
          `Tiny amounts with a tool; the opening is ${Math.round(opening(after))} mm and will be smaller. Stuffing settles: over-fill a little.`,
      });
    }
  }
  if (closing.how !== 'open')
    windows.push({
      act: 'close',
      feature: null,
      earliest: last,
      easy: last,
      latest: last,
      why: () => closing.words,
    });

  // Fewest points that stab all intervals: always take the earliest end.
  const open = [...windows].sort((a, b) => a.easy - b.easy || order(a.act) - order(b.act));
  while (open.length > 0) {
    const after = open[0]?.easy ?? last;
    const here = open.filter((window) => window.earliest <= after);
    for (const window of here) open.splice(open.indexOf(window), 1);
    here.sort((a, b) => order(a.act) - order(b.act));
    const latest = Math.min(...here.map((window) => window.latest));
    plan.stops.push({
      part,
      after: label(after),
      earliest: label(Math.max(...here.map((window) => window.earliest))),
      latest: label(latest),
      openingMm: opening(after),
      latestOpeningMm: opening(latest),
      acts: here.map((window) => ({ act: window.act, feature: window.feature, why: window.why(after) })),
    });
  }
  return plan;
}

function order(act: ActKind): number {
  return ['seat-eyes', 'seat-nose', 'stuff', 'top-up', 'close'].indexOf(act);
}
