import { openingAfter, type Passage } from './reach';

/** A stretch of a part between two necks, that is stuffed by itself. Rounds by index, from 1. */
export interface Chamber {
  from: number;
  to: number;
  widest: number;
  /** the narrowest round of the neck it ends with; null for the last chamber */
  neck: number | null;
}

/** A neck is no wider than this share of what is before it and of what is after it. */
const neckShare = 0.7;

/** Divides a part at its necks. */
export function chambersOf(passage: Passage): Chamber[] {
  const { rounds } = passage.fabric;
  const chambers: Chamber[] = [];
  let [from, widest, narrowest] = [1, 1, 1];
  const opening = (round: number) => openingAfter(passage, round);
  for (let round = 1; round <= rounds; round += 1) {
    const hasWidenedAgain = opening(narrowest) <= neckShare * opening(round);
    const isNeck = narrowest > widest && opening(narrowest) <= neckShare * opening(widest);
    if (isNeck && hasWidenedAgain) {
      chambers.push({ from, to: narrowest, widest, neck: narrowest });
      from = narrowest + 1;
      widest = round;
      narrowest = round;
    }
    if (opening(round) > opening(widest)) {
      widest = round;
      narrowest = round;
    }
    if (opening(round) <= opening(narrowest)) narrowest = round;
  }
  if (rounds > 0) chambers.push({ from, to: rounds, widest, neck: null });
  return chambers;
}
