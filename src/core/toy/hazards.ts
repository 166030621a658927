import { withoutRemarks } from '../notation/remarks';
import type { LineEdit } from '../notation/problem';
import type { Hazard } from '../safety/findings';
import type { Mend } from '../safety/remedies';
import type { ToyAnalysis } from './analysis';

/** Words that name something that can hurt. */
const hazards: readonly [Hazard['code'], RegExp][] = [
  [
    'glue',
    /\b(?:(?:hot|super|fabric|textile|craft)[- ]?)?glue(?:d|s)?\b|\bgluing\b|\bepoxy\b|\badhesives?\b|\bfusible\b/gi,
  ],
  ['wire', /\b(?:wire|wires|wired|pipe ?cleaners?|chenille stems?|armature)\b/gi],
  ['magnet', /\bmagnet(?:s|ic)?\b/gi],
  [
    'rattle',
    /\b(?:rattles?|squeakers?|jingle bells?|bells?(?![- ](?:shape|sleeve|bottom|pepper|flower))|(?:music|sound|voice) (?:box(?:es)?|modules?|chips?)|crinkle (?:paper|foil|film))\b/gi,
  ],
  ['battery', /\b(?:batter(?:y|ies)|button cells?|coin cells?|LEDs?|tea ?lights?|fairy lights?)\b/gi],
  [
    'stick',
    /\b(?:insert|put|push|place|slide|stick|add)\w*\b[^.;]*\b(?:tooth ?picks?|skewers?|(?:wooden|plastic) (?:sticks?|dowels?|rods?|spoons?)|dowels?|chop ?sticks?|drinking straws?)\b[^.;]*\b(?:in|into|inside|through|up)\b/gi,
  ],
  ['long-pile', /\b(?:faux fur|fur yarn|eyelash yarn|long pile|mohair|brushed alpaca)\b/gi],
  [
    'button',
    /\b(?:beads?|sequins?|rhinestones?|pearls?(?! cotton)|(?:googly|wiggly?) eyes?|press ?studs?|snaps|poppers)\b/gi,
  ],
  ['sewn-on', /\bpom[- ]?poms?\b/gi],
  [
    'key-ring',
    /\b(?:(?:lobster|swivel|trigger) clasps?|carabiners?|phone (?:straps?|charms?)|(?:split|jump) rings?|brooch pins?|safety pins?(?= (?:to|on|at|for the back)))\b/gi,
  ],
  ['strands', /\b(?:fishing line|monofilament|nylon (?:line|thread)|horse ?hair)\b/gi],
  [
    'colouring',
    /\b(?:(?:powder|cream) blush|blush(?:er)? powder|make-?up|rouge|(?:chalk|soft|oil) pastels?|fabric (?:paints?|markers?|pens?)|(?:acrylic|textile) paints?|paint (?:the|on|in)|water ?colou?rs?)\b/gi,
  ],
  [
    'loose-filling',
    /\b(?:pellets?|(?:weight(?:ing)?|filling) beads?|(?:dried|dry) (?:beans?|peas?|lentils?|lavender|corn)|cherry stones?|(?:fill|stuff)(?:ed)?(?: (?:it|them|the \w+))? with (?:rice|sand|beans?|lavender|gravel|glass beads)|weight bags?|(?:put|add|insert|place|drop|weigh\w*)\b[^.;]*\b(?:marbles?|pebbles?|stones|coins?(?! cell)|steel balls?|glass (?:gems?|pebbles?)|metal (?:nuts?|weights?|discs?)))\b/gi,
  ],
  [
    'cord-length',
    /\b(?:ribbons?(?! yarn)|strings? (?:around|round|about)|elastic cord|shoelaces?|(?<!-)cords?|drawstrings?)\b/gi,
  ],
  [
    'knots-outside',
    /\bknots?\b[^.;]*\b(?:outside|shows?|visible)\b|\btie\b[^.;]*\b(?:ends?|tails?)\b[^.;]*\b(?:outside|in a (?:knot|bow))\b/gi,
  ],
  ['loop-size', /\b(?:hanging loop|loop (?:for|to) hang(?:ing)?)\b/gi],
];

