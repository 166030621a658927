import { label, re, type Phrasing } from './phrasing';

/** A colour before what is worked in it: `cream: `. */
const named = String.raw`(?!(?:front|back|left|right|first|second|third|next|last|then|side|top|bottom|odd|even|round|row|total|now|rep|repeat|work|option|either|or)\b)([a-z]{3,12}(?:\s[a-z]{3,12})?)\s*:\s*(?=(?:\d{1,3}\s*)?(?:sc|hdc|dc|inc|dec)\b)`;
/** A colour by its name. */
const name = String.raw`(?:(?:dark|light|pale|bright|off)[\s-]?)?(?:white|cream|black|brown|grey|gray|red|orange|yellow|green|blue|purple|pink|beige|tan|teal|navy|gold|mint|peach|coral|rust|olive|lilac|lavender|violet|ivory|turquoise|mustard|rose|sage|silver|charcoal|caramel|chestnut|sand)(?![a-z])`;
/** A colour of yarn: its letter or its name. */
const colourWord = String.raw`(?:[A-H](?![a-z])|${name})`;
/** Its letter as makers write it, in capitals only: `a` is a word. */
const letter = String.raw`(?:[A-H]|MC|CC)\d?(?![A-Za-z\d])`;
const work = String.raw`[^()[\]:;]*?`;
const stitch = String.raw`(?:sc|hdc|dc|tr|htr)(?![a-z])`;
/** Behind a number of stitches, or stitches and their number. */
const behindStitches = String.raw`(?<=\b${stitch}\s*\d{1,3}|\d{1,3}\s*${stitch})`;
/** Before stitches with their number. */
const beforeStitches = String.raw`(?=\d{1,3}\s*${stitch}|${stitch}\s*(?:\d|in\b|around\b))`;
const done = String.raw`(?=\s*(?:[,;.)\]*([=]|and\b|$))`;
/** The yarn that is left, and the one that is taken: `drop A, pick up B`. */
const dropped = (yarn: string) =>
  String.raw`(?:(?:drop|cut|leave|break)(?:\s+off)?\s+(?:the\s+)?${yarn}(?:\s+yarn)?\s*(?:[,;.]|and)*\s*)?`;
const taken = String.raw`(?:pick\s+up|join(?:\s+in)?|attach|rejoin|tie\s+in|add|(?:change|switch|go)\s+back\s+to|back\s+to|return\s+to)\s+(?:the\s+)?`;
const exactly = (source: string): RegExp => new RegExp(source, 'g');

