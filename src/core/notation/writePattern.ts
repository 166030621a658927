import type { Item } from './ast';
import { readWorkLine } from './grammar';
import { readPattern } from './readPattern';
import { T, tokenise } from './tokens';
import { stitchKind, stitchWord, type StitchKind } from './stitchKinds';
import type { Terms } from './terms';
import { tokenMatcher, type TokenType } from 'chevrotain';
import { writeLine } from './writeLine';

const hasUnknown = (items: readonly Item[]): boolean =>
  items.some((item) => item.type === 'unknown' || (item.type === 'group' && hasUnknown(item.items)));

/**
 * Writes a pattern in Hoppla's own form: every round that is fully understood anew, all else, the maker's notes and order among it, as
 * it stands. Reading the result gives the same toy.
 */
export function writePattern(text: string): string {
  const { lineKinds, terms } = readPattern(text);
  const lines = text.split(/\r\n|\n|\r/);
  return lines
    .map((line, index) => {
      if (lineKinds[index] !== 'round') return line;
      const work = readWorkLine(line);
      if (!work.label || work.brackets.length > 0 || hasUnknown(work.items)) return line;
      return writeLine(work, terms.value);
    })
    .join('\n');
}

const wordTokens: [TokenType, Parameters<typeof stitchKind>[0]][] = [
  [T.Single, 'sc'],
  [T.HalfDouble, 'hdc'],
  [T.Double, 'dc'],
  [T.Treble, 'tr'],
  [T.DoubleTreble, 'dtr'],
  [T.HalfTreble, 'htr'],
  [T.TripleTreble, 'ttr'],
];

const fullNames: Record<Terms, Partial<Record<StitchKind, string>>> = {
  us: {
    sc: 'single crochet',
    hdc: 'half double crochet',
    dc: 'double crochet',
    tr: 'treble crochet',
    dtr: 'double treble crochet',
  },
  uk: {
    sc: 'double crochet',
    hdc: 'half treble crochet',
    dc: 'treble crochet',
    tr: 'double treble crochet',
    dtr: 'triple treble crochet',
  },
};

/** The word in the other terms, in the maker's own manner: short or written out, with her capitals. */
function inTerms(image: string, kind: StitchKind, to: Terms): string {
  const long = image.includes('crochet');
  const plural = long ? /crochets$/i.test(image) : /s$/i.test(image);
  const word = (long ? fullNames[to][kind] : stitchWord(kind, to)) ?? stitchWord(kind, to);
  const written = word + (plural ? 's' : '');
  if (image === image.toUpperCase() && image !== image.toLowerCase()) return written.toUpperCase();
  return image.charAt(0) !== image.charAt(0).toLowerCase()
    ? written.charAt(0).toUpperCase() + written.slice(1)
    : written;
}

const isAbbreviation = /^(?:sc|hdc|dc|tr|dtr|htr|ttr)\d?$|crochet/;

/**
 * Says the same pattern in the other terms: only words for stitches change, and the line that declares the terms.
 *
 * @param to the terms wanted; a text that is in them already comes back as it is
 */
export function convertTerms(text: string, to: Terms): string {
  const { lineKinds, terms } = readPattern(text);
  if (terms.value === to) return text;
  const lineEnd = text.includes('\r\n') ? '\r\n' : '\n';
  let declared = false;
  const lines = text.split(/\r\n|\n|\r/).map((line, index) => {
    const kind = lineKinds[index];
    if (kind === 'header' && /\bterm/i.test(line)) {
      declared = true;
      return line.replace(/\b(US|UK|American|British)\b/i, to === 'us' ? 'US' : 'UK');
    }
    // In sentences and explanations only what is certainly a stitch: `dc 6 through both layers`, `bobble: 5 tr together`.
    const isWork = kind === 'round' || kind === 'foundation';
    let out = '';
    let at = 0;
    for (const token of tokenise(line)) {
      const word = wordTokens.find(([type]) => tokenMatcher(token, type))?.[1];
      if (!word || !(isWork || isAbbreviation.test(token.image))) continue;
      out += line.slice(at, token.startOffset) + inTerms(token.image, stitchKind(word, terms.value), to);
      at = token.startOffset + token.image.length;
    }
    return out + line.slice(at);
  });
  if (!declared) lines.unshift(`Terms: ${to.toUpperCase()}`);
  return lines.join(lineEnd);
}
