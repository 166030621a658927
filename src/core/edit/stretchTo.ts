import { sizeOfToy } from '../join/pose/posed';
import { analyseToy } from '../toy/analyse';
import type { PartAnalysis, ToyAnalysis } from '../toy/analysis';
import { assembled } from '../toy/assembled';
import { sizeOfPart } from '../toy/stuffedPart';
import { scaleEyes } from './inYarn';
import { isStretched, stretchPart, type NotStretched, type StretchedPart } from './stretch';

/** A size that is asked for, of a part as it stands in the text: across and along its axis, in mm. */
export interface WantedSize {
  acrossMm: number;
  alongMm: number;
}

/** Size of a part across and along its axis, stuffed, whichever way it lies. */
export function sizeAlongAxis(part: PartAnalysis): WantedSize {
  const { widthMm, heightMm } = sizeOfPart(part);
  return part.source.lying
    ? { acrossMm: heightMm, alongMm: widthMm }
    : { acrossMm: widthMm, alongMm: heightMm };
}

/** So often a size is come nearer to: whole rounds and stuffing make a piece other than its outline was stretched. */
const tries = 6;
const mostTimes = 4;

const withinTimes = (share: number): number => Math.max(1 / mostTimes, Math.min(mostTimes, share));

/** A part of that size to the millimetre is not stretched at all. */
const isItsSize = (own: WantedSize, wanted: WantedSize): boolean =>
  Math.round(own.acrossMm) === Math.round(wanted.acrossMm) &&
  Math.round(own.alongMm) === Math.round(wanted.alongMm);

/**
 * A part brought as near to a size as whole stitches and rounds come: stretched, measured, and stretched by what is missing.
 *
 * @param round see `Stretch`
 */
export function stretchToSize(
  text: string,
  toy: ToyAnalysis,
  id: string,
  { wanted, round }: { wanted: WantedSize; round: number },
): StretchedPart | NotStretched {
  const part = toy.parts.find(({ source }) => source.id === id);
  const own = part && sizeAlongAxis(part);
  if (!own || isItsSize(own, wanted)) return stretchPart(text, toy, id, { wide: 1, high: 1, round });
  let stretch = {
    wide: withinTimes(wanted.acrossMm / own.acrossMm),
    high: withinTimes(wanted.alongMm / own.alongMm),
    round,
  };
  let best: { found: StretchedPart | NotStretched; off: number } | null = null;
  for (let i = 0; i < tries; i += 1) {
    const found = stretchPart(text, toy, id, stretch);
    const again = isStretched(found)
      ? analyseToy(found.text, { searches: false }).parts.find(({ source }) => source.id === id)
      : undefined;
    const is = again && sizeAlongAxis(again);
    if (!is) {
      best ??= { found, off: Infinity };
      break;
    }
    const [wider, longer] = [wanted.acrossMm / is.acrossMm, wanted.alongMm / is.alongMm];
    const off = Math.abs(Math.log(wider)) + Math.abs(Math.log(longer));
    if (!best || off < best.off - 1e-9) best = { found, off };
    // Half of what is missing: a whole step would swing between two counts.
    stretch = {
      wide: withinTimes(stretch.wide * Math.sqrt(wider)),
      high: withinTimes(stretch.high * Math.sqrt(longer)),
      round,
    };
  }
  return best?.found ?? { why: 'too-small', round: null };
}

/** A whole toy made larger or smaller. */
export interface StretchedToy {
  text: string;
  /** parts by their names that stay as they are, and why */
  left: { part: string; because: NotStretched }[];
  toLookAt: string[];
}

/** A toy with every part larger or smaller by the same share, and its eyes in the size that suits. */
export function stretchToy(text: string, toy: ToyAnalysis, share: number): StretchedToy {
  const left: StretchedToy['left'] = [];
  const toLookAt: string[] = [];
  let current = { text, toy };
  for (const { source } of toy.parts) {
    const part = current.toy.parts.find((one) => one.source.id === source.id);
    const own = part ? sizeAlongAxis(part) : { acrossMm: 0, alongMm: 0 };
    const wanted = { acrossMm: own.acrossMm * share, alongMm: own.alongMm * share };
    const found = stretchToSize(current.text, current.toy, source.id, { wanted, round: 0 });
    if (!isStretched(found)) {
      left.push({ part: source.name, because: found });
      continue;
    }
    toLookAt.push(...found.toLookAt);
    current = { text: found.text, toy: analyseToy(found.text, { searches: false }) };
  }
  return { text: scaleEyes(current.text, share), left, toLookAt: [...new Set(toLookAt)] };
}

/** Height of a toy put together, without what lies beside it, in mm. */
export const heightOfToy = (toy: ToyAnalysis): number =>
  Math.round(sizeOfToy(assembled(toy).filter(({ loose }) => !loose)).heightMm);

/** So near to the height that is asked for a toy is not brought nearer, as a share of it. */
const nearEnough = 0.03;
const toyTries = 3;

/** A toy brought nearer to a height: limbs hang and lean, so its height does not grow as its parts do. */
export function stretchToyTo(text: string, toy: ToyAnalysis, wantedMm: number): StretchedToy {
  let share = withinTimes(wantedMm / Math.max(1, heightOfToy(toy)));
  let best = stretchToy(text, toy, share);
  let leastOff = Infinity;
  for (let i = 0, found = best; i < toyTries; i += 1, found = stretchToy(text, toy, share)) {
    const missing = wantedMm / Math.max(1, heightOfToy(analyseToy(found.text, { searches: false })));
    const off = Math.abs(Math.log(missing));
    if (off < leastOff) best = found;
    leastOff = Math.min(leastOff, off);
    if (leastOff < nearEnough) break;
    share = withinTimes(share * missing);
  }
  return best;
}
