import { sizeOf, type Profile } from '../shape/profile';
import { stuffedProfile } from '../shape/stuffed';
import type { PartAnalysis } from './analysis';
import { finishOfPart } from './formOfPart';
import { memoise } from './memoise';

/** The profile of a part as the text stuffs and closes it; by its stitches alone where it stays empty. */
export const stuffedPart = memoise((part: PartAnalysis): Profile => {
  const { stops, fabric, profile } = part;
  const isStuffed = stops.stops.some((stop) => stop.acts.some(({ act }) => act === 'stuff'));
  return isStuffed ? stuffedProfile(fabric, profile, finishOfPart(part)) : profile;
});

/** Width and height of a part at once, before its form has settled, in mm; a part that lies on its side is as wide as it is long. */
export function sizeOfPart(part: PartAnalysis): { widthMm: number; heightMm: number } {
  const { widthMm, heightMm } = sizeOf(stuffedPart(part), part.fabric);
  return part.source.lying ? { widthMm: heightMm, heightMm: widthMm } : { widthMm, heightMm };
}
