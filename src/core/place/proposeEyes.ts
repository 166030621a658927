import { roundCount } from '../fabric/fabric';
import type { PartForm } from './partForm';
import type { EyeRule } from './eyeSentence';
import { landmarkLines } from './features/landmarks';
import { largestEyeMm, smallestEyeMm } from './hardware';

/**
 * Eyes to begin with where nothing is said: in the gap in the middle of the part's wall, a sixth of the round apart, two stitches
 * wide; above the neck where head and body are worked in one piece. Only a first guess to move about.
 */
export function proposeEyes({ fabric, gauge, orientation }: PartForm): EyeRule {
  const necks = orientation.lying ? [] : landmarkLines(fabric, 'neck');
  // The uppermost piece: the first that is worked where the start is at the top, else the last.
  const [from, to] =
    orientation.start === 'top' ? [1, necks[0] ?? fabric.rounds] : [(necks.at(-1) ?? 0) + 1, fabric.rounds];
  let widest = 0;
  for (let round = from; round <= to; round += 1) widest = Math.max(widest, roundCount(fabric, round));
  const wall: number[] = [];
  for (let round = from; round < to; round += 1)
    if (roundCount(fabric, round) === widest && roundCount(fabric, round + 1) === widest) wall.push(round);
  const fallback = Math.max(1, Math.min(fabric.rounds - 1, Math.round((from - 1 + to) / 2)));
  const round = wall[Math.floor(wall.length / 2)] ?? fallback;
  const count = roundCount(fabric, round + 1);
  const sizeMm = Math.min(largestEyeMm, Math.max(smallestEyeMm, Math.round(gauge.widthMm * 1.8)));
  return {
    sizeMm,
    gap: [fabric.label[round - 1] ?? round, fabric.label[round] ?? round + 1],
    apart: Math.max(2, Math.min(Math.round(count / 6), count - 1)),
    seat: 'foot',
  };
}
