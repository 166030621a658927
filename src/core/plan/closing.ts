import { t } from '../words/language';
import type { ClosingSchool } from '../notation/sentence/close';

/** How a part is closed with the stitches it ends with. */
export interface Closing {
  stitches: number;
  how: 'gather' | 'one-more-round' | 'flat' | 'open';
  /** what to do, in a maker's words */
  words: string;
  tailMm: number;
}

/**
 * How the thread goes through the loops of an end that is drawn together, in turn; stitches from 1.
 *
 * @param slips a slip stitch into the first of them came before: the thread goes on from the second, and ends with that one
 */
export function gatherOrder(stitches: number, school: ClosingSchool | null, slips = false): number[] {
  const round = Array.from({ length: stitches }, (_, i) => (slips ? ((i + 1) % stitches) + 1 : i + 1));
  if (school !== 'star') return round;
  const half = Math.ceil(stitches / 2);
  return round.slice(0, half).flatMap((one, i) => [one, ...round.slice(i + half, i + half + 1)]);
}

/** What to do with the thread before it is buried. */
function gatherWords(stitches: number, school: ClosingSchool | null, slips: boolean): string {
  const order = gatherOrder(stitches, school, slips).join(', ');
  const first = slips
    ? t`Slip stitch into the next stitch, so that the step of the spiral is gone, and cut the yarn. `
    : '';
  return first + threadWords(stitches, school, order);
}

function threadWords(stitches: number, school: ClosingSchool | null, order: string): string {
  switch (school) {
    case 'outside-in':
      return t`From the outside in: the needle goes down under the front loop of each of the last ${stitches} in turn, towards the middle. Pull tight, go back through the same hole two or three times, bury the end.`;
    case 'inside-out':
      return t`From the inside out: the needle comes up from the middle under the front loop of each of the last ${stitches} in turn, so that the edge turns in. Pull tight, knot it in the hole, where nobody sees it, bury the end.`;
    case 'star':
      return t`As a star: under the front loops across the hole, ${order}, counted from where the round ends. Pull tight, go back through the middle two or three times, bury the end.`;
    case null:
      return t`Run the tail through the front loops of the last ${stitches}, pull tight, go back through the same hole two or three times, bury the end.`;
  }
}

/** Why an end is not drawn together: it is said to stay open, the part is sewn on by it, or it is shut flat; null where it may be. */
export type Stays = 'open' | 'sewn' | 'flat' | null;

/** A piece worked in rows is not drawn together, however few stitches it ends with. */
export function flatClosing(stitches: number, stitchWidthMm: number): Closing {
  return {
    stitches,
    how: 'open',
    tailMm: 3.5 * stitches * stitchWidthMm + 150,
    words: t`A flat piece is not gathered. Leave a long tail where it is sewn on.`,
  };
}

/** An edge that another part goes on from is neither closed nor sewn. */
function carryingClosing(stitches: number, onto: string): Closing {
  return {
    stitches,
    how: 'open',
    tailMm: 150,
    words: t`The edge of ${stitches} stitches stays open: the ${onto} goes on from it. Cut the yarn of all but the one that is made last.`,
  };
}

/** What is known of an end: of rows, what goes on from it, why it stays, and how it is drawn together where that is told. */
export interface EndSaid {
  flat: boolean;
  carries: string | null;
  stays: Stays;
  school: ClosingSchool | null;
  /** with a last slip stitch */
  slips: boolean;
}

/** How an end is closed: a flat one, one that another part grows out of, one that is sewn on, or any other. */
export function closingAt(
  stitches: number,
  { flat, carries, stays, school, slips, widthMm }: EndSaid & { widthMm: number },
): Closing {
  if (carries !== null) return carryingClosing(stitches, carries);
  return flat ? flatClosing(stitches, widthMm) : closingOf(stitches, widthMm, { stays, school, slips });
}

/**
 * Up to 8 stitches: gather through the front loops. 9 to 12: one more round of decreases first, or gather twice. More than 12 is not
 * closed: little fingers get in and stuffing comes out.
 *
 * @param said why the end is not drawn together, where it is not; else which way its thread goes
 *
 * Tails: n·w + 150 mm to gather; three and a half times the edge + 150 mm to sew an open edge on.
 */
export function closingOf(
  stitches: number,
  stitchWidthMm: number,
  { stays = null, school = null, slips = false }: Partial<Pick<EndSaid, 'stays' | 'school' | 'slips'>> = {},
): Closing {
  const edge = stitches * stitchWidthMm;
  if (stays === 'flat') {
    return {
      stitches,
      how: 'flat',
      tailMm: 3.5 * edge + 150,
      words: t`Lay the edge flat and sew or work its two layers together from end to end. Nothing is drawn together.`,
    };
  }
  if (stays === 'open' || stays === 'sewn') {
    return {
      stitches,
      how: 'open',
      tailMm: 3.5 * edge + 150,
      words: t`The edge of ${stitches} stitches stays open and is sewn onto another part. Leave a long tail for it.`,
    };
  }
  if (stitches <= 8) {
    return {
      stitches,
      how: 'gather',
      tailMm: edge + 150,
      words: gatherWords(stitches, school, slips),
    };
  }
  if (stitches <= 12) {
    return {
      stitches,
      how: 'one-more-round',
      tailMm: edge + 150,
      words: t`${stitches} stitches gather badly in one go. Work one more round of decreases, or run the tail through the front loops twice, then pull tight and bury the end.`,
    };
  }
  return {
    stitches,
    how: 'open',
    tailMm: 3.5 * edge + 150,
    words: t`${stitches} stitches stay an open edge, to be sewn onto another part. Leave a long tail for it.`,
  };
}
