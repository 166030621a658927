import { t } from '../../words/language';
import { audienceSaid } from '../../safety/audience';
import { careWords, labelWarnings } from '../../safety/careLabel';
import {
  isTrialEntry,
  madeOf,
  recordCaution,
  standingOf,
  standingWords,
  type RecordEntry,
  type Standing,
  type TrialEntry,
} from '../../safety/record';
import { shippedRules, type RuleBook } from '../../safety/ruleBook';
import { isTrialKind, trialName } from '../../safety/trials';
import type { ToyAnalysis } from '../analysis';
import { safetyOf } from '../safetyOf';
import { suppliesOf, supplyLines } from '../supplies/suppliesOf';
import { trialsOfToy } from '../trialsOfToy';
import { escapedHtml, escapedMarkdown } from './escaped';
import { pageHtml } from './sheetHtml';

/** What was tried, how it stands, and what was last written of it. */
export interface RecordCheck {
  what: string;
  standing: Standing;
  /** day and force of the last entry; empty where there is none */
  last: string;
}

/** The record of one toy of a batch, to print, to save, to go with it. */
export interface RecordSheet {
  title: string;
  facts: { label: string; value: string }[];
  /** what screening found, the most serious first */
  screened: string[];
  checks: RecordCheck[];
  /** everything that was written down, failed tries too */
  written: string[];
  care: string[];
  warnings: string[];
  caution: string;
}

const dayOf = (at: string): string => at.slice(0, 10);
const results: Readonly<Record<TrialEntry['result'], string>> = { held: 'held', failed: 'FAILED' };

function measureWords({ forceN, grams }: TrialEntry): string {
  if (forceN !== null) return t` at ${forceN} N`;
  return grams === undefined ? '' : t` at ${grams} g`;
}

/** An entry in a line: the day, what was tried, what came of it. */
function entryLine(entry: RecordEntry): string {
  if (!isTrialEntry(entry)) {
    const { maker, lots, at } = entry;
    const by = maker ? t` by ${maker}` : '';
    return lots ? t`${dayOf(at)}  made${by}; lots: ${lots}` : t`${dayOf(at)}  made${by}`;
  }
  const { at, of, trial, result, note } = entry;
  const kind = trial.split(' ')[0] ?? '';
  const name = isTrialKind(kind) ? trialName(kind) : kind;
  const said = note.trim() ? `: ${note.trim()}` : '';
  return `${dayOf(at)}  ${name}, ${of}: ${results[result]}${measureWords(entry)}${said}`;
}

const signs = { error: t`Stop`, warning: t`Look`, info: t`Note` } as const;

/**
 * The record of one toy: what it is made of, what screening found, how every trial stands, all that was written down, and words for a
 * label. It is the maker's own record and certifies nothing.
 *
 * @param toy the toy
 * @param number which of a batch, from 1
 * @param book the maker's own rules
 */
export function recordSheet(
  toy: ToyAnalysis,
  number: number,
  entries: readonly RecordEntry[],
  book: RuleBook = shippedRules,
): RecordSheet {
  const { header } = toy.pattern;
  const { audience, findings } = safetyOf(toy, book);
  const own = entries.filter((entry) => entry.toy === number);
  const made = madeOf(number, own);
  const trials = trialsOfToy(toy, book);
  const known = new Set(trials.map(({ id }) => id));
  const gone = own.some((entry) => isTrialEntry(entry) && !known.has(entry.trial));
  const yarns = header.yarns.map(({ value }) => value);
  const name = header.name ?? toy.parts[0]?.source.name ?? t`Toy`;
  return {
    title: t`${name}, toy ${number}`,
    facts: [
      { label: t`Made for`, value: audience ? audienceSaid[audience] : t`not said` },
      { label: t`Made by`, value: made?.maker || t`not said` },
      { label: t`Made on`, value: made ? dayOf(made.at) : t`not said` },
      { label: t`Lots`, value: made?.lots || t`not said` },
      { label: t`Materials`, value: supplyLines(suppliesOf(toy), 0).join('; ') || t`not worked out` },
    ],
    screened: findings.map(({ severity, message }) => `${signs[severity]}: ${message}`),
    checks: trials.map((trial): RecordCheck => {
      const last = own.findLast(
        (entry): entry is TrialEntry => isTrialEntry(entry) && entry.trial === trial.id,
      );
      return {
        what: `${trialName(trial.kind)}, ${trial.of}`,
        standing: standingOf(trial, number, own),
        last: last ? `${dayOf(last.at)}${measureWords(last)}` : '',
      };
    }),
    written: [
      ...(own.length > 0 ? own.map(entryLine) : [t`nothing yet`]),
      ...(gone ? [t`Some of this is about parts that the pattern no longer has.`] : []),
    ],
    care: careWords(yarns),
    warnings: labelWarnings(audience, findings.filter(({ severity }) => severity === 'error').length),
    caution: recordCaution,
  };
}

