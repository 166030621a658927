import { EmbeddedActionsParser, EOF, tokenMatcher, type IToken, type TokenType } from 'chevrotain';
import { featureOf, is, number, S, sentenceLexer, sentenceTypes, valueOf, Word } from './sentenceTokens';
import type { FeatureKind, FeatureStyle, LandmarkKind, Step, StepKind } from './step';

export type { FeatureKind, Step, StepKind } from './step';

/** Phrases met in one sentence, in order. */
interface Phrases {
  step: Partial<Step>;
  verbs: TokenType[];
  features: FeatureKind[];
}

/**
 * An island grammar: the phrases that carry numbers and acts are read wherever they stand, the words between them are passed over.
 */
class SentenceParser extends EmbeddedActionsParser {
  private found: Phrases = { step: {}, verbs: [], features: [] };

  constructor() {
    super(sentenceTypes, { recoveryEnabled: true, maxLookahead: 1, skipValidations: true });
    this.performSelfAnalysis();
  }

  read(tokens: IToken[]): Phrases {
    this.input = tokens;
    this.found = { step: {}, verbs: [], features: [] };
    this.sentence();
    return this.found;
  }

  private readonly any = Object.values(S).concat(Word).map((type) => ({ ALT: () => this.CONSUME(type) }));
  private readonly anyToken = this.RULE('anyToken', (): IToken => this.OR(this.any));

  private readonly sentence = this.RULE('sentence', () => {
    this.MANY(() => this.OR([
      { GATE: () => this.gapAhead(1) > 0, ALT: () => this.SUBRULE(this.gap) },
      { GATE: () => this.relationAhead(), ALT: () => this.SUBRULE(this.relation) },
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

  /** `2 rounds below the eyes` */
  private relationAhead(): boolean {
    if (!is(this.LA(1), ...number) || !is(this.LA(2), S.RoundWord)) return false;
    let i = 3;
    if (!is(this.LA(i), S.Above, S.Below)) return false;
    i += 1;
    while (is(this.LA(i), Word, S.Safety)) i += 1;
    return featureOf.some(([type]) => is(this.LA(i), type));
  }

  private readonly relation = this.RULE('relation', () => {
    const n = this.SUBRULE(this.anyToken);
    this.CONSUME(S.RoundWord);
    const side = this.SUBRULE2(this.anyToken);
    this.MANY({ GATE: () => is(this.LA(1), Word, S.Safety), DEF: () => this.SUBRULE3(this.anyToken) });
    const to = this.SUBRULE4(this.anyToken);
    this.ACTION(() => {
      const feature = featureOf.find(([type]) => is(to, type))?.[1];
      if (feature) this.found.step.relation = { rounds: valueOf(n), direction: is(side, S.Above) ? 'above' : 'below', to: feature };
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
      GATE: () => meaning.length < 5 && !is(this.LA(1), S.Stop, S.Num, S.NumberWord, S.Ordinal, S.Eyes, S.Other, EOF, S.Insert, S.Join) && this.gapAhead(1) === 0 && !this.settled(meaning) && !(is(this.LA(1), S.RoundWord)),
      DEF: () => { meaning.push(this.SUBRULE(this.anyToken)); },
    });
    this.ACTION(() => this.measured(valueOf(n), meaning));
  });

  private settled(tokens: IToken[]): boolean {
    return tokens.some((token) => is(token, S.Mm, S.Cm, S.Apart, S.Showing, S.InBetween, S.Between, S.Wide)) && !is(this.LA(1), S.Tail);
  }

  private measured(value: number, meaning: IToken[]): void {
    const { step } = this.found;
    const has = (...wanted: TokenType[]) => meaning.some((token) => is(token, ...wanted));
    if (has(S.Mm, S.Cm)) {
      const mm = value * (has(S.Cm) ? 10 : 1);
      if (has(S.Tail)) step.tailMm = mm;
      else step.sizeMm ??= mm;
    } else if (has(S.Showing, S.InBetween, S.Between)) step.showing ??= value;
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
    if (is(token, S.Embroider)) step.embroidered = true;
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

function kindOf({ verbs, features, step }: Phrases): StepKind | null {
  const said = (...wanted: TokenType[]) => verbs.some((verb) => wanted.includes(verb));
  const stuffing = said(S.Stuff, S.NotStuff);
  if (said(S.NoSew)) return 'nosew';
  if (stuffing && !said(S.Insert, S.Safety, S.Embroider)) return 'stuff';
  const measured = step.sizeMm !== undefined || step.gap !== undefined || step.apart !== undefined || step.showing !== undefined || step.relation !== undefined || step.round !== undefined;
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
    if (kind === 'feature' && phrases.features[0]) [step.feature] = phrases.features;
    steps.push(step);
  }
  return steps;
}
