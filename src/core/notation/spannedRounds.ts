import { inPlace, labelled, number, numberOf, roundWord } from './mannerWords';

/** For how many rounds a line goes. */
export interface SpannedRounds {
  /** 0 where it says until which one instead */
  times: number;
  /** it only says that one before comes again */
  again: boolean;
  /** which one, where it is not the last */
  round?: number;
  /** the last that is worked so */
  until?: number;
}

/** A line, and for how many rounds it goes; null where it is of one. */
export interface Spanned {
  line: string;
  rounds: SpannedRounds | null;
}

const nextRounds = new RegExp(
  String.raw`^\s*(?:for\s+)?(?:the\s+)?(?:next|following)\s+${number}\s+(?:rounds|rnds|rows)\s*[:.,–-]?`,
  'i',
);
const andFollowing = new RegExp(
  String.raw`^(\s*${roundWord}\.?\s*\d{1,4})(\s+and\s+(?:the\s+)?(?:following|next)\s+${number}\s+(?:rounds|rnds|rows))`,
  'i',
);
const roundsCounted = String.raw`(?:[-–]\s+)?(?:(?:for|over|x|×|so|total\s+of)\s+)?(?:the\s+next\s+)?(?<!\b(?:last|previous|these|those|first|from|within|between|every|below|above)\s)${number}\s+(?:more\s+)?(?:rounds|rnds|rows)(?:\s+(?:more|even|straight|evenly|altogether|in\s+(?:total|all)|total))?`;
const tailRounds = new RegExp(
  String.raw`[,;]?\s*(?:[([]\s*${roundsCounted}\s*[)\]]|${roundsCounted})(?:\s*[([]\s*${roundWord}\.?\s*\d{1,4}\s*(?:[-–]|to|through)\s*(?:${roundWord}\.?\s*)?\d{1,4}\s*[)\]])?(?=\s*(?:[[(]\s*\d{1,4}[^()[\]]*[)\]])?\s*\.?\s*$)`,
  'i',
);
const lastAgain = new RegExp(
  String.raw`^\s*(?:repeat|rep)\s+(?:the\s+)?(?:last|previous)\s+(?:round|rnd|row)\s+(?:for\s+)?${number}\s*(?:more\s+)?(?:times|x|rounds|rnds|rows)?(?:\s+more)?\s*\.?\s*$`,
  'i',
);
const untilRound = new RegExp(
  String.raw`^\s*(?:repeat|rep)\s+(?:(?:the\s+)?${roundWord}\.?\s*(\d{1,3})|(?:this|the\s+last|the\s+previous|last)\s+${roundWord})\s*,?\s*(?:until|till|up\s+to|through|to)\s+(?:the\s+)?(?:(?:end\s+of\s+)?${roundWord}\.?\s*(\d{1,3})|(?:you\s+(?:have\s+)?|there\s+are\s+)(?:worked\s+|made\s+)?(\d{1,3})\s+(?:rounds|rnds|rows)(?:\s+(?:in\s+(?:total|all)|altogether))?)\s*\.?\s*$`,
  'i',
);
const thisRound = String.raw`(?:repeat|rep|do|work)\s+(?:(?:this|that|(?:the\s+)?(?:last|previous|same))\s+(?:round|rnd|row)|(?:this|it)(?=[^.;]*\bin\s+total\b))`;
const roundAgain = new RegExp(
  String.raw`[.,;]?\s*(?:then\s+)?${thisRound}\s+(?:for\s+)?(?:a\s+total\s+of\s+)?(?:(once|twice)|${number}\s*(?:more\s+)?(?:times|x|rounds|rnds|rows))(?:\s+more)?(\s+(?:in\s+total|altogether|in\s+all))?\s*\.?\s*$`,
  'i',
);
const timesOnce: Readonly<Record<string, number>> = { once: 1, twice: 2, thrice: 3 };

/** `Repeat this round 3 times`, after the round or on a line of its own: so many more of it; null where it is not said. */
function againAtEnd(line: string): Spanned | null {
  const found = roundAgain.exec(line);
  if (!found) return null;
  const [, word, count, total] = found;
  const said = word ? (timesOnce[word.toLowerCase()] ?? 1) : numberOf(count ?? '');
  const isTotal = total !== undefined || /\ba\s+total\s+of\b/i.test(found[0]);
  const more = isTotal ? said - 1 : said;
  if (found.index === 0) return { line: ' '.repeat(line.length), rounds: { times: more, again: true } };
  if (!labelled.test(line.slice(0, found.index))) return null;
  return { line: blank(line, found.index, line.length), rounds: { times: more + 1, again: false } };
}