const sections = ({
  screened,
  written,
  care,
  warnings,
}: RecordSheet): readonly [string, readonly string[]][] => [
  [t`What screening found`, screened.length > 0 ? screened : [t`Nothing by the rules Hoppla knows.`]],
  [t`Written down`, written],
  [t`Care`, care],
  [t`Warnings`, warnings],
];

const checkWords = ({ what, standing, last }: RecordCheck): string =>
  `${what}: ${standingWords(standing)}${last ? ` (${last})` : ''}`;

/** The record as plain text. */
export function recordText(sheet: RecordSheet): string {
  const { title, facts, checks, caution } = sheet;
  const told = sections(sheet).flatMap(([heading, lines]) => [
    '',
    heading,
    ...lines.map((line) => `- ${line}`),
  ]);
  return `${[
    title,
    '',
    ...facts.map(({ label, value }) => `${label}: ${value}`),
    '',
    t`Checks`,
    ...checks.map((check) => `- ${checkWords(check)}`),
    ...told,
    '',
    caution,
  ].join('\n')}\n`;
}

/** The record as Markdown. */
export function recordMarkdown(sheet: RecordSheet): string {
  const list = (lines: readonly string[]) => lines.map((line) => `- ${escapedMarkdown(line)}`).join('\n');
  const told = sections(sheet).map(([heading, lines]) => `## ${heading}\n\n${list(lines)}`);
  return `${[
    `# ${escapedMarkdown(sheet.title)}`,
    list(sheet.facts.map(({ label, value }) => `${label}: ${value}`)),
    `## Checks\n\n${list(sheet.checks.map(checkWords))}`,
    ...told,
    sheet.caution,
  ].join('\n\n')}\n`;
}

/** The record as HTML, to stand in a page that has the sheet's styles. */
export function recordBody(sheet: RecordSheet): string {
  const { title, facts, checks, caution } = sheet;
  const cell = (text: string) => `<td>${escapedHtml(text)}</td>`;
  const rows = checks.map(
    ({ what, standing, last }) =>
      `<tr><th scope="row">${escapedHtml(what)}</th>${cell(standingWords(standing))}${cell(last)}</tr>`,
  );
  const told = sections(sheet).map(
    ([heading, lines]) =>
      `<section><h2>${heading}</h2><ul>${lines.map((line) => `<li>${escapedHtml(line)}</li>`).join('')}</ul></section>`,
  );
  return (
    `<article class="sheet record"><h1>${escapedHtml(title)}</h1><ul>${facts.map(({ label, value }) => `<li><strong>${label}:</strong> ${escapedHtml(value)}</li>`).join('')}</ul>` +
    `<section><h2>Checks</h2><table><thead><tr><th scope="col">What</th><th scope="col">How it stands</th><th scope="col">Last</th></tr></thead><tbody>${rows.join('')}</tbody></table></section>` +
    `${told.join('')}<p><strong>${escapedHtml(caution)}</strong></p></article>`
  );
}

/** The record as a page of its own. */
export const recordHtml = (sheet: RecordSheet): string => pageHtml(sheet.title, recordBody(sheet));
