import { t } from '../../words/language';
import { pictureWidth, wordsHeight, type JoinPicture, type PictureMark } from '../../join/joinPicture';
import { escapedHtml } from './escaped';

const n = (value: number): string => String(Math.round(value * 10) / 10);

function markSvg(mark: PictureMark): string {
  if (mark.kind === 'words')
    return `<text x="${n(mark.x)}" y="${n(mark.y)}" text-anchor="${mark.anchor}">${escapedHtml(mark.words)}</text>`;
  if (mark.kind === 'dot')
    return `<circle class="${mark.tone}" cx="${n(mark.x)}" cy="${n(mark.y)}" r="${n(mark.radius)}"/>`;
  return `<polyline class="${mark.tone}" points="${mark.points.map(([x, y]) => `${n(x)},${n(y)}`).join(' ')}"/>`;
}

/** One join drawn in black on white, for paper. */
export const joinSvg = ({ height, marks, says }: JoinPicture, name: string): string =>
  `<figure class="join"><svg role="img" aria-label="${escapedHtml(name)}${t`, how it is joined`}" viewBox="0 0 ${pictureWidth} ${n(height)}" xmlns="http://www.w3.org/2000/svg">${marks.map(markSvg).join('')}</svg><figcaption>${escapedHtml(says)}</figcaption></figure>`;

/** How such a drawing looks on paper. */
export const joinCss = `
.sheet .join{margin:.4em 0;break-inside:avoid}.sheet .join svg{display:block;width:100%;max-width:80mm}.sheet .join figcaption{font-size:.82em;color:#4A6461}
.join polyline{fill:none;stroke-linecap:round;stroke-linejoin:round}.join .round{stroke:#ddd;stroke-width:2.5}.join .fabric{stroke:#888;stroke-width:1.2}.join .piece{stroke:#000;stroke-width:4}.join .way{stroke:#000;stroke-width:1.4;stroke-dasharray:4 3}
.join circle.piece{stroke:#fff;stroke-width:1}.join circle.pin{fill:none;stroke:#000;stroke-width:2}.join text{font:700 ${wordsHeight}px sans-serif;fill:#000;stroke:#fff;stroke-width:3px;paint-order:stroke}
@media print,(min-width:640px){.sheet .answer:has(.join){overflow:hidden}.sheet .join{float:right;width:70mm;margin:0 0 .3em 1em}}
`;
