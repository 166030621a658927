import type { Item, WorkItem } from './ast';
import { limb } from './grown';
import type { PartSource, RoundSource, WorksIn } from './pattern';
import type { Rewriting } from './rewriting';
import { PartNames, type Mention } from './sentence/names';

/**
 * A round in which a finished piece is held on and worked through too, as makers write it: `5 sc, 6 sc through the left arm and the
 * body, 8 sc`. Each manner is brought to `6 sc ‹left arm›`, which the grammar reads; whether the words name a part is known when all
 * headings are.
 */

/** A manner of saying that a piece is worked in. */
interface Manner {
  /** `said → as read`; each is a test */
  example: readonly [said: string, read: string];
  pattern: RegExp;
  /** words that name the piece, the stitch, and how many */
  by: (found: Readonly<Record<string, string | undefined>>) => Held;
}

interface Held {
  piece: string;
  stitch?: string;
  count?: string;
}

const stitchWord = String.raw`(?:sc|dc|single\s+crochets?|double\s+crochets?)`;
const counted = String.raw`(?:sts?|stitch(?:es)?)(?![a-z])`;
const next = String.raw`(?:(?:in(?:to)?|over|across|along|of|for)\s+)?(?:(?:each|all)\s+of\s+)?(?:the\s+)?(?:(?:next|following|last)\s+)?`;
/** `6 sc`, `sc 6`, `sc in the next 6 sts` */
const some = (n: string) =>
  String.raw`(?:(?<before${n}>\d{1,3})\s*(?<word${n}>${stitchWord})(?![a-z])|(?<lead${n}>${stitchWord})\s+${next}(?<after${n}>\d{1,3})(?!\d)(?:\s*(?:${counted}|${stitchWord}))?)`;
const which = String.raw`(?:(?:(?:the|a|an|his|her|its|your|one|each|of)\s+)*(?:(?:first|second|third|fourth|1st|2nd|3rd|4th|left|right|other|next|front|back|remaining|finished|small|large|big|inner|outer|upper|lower|hind)\s+)*)`;
/** What usually is worked in, where no other word tells that a piece is meant. */
const limbs = String.raw`(?:arms?|legs?|ears?|wings?|tails?|paws?|foot|feet|fins?|flippers?|horns?|hands?|limbs?|snout|muzzle|beak|tentacles?|feelers?|antenna[es]?|hoo(?:f|ves)|claws?|petals?|lea(?:f|ves)|handles?|trunk|spikes?|crest|tuft|pouch)`;
const numberOfIt = String.raw`(?:\s*#?\s*[1-4](?![\d-]|\s*${stitchWord})|\s+[ab](?=[\s,:;)]))?`;
const limbNamed = String.raw`${which}(?:[a-z]+-)?${limbs}(?![a-z])${numberOfIt}`;
const notAPiece = String.raw`(?!(?:the\s+)?(?:next|each|every|front|back|both|first|last|same|ring|magic|loops?|sts?|stitch(?:es)?|ch|chains?|rounds?|rnds?|top|inc|dec|sc|dc)(?![a-z])(?!\s*(?:leg|arm|ear|wing|tail|paw|foot|fin)))`;
const anyPiece = String.raw`${notAPiece}${which}[a-z]+(?:\s+[a-z]+)??${numberOfIt}`;
const together = String.raw`(?:\s*,?\s*(?:together|at\s+once|at\s+the\s+same\s+time|held\s+together))?`;
const both = String.raw`(?:(?:through|thru|into|in)\s+(?:both|all(?:\s+(?:the\s+)?(?:two|three|2|3))?|the\s+(?:two|three|2|3)(?=\s+(?:layers|pieces|parts)))(?:\s+(?:of\s+)?(?:the\s+)?(?:layers|pieces|parts|sides|edges|sets\s+of\s+(?:stitches|sts)))?(?:\s+together)?)`;
const wall = String.raw`(?:\s+in\s+(?:front|place)(?=\s*[,;:])|\s+(?:on\s*to|to|on|against|into|in\s+front\s+of|alongside|up\s+to|over|with)\s+(?:the\s+)?(?:(?!next|each)[a-z]+\s+){0,2}?(?:body|head|neck|trunk|base|main\s+(?:piece|part)|wall|belly|torso|toy|piece|work|side))?`;
const link = String.raw`(?:\s*[,;:(–-]?\s*(?:(?:and|then|by|with|using|over|in|for|across|work|working|make|making|crocheting)\s+)*)`;
const joining = String.raw`(?:join|attach|crochet|add|connect|catch|insert|include|incorporate|sc)(?:ing|s|es)?`;
const holding = String.raw`(?:hold|place|put|line\s+up|position|lay|take|pick\s+up)(?:ing|s)?`;
const doing = String.raw`(?:join|attach|crochet|add|connect|catch|insert|includ|incorporat|hold|plac)e?`;
const re = (source: string) => new RegExp(source, 'gi');

