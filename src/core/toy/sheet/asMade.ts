import { t } from '../../words/language';
import type { Logbook } from '../../make/logbook';
import { timeWords } from '../../words/time';
import type { ToyAnalysis } from '../analysis';
import { buildSheet } from './buildSheet';
import { sheetMarkdown } from './sheetMarkdown';

const onOneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();

/**
 * The sheet of a toy as it was made, with what went otherwise and what she wrote down.
 *
 * @param toy of the making's own text, changes and all
 * @param dayOf a day as this maker writes it, from milliseconds since 1970
 */
export function asMadeMarkdown(
  toy: ToyAnalysis,
  { run, entries, sessions, finished }: Logbook,
  dayOf: (at: number) => string,
): string {
  const minutes = sessions.reduce((sum, session) => sum + session.minutes, 0);
  const stands = [
    t`Begun ${dayOf(Date.parse(run.started))}`,
    finished ? 'finished' : t`not finished yet`,
    run.copies > 1 ? t`${run.copies} toys` : '',
    minutes >= 1 ? t`${timeWords(minutes)} by the taps` : '',
  ];
  const lines = entries.map(({ at, task, copy, text, picture }) => {
    const which = run.copies > 1 ? t`, toy ${copy + 1}` : '';
    const photo = picture === undefined ? '' : t` (a photo)`;
    return `- ${dayOf(at)}, ${task}${which}: ${onOneLine(text)}${photo}`;
  });
  const went = lines.length > 0 ? lines.join('\n') : t`Nothing was written down.`;
  const sheet = sheetMarkdown(buildSheet(toy)).trimEnd();
  return t`${sheet}\n\n## How it was made\n\n${stands.filter(Boolean).join(', ')}.\n\n${went}\n`;
}
