import { t } from '../../words/language';
import type { Sheet, SheetPart } from './buildSheet';
import { escapedMarkdown } from './escaped';

function partMarkdown(part: SheetPart): string[] {
  const out = [
    `## ${escapedMarkdown(part.name)}${part.make > 1 ? t` (make ${part.make})` : ''}`,
    '',
    `${part.facts.join(' · ')}.`,
    '',
  ];
  for (const line of part.lines) {
    if (line.kind === 'round')
      out.push(
        `- **${line.label}** ${escapedMarkdown(line.text)} **[${line.count}]**${line.wrong ? t` (does not add up)` : ''}`,
      );
    else if (line.kind === 'marks') out.push(`- ${line.text}`);
    else {
      out.push('', `> **${line.title}.** ${line.lastCall}`.trimEnd());
      for (const act of line.acts) out.push('>', `> **${act.name}.** ${act.why}`);
      out.push('');
    }
  }
  for (const { heading, sentences } of part.placed)
    out.push('', `### ${escapedMarkdown(heading)}`, '', ...sentences.map((sentence) => `- ${sentence}`));
  if (part.closing) out.push('', `### ${t`Closing`}`, '', part.closing);
  if (part.assembly.length > 0)
    out.push('', `### ${t`As written`}`, '', ...part.assembly.map((line) => `- ${escapedMarkdown(line)}`));
  if (part.open.length > 0)
    out.push('', `### ${t`Still to settle`}`, '', ...part.open.map((line) => `- ${escapedMarkdown(line)}`));
  return [...out, ''];
}

/** The sheet as Markdown. */
export function sheetMarkdown(sheet: Sheet): string {
  const out = [
    `# ${escapedMarkdown(sheet.title)}`,
    '',
    ...sheet.facts.map((fact) => `- ${escapedMarkdown(fact)}`),
    '',
  ];
  if (sheet.needs.length > 0)
    out.push(`## ${t`You need`}`, '', ...sheet.needs.map((need) => `- ${escapedMarkdown(need)}`), '');
  if (sheet.order.length > 0)
    out.push(
      `## ${t`Order of work`}`,
      '',
      ...sheet.order.map((step, i) => `${i + 1}. ${escapedMarkdown(step)}`),
      '',
    );
  for (const part of sheet.parts) out.push(...partMarkdown(part));
  if (sheet.joins.length > 0) out.push(`## ${t`Putting it together`}`, '');
  for (const { heading, sentences } of sheet.joins)
    out.push(
      `### ${escapedMarkdown(heading)}`,
      '',
      ...sentences.map((sentence) => `- ${escapedMarkdown(sentence)}`),
      '',
    );
  if (sheet.notes.length > 0)
    out.push(`## ${t`Notes`}`, '', ...sheet.notes.map((note) => `- ${escapedMarkdown(note)}`), '');
  out.push(`## ${t`Take care`}`, '', ...sheet.cautions.map((caution) => `- ${escapedMarkdown(caution)}`), '');
  return out.join('\n').replace(/\n{3,}/g, '\n\n');
}