/** The stitch and the number, whichever way round they are said. */
const stitches = (found: Readonly<Record<string, string | undefined>>): Omit<Held, 'piece'> => ({
  stitch: found.word1 ?? found.lead1 ?? found.word2 ?? found.lead2,
  count: found.before1 ?? found.after1 ?? found.before2 ?? found.after2 ?? found.times,
});
const piece = (found: Readonly<Record<string, string | undefined>>): Held => ({
  piece: found.piece ?? '',
  ...stitches(found),
});

/** `1 sc through the arm and the body x 6` is six of them. */
const repeated = ({ before1 = '1', reps }: Readonly<Record<string, string | undefined>>): Partial<Held> =>
  reps === undefined ? {} : { count: String(Number(before1) * Number(reps)) };

/** In the order they are tried: what says most before what is shorter. */
export const workedInManners: readonly Manner[] = [
  {
    example: ['hold the first arm against the body and sc through both layers 4', '4 sc ‹first arm›'],
    pattern: re(
      String.raw`\b(?:${holding}|${joining})\s+(?:on\s+)?(?<piece>${anyPiece})${wall}${link}(?:${some('1')}\s+${both}|${both}\s*[,:]?\s*${some('2')}|(?<lead3>${stitchWord})\s+(?:together\s+)?${both}\s*,?\s*(?:for\s+)?(?<times>\d{1,3})(?!\d|\s*${stitchWord})(?:\s*${counted})?)`,
    ),
    by: (found) => ({ ...piece(found), stitch: stitches(found).stitch ?? found.lead3 }),
  },
  {
    example: ['6 sc through the left arm and the body', '6 sc ‹left arm and the body›'],
    pattern: re(
      String.raw`(?:${some('1')}|(?<lead2>${stitchWord}))\s+(?:together\s+)?(?:through|thru|into|in|of)\s+(?:both\s+)?(?:(?:the\s+)?(?:layers|edges|stitches|sts)\s+(?:of|from|on)\s+)?(?:both\s+)?(?<piece>${anyPiece}\s+(?:and|&|\+)\s+${which}[a-z]+(?![a-z])(?:\s+(?:body|head|piece))?)${together}(?:\s*[x×]\s*(?<reps>\d{1,3})(?!\d)|\s*,?\s*(?:for\s+)?(?<times>\d{1,3})(?!\d|\s*${stitchWord})(?:\s*(?:${counted}|times))?)?`,
    ),
    by: (found) => ({ ...piece(found), ...repeated(found) }),
  },
  {
    example: ['sc the arm and the body together for 6 sts', '6 sc ‹arm and the body›'],
    pattern: re(
      String.raw`\b(?<lead1>sc|crochet|work)\s+(?<piece>${anyPiece}\s+(?:and|&|\+)\s+${which}[a-z]+)\s+together\s+(?:for|over|with|in|across|by)\s+(?:the\s+)?(?:next\s+)?(?<times>\d{1,3})(?:\s*(?:${counted}|${stitchWord}))?`,
    ),
    by: ({ piece: said = '', times }) => ({ piece: said, stitch: 'sc', count: times }),
  },
  {
    example: ['6 sc joining the right arm', '6 sc ‹right arm›'],
    pattern: re(
      String.raw`${some('1')}\s*[,(]?\s*(?:(?:to|while|when)\s+${doing}|(?:while\s+|by\s+|and\s+)?(?:join|attach|crochet|add|connect|catch|insert|includ|incorporat|hold|plac)ing)\s+(?:(?:on|in)\s+)?(?<piece>${limbNamed})(?:\s+(?:on|in))?${wall}(?:\s+(?:here|too|as\s+you\s+go))?(?!\s*(?:[:(]|with|over|using|for|in|by)\s*(?:the\s+)?(?:next\s+)?(?:\d{1,3}\s*(?:${stitchWord}|${counted})|${stitchWord}\s*\d))\)?`,
    ),
    by: piece,
  },
  {
    example: ['join the right arm with 6 sc', '6 sc ‹right arm›'],
    pattern: re(
      String.raw`\b${joining}\s+(?:(?:on|in)\s+)?(?<piece>${limbNamed})(?:\s+(?:on|in))?${wall}${link}(?:the\s+)?(?:(?:next|following)\s+)?(?:${some('1')}|(?<times>\d{1,3})\s*${counted})(?:\s+(?:${both}|through\s+${which}[a-z]+(?:\s+and\s+${which}[a-z]+)?))?\)?(?:\s*‹[^›]*›)?`,
    ),
    by: piece,
  },
  {
    example: ['6 sc with the first arm held in front', '6 sc ‹first arm›'],
    pattern: re(
      String.raw`${some('1')}\s+(?:together\s+)?(?:with|through|thru|including)\s+(?<piece>${limbNamed})(?:\s+(?:held\s+(?:in\s+front|on|against|behind|together)|attached|too|also|as\s+well|in\s+front|together|held)(?:\s+(?:of|the|it|body|head))*)?`,
    ),
    by: piece,
  },
  {
    example: ['sc in next 6 sts catching both layers of the arm', '6 sc ‹arm›'],
    pattern: re(
      String.raw`${some('1')}\s*,?\s*(?:while\s+)?(?:catching|going\s+through|working\s+through|taking\s+in|picking\s+up|including)\s+(?:(?:both|the|all)\s+)*(?:(?:layers|edges|sides|stitches|sts)\s+(?:of\s+)?)?(?<piece>${limbNamed})(?:\s+(?:too|also|as\s+well))?`,
    ),
    by: piece,
  },
  {
    example: ['6 sc (left arm)', '6 sc ‹left arm›'],
    pattern: re(
      String.raw`${some('1')}\s*[([]\s*(?:with\s+|through\s+|for\s+)?(?:both\s+)?(?<piece>${limbNamed})(?:\s+(?:and|&|\+)\s+[a-z]+)?\s*[)\]]`,
    ),
    by: piece,
  },
  {
    example: ['5 sc, left arm: 6 sc', '5 sc, 6 sc ‹left arm›'],
    pattern: re(
      String.raw`(?<=[,;:]\s*|\band\s+|\bthen\s+|\d\s*(?:${stitchWord}|${counted})\s+(?=[(\[]))[(\[]?(?:with\s+)?(?<piece>${limbNamed})\s*(?:[:(=]|[)\]]\s*:?|[–-](?=\s))?\s*(?:with\s+|over\s+)?${some('1')}[)\]]?`,
    ),
    by: piece,
  },
];

