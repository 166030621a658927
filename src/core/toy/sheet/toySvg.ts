import { t } from '../../words/language';
import type { PictureShape } from '../../shape/picture';
import type { ToyAnalysis } from '../analysis';
import { drawAssembled } from '../assembled';
import { escapedHtml } from './escaped';

/** A toy turned so that one sees its side a little from the front. */
export const sideways = 0.9;
/** Pieces around each round. */
const segments = 28;
const edgeMm = 3;

const n = (value: number): string => String(Math.round(value * 10) / 10);

function shapeSvg(shape: PictureShape): string {
  if (shape.kind === 'dot')
    return `<circle cx="${n(shape.x)}" cy="${n(shape.y)}" r="${n(shape.radius)}" fill="${shape.colour}"/>`;
  if (shape.kind === 'patch') return `<path d="${shape.d}" fill="${shape.colour}"/>`;
  return `<path d="${shape.d}" fill="none" stroke="${shape.colour}" stroke-width="${shape.width}" stroke-linecap="round"/>`;
}

/** The toy put together, seen from one side, as large as the others on the page. */
function viewSvg(toy: ToyAnalysis, yaw: number): string {
  const { patches, on, box } = drawAssembled(toy, { yaw, pulled: 0, segments });
  const [left, top] = [box.left - edgeMm, box.top - edgeMm];
  const [width, height] = [box.width + 2 * edgeMm, box.height + 2 * edgeMm];
  const fabric = patches.map(({ d, colour }) => `<path d="${d}" fill="${colour}" stroke="${colour}"/>`);
  return `<svg viewBox="${n(left)} ${n(top)} ${n(width)} ${n(height)}" xmlns="http://www.w3.org/2000/svg" aria-hidden="true">${fabric.join('')}${on.map(shapeSvg).join('')}</svg>`;
}

/**
 * The toy put together, drawn for paper.
 *
 * @param yaws from where it is looked at, in radians; 0 is its front
 * @returns nothing where no part has a round
 */
export function toySvg(toy: ToyAnalysis, yaws: readonly number[]): string {
  if (toy.parts.every(({ fabric }) => fabric.rounds === 0)) return '';
  const name = escapedHtml(toy.pattern.header.name ?? toy.parts[0]?.source.name ?? t`The toy`);
  return `<figure class="toy" role="img" aria-label="${t`${name}, put together`}">${yaws.map((yaw) => viewSvg(toy, yaw)).join('')}</figure>`;
}

/** How such drawings and photos look on paper. */
export const toyCss = `
.sheet .toy{display:flex;gap:6mm;margin:.6em 0;break-inside:avoid;justify-content:center}.sheet .toy svg{flex:1 1 0;max-width:75mm;max-height:80mm;stroke-width:.4}
.sheet .photo{margin:.6em 0;break-inside:avoid}.sheet .photo img{display:block;max-width:100%;max-height:110mm}.sheet .photo figcaption{font-size:.82em;color:#4A6461}
`;
