import { t } from '../../words/language';
import { heightOf, widthOf, type Template } from '../templates';
import { escapedHtml } from './escaped';

/** Sheets of paper, in mm. */
export const papers = {
  A4: { width: 210, height: 297 },
  Letter: { width: 215.9, height: 279.4 },
} as const;
export type PaperName = keyof typeof papers;

/** What no printer reaches, in mm. */
const margin = 12;
/** The strip at the foot with the ruler. */
const foot = 22;
/** Lines of words under an outline, and the gap to the next. */
const words = 13;
const gap = 6;
const rulerMm = 100;

interface Placed {
  template: Template;
  /** its middle on the sheet */
  x: number;
  y: number;
}

/** One sheet: what stands on it whole, or a piece of what is larger than a sheet. */
interface SheetPage {
  placed: Placed[];
  /** which piece of a larger one: `row 1 of 2, column 1 of 3` */
  tile: string | null;
}

const n = (value: number): string => String(Math.round(value * 100) / 100);

interface Area {
  width: number;
  height: number;
}

const areaOf = (paper: PaperName): Area => ({
  width: papers[paper].width - 2 * margin,
  height: papers[paper].height - 2 * margin - foot,
});

/** What is larger than a sheet, over several: each shows its piece, and they are glued edge to edge along the dashed lines. */
function tiles(template: Template, area: Area): SheetPage[] {
  const columns = Math.ceil(widthOf(template) / area.width);
  const rows = Math.ceil((heightOf(template) + words) / area.height);
  return Array.from({ length: rows * columns }, (_, i): SheetPage => {
    const [row, column] = [Math.floor(i / columns), i % columns];
    const x = (columns / 2 - column) * area.width;
    const y = (rows / 2 - row) * area.height;
    return {
      placed: [{ template, x: margin + x, y: margin + y }],
      tile: t`row ${row + 1} of ${rows}, column ${column + 1} of ${columns}`,
    };
  });
}

/** Places outlines beside each other, row after row, sheet after sheet. */
export function pagesOf(templates: readonly Template[], paper: PaperName): SheetPage[] {
  const area = areaOf(paper);
  const pages: SheetPage[] = [];
  let page: Placed[] | null = null;
  let [x, y, rowHeight] = [0, 0, 0];
  for (const template of templates) {
    // The words under a small outline are wider than it.
    const [width, height] = [Math.max(widthOf(template), 42), heightOf(template) + words];
    if (width > area.width || height > area.height) {
      pages.push(...tiles(template, area));
      continue;
    }
    if (x > 0 && x + width > area.width) [x, y, rowHeight] = [0, y + rowHeight + gap, 0];
    if (page === null || y + height > area.height) {
      page = [];
      pages.push({ placed: page, tile: null });
      [x, y, rowHeight] = [0, 0, 0];
    }
    page.push({ template, x: margin + x + width / 2, y: margin + y + (height - words) / 2 });
    x += width + gap;
    rowHeight = Math.max(rowHeight, height);
  }
  return pages;
}

function ruler({ height }: Area): string {
  const y = height - margin - 6;
  const ticks = Array.from({ length: rulerMm / 10 + 1 }, (_, i) => {
    const x = margin + i * 10;
    return `M${n(x)} ${n(y)}v${i % 5 === 0 ? -5 : -3}`;
  });
  return `<path class="ruler" d="M${margin} ${n(y)}h${rulerMm}${ticks.join('')}"/><text x="${margin}" y="${n(y + 5)}">0</text><text x="${margin + rulerMm}" y="${n(y + 5)}" text-anchor="middle">100 mm</text><text x="${margin + rulerMm + 12}" y="${n(y)}">${t`Lay a ruler on it before you cut: print at 100 %.`}</text>`;
}

function drawn({ template, x, y }: Placed): string {
  const [first, ...rest] = template.outline.map(([dx, dy]) => `${n(x + dx)} ${n(y + dy)}`);
  const under = y + heightOf(template) / 2 + 5;
  const size = t`${Math.round(widthOf(template))} × ${Math.round(heightOf(template))} mm`;
  return `<path d="M${first ?? ''}L${rest.join('L')}Z"/><text x="${n(x)}" y="${n(under)}" text-anchor="middle">${escapedHtml(template.name)}</text><text x="${n(x)}" y="${n(under + 4.5)}" text-anchor="middle">${t`cut ${template.cut}`} · ${size}</text>`;
}

// A style in a drawing holds for the whole page it stands in: it names the drawing, or the signs on buttons change with it.
const drawingCss = [
  '.template-page path{fill:none;stroke:#000;stroke-width:.4}',
  '.template-page .cut{stroke-dasharray:2 2;stroke-width:.25}',
  '.template-page clipPath path{stroke:none}',
  '.template-page text{font:3.6px sans-serif;fill:#000}',
].join('');

function pageSvg({ placed, tile }: SheetPage, paper: PaperName, at: string): string {
  const { width, height } = papers[paper];
  const area = areaOf(paper);
  const frame =
    tile === null
      ? ''
      : `<path class="cut" d="M${margin} ${margin}h${n(area.width)}v${n(area.height)}h${n(-area.width)}Z"/><text x="${margin}" y="${n(height - margin - foot + 6)}">${tile}: ${t`cut along the dashes and glue the sheets edge to edge.`}</text>`;
  const clip = tile === null ? '' : ' clip-path="url(#sheet)"';
  const clipped =
    tile === null
      ? ''
      : `<clipPath id="sheet"><path d="M${margin} ${margin}h${n(area.width)}v${n(area.height)}h${n(-area.width)}Z"/></clipPath>`;
  return `<svg class="template-page" xmlns="http://www.w3.org/2000/svg" role="img" aria-label="${escapedHtml(at)}" width="${n(width)}mm" height="${n(height)}mm" viewBox="0 0 ${n(width)} ${n(height)}"><style>${drawingCss}</style>${clipped}<g${clip}>${placed.map(drawn).join('')}</g>${frame}${ruler(papers[paper])}</svg>`;
}

/** Every sheet as a drawing of its own, in millimetres, black on white. */
export function templatePages(templates: readonly Template[], paper: PaperName): string[] {
  const pages = pagesOf(templates, paper);
  return pages.map((page, i) => {
    const names = [...new Set(page.placed.map(({ template }) => template.name))].join(', ');
    return pageSvg(page, paper, t`Sheet ${i + 1} of ${pages.length}: ${names}`);
  });
}

/**
 * How the sheets look: on screen as wide as there is room, on paper at their real size, one on each page. On paper nothing around them
 * keeps room for itself, or a sheet would no longer fit its page.
 */
export function templateCss(paper: PaperName): string {
  const { width, height } = papers[paper];
  const onScreen =
    '.template-page{display:block;max-width:100%;height:auto;margin:0 auto 12px;background:#fff;border:1px solid #CBD6D1}';
  const onPaper = `@page{size:${width}mm ${height}mm;margin:0}#root *{padding:0!important;margin:0!important;gap:0!important;min-height:0!important}.template-page{max-width:none;width:${width}mm;height:${height}mm;border:0;break-inside:avoid}.template-page+.template-page{break-before:page}`;
  return `${onScreen}@media print{${onPaper}}`;
}
