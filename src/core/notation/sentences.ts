import { EmbeddedActionsParser, EOF, tokenMatcher, type IToken, type TokenType } from 'chevrotain';
import { featureOf, is, number, S, sentenceLexer, sentenceTypes, valueOf, Word } from './sentenceTokens';
import type { FeatureKind, FeatureStyle, LandmarkKind, Step, StepKind } from './step';

export type { FeatureKind, Step, StepKind } from './step';

/** Phrases met in one sentence, in order. */
interface Phrases {
  step: Partial<Step>;
  verbs: TokenType[];
  features: FeatureKind[];
  /** what the sentence hangs on words that name no feature yet */
  level: boolean;
  inLine: boolean;
  edge: 'inner' | 'outer' | 'middle';
  outward: number | null;
}

const nothing = (): Phrases => ({ step: {}, verbs: [], features: [], level: false, inLine: false, edge: 'middle', outward: null });

const styles: [TokenType, FeatureStyle][] = [
  [S.Triangle, 'triangle'], [S.Satin, 'satin'], [S.Smile, 'smile'], [S.ShortRow, 'row'], [S.Lips, 'lips'], [S.Sleeping, 'sleeping'], [S.Ring, 'ring'], [S.FeltWord, 'felt'], [S.CrochetWord, 'crochet'], [S.Oval, 'oval'],
];
/** Styles worked with the needle. */
const stitched: ReadonlySet<FeatureStyle> = new Set(['triangle', 'satin', 'smile', 'row', 'sleeping']);
const landmarks: [TokenType, LandmarkKind][] = [[S.Ridge, 'ridge'], [S.ColourChange, 'colour change'], [S.LiveEdge, 'edge'], [S.Base, 'base']];
const targetOf = (token: IToken): FeatureKind | LandmarkKind | undefined => (featureOf.find(([type]) => is(token, type)) ?? landmarks.find(([type]) => is(token, type)))?.[1];

/**
 * An island grammar: the phrases that carry numbers and acts are read wherever they stand, the words between them are passed over.
 */
class SentenceParser extends EmbeddedActionsParser {
  private found: Phrases = nothing();

  constructor() {
    super(sentenceTypes, { recoveryEnabled: true, maxLookahead: 1, skipValidations: true });
    this.performSelfAnalysis();
  }

  read(tokens: IToken[]): Phrases {
    this.input = tokens;
    this.found = nothing();
    this.sentence();
    return this.found;
  }

  private readonly any = Object.values(S).concat(Word).map((type) => ({ ALT: () => this.CONSUME(type) }));
  private readonly anyToken = this.RULE('anyToken', (): IToken => this.OR(this.any));

  private readonly sentence = this.RULE('sentence', () => {
    this.MANY(() => this.OR([
      { GATE: () => this.gapAhead(1) > 0, ALT: () => this.SUBRULE(this.gap) },
      { GATE: () => this.relationLength() > 0, ALT: () => this.SUBRULE(this.relation) },
      { GATE: () => is(this.LA(1), S.RoundWord, S.Ordinal) && this.roundAhead(), ALT: () => this.SUBRULE(this.round) },
      { GATE: () => is(this.LA(1), ...number), ALT: () => this.SUBRULE(this.measure) },
      { ALT: () => this.SUBRULE(this.word) },
    ]));
  });

  /** How many tokens from `i` make `between R8 and R9`, or 0. */
  private gapAhead(i: number): number {
    const start = i;
    const led = is(this.LA(i), S.Between);
    if (led) i += 1;
    while (is(this.LA(i), Word) && /^the$/i.test(this.LA(i).image)) i += 1;
    let rounds = false;
    if (is(this.LA(i), S.RoundWord)) { rounds = true; i += 1; }
    if (!is(this.LA(i), S.Num, S.Ordinal)) return 0;
    i += 1;
    if (is(this.LA(i), S.RoundWord) && is(this.LA(i + 1), S.Join, S.Dash)) { rounds = true; i += 1; }
    if (!is(this.LA(i), S.Join, S.Dash)) return 0;
    i += 1;
    while (is(this.LA(i), Word) && /^the$/i.test(this.LA(i).image)) i += 1;
    if (is(this.LA(i), S.RoundWord)) { rounds = true; i += 1; }
    if (!is(this.LA(i), S.Num, S.Ordinal)) return 0;
    i += 1;
    if (is(this.LA(i), S.RoundWord)) { rounds = true; i += 1; }
    return rounds || led ? i - start : 0;
  }

