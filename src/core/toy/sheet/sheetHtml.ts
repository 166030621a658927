import { spoken, t } from '../../words/language';
import type { FabricMap } from '../../shape/map';
import type { Sheet, SheetMap, SheetPart } from './buildSheet';
import { escapedHtml } from './escaped';
import { joinCss, joinSvg } from './joinSvg';
import { toyCss } from './toySvg';

const n = (value: number) => Math.round(value * 100) / 100;

function strokes({ points }: FabricMap): string {
  let path = '';
  for (let p = 0; p < points.length; p += 6) {
    path += `M${n(points[p] ?? 0)} ${n(points[p + 1] ?? 0)}L${n(points[p + 2] ?? 0)} ${n(points[p + 3] ?? 0)}L${n(points[p + 4] ?? 0)} ${n(points[p + 5] ?? 0)}`;
  }
  return path;
}

/** The drawing in black on white, so that any printer shows it. */
export function mapSvg(
  { map, lying, labels, circles: drawn, strokes: stitched }: SheetMap,
  name: string,
): string {
  const gutter = 16;
  const width = map.width + 2 * gutter;
  const numbers: string[] = [];
  for (let line = 1; line < map.lines.length; line += 1) {
    if (line % 5 !== 0 && line !== 1 && line !== map.lines.length - 1) continue;
    if (line % 5 !== 0 && line % 5 < 2 && line > 5) continue;
    const middle = ((map.lines[line] ?? 0) + (map.lines[line - 1] ?? 0)) / 2;
    const at = lying
      ? `x="${n(middle)}" y="${n(map.height + 10)}" text-anchor="middle"`
      : `x="${n(-map.width / 2 - gutter + 2)}" y="${n(middle + 2)}"`;
    numbers.push(`<text ${at}>${labels[line - 1] ?? line}</text>`);
  }
  const circles = drawn
    .map(
      ({ x, y, radius, open }) =>
        `<circle${open ? ' class="open"' : ''} cx="${n(x)}" cy="${n(y)}" r="${n(radius)}"/>`,
    )
    .join('');
  return (
    `<svg class="sheet-map" role="img" aria-label="${escapedHtml(name)}${t`: the fabric unrolled, with the eyes`}" viewBox="${n(-width / 2)} -6 ${n(width)} ${n(map.height + (lying ? 20 : 12))}" xmlns="http://www.w3.org/2000/svg">` +
    `<path d="M${n(map.middle)} -4V${n(map.height + 4)}" class="front"/><path class="stitches" d="${strokes(map)}"/><path class="needle" d="${stitched.map(({ x1, y1, x2, y2 }) => `M${n(x1)} ${n(y1)}L${n(x2)} ${n(y2)}`).join('')}"/><g class="eyes">${circles}</g><g class="numbers">${numbers.join('')}</g></svg>`
  );
}

function partHtml(part: SheetPart): string {
  const lines = part.lines.map((line) =>
    line.kind === 'marks'
      ? `<tr class="marks"><td colspan="3">${escapedHtml(line.text)}</td></tr>`
      : line.kind === 'round'
        ? `<tr${line.wrong ? ' class="wrong"' : ''}><th scope="row">${line.label}</th><td>${escapedHtml(line.text)}${line.wrong ? ` <em>${t`does not add up`}</em>` : ''}</td><td class="count">${line.count}</td></tr>`
        : `<tr class="stop"><td colspan="3"><strong>${line.title}.</strong> ${line.lastCall}${line.acts.map((act) => `<p><strong>${act.name}.</strong> ${escapedHtml(act.why)}</p>`).join('')}</td></tr>`,
  );
  return (
    `<section><h2>${escapedHtml(part.name)}${part.make > 1 ? ` <small>${t`make ${part.make}`}</small>` : ''}</h2><p>${part.facts.map(escapedHtml).join(' · ')}.</p>` +
    part.placed
      .map(
        ({ heading, sentences }) =>
          `<div class="answer"><p><strong>${escapedHtml(heading)}</strong></p><ul>${sentences.map((sentence) => `<li>${escapedHtml(sentence)}</li>`).join('')}</ul></div>`,
      )
      .join('') +
    (part.map ? mapSvg(part.map, part.name) : '') +
    `<table><thead><tr><th scope="col">${t`Round`}</th><th scope="col">${t`Work`}</th><th scope="col">${t`Stitches`}</th></tr></thead><tbody>${lines.join('')}</tbody></table>` +
    (part.closing ? `<p><strong>${t`Closing`}.</strong> ${escapedHtml(part.closing)}</p>` : '') +
    (part.assembly.length > 0
      ? `<h3>${t`As written`}</h3><ul>${part.assembly.map((line) => `<li>${escapedHtml(line)}</li>`).join('')}</ul>`
      : '') +
    (part.open.length > 0
      ? `<h3>${t`Still to settle`}</h3><ul>${part.open.map((line) => `<li>${escapedHtml(line)}</li>`).join('')}</ul>`
      : '') +
    '</section>'
  );
}

