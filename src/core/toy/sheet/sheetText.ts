import { t } from '../../words/language';
import type { Sheet } from './buildSheet';

/** The sheet as plain text. */
export function sheetText(sheet: Sheet): string {
  const out = [sheet.title.toUpperCase(), '', ...sheet.facts, ''];
  for (const part of sheet.parts) {
    out.push(
      `${part.name.toUpperCase()}${part.make > 1 ? t` (make ${part.make})` : ''}`,
      `${part.facts.join(', ')}.`,
      '',
    );
    for (const line of part.lines) {
      if (line.kind === 'round')
        out.push(
          `${line.label.padEnd(8)} ${line.text}  [${line.count}]${line.wrong ? `  ${t`does not add up`}` : ''}`,
        );
      else if (line.kind === 'marks') out.push(`   ${line.text}`);
      else {
        out.push('', `   ${line.title.toUpperCase()}. ${line.lastCall}`.trimEnd());
        for (const act of line.acts) out.push(`   ${act.name}: ${act.why}`);
        out.push('');
      }
    }
    for (const { heading, sentences } of part.placed)
      out.push('', heading, ...sentences.map((sentence) => `  ${sentence}`));
    if (part.closing) out.push('', part.closing);
    if (part.assembly.length > 0)
      out.push('', `${t`As written`}:`, ...part.assembly.map((line) => `  ${line}`));
    if (part.open.length > 0) out.push('', `${t`Still to settle`}:`, ...part.open.map((line) => `  ${line}`));
    out.push('');
  }
  if (sheet.order.length > 0)
    out.push(t`Order of work`.toUpperCase(), '', ...sheet.order.map((step, i) => `${i + 1}. ${step}`), '');
  if (sheet.needs.length > 0)
    out.push(t`You need`.toUpperCase(), '', ...sheet.needs.map((need) => `  ${need}`), '');
  if (sheet.joins.length > 0) out.push(t`Putting it together`.toUpperCase(), '');
  for (const { heading, sentences } of sheet.joins)
    out.push(heading, ...sentences.map((sentence) => `  ${sentence}`), '');
  if (sheet.notes.length > 0) out.push(`${t`Notes`}:`, ...sheet.notes.map((note) => `  ${note}`), '');
  out.push(...sheet.cautions, '');
  return out.join('\n').replace(/\n{3,}/g, '\n\n');
}
