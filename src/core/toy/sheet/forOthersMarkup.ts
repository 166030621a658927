import { t } from '../../words/language';
import { escapedHtml, escapedMarkdown } from './escaped';
import { pageHtml } from './sheetHtml';
import type { PatternLine, WrittenPattern } from './forOthers';

interface Run {
  kind: PatternLine['kind'];
  texts: string[];
}

/** Lines of one kind that follow each other, and a stop with what is done at it. */
function runsOf(lines: readonly PatternLine[]): Run[] {
  const runs: Run[] = [];
  for (const { kind, text } of lines) {
    const last = runs.at(-1);
    const belongs = last?.kind === kind || (last?.kind === 'stop' && kind === 'act');
    if (last && belongs && kind !== 'stop') last.texts.push(text);
    else runs.push({ kind, texts: [text] });
  }
  return runs.filter(({ kind }) => kind !== 'setting' && kind !== 'blank');
}

/** A heading without the signs that made it one. */
const headingWords = (text: string): string => text.replace(/^#+\s*|:$/g, '');

function runMarkdown({ kind, texts }: Run): string[] {
  if (kind === 'drawing') return [];
  const words = texts.map((text) => escapedMarkdown(text.trim()));
  if (kind === 'heading') return texts.map((text) => `## ${escapedMarkdown(headingWords(text))}`);
  if (kind === 'text') return words.map((text) => `- ${text}`);
  return words.map((text, i) => `> ${kind === 'stop' && i === 0 ? `**${text}**` : text}  `);
}

function runHtml({ kind, texts }: Run): string {
  if (kind === 'heading') return texts.map((text) => `<h2>${escapedHtml(headingWords(text))}</h2>`).join('');
  if (kind === 'text') return texts.map((text) => `<p class="written">${escapedHtml(text)}</p>`).join('');
  if (kind === 'drawing') return texts.join('');
  const lines = texts.map((text) => `<p>${escapedHtml(text)}</p>`).join('');
  return `<div class="remarks${kind === 'stop' ? ' halt' : ''}">${lines}</div>`;
}

/** The pattern as Markdown: headings, rounds on lines of their own, remarks set off. */
export const patternMarkdown = ({ title, lines }: WrittenPattern): string =>
  `${[
    `# ${escapedMarkdown(title)}`,
    ...runsOf(lines)
      .map((run) => runMarkdown(run).join('\n'))
      .filter((run) => run !== ''),
  ].join('\n\n')}\n`;

/** A photo of the maker's own, small, as a data address. */
export interface PatternPhoto {
  picture: string;
  words: string;
}

const photoHtml = ({ picture, words }: PatternPhoto): string =>
  `<figure class="photo"><img src="${escapedHtml(picture)}" alt="${escapedHtml(words || t`A photo by the maker`)}">${words ? `<figcaption>${escapedHtml(words)}</figcaption>` : ''}</figure>`;

/** The pattern as HTML, to stand in a page that has the sheet's styles, with the maker's photos under its title. */
export const patternBody = ({ title, lines }: WrittenPattern, photos: readonly PatternPhoto[] = []): string =>
  `<article class="sheet"><h1>${escapedHtml(title)}</h1>${photos.map(photoHtml).join('')}${runsOf(lines).map(runHtml).join('')}</article>`;

/** The pattern as a page of its own. */
export const patternHtml = (pattern: WrittenPattern, photos: readonly PatternPhoto[] = []): string =>
  pageHtml(pattern.title, patternBody(pattern, photos));