  private readonly gap = this.RULE('gap', () => {
    const length = this.ACTION(() => this.gapAhead(1));
    const values: number[] = [];
    let taken = 0;
    this.AT_LEAST_ONE({
      GATE: () => taken < length,
      DEF: () => {
        const token = this.SUBRULE(this.anyToken);
        taken += 1;
        if (is(token, S.Num, S.Ordinal)) values.push(Number.parseInt(token.image, 10));
      },
    });
    this.ACTION(() => {
      const [a = 0, b = 0] = values;
      // `after rounds 8 and 9` is no gap but `between rounds 8 and 12` is one with a wide mouth: the first two rounds count.
      this.found.step.gap = [Math.min(a, b), Math.max(a, b)];
    });
  });

  private roundAhead(): boolean {
    return is(this.LA(1), S.RoundWord) ? is(this.LA(2), S.Num) : is(this.LA(2), S.RoundWord);
  }

  private readonly round = this.RULE('round', () => {
    const before = this.LA(0);
    const a = this.SUBRULE(this.anyToken);
    const b = this.SUBRULE2(this.anyToken);
    this.ACTION(() => {
      const value = Number.parseInt((is(a, S.RoundWord) ? b : a).image, 10);
      if (before && is(before, S.After)) this.found.step.after = value;
      else this.found.step.round ??= value;
    });
  });

  /** How many tokens make `2 rounds below the eyes`, `just under the eyes`, `4 rounds up from the base`, or 0. */
  private relationLength(): number {
    let i = 1;
    if (is(this.LA(1), S.Just)) i = 2;
    else if (is(this.LA(1), ...number) && is(this.LA(2), S.RoundWord)) i = 3;
    else return 0;
    if (!is(this.LA(i), S.Above, S.Below)) return 0;
    i += 1;
    while (is(this.LA(i), Word, S.Safety)) i += 1;
    return targetOf(this.LA(i)) ? i : 0;
  }

  private readonly relation = this.RULE('relation', () => {
    const length = this.ACTION(() => this.relationLength());
    const taken: IToken[] = [];
    this.AT_LEAST_ONE({ GATE: () => taken.length < length, DEF: () => { taken.push(this.SUBRULE(this.anyToken)); } });
    this.ACTION(() => {
      const [first, last] = [taken[0], taken.at(-1)];
      const to = last && targetOf(last);
      if (!first || !to) return;
      const direction = taken.some((token) => is(token, S.Above)) ? 'above' : 'below';
      this.found.step.relation = { rounds: is(first, S.Just) ? 1 : valueOf(first), direction, to };
    });
  });

  /** A number and what it measures: `9 mm`, `6 stitches showing`, `8 apart`, `4 stitches wide`. */
  private readonly measure = this.RULE('measure', () => {
    const n = this.OR([
      { ALT: () => this.CONSUME(S.Num) },
      { ALT: () => this.CONSUME(S.NumberWord) },
      { ALT: () => this.CONSUME(S.Ordinal) },
    ]);
    const meaning: IToken[] = [];
    this.MANY({
      // Up to four words may stand between the number and what it measures: `6 stitches left visible between`.
      GATE: () => meaning.length < 5 && !is(this.LA(1), S.Stop, S.Num, S.NumberWord, S.Ordinal, S.Eyes, S.Other, EOF, S.Insert, S.Join) && this.gapAhead(1) === 0 && !this.settled(meaning) && !(is(this.LA(1), S.RoundWord) && !is(this.LA(2), S.High)),
      DEF: () => { meaning.push(this.SUBRULE(this.anyToken)); },
    });
    this.ACTION(() => this.measured(valueOf(n), meaning));
  });

  private settled(tokens: IToken[]): boolean {
    return tokens.some((token) => is(token, S.Mm, S.Cm, S.Apart, S.Showing, S.InBetween, S.Between, S.Wide, S.Outward, S.High)) && !is(this.LA(1), S.Tail);
  }

  private measured(value: number, meaning: IToken[]): void {
    const { step } = this.found;
    const has = (...wanted: TokenType[]) => meaning.some((token) => is(token, ...wanted));
    if (has(S.Mm, S.Cm)) {
      const mm = value * (has(S.Cm) ? 10 : 1);
      if (has(S.Tail)) step.tailMm = mm;
      else step.sizeMm ??= mm;
    } else if (has(S.Outward)) this.found.outward = value;
    else if (has(S.High)) step.high ??= value;
    else if (has(S.Showing, S.InBetween, S.Between)) step.showing ??= value;
    else if (has(S.Apart)) step.apart ??= value;
    else if (has(S.Wide)) step.wide ??= value;
    for (const token of meaning) this.note(token);
  }

  private readonly word = this.RULE('word', () => {
    const token = this.SUBRULE(this.anyToken);
    this.ACTION(() => this.note(token));
  });

