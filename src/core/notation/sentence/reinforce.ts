import type { NamedPart } from './names';
import type { Phrases } from './phrases';
import type { FeatureKind, Said } from './said';

/** What makes something hold: a seam gone round twice, a disc behind each washer, a chain sewn down along its length. */
export type Reinforcing = 'twice' | 'backing' | 'sewn-down';

/** `Reinforce the ears: sew twice round`, `Put a 20 mm disc of felt behind each washer` */
export interface ReinforceSentence extends Said {
  kind: 'reinforce';
  how: Reinforcing;
  /** what of the part it is about; null for the part itself, or its chains */
  feature: FeatureKind | null;
  /** how wide the disc is; null where that is not said */
  discMm: number | null;
  /** the part that is named; null for the one it stands with */
  part: NamedPart | null;
}

const opens = /^\s*(?:then\s+|also\s+|now\s+)?reinforce\b/i;
const twice =
  /\b(?:twice|two\s+times|double[- ]?(?:sew|stitch)\w*|(?:a\s+)?second\s+time|(?:a?round|over)\s+(?:it\s+|them\s+)?again)\b/i;
const sews = /\b(?:sew|stitch|whip\s*stitch)\w*\b|\bgo(?:es|ing)?\s+(?:all\s+)?a?round\b/i;
const behindWasher =
  /\b(?:felt|fabric|cloth|woven|canvas|leather|interfacing|lining)\b[^.;]*\b(?:behind|under|beneath|between|before)\b[^.;]*\b(?:washers?|backings?)\b/i;
const washerOver =
  /\bwashers?\b[^.;]*\b(?:over|against|onto|on)\b[^.;]*\b(?:felt|fabric|cloth|woven|canvas|lining)\b/i;
const sewnDown =
  /\b(?:sew|sewn|stitch|stitched|tack|tacked)\w*\s+(?:(?:it|them|the\s+\w+|each(?:\s+one)?)\s+)?down\b[^.;]*\b(?:along|length|all\s+the\s+way|every\s+\w+)/i;
/** What brings it to a place is a join, which may be sewn twice too. */
const placed =
  /\b(?:onto|to\s+the|on\s+(?:the\s+)?(?:round|rnd|row|r\d|head|body|back|front|left|right)|between|rounds?\s+\d|r\d+|one\s+on\s+each)\b/i;

export const opensReinforcing = (text: string): boolean => opens.test(text);

/** Whether a seam is gone round twice, as a sentence says. */
export const saysTwice = (text: string): boolean => sews.test(text) && twice.test(text);

/** A disc behind a washer; what inserts the eyes besides is about the eyes. */
function backs(text: string): boolean {
  const isBacked = behindWasher.test(text) || washerOver.test(text);
  return isBacked && !/\b(?:insert|embroider\w*)\b|\d\s*mm\s+(?:safety\s+)?eyes?\b/i.test(text);
}

/** Along its length: what is sewn down and says so is a chain, a cord. */
const sewsDown = (text: string): boolean =>
  sewnDown.test(text) && (opensReinforcing(text) || /\b(?:chains?|cords?|strands?)\b/i.test(text));

/**
 * How a sentence reinforces; null where it is about something else.
 *
 * @param isPlacing it says where something goes, or names a feature
 */
export function reinforcingIn(text: string, isPlacing: boolean): Reinforcing | null {
  if (backs(text)) return 'backing';
  if (sewsDown(text)) return 'sewn-down';
  const isOwn = opensReinforcing(text) || (!isPlacing && !placed.test(text));
  return saysTwice(text) && isOwn ? 'twice' : null;
}

/** Reads a sentence that reinforces. */
export function readReinforce(how: Reinforcing, said: Said, { step, features }: Phrases): ReinforceSentence {
  const isDisc = how === 'backing';
  return {
    ...said,
    kind: 'reinforce',
    how,
    feature: features[0] ?? (isDisc ? 'eyes' : null),
    discMm: isDisc ? (step.sizeMm ?? null) : null,
    part: null,
  };
}

/** The sentence that is read back to the same. */
export function writeReinforce({
  how,
  feature,
  discMm,
  part,
}: Pick<ReinforceSentence, 'how' | 'feature' | 'discMm' | 'part'>): string {
  const ofPart = part ? ` of the ${part.name.toLowerCase()}` : '';
  if (how === 'backing') {
    const size = discMm === null ? '' : `${discMm} mm `;
    return `Reinforce the ${feature ?? 'eyes'}${ofPart}: a ${size}disc of felt behind each washer.`;
  }
  if (how === 'sewn-down') return `Reinforce the chains${ofPart}: sew them down all along.`;
  if (feature) return `Reinforce the ${feature}${ofPart}: sew twice round the edge.`;
  return `Reinforce the ${part ? part.name.toLowerCase() : 'seam'}: sew twice round, in opposite directions.`;
}