/** Which stitches are worked in which yarn. In the order they are tried. */
export const colourPhrasings: readonly Phrasing[] = [
  {
    example: ['R5: 6W 12B 6W', 'R5: sc 6 in W, sc 12 in B, sc 6 in W'],
    pattern: re(
      String.raw`${label}(?=(?:\d{1,3}\s?[A-Z](?![a-zA-Z])[,\s]*){2,}(?:[[(=]|$))((?:\d{1,3}\s?[A-Z][,\s]*)+)`,
    ),
    by: (_, chart) =>
      [...(chart ?? '').matchAll(/(\d{1,3})\s?([A-Z])/gi)]
        .map(([, count, colour]) => `sc ${count} in ${colour}`)
        .join(', ') + ' ',
  },
  {
    example: ['*3 in A, 3 in B* around', '*3 st in A, 3 st in B* around'],
    pattern: /(?<=[,;*([:]\s*)(\d{1,2})\s+(?=in\s+[A-H]\b)/g,
    by: (_, count) => `${count} st `,
  },
  {
    example: ['R5: A 3, B 6, A 3 (12)', 'R5: 3 st in A, 6 st in B, 3 st in A (12)'],
    pattern: re(
      String.raw`${label}((?:${colourWord}\s+\d{1,2}\s*[,;+]\s*)+${colourWord}\s+\d{1,2})(?=\s*(?:[[(=]\s*\d|\.?\s*$|[,;–-]?\s*(?:repeat|around|x\s*\d)))`,
    ),
    by: (_, stripes = '') => stripes.replace(/([a-z]+)(\s+)(\d{1,2})/gi, '$3 st in $1'),
  },
  {
    example: ['[cream: 1 sc, inc; brown: 1 sc, inc] x 3', '[in cream 1 sc, inc; in brown 1 sc, inc] x 3'],
    // One name before a colon may be any word: two and more, of which none is a place or an order, are colours.
    pattern: re(String.raw`[([]\s*${named}${work}(?:[;,]\s*${named}${work})+[)\]]`),
    by: (whole = '') => whole.replace(new RegExp(named, 'gi'), 'in $1 '),
  },
  {
    example: ['sc 12 (front), sc 12 (back)', 'sc 12, sc 12'],
    pattern:
      /(?<=\d\s*(?:sc)?)\s*\(\s*(?:the\s+)?(?:front|back|left|right|side|top|bottom|belly|face|chest)(?:\s+(?:side|half))?\s*\)/gi,
    by: () => '',
  },
  {
    example: ['sc 8 (cream), sc 8 (grey)', 'sc 8 in cream, sc 8 in grey'],
    pattern:
      /(?<=\b(?:sc|hdc|dc)\s*\d{1,3}|\d{1,3}\s*(?:sc|hdc|dc))\s*\(\s*(?:in\s+|with\s+|colou?r\s+)?(?!inc|dec|sc\b|st\b|sts\b|around|total|even)([a-z]{3,12}(?:\s[a-z]{3,12})?)\s*\)/gi,
    by: (_, colour) => ` in ${colour}`,
  },
  {
    example: ['sc 12 (A), sc 12 (B)', 'sc 12 in A, sc 12 in B'],
    pattern: exactly(String.raw`${behindStitches}\s*[([]\s*(${letter})\s*[)\]]`),
    by: (_, yarn) => ` in ${yarn}`,
  },
  {
    example: ['(A) sc 8, [B] sc 8', 'in A, sc 8, in B, sc 8'],
    pattern: exactly(String.raw`[([]\s*(${letter})\s*[)\]]\s*[:,–-]?\s*${beforeStitches}`),
    by: (_, yarn) => `in ${yarn}, `,
  },
  {
    example: ['(brown) 12 sc, (white) 12 sc', 'in brown, 12 sc, in white, 12 sc'],
    pattern: re(String.raw`[([]\s*(${name})\s*[)\]]\s*[:,–-]?\s*${beforeStitches}`),
    by: (_, yarn) => `in ${yarn}, `,
  },
  {
    example: ['sc 8 A, 8 sc B, sc 8 A', 'sc 8 in A, 8 sc in B, sc 8 in A'],
    pattern: exactly(String.raw`${behindStitches}\s+(${letter})${done}`),
    by: (_, yarn) => ` in ${yarn}`,
  },
  {
    example: ['12 sc brown, sc 12 white', '12 sc in brown, sc 12 in white'],
    pattern: re(String.raw`${behindStitches}\s+(${name})${done}`),
    by: (_, yarn) => ` in ${yarn}`,
  },
  {
    example: ['12 brown sc, 12 white sc', '12 sc in brown, 12 sc in white'],
    pattern: re(String.raw`(?<![\w.])(\d{1,3})\s+(${name})\s+(${stitch})${done}`),
    by: (_, count, yarn, stitches) => `${count} ${stitches} in ${yarn}`,
  },
  {
    example: ['sc 11, sc with colour change to white, sc 12', 'sc 11, sc, change to white, sc 12'],
    pattern: /\s+(?:with\s+(?:a\s+)?|and\s+)colou?r[\s-]+change\s+to\s+(?:the\s+)?(?=[a-z])/gi,
    by: () => ', change to ',
  },
  {
    example: ['sc 12, drop A, pick up B, sc 12', 'sc 12, change to B, sc 12'],
    pattern: exactly(String.raw`(?<![a-z])${dropped(letter)}${taken}(${letter})(?:\s+yarn)?${done}`),
    by: (_, yarn) => `change to ${yarn}`,
  },
  {
    example: ['join white, 6 sc, join grey, 12 sc', 'change to white, 6 sc, change to grey, 12 sc'],
    pattern: re(String.raw`(?<![a-z])${dropped(name)}${taken}(${name})(?:\s+yarn)?${done}`),
    by: (_, yarn) => `change to ${yarn}`,
  },
  {
    example: ['R5: B sc around', 'R5: in B, sc around'],
    pattern: exactly(String.raw`(?<=[:,;([*]\s*)(?!A\s+${stitch})(${letter})\s+${beforeStitches}`),
    by: (_, yarn) => `in ${yarn}, `,
  },
  {
    example: ['R5: white 12 sc, brown 12 sc', 'R5: in white, 12 sc, in brown, 12 sc'],
    pattern: re(String.raw`(?<=[:,;([*]\s*)(${name})\s+${beforeStitches}`),
    by: (_, yarn) => `in ${yarn}, `,
  },
  {
    example: ['sc around - white', 'sc around in white'],
    pattern: re(
      String.raw`(?<=\b(?:around|each\s+st(?:itch)?))\s*[,–-]?\s*[([]?\s*(${colourWord})\s*[)\]]?\s*$`,
    ),
    by: (_, yarn) => ` in ${yarn}`,
  },
];
