// `Don't stuff the last 4 rounds`, `do not stuff too firmly`: the part is stuffed all the same.
const partly = String.raw`(?!\s+(?:it\s+|them\s+)?(?:too|so|very|yet|until|before|firmly|hard|(?:the\s+)?(?:last|first|top|upper|lower|bottom|end|tip|opening|edge)\b))`;

const auxiliary = String.raw`(?:do|does|is|are|need|must|should|have|has)`;
const negation = [
  String.raw`${auxiliary}\s+not`,
  String.raw`${auxiliary}n['’]?t`,
  'not',
  'never',
  'no',
  'avoid',
  'without',
].join('|');
/** What may stand between *not* and *stuff*: `not necessary to`, `don't have to`, `do not add any`. */
const between = String.raw`(?:\s+(?:(?:need|needed|necessary|required|have|has|want|be|add|put|use|give|get|go)\b|to\b|for\b|of\b|any\b|in\b|the\b|them\b|it\b))*`;
const filling = String.raw`(?:stuff\w*|fill\w*|fibre\s*fill|fiber\s*fill)`;

/** A base that stays flat is filled all the same. */
const flat = String.raw`(?:stays?|left|remains?)\s+flat`;
/** `Leave 5 empty stitches between them` says nothing of stuffing. */
const loops = '(?:st|sts|stitch|stitches|sc|loops?|chains?|holes?|spaces?)';
const end = 'bottom|base|underside|sole|end|back|top|side|edge|opening|foot|feet|belly';

/**
 * The ways of saying that a part is left empty, each the source of an expression. Part names stay outside of them, so that
 * `leave the last two rounds empty` keeps its rounds.
 */
export const emptyWords: readonly string[] = [
  String.raw`(?:${negation})${between}\s+${filling}${partly}`,
  String.raw`skip(?:\s+the)?\s+${filling}`,
  'unstuffed',
  String.raw`${filling}\s*(?::|=)\s*(?:none|no|nothing|-|–)`,
  String.raw`${filling}\s+(?:is\s+|are\s+)?(?:not|isn['’]?t)\s+(?:needed|necessary|required|used)`,
  String.raw`(?:stays?|left|remains?|kept)\s+(?:empty|hollow)`,
  String.raw`${flat}(?<!\b(?:${end})\s+(?:is\s+|are\s+|should\s+)?${flat})`,
  String.raw`(?:empty|hollow)(?<=\b(?:leave|leaving|keep|keeping)\s(?!the\s+rest\b|rest\b)[^.;]{0,40}(?:empty|hollow))(?<!\b${loops}\s+(?:empty|hollow))(?!\s+${loops}\b)`,
];