  private note(token: IToken): void {
    const { step, verbs, features } = this.found;
    const feature = featureOf.find(([type]) => is(token, type))?.[1];
    if (feature) features.push(feature);
    const style = styles.find(([type]) => is(token, type))?.[1];
    // The first style named is how it is made: “satin triangle” is a triangle in satin stitch.
    if (style && (!step.style || style === 'triangle')) step.style = style;
    if (is(token, S.Embroider) || (style && stitched.has(style))) { step.embroidered = true; verbs.push(S.Embroider); }
    if (is(token, S.Smile) && features.length === 0) features.push('mouth');
    if (is(token, S.Lips) && features.length === 0) features.push('mouth');
    if (is(token, S.Level)) this.found.level = true;
    if (is(token, S.InLine)) this.found.inLine = true;
    if (is(token, S.Inner)) this.found.edge = 'inner';
    if (is(token, S.Outer)) this.found.edge = 'outer';
    if (is(token, S.Back)) step.back = true;
    if (is(token, S.FeltWord) && features.length === 0) step.style = 'felt';
    if (is(token, S.Split)) step.seat = 'split';
    if (is(token, S.Holes)) step.seat = 'foot';
    if (is(token, S.FromEnd)) step.countFrom = 'end';
    if (is(token, S.Lightly)) step.firmness = 'light';
    if (is(token, S.Medium)) step.firmness = 'medium';
    if (is(token, S.Firmly)) step.firmness = 'firm';
    if (is(token, S.NotStuff)) step.firmness = 'none';
    const verb = [S.NotStuff, S.Stuff, S.Close, S.NoSew, S.Sew, S.Pin, S.Fold, S.Cut, S.Insert, S.Embroider, S.Safety, S.Tail].find((type) => is(token, type));
    if (verb) verbs.push(verb);
  }
}

let parser: SentenceParser | undefined;

function kindOf({ verbs, features, step, level, inLine, outward }: Phrases): StepKind | null {
  const said = (...wanted: TokenType[]) => verbs.some((verb) => wanted.includes(verb));
  const stuffing = said(S.Stuff, S.NotStuff);
  if (said(S.NoSew)) return 'nosew';
  if (stuffing && !said(S.Insert, S.Safety, S.Embroider)) return 'stuff';
  const measured = step.sizeMm !== undefined || step.gap !== undefined || step.apart !== undefined || step.showing !== undefined || step.relation !== undefined || step.round !== undefined || level || inLine || outward !== null || features[0] === 'sculpting';
  if (said(S.Close)) return 'close';
  if (features.length > 0 && (said(S.Insert, S.Embroider, S.Safety, S.Sew) || measured)) return 'feature';
  if (said(S.Sew)) return 'sew';
  if (said(S.Pin)) return 'pin';
  if (said(S.Fold)) return 'fold';
  if (said(S.Cut) && said(S.Tail)) return 'cut';
  return stuffing ? 'stuff' : null;
}

/**
 * Reads assembly sentences: `Insert 9 mm safety eyes between R8 and R9, 6 stitches showing. Stuff firmly.`
 *
 * @param text one line as written
 * @param line its number, from 1
 * @returns one step for each sentence understood, in order; empty where the line says nothing Hoppla knows
 */
export function readSteps(text: string, line: number): Step[] {
  parser ??= new SentenceParser();
  const steps: Step[] = [];
  const tokens = sentenceLexer.tokenize(text).tokens;
  let start = 0;
  for (let i = 0; i <= tokens.length; i += 1) {
    const token = tokens[i];
    if (token && !tokenMatcher(token, S.Stop)) continue;
    const sentence = tokens.slice(start, i);
    start = i + 1;
    const [first] = sentence;
    const last = sentence.at(-1);
    if (!first || !last) continue;
    const phrases = parser.read(sentence);
    const kind = kindOf(phrases);
    if (!kind) continue;
    const span = { from: first.startOffset, to: last.startOffset + last.image.length };
    const step: Step = { ...phrases.step, kind, text: text.slice(span.from, span.to), line, span };
    // The first thing named is what is placed; later ones are what it is placed by.
    if (kind === 'feature' && phrases.features[0]) {
      const [feature, other] = phrases.features;
      step.feature = feature;
      // `level with the mouth, one stitch outside each eye`: the last thing named is what it stands beside.
      const by = phrases.features.length > 1 ? (phrases.features.at(-1) ?? null) : feature !== 'eyes' ? 'eyes' : null;
      if (phrases.level && other) step.level = other;
      if (phrases.inLine && by) step.inLine = { edge: phrases.edge, to: by };
      if (phrases.outward !== null) step.outward = { stitches: phrases.outward, from: by };
    }
    steps.push(step);
  }
  return steps;
}
