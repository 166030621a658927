import { escapedHtml, escapedMarkdown } from './escaped';
import { pageHtml } from './sheetHtml';
import type { PatternLine, WrittenPattern } from './forOthers';

/** Lines that tell Hoppla something and a reader nothing, or that stand in the title. */
const isForReading = ({ text }: PatternLine): boolean => !/^\s*(?:toy|lean|apart)\s*:/i.test(text);
const isStop = (text: string): boolean => text.startsWith('STOP after');

/** Lines of one kind that follow each other; a stop begins anew. */
function runsOf(lines: readonly PatternLine[]): { kind: PatternLine['kind']; texts: string[] }[] {
  const runs: { kind: PatternLine['kind']; texts: string[] }[] = [];
  for (const { kind, text } of lines.filter(isForReading)) {
    const last = runs.at(-1);
    if (last?.kind === kind && !isStop(text)) last.texts.push(text);
    else runs.push({ kind, texts: [text] });
  }
  return runs;
}

/** The pattern as Markdown: headings, rounds on lines of their own, remarks set off. */
export function patternMarkdown({ title, lines }: WrittenPattern): string {
  const out = [`# ${escapedMarkdown(title)}`, ''];
  for (const { kind, texts } of runsOf(lines)) {
    if (kind === 'blank') continue;
    if (kind === 'heading')
      out.push(...texts.map((text) => `## ${escapedMarkdown(text.replace(/^#+\s*|:$/g, ''))}`), '');
    else if (kind === 'text') out.push(...texts.map((text) => `- ${escapedMarkdown(text.trim())}`), '');
    else
      out.push(
        ...texts.map(
          (text) => `> ${isStop(text) ? `**${escapedMarkdown(text)}**` : escapedMarkdown(text)}  `,
        ),
        '',
      );
  }
  return `${out.join('\n').trimEnd()}\n`;
}

/** The pattern as HTML, to stand in a page that has the sheet's styles. */
export function patternBody({ title, lines }: WrittenPattern): string {
  const parts = runsOf(lines).map(({ kind, texts }) => {
    if (kind === 'blank') return '';
    if (kind === 'heading')
      return texts.map((text) => `<h2>${escapedHtml(text.replace(/^#+\s*|:$/g, ''))}</h2>`).join('');
    if (kind === 'text') return texts.map((text) => `<p class="written">${escapedHtml(text)}</p>`).join('');
    const halts = isStop(texts[0] ?? '');
    return `<div class="remarks${halts ? ' halt' : ''}">${texts.map((text) => `<p>${escapedHtml(text)}</p>`).join('')}</div>`;
  });
  return `<article class="sheet"><h1>${escapedHtml(title)}</h1>${parts.join('')}</article>`;
}

/** The pattern as a page of its own. */
export const patternHtml = (pattern: WrittenPattern): string => pageHtml(pattern.title, patternBody(pattern));