const goingOn =
  /^\s*(?:(?:then|now|next)[\s,]+)*(?:(?:continue|work|crochet|keep|go|sc|single|\d{1,4}(?:sc)?|[([]\d{1,4}[)\]]|in|on|around|even|evenly|straight|plain|for|with|each|st|stitch|every|working|going|the|round|an?|spiral)(?![a-z\d])[\s,]*)+$/i;
const blank = (line: string, from: number, to: number) =>
  line.slice(0, from) + ' '.repeat(to - from) + line.slice(to);

const unchangedWords = String.raw`(?:with(?:out|\s+no)\s+(?:any\s+)?(?:further\s+)?(?:inc\w*|dec\w*|chang\w+|shaping)(?:\s+or\s+(?:inc\w*|dec\w*))?)`;
const plainRoundsOnly = new RegExp(
  String.raw`^\s*(?:(?:work|crochet|make|do|then|now)\s+)*${number}\s+(?:more\s+)?(?:plain\s+)?(?:rounds|rnds)\s+(?:(?:(?:of|in|with)\s+)?(?:plain\s+)?(?:\d{1,3}\s*)?(?:sc|single\s+crochets?)(?:\s+(?:around|even|each|in\s+each\s+st(?:itch)?(?:\s+around)?))?(?:\s*,?\s*${unchangedWords})?|${unchangedWords})(?=\s*(?:[[(.,]|$))`,
  'i',
);

const roundLabel = String.raw`(?:${roundWord}\.?\s*\d{1,4}\s*(?:[-–]|(?:and\s+)?(?:on|up|onwards?))?\s*[:.)–-]\s*)?`;
const evenUntil = new RegExp(
  String.raw`^(\s*${roundLabel})([a-z\d\s,]*?)[\s,]+(?:until|till|up\s+to|through|to)\s+(?:(?:the\s+)?(?:end\s+of\s+)?${roundWord}\.?\s*(\d{1,3})|(?:(?:you|there|it|(?:the\s+|this\s+|your\s+)?[a-z]+)\s+(?:have|has|are|is|measures?|comes?\s+to|reach(?:es)?)\s+)(?:worked\s+|made\s+|completed\s+)?${number}\s+(?:rounds|rnds|rows)(?:\s+(?:in\s+(?:total|all)|altogether|long|high|tall|total))?)(?=\s*(?:[[(]\s*\d{1,4}[^()[\]]*[)\]])?\s*\.?\s*$)`,
  'i',
);

const saysPlain = /\b(?:\d*sc|single|even|evenly|straight|plain|each|every)\b/i;

/** `Work even until there are 12 rounds in all`, `Sc around to R9`: plain rounds, and the last of them; null where it is not said. */
function plainUntil(line: string): Spanned | null {
  const found = evenUntil.exec(line);
  if (!found) return null;
  const [whole, label = '', body = '', last, count] = found;
  // `Continue in this way until R9` may well go on increasing: what is plain says so.
  if (!goingOn.test(body) || !saysPlain.test(body)) return null;
  const rounds = { times: 0, again: false, until: numberOf(last ?? count ?? '') };
  return { line: inPlace(line, label.length, whole.length, 'sc around') ?? line, rounds };
}

const length = String.raw`(?:about\s+|approx(?:imately|\.)?\s+|roughly\s+)?(\d{1,3}(?:[.,]\d+)?(?:\s*\/\s*\d)?\s*(?:cm|mm|centimet(?:er|re)s?|in(?:ch(?:es)?)?\b|["″]))`;
const workedTo = new RegExp(
  String.raw`^\s*${roundLabel}([a-z\d\s,]*?)[\s,]+(?:(?:until|till)\s+(?:(?:you|there|it|(?:the\s+|this\s+|your\s+)?[a-z]+)\s+(?:have|has|is|are|measures?|comes?\s+to|reach(?:es)?)\s+)|for\s+)${length}(?:\s+(?:long|high|tall|in\s+(?:length|height|all|total)))?\s*(?:[.,;].*)?$`,
  'i',
);

/** The length that plain rounds are worked to: `Work even until it measures 4 cm`; null where none is said. */
export function lengthWorked(line: string): string | null {
  const [, body = '', said] = workedTo.exec(line) ?? [];
  const plainly = body.replace(
    /\b(?:in\s+)?(?:this|the\s+same)\s+(?:way|manner|pattern)\b|\blike\s+this\b/gi,
    '',
  );
  return said && goingOn.test(plainly) ? said : null;
}

