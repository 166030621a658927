import { sizeOf, type Profile } from '../shape/profile';
import { stuffedProfile } from '../shape/stuffed';
import type { PartAnalysis } from './analysis';
import { finishOfPart } from './formOfPart';
import { memoise } from './memoise';

/** Whether anything is stuffed into a part. */
export const isStuffed = ({ stops }: PartAnalysis): boolean =>
  stops.stops.some((stop) => stop.acts.some(({ act }) => act === 'stuff'));

/** The profile of a part as the text stuffs and closes it; by its stitches alone where it stays empty. */
export const stuffedPart = memoise((part: PartAnalysis): Profile => {
  const { fabric, profile } = part;
  return isStuffed(part) ? stuffedProfile(fabric, profile, finishOfPart(part)) : profile;
});

/** Width and height of a part at once, before its form has settled, in mm; a part that lies on its side is as wide as it is long. */
export function sizeOfPart(part: PartAnalysis): { widthMm: number; heightMm: number } {
  const { widthMm, heightMm } = sizeOf(stuffedPart(part), part.fabric);
  return part.source.lying ? { widthMm: heightMm, heightMm: widthMm } : { widthMm, heightMm };
}
