import { pictureSize, type Picture, type PictureShape } from '../core/shape/picture';
import { needsOutline } from '../core/supplies/yarnColour';
import { palette } from './palette';

const corner = pictureSize * 0.12;

const stroked = (d: string, colour: string, width: number, opacity = 1): string =>
  `<path d="${d}" stroke="${colour}" stroke-width="${width}" stroke-opacity="${opacity}" fill="none" stroke-linecap="round"/>`;

function shapeMarkup(shape: PictureShape): string {
  if (shape.kind === 'patch')
    return `<path d="${shape.d}" fill="${shape.colour}" stroke="${shape.colour}" stroke-width="0.8"/>`;
  if (shape.kind === 'stroke') return stroked(shape.d, shape.colour, shape.width);
  const edge = shape.edge ? ` stroke="${shape.edge}" stroke-width="1.2"` : '';
  return `<circle cx="${shape.x}" cy="${shape.y}" r="${shape.radius}" fill="${shape.colour}"${edge}/>`;
}

/** The fabric of a picture: an outline where the yarn is as dark as the mat, what is under the stitches, the stitches, and their shade. */
function fabricMarkup({ ground, fabric, stroke }: Picture): string {
  const all = (paths: readonly { d: string }[]) => paths.map(({ d }) => d).join('');
  return [
    ...fabric
      .filter(({ colour }) => needsOutline(colour))
      .map(({ d }) => stroked(d, palette.thread, stroke * 1.35, 0.45)),
    ...ground.map(({ d, colour }) => `<path d="${d}" fill="${colour}" stroke="${colour}" stroke-width="1"/>`),
    `<path d="${all(ground)}" fill="${palette.shade}" fill-opacity="0.38"/>`,
    ...fabric.map(({ d, colour }) => stroked(d, colour, stroke)),
    stroked(all(fabric), palette.shade, stroke, 0.3),
    ...fabric.map(({ d, colour }) => stroked(d, colour, stroke * 0.68)),
  ].join('');
}

function markupOf(picture: Picture | null): string {
  const drawn = picture ? fabricMarkup(picture) + picture.on.map(shapeMarkup).join('') : '';
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${pictureSize} ${pictureSize}"><rect width="${pictureSize}" height="${pictureSize}" rx="${corner}" fill="${palette.mat}"/>${drawn}</svg>`;
}

const addressOf = (picture: Picture | null): string =>
  `data:image/svg+xml,${encodeURIComponent(markupOf(picture))}`;

const known = new WeakMap<Picture, string>();
const empty = addressOf(null);

/** A picture as the address of an image, written once for each picture. */
export function pictureAddress(picture: Picture | null): string {
  if (!picture) return empty;
  const found = known.get(picture) ?? addressOf(picture);
  known.set(picture, found);
  return found;
}
