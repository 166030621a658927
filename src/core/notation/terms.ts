import type { Item, StitchWord } from './ast';
import type { Problem } from './problem';
import { saying } from '../words/problems/problems';

export type Terms = 'us' | 'uk';

/** What the words turned out to mean, and how that is known. */
export interface TermsFound {
  value: Terms;
  source: 'declared' | 'words' | 'either' | 'assumed';
}

/** Every stitch word in the items, with its place in the line. */
export function wordsUsed(
  items: readonly Item[],
  found: Map<StitchWord, number> = new Map(),
): Map<StitchWord, number> {
  for (const item of items) {
    if (item.type === 'work' && !found.has(item.word)) found.set(item.word, item.span.from);
    if (item.type === 'group') wordsUsed(item.items, found);
  }
  return found;
}

/** First place of each telling word: line and column from 1. */
export type WordPlaces = Map<StitchWord, { line: number; column: number; text: string }>;

/** The words that exist in UK terms only, by their US names. */
function asUs(line: string): string {
  return line
    .replace(/\bhtr\b/gi, 'hdc')
    .replace(/\bttr\b/gi, 'dtr')
    .replace(/\bhalf treble\b/gi, 'half double')
    .replace(/\btriple treble\b/gi, 'double treble');
}

/**
 * Decides between US and UK terms.
 *
 * `sc` and `hdc` exist in US terms only, `htr` and `ttr` in UK terms only; `miss` alone hints at UK. `dc` and `tr` exist in both and
 * mean different stitches, so a text with only these is asked about, not guessed.
 */
export function findTerms(
  declared: Terms | null,
  places: WordPlaces,
  saysMiss: boolean,
): { terms: TermsFound; problems: Problem[] } {
  const problems: Problem[] = [];
  const us = places.get('sc') ?? places.get('hdc');
  const uk = places.get('htr') ?? places.get('ttr') ?? (!us ? places.get('dtr') : undefined);
  if (us && (places.get('htr') ?? places.get('ttr'))) {
    const other = places.get('htr') ?? places.get('ttr');
    problems.push({
      ...saying('terms-mixed', { usLine: us.line, ukLine: other?.line ?? null }),
      severity: 'error',
      line: other?.line,
      column: other?.column,
      suggestions: other?.text
        ? [{ title: 'Take the UK word as its US one', edits: [{ line: other.line, text: asUs(other.text) }] }]
        : [],
    });
    return { terms: { value: declared ?? 'us', source: declared ? 'declared' : 'assumed' }, problems };
  }
  if (declared === 'uk' && us) {
    problems.push({
      ...saying('terms-mixed', { usLine: us.line, ukLine: null }),
      severity: 'error',
      line: us.line,
      column: us.column,
      suggestions: [],
    });
  }
  if (declared) return { terms: { value: declared, source: 'declared' }, problems };
  if (us) return { terms: { value: 'us', source: 'words' }, problems };
  const both = places.get('dc') ?? places.get('tr');
  if (uk || (saysMiss && both)) return { terms: { value: 'uk', source: 'words' }, problems };
  if (!both) return { terms: { value: 'us', source: 'either' }, problems };
  problems.push({
    ...saying('terms-ambiguous', {}),
    severity: 'error',
    line: both.line,
    column: both.column,
    suggestions: [
      { title: 'It is in UK terms', edits: [{ line: 0, text: 'Terms: UK', insertAfter: true }] },
      { title: 'It is in US terms', edits: [{ line: 0, text: 'Terms: US', insertAfter: true }] },
    ],
  });
  return { terms: { value: 'us', source: 'assumed' }, problems };
}