/** Rounds a line goes for: `Next 3 rounds: …`, `R3: sc around, 3 rounds`, `Work 4 more rounds even`, `Repeat last round 2 more times`. */
export function spannedRounds(line: string): Spanned {
  const again = lastAgain.exec(line);
  if (again)
    return { line: ' '.repeat(line.length), rounds: { times: numberOf(again[1] ?? ''), again: true } };
  const end = untilRound.exec(line);
  if (end) {
    const [, round, last, total] = end;
    const rounds = { times: 0, again: true, until: Number(last ?? total) };
    return { line: ' '.repeat(line.length), rounds: round ? { ...rounds, round: Number(round) } : rounds };
  }
  const more = againAtEnd(line) ?? plainUntil(line);
  if (more) return more;
  const next = nextRounds.exec(line);
  if (next && /\w/.test(line.slice(next[0].length)))
    return { line: blank(line, 0, next[0].length), rounds: { times: numberOf(next[1] ?? ''), again: false } };
  const following = andFollowing.exec(line);
  if (following) {
    const from = (following[1] ?? '').length;
    return {
      line: blank(line, from, from + (following[2] ?? '').length),
      rounds: { times: numberOf(following[3] ?? '') + 1, again: false },
    };
  }
  const plain = plainRoundsOnly.exec(line);
  if (plain) {
    const rounds = { times: numberOf(plain[1] ?? ''), again: false };
    return { line: inPlace(line, 0, plain[0].length, 'sc around') ?? line, rounds };
  }
  const times = plainTimesIn(line);
  if (times) return plainSaidAgain(line, times);
  const tail = tailRounds.exec(line);
  if (!tail || tail.index === 0) return { line, rounds: null };
  return roundsAtEnd(line, tail);
}

/** `sc around, 3 times`: a plain round is full, so it can only be rounds that are meant. */
const plainTimes = new RegExp(
  String.raw`^(\s*(?:${roundWord}\.?\s*\d{1,4}\s*[:.)–-]?\s*)?(?:sc|single\s+crochet)\s+(?:in\s+(?:each|every)(?:\s+(?:st|stitch))?\s+)?(?:all\s+)?around)\s*[,.;]?\s*(?:(?:and\s+)?(?:repeat|rep)\s+)?(?:for\s+)?(?:${number}\s+(more\s+)?times|[x×]\s*${number}|(once|twice|thrice)(\s+more)?)(?=\s*(?:[[(]\s*\d{1,4}[^()[\]]*[)\]])?\s*\.?\s*$)`,
  'i',
);

/** `sc twice around`, `sc two times around`: the same, said before it. */
const plainTimesBefore = new RegExp(
  String.raw`^(\s*(?:${roundWord}\.?\s*\d{1,4}\s*[:.)–-]?\s*)?(?:sc|single\s+crochet)\s+)(?:${number}\s+(more\s+)?times|[x×]\s*${number}|(once|twice|thrice)(\s+more)?)(?=\s+(?:all\s+)?around\s*(?:[[(]\s*\d{1,4}[^()[\]]*[)\]])?\s*\.?\s*$)`,
  'i',
);

const plainTimesIn = (line: string): RegExpExecArray | null =>
  plainTimes.exec(line) ?? plainTimesBefore.exec(line);

function plainSaidAgain(line: string, found: RegExpExecArray): Spanned {
  const [whole, round = '', times, more, by, word, again] = found;
  const said = word ? (timesOnce[word.toLowerCase()] ?? 1) : numberOf(times ?? by ?? '');
  return {
    line: blank(line, round.length, whole.length),
    rounds: { times: more || again ? said + 1 : said, again: false },
  };
}

/** `R3: sc around, 3 rounds`, `Work 4 more rounds even`, `R5: sc around (24). Repeat for 2 more rounds.` */
function roundsAtEnd(line: string, tail: RegExpExecArray): Spanned {
  const again = /[.,;]?\s*\b(?:repeat|rep)(?:\s+(?:this|it|the\s+(?:last\s+)?(?:round|rnd|row)))?\s*$/i.exec(
    line.slice(0, tail.index),
  );
  const from = again?.index ?? tail.index;
  const to = tail.index + tail[0].length;
  const before = line.slice(0, from);
  const hasLabel = labelled.test(before);
  if (!hasLabel && !goingOn.test(before)) return { line, rounds: null };
  // Said again for so many more, it is worked once before.
  const rounds = { times: numberOf(tail[1] ?? tail[2] ?? '') + (again && hasLabel ? 1 : 0), again: false };
  const kept = blank(line, from, to);
  // `Work 4 more rounds even` names no stitch: plain ones.
  const named = hasLabel || /\bsc\b/i.test(before);
  return { line: named ? kept : (inPlace(line, 0, to, 'sc around') ?? kept), rounds };
}