/** A line that names a yarn says what it is made of, not what is put on the toy. */
const yarnLine = /^\s*(?:yarn|colou?r)\b/i;

/** What forbids or leaves something out is no use of it: `no wire`, `do not glue`. */
const forbidden = /\b(?:no|not|never|without|instead of|don['’]?t|avoid)\b[^.;,]*$/i;

const isForbidden = (line: string, at: number): boolean => forbidden.test(line.slice(0, at));

/** Words of a line in place of others, but for those that are forbidden there; small and capital as they stood. */
function inPlace(line: string, words: RegExp, put: string): string {
  return line.replace(words, (...found: unknown[]) => {
    const said = String(found[0]);
    // Behind the groups, of which these expressions have none, stands where it was found.
    if (isForbidden(line, Number(found[1]))) return said;
    return /^[A-Z]/.test(said) ? put.charAt(0).toUpperCase() + put.slice(1) : put;
  });
}

const withGlue = /\bwith (?:a (?:drop|dab|little|bit) of )?(?:hot |fabric |textile |craft )?glue\b/gi;
const verbOfGlue = /\b(?:hot[- ]?)?glue(?=\s+(?:the|both|each|on|it|them|a|two)\b)/gi;
const glued = /\b(?:hot[- ]?)?glued\b/gi;
const wireWords = /\b(?:a |an |some )?(?:floral |craft )?(?:wires?|pipe ?cleaners?|chenille stems?)\b/gi;

/** What stands in a line in place of what can hurt, by what that does. */
const harmless: Partial<Record<Hazard['code'], { mend: Mend; write: (line: string) => string }>> = {
  glue: {
    mend: 'sew-instead',
    write: (line) =>
      inPlace(inPlace(inPlace(line, withGlue, 'with needle and thread'), verbOfGlue, 'sew'), glued, 'sewn'),
  },
  wire: { mend: 'roll-instead', write: (line) => inPlace(line, wireWords, 'a tight roll of felt') },
};

/** Every line that speaks of a hazard, with its first word for it. */
function linesWith(expression: RegExp, code: Hazard['code'], { text, pattern, parts }: ToyAnalysis) {
  // A part that is called Bell is no bell: its name says nothing of what is in it.
  const names = parts.flatMap(({ source }) => source.name.toLowerCase().split(/\s+/));
  const isName = (word: string) => names.some((name) => name === word || `${name}s` === word);
  return withoutRemarks(text.split(/\r\n|\n|\r/)).flatMap((line, i) => {
    const isRound = pattern.lineKinds[i] === 'round' || pattern.lineKinds[i] === 'heading';
    const isYarn = code !== 'long-pile' && yarnLine.test(line);
    if (isRound || isYarn) return [];
    const found = [...line.matchAll(expression)].find(
      ({ 0: word, index }) => !isForbidden(line, index) && !isName(word.toLowerCase()),
    );
    return found ? [{ line: i + 1, text: line, word: found[0].toLowerCase() }] : [];
  });
}

/** What a toy's text says of things that can hurt: each once, mended in every line that speaks of it. */
export function hazardsIn(toy: ToyAnalysis): Hazard[] {
  return hazards.flatMap(([code, expression]) => {
    const lines = linesWith(expression, code, toy);
    const [first] = lines;
    if (!first) return [];
    const part = toy.parts.find(
      ({ source }) => first.line >= source.firstLine && first.line <= source.lastLine,
    );
    const kind = harmless[code];
    const edits = lines.flatMap(({ line, text }): LineEdit[] => {
      const written = kind?.write(text) ?? text;
      return written === text ? [] : [{ line, text: written }];
    });
    // Where one of them stays as it is, the tap would not do what it says.
    const isWhole = edits.length === lines.length;
    return [
      {
        code,
        word: first.word,
        part: part?.source.name ?? null,
        mends: kind ? { [kind.mend]: isWhole ? edits : null } : {},
      },
    ];
  });
}