/** How the sheet looks, on screen and on A4 or Letter paper, in black and white. */
export const sheetCss = `
.sheet{color:#10302E;background:#fff;font:17px/1.45 "Atkinson Hyperlegible Next",AtkinsonHyperlegibleNext_400Regular,sans-serif;font-variant-numeric:tabular-nums;max-width:75ch;margin:0 auto}
.sheet h1{font-size:1.7em;line-height:1.15;margin:0 0 .4em}.sheet h2{font-size:1.35em;margin:1.2em 0 .3em}.sheet h3{font-size:1.05em;margin:1em 0 .3em}
.sheet h1,.sheet h2,.sheet h3{font-family:"Bricolage Grotesque",BricolageGrotesque_700Bold,sans-serif}.sheet h2 small{font-size:.7em;font-weight:400}
.sheet ul{margin:.3em 0;padding-left:1.2em}.sheet p{margin:.3em 0}
.sheet table{border-collapse:collapse;width:100%;margin:.6em 0}.sheet th,.sheet td{text-align:left;vertical-align:top;padding:.28em .5em .28em 0;border-bottom:1px solid #CBD6D1}
.sheet thead th{font-size:.82em;font-weight:400;color:#4A6461}.sheet .count{text-align:right;font-weight:700;padding-right:.2em}.sheet tbody th{white-space:nowrap}.record tbody th{white-space:normal}.record td{min-width:6em}
.sheet .marks td{font-style:italic}.sheet .stop td{border:2px solid #10302E;padding:.5em .7em;background:#fff}.sheet .answer{border-left:4px solid #10302E;padding:.1em 0 .1em .8em;margin:.6em 0}
.sheet-map{display:block;width:100%;max-height:70mm;margin:.6em 0}.sheet-map .stitches{fill:none;stroke:#444;stroke-width:.7;stroke-linecap:round;stroke-linejoin:round}
.sheet-map .needle{fill:none;stroke:#000;stroke-width:1.6;stroke-linecap:round}.sheet-map .front{stroke:#000;stroke-width:.5;stroke-dasharray:2 2}.sheet-map .eyes circle{fill:#000;stroke:#fff;stroke-width:1}.sheet-map .eyes .open{fill:none;stroke:#000;stroke-dasharray:2 1}.sheet-map text{font:7px sans-serif;fill:#000}
@page{margin:14mm}@media print{.sheet{color:#000;font-size:11pt;max-width:none}.sheet .stop,.sheet tr,.sheet .answer,.sheet-map{break-inside:avoid}.sheet h2{break-after:avoid}}
.sheet .written{margin:.15em 0}.sheet .remarks{border-left:4px solid #CBD6D1;padding:.1em 0 .1em .8em;margin:.5em 0;font-size:.92em}.sheet .remarks p{margin:.15em 0;white-space:pre-wrap}.sheet .halt{border:2px solid #10302E;padding:.4em .7em;font-size:1em}.sheet .halt p:first-child{font-weight:700}
@media print{.sheet .halt,.sheet .remarks p{break-inside:avoid}.sheet .join{break-after:avoid}}${joinCss}${toyCss}`;

function joinsHtml({ joins }: Sheet): string {
  if (joins.length === 0) return '';
  const answers = joins.map(
    ({ heading, name, picture, sentences }) =>
      `<div class="answer"><p><strong>${escapedHtml(heading)}</strong></p>${picture ? joinSvg(picture, name) : ''}<ul>${sentences.map((sentence) => `<li>${escapedHtml(sentence)}</li>`).join('')}</ul></div>`,
  );
  return `<section><h2>${t`Putting it together`}</h2>${answers.join('')}</section>`;
}

function listHtml(heading: string, kind: 'ul' | 'ol', lines: readonly string[]): string {
  if (lines.length === 0) return '';
  return `<section><h2>${heading}</h2><${kind}>${lines.map((line) => `<li>${escapedHtml(line)}</li>`).join('')}</${kind}></section>`;
}

/** The sheet's contents as HTML, to stand in a page that has its styles. */
export function sheetBody(sheet: Sheet): string {
  return (
    `<article class="sheet"><h1>${escapedHtml(sheet.title)}</h1><ul>${sheet.facts.map((fact) => `<li>${escapedHtml(fact)}</li>`).join('')}</ul>` +
    listHtml(t`You need`, 'ul', sheet.needs) +
    listHtml(t`Order of work`, 'ol', sheet.order) +
    sheet.parts.map(partHtml).join('') +
    joinsHtml(sheet) +
    (sheet.notes.length > 0
      ? `<section><h2>${t`Notes`}</h2><ul>${sheet.notes.map((note) => `<li>${escapedHtml(note)}</li>`).join('')}</ul></section>`
      : '') +
    `<section><h2>${t`Take care`}</h2><ul>${sheet.cautions.map((caution) => `<li>${escapedHtml(caution)}</li>`).join('')}</ul></section></article>`
  );
}

/** What stands on paper, as a page of its own with its styles. */
export const pageHtml = (title: string, body: string): string =>
  `<!doctype html><html lang="${spoken()}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${escapedHtml(title)}</title><style>body{margin:16px}${sheetCss}</style></head><body>${body}</body></html>\n`;

/** The sheet as a page of its own. */
export const sheetHtml = (sheet: Sheet): string => pageHtml(sheet.title, sheetBody(sheet));