/** What every manner has a word of: most lines have none, and one look is cheaper than eight. */
const saysPiece = new RegExp(
  String.raw`(?<![a-z])${limbs}(?![a-z])|\b(?:both|through|thru|together)\b|\b(?:into|in|of)\b[^,;]*(?:\band\b|[&+])`,
  'i',
);

/** `R10: attach the arms: 5 sc, 6 sc with the arm, …`: what the round is for, said before its stitches. */
const saysWhatFor = re(
  String.raw`(?<=^\s*(?:rounds?|rnds?|r)?\.?\s*\d{1,3}\s*[:.)]\s*)(?:attach|join|add|insert|connect|crochet)(?:ing)?\s+(?:on\s+)?(?:(?:the|both|two)\s+)*${limbs}\s*:\s*(?=.*\d.*(?<![a-z])${limbs}(?![a-z]))`,
);

/** The number goes before or after the stitch as it stood. */
function heldWords({ piece: said, stitch = 'st', count = '1' }: Held): string {
  const words = said.trim().replace(/^(?:the|a|an|his|her|its|your|one|each|of)\s+/i, '');
  return `${count} ${stitch} ‹${words}›`;
}

/** Stitches that go around the edge of a leg, or a chain between two legs: the piece is grown into, not held on. */
const growsOn =
  /\bch(?:ain)?s?\s*\d|\d\s*ch(?:ain)?s?\b|\b(?:on|in|along|over)\s+(?:the\s+)?ch(?:ain)?s?\b|\b(?:around|along|on|onto)\s+(?:the\s+)?(?:[a-z]+\s+)?(?:leg|foot|limb)\b/i;
const isGrownInto = (text: string) => limb.test(text) && growsOn.test(text);
const startsPiece = /^\s*(?:rounds?|rnds?|rows?|r)?\.?\s*1\s*[:.)]/i;

/** Brings every manner of working a piece in to one that the grammar reads. */
export function workedIn(rewriting: Rewriting): void {
  const { text } = rewriting;
  if (!saysPiece.test(text) || isGrownInto(text) || startsPiece.test(text)) return;
  rewriting.replace(saysWhatFor, () => '');
  for (const { pattern, by } of workedInManners) {
    rewriting.replaceNamed(pattern, (found) => heldWords(by(found)));
  }
}

const heldItems = (items: readonly Item[]): WorkItem[] =>
  items.flatMap((item) =>
    item.type === 'group' ? heldItems(item.items) : item.type === 'work' && item.piece ? [item] : [],
  );

/** Which of the parts it is: of two that are named, the one that is not the part being worked. */
function pieceNamed(words: string, own: PartSource, parts: PartNames): Mention | undefined {
  return parts.in(words).find(({ id }) => id !== own.id);
}

function worksInOf(round: RoundSource, own: PartSource, parts: PartNames): WorksIn[] {
  const words = new Set(heldItems(round.work.items).map(({ piece: said }) => said ?? ''));
  return [...words].map((said) => {
    const named = pieceNamed(said, own, parts);
    const part = named ? { id: named.id, name: named.name, count: 1, side: named.side } : null;
    return { round: round.number, line: round.line, words: said, part };
  });
}

/** Finds the pieces that rounds are worked through too, now that all headings are known. */
export function findWorkedIn(parts: readonly PartSource[]): void {
  const known = new PartNames(parts);
  for (const part of parts) {
    const worksIn = part.rounds.flatMap((round) => worksInOf(round, part, known));
    if (worksIn.length > 0) part.worksIn = worksIn;
  }
}
