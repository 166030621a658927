import { EOF, type IToken, type TokenType } from 'chevrotain';
import { SentenceLookahead, targetOf } from './lookahead';
import { nothing, type Phrases, type Waiting } from './phrases';
import { Any, featureOf, is, number, S, sentenceTypes, valueOf, Word } from './tokens';
import { stitched, styles } from './styleWords';
import type { FeatureKind, FeatureStyle } from './said';

type Has = (...wanted: TokenType[]) => boolean;

/** Words that make a number a distance across. */
const acrossWords = [
  S.Outward,
  S.Beside,
  S.FrontLine,
  S.Middle,
  S.EitherSide,
  S.Showing,
  S.InBetween,
  S.Apart,
  S.Wide,
];

/** Words that wait to hear the name of something. */
const phrases: readonly (readonly [TokenType, Waiting])[] = [
  [S.Level, 'level'],
  [S.InLine, 'inLine'],
  [S.Outward, 'outward'],
  [S.Beside, 'beside'],
  [S.SideOf, 'beside'],
];

const verbs = [
  S.NotStuff,
  S.StaysOpen,
  S.Stuff,
  S.Close,
  S.NoSew,
  S.Sew,
  S.Pin,
  S.Fold,
  S.Cut,
  S.Insert,
  S.Embroider,
  S.Safety,
  S.Tail,
];

/** `Just above round 10`: on which side of the round, as one looks at the piece. */
function roundSideOf(token: IToken): 'above' | 'below' | null {
  if (is(token, S.Above)) return 'above';
  return is(token, S.Below) ? 'below' : null;
}

const roundOf = (token: IToken) => Math.floor(valueOf(token));

/**
 * An island grammar: the phrases that carry numbers and acts are read wherever they stand, the words between them are passed over.
 */
export class SentenceParser extends SentenceLookahead {
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

  private readonly anyToken = this.RULE('anyToken', (): IToken => this.CONSUME(Any));

  /** So many tokens, whatever they are: a phrase that was seen to lie ahead. */
  private readonly run = this.RULE('run', (length: number): IToken[] => {
    const taken: IToken[] = [];
    this.AT_LEAST_ONE({
      GATE: () => taken.length < length,
      DEF: () => {
        taken.push(this.SUBRULE(this.anyToken));
      },
    });
    return taken;
  });

  private readonly sentence = this.RULE('sentence', () => {
    this.MANY(() =>
      this.OR([
        { GATE: () => this.gapAhead(1) > 0, ALT: () => this.SUBRULE(this.gap) },
        { GATE: () => this.relationLength() > 0, ALT: () => this.SUBRULE(this.relation) },
        { GATE: () => this.onLandmarkLength() > 0, ALT: () => this.SUBRULE(this.onLandmark) },
        { GATE: () => this.stitchesLength() > 0, ALT: () => this.SUBRULE(this.stitchesFrom) },
        { GATE: () => this.stitchNumbersLength() > 0, ALT: () => this.SUBRULE(this.stitchNumbers) },
        { GATE: () => this.overStitchesLength() > 0, ALT: () => this.SUBRULE(this.overStitches) },
        { GATE: () => this.vagueLength() > 0, ALT: () => this.SUBRULE(this.vague) },
        {
          GATE: () => is(this.LA(1), S.RoundWord, S.Ordinal) && this.roundAhead(),
          ALT: () => this.SUBRULE(this.round),
        },
        { GATE: () => is(this.LA(1), ...number), ALT: () => this.SUBRULE(this.measure) },
        { ALT: () => this.SUBRULE(this.word) },
      ]),
    );
  });

  private readonly gap = this.RULE('gap', () => {
    const led = this.ACTION(() => is(this.LA(1), S.Between));
    const taken = this.SUBRULE(this.run, { ARGS: [this.ACTION(() => this.gapAhead(1))] });
    this.ACTION(() => {
      const said = taken.filter((token) => is(token, ...number)).slice(0, 2);
      this.roundNumbers(said);
      const [a = 0, b = 0] = said.map(roundOf);
      // `after rounds 8 and 9` is no gap but `between rounds 8 and 12` is one with a wide mouth: the first two rounds count.
      const gap: [number, number] = [Math.min(a, b), Math.max(a, b)];
      // `From R2 to R8`, `on rounds 2 to 8`: it runs over all of them.
      if (!led && gap[1] > gap[0] + 1) this.found.step.range = gap;
      else if (this.found.step.gap) this.found.step.otherGap ??= gap;
      else this.found.step.gap = gap;
    });
  });

  private readonly round = this.RULE('round', () => {
    const before = this.LA(0);
    const a = this.SUBRULE(this.anyToken);
    const b = this.SUBRULE2(this.anyToken);
    this.ACTION(() => {
      const said = is(a, S.RoundWord) ? b : a;
      this.roundNumbers([said]);
      const value = roundOf(said);
      const side = before && roundSideOf(before);
      if (side && this.found.step.round === undefined) this.found.step.roundSide = side;
      // `When you have finished round 14` is a moment wherever it stands.
      const isDone =
        before !== undefined && /^(?:finish(?:ed|ing)?|complet(?:ed?|ing)|worked)$/i.test(before.image);
      if (before && (isDone || is(before, S.After))) {
        this.found.step.after = value;
        this.found.momentOpens = isDone || before === this.input[0];
      } else if (this.found.step.round === undefined) this.found.step.round = value;
      else if (this.found.step.round !== value) this.found.unused.push(a.startOffset);
    });
  });

  private readonly relation = this.RULE('relation', () => {
    const taken = this.SUBRULE(this.run, { ARGS: [this.ACTION(() => this.relationLength())] });
    this.ACTION(() => {
      const [first, last] = [taken[0], taken.at(-1)];
      if (!first || !last) return;
      const rounds = is(first, S.Just, S.RoundWord) ? 1 : valueOf(first);
      const { named, features } = this.found;
      const to = is(last, S.FromEnd)
        ? /base|bottom|chin/i.test(last.image)
          ? ('base' as const)
          : ('edge' as const)
        : is(last, S.FromTop)
          ? ('top' as const)
          : is(last, S.FromStart)
            ? ('start' as const)
            : // `Between the eyes, 3 rounds below them`: what was named last.
              is(last, S.OverEye)
              ? ('eyes' as const)
              : // `One round lower`: than what was named last beside what is placed.
                is(last, S.Lower, S.Higher, S.Above, S.Below, S.Them)
                ? named.length > 1
                  ? named.at(-1)
                  : 'eyes'
                : is(last, Word)
                  ? ('edge' as const)
                  : targetOf(last);
      if (!to) return;
      const direction = taken.some((token) => is(token, S.Above, S.OverEye, S.Higher))
        ? 'above'
        : taken.some((token) => is(token, S.Below, S.Lower))
          ? 'below'
          : 'from';
      if (this.found.step.relation && features[0] !== 'sculpting') {
        this.found.unused.push(first.startOffset);
        return;
      }
      this.found.step.relation = { rounds, direction, to };
      // `2 rounds above the inner edge of the eyes` also says how far to the side.
      const edge = taken.some((token) => is(token, S.Inner))
        ? ('inner' as const)
        : taken.some((token) => is(token, S.Outer))
          ? ('outer' as const)
          : null;
      // `Above the left eye`: in line with that one.
      const side =
        taken.find((token) => is(token, S.LeftSide, S.RightSide)) ??
        (is(last, S.OverEye) && /left|right/i.test(last.image) ? last : undefined);
      if (side && features[0] !== 'eyes')
        this.found.step.sides ??= /left/i.test(side.image) ? 'left' : 'right';
      if ((edge || side) && to === 'eyes') {
        this.found.said.add('inLine');
        this.found.by.inLine = 'eyes';
        this.found.edge = edge ?? 'middle';
      }
      const feature = featureOf.find(([, kind]) => kind === to)?.[1];
      if (feature) named.push(feature);
    });
  });

  private readonly onLandmark = this.RULE('onLandmark', () => {
    const taken = this.SUBRULE(this.run, { ARGS: [this.ACTION(() => this.onLandmarkLength())] });
    this.ACTION(() => {
      const last = taken.at(-1);
      const to = last && targetOf(last);
      if (!last || !to) return;
      if (this.found.step.relation) this.found.unused.push(last.startOffset);
      else this.found.step.relation = { rounds: 0, direction: 'above', to };
    });
  });

  private readonly stitchesFrom = this.RULE('stitchesFrom', () => {
    const taken = this.SUBRULE(this.run, { ARGS: [this.ACTION(() => this.stitchesLength())] });
    this.ACTION(() => {
      const [first, last] = [taken[0], taken.at(-1)];
      if (!first || !last) return;
      const { named } = this.found;
      const to = is(last, S.FrontLine)
        ? ('front' as const)
        : is(last, S.Lower, S.Higher, S.Them)
          ? named.length > 1
            ? named.at(-1)
            : 'eyes'
          : is(last, S.OverEye)
            ? ('eyes' as const)
            : featureOf.find(([type]) => is(last, type))?.[1];
      if (!to) return;
      this.found.step.stitchesFrom = {
        stitches: valueOf(first),
        direction: taken.some((token) => is(token, S.Above, S.OverEye, S.Higher)) ? 'above' : 'below',
        to,
      };
      if (to !== 'front') named.push(to);
    });
  });

  private readonly stitchNumbers = this.RULE('stitchNumbers', () => {
    const taken = this.SUBRULE(this.run, { ARGS: [this.ACTION(() => this.stitchNumbersLength())] });
    this.ACTION(() => {
      const { step } = this.found;
      const numbers = taken.filter((token) => is(token, S.Num, S.Ordinal)).map(valueOf);
      const [a = 0, b = 0] = numbers;
      // `Between stitches 15 and 16` is one split.
      const split = taken.some((token) => is(token, S.Split));
      if (split && b === a + 1) step.seat = 'split';
      step.stitches = [...(step.stitches ?? []), ...(split && b === a + 1 ? [a] : numbers)];
    });
  });

  private readonly overStitches = this.RULE('overStitches', () => {
    const taken = this.SUBRULE(this.run, { ARGS: [this.ACTION(() => this.overStitchesLength())] });
    this.ACTION(() => {
      if (taken[1]) this.found.step.wide ??= valueOf(taken[1]);
      if (taken[4]) this.found.step.high ??= valueOf(taken[4]);
      this.found.step.across ??= 'stitches';
    });
  });

  private readonly vague = this.RULE('vague', () => {
    const taken = this.SUBRULE(this.run, { ARGS: [this.ACTION(() => this.vagueLength())] });
    this.ACTION(() => {
      const [first, last] = [taken[0], taken.at(-1)];
      const to = last && targetOf(last);
      if (!first || !to) return;
      this.found.vague ??= {
        direction: is(first, S.Above) ? 'above' : 'below',
        to,
        from: first.startOffset,
        until: last.startOffset + last.image.length,
      };
      const feature = featureOf.find(([, kind]) => kind === to)?.[1];
      if (feature) this.found.named.push(feature);
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
      GATE: () =>
        meaning.length < 5 &&
        !is(
          this.LA(1),
          S.Stop,
          S.Num,
          S.NumberWord,
          S.Ordinal,
          ...featureOf.map(([type]) => type),
          EOF,
          S.Insert,
          S.Join,
        ) &&
        !this.isSign() &&
        // `One ear at stitch 8`: there the stitches are numbered, and not counted.
        !(meaning.length > 0 && this.stitchNumbersLength() > 0) &&
        this.gapAhead(1) === 0 &&
        !this.settled(meaning) &&
        !(
          is(this.LA(1), S.RoundWord) &&
          !is(this.LA(2), S.High, S.Wide, S.Apart, S.Outward, S.Showing, S.InBetween, S.EitherSide, S.Beside)
        ),
      DEF: () => {
        meaning.push(this.SUBRULE(this.anyToken));
      },
    });
    this.ACTION(() => {
      if (!this.measured(valueOf(n), meaning) || (meaning.length === 0 && is(this.LA(1), S.RoundWord)))
        this.found.unused.push(n.startOffset);
    });
  });

  /** A sign ends what a number measures, but for a bracket that says how it is meant: `7 sts (post to post)`. */
  private isSign(): boolean {
    const next = this.LA(1);
    return is(next, S.Other) && !(next.image === '(' && is(this.LA(2), S.Apart));
  }

  private settled(tokens: IToken[]): boolean {
    return (
      tokens.some((token) =>
        is(
          token,
          S.Mm,
          S.Cm,
          S.Apart,
          S.Showing,
          S.InBetween,
          S.Between,
          S.Wide,
          S.Outward,
          S.FrontLine,
          S.High,
          S.Further,
        ),
      ) &&
      !is(this.LA(1), S.Tail) &&
      !this.isDistanceInMm(tokens)
    );
  }

  /** `4 cm apart`: what follows the unit says that it is no size. */
  private isDistanceInMm(tokens: readonly IToken[]): boolean {
    const unit = tokens.at(-1);
    return unit !== undefined && is(unit, S.Mm, S.Cm) && is(this.LA(1), S.Apart, S.InBetween);
  }

  /** Takes a number with what it measures; false where it counts stitches or rounds that say nothing. */
  private measured(value: number, meaning: IToken[]): boolean {
    const has = (...wanted: TokenType[]) => meaning.some((token) => is(token, ...wanted));
    if (has(...acrossWords) && !has(S.High, S.Mm, S.Cm)) this.countedIn(has);
    const used = has(S.Mm, S.Cm) ? this.inMm(value, has) : this.inSteps(value, meaning, has);
    for (const token of meaning) this.note(token);
    return used;
  }

  /** In what a distance across is counted. */
  private countedIn(has: Has): void {
    const { step } = this.found;
    if (has(S.RoundWord)) step.across = 'rounds';
    else if (has(S.St)) step.across ??= 'stitches';
  }

  /** A size; false of a distance, which is not counted in mm. */
  private inMm(value: number, has: Has): boolean {
    const { step } = this.found;
    if (has(S.Apart, S.InBetween)) return false;
    const mm = value * (has(S.Cm) ? 10 : 1);
    if (has(S.Tail)) step.tailMm = mm;
    else if (step.sizeMm === undefined) step.sizeMm = mm;
    else this.found.secondMm ??= mm;
    return true;
  }

  /** A number of stitches or rounds; false where they say nothing. */
  private inSteps(value: number, meaning: readonly IToken[], has: Has): boolean {
    const { step } = this.found;
    if (has(S.Further)) step.further = value;
    else if (has(S.Outward, S.Beside)) this.found.outward = value;
    // `5 stitches in the middle`: between the two of a pair.
    else if (has(S.Middle)) step.showing ??= value;
    else if (has(S.FrontLine) || (has(S.EitherSide) && !has(S.Wide))) {
      this.found.outward = value;
      this.found.by.outward = 'front';
    } else if (has(S.High)) step.high ??= value;
    else if (has(S.Showing, S.InBetween, S.Between)) step.showing ??= value;
    else if (has(S.Apart)) this.apart(value, meaning);
    else if (has(S.Wide)) step.wide ??= value;
    else return this.bareSteps(value, meaning, has);
    return true;
  }

  private apart(value: number, meaning: readonly IToken[]): void {
    const { step } = this.found;
    step.apart ??= value;
    if (meaning.some((token) => is(token, S.Apart) && /post/i.test(token.image))) step.posts = true;
  }

  private bareSteps(value: number, meaning: readonly IToken[], has: Has): boolean {
    const { spacing, step } = this.found;
    if (has(S.St) && spacing) {
      step[spacing] ??= value;
      this.found.spacing = null;
      return true;
    }
    if (meaning.length === 0 || !meaning.every((token) => is(token, S.St))) return !has(S.RoundWord);
    this.found.bare ??= value;
    return true;
  }

  private readonly word = this.RULE('word', () => {
    const token = this.SUBRULE(this.anyToken);
    this.ACTION(() => this.note(token));
  });

  private note(token: IToken): void {
    const feature = featureOf.find(([type]) => is(token, type))?.[1];
    if (feature) this.name(feature, token);
    const style = styles.find(([type]) => is(token, type))?.[1];
    if (style) this.styled(style);
    const phrase = phrases.find(([type]) => is(token, type))?.[1];
    if (phrase) this.wait(phrase);
    for (const [types, take] of this.takings) if (is(token, ...types)) take(token);
    const verb = verbs.find((type) => is(token, type));
    if (verb) this.found.verbs.push(verb);
  }

  /** What single words say, in the order it is taken. */
  private readonly takings: readonly (readonly [TokenType[], (token: IToken) => void])[] = [
    [[S.Embroider], () => this.stitched()],
    [[S.Smile, S.Lips], () => this.isMouth()],
    [[S.Outward], (token) => (this.found.outwardAt ??= token.startOffset)],
    [
      [
        S.Top,
        S.Base,
        S.Ridge,
        S.ColourChange,
        S.Neck,
        S.LiveEdge,
        S.LastIncrease,
        S.FirstDecrease,
        S.PlainStart,
        S.Above,
      ],
      (token) => (this.found.heightAt ??= token.startOffset),
    ],
    [[S.Top, S.Base], (token) => this.levelWithEnd(token)],
    [
      [S.SpacingOf],
      (token) => (this.found.spacing = /dist|spacing/i.test(token.image) ? 'apart' : 'showing'),
    ],
    [[S.Ring], (token) => this.ringNamed(/felt/i.test(token.image) ? 'felt' : 'crochet')],
    [[S.FrontLine], () => this.byFrontLine()],
    [[S.EyeToEye], (token) => this.eyeToEye(token.image)],
    [[S.SideOf], (token) => (this.found.step.sides = /left/i.test(token.image) ? 'left' : 'right')],
    [[S.Lower, S.Higher, S.Below, S.Vague, S.OwnEnd], (token) => this.found.unused.push(token.startOffset)],
    [[S.Vague], (token) => (this.found.halfway ||= /way$/i.test(token.image))],
    [[S.InBetween], (token) => this.betweenEyes(token)],
    [[S.OverEye], (token) => this.overEye(token.image)],
    [[S.EitherSide], () => (this.found.step.sides ??= 'both')],
    [[S.Beside], (token) => this.besideBoth(token)],
    [[S.LeftSide], () => this.side('left')],
    [[S.RightSide], () => this.side('right')],
    [[S.Middle], () => (this.found.step.sides ??= 'middle')],
    [[S.AtStart], () => (this.found.step.atStart = true)],
    [[S.Safety], () => (this.found.step.pressed = true)],
    [[S.Inner], () => this.edgeNamed('inner')],
    [[S.Outer], () => this.edgeNamed('outer')],
    [[S.Back], () => (this.found.step.back = true)],
    [[S.Split], () => (this.found.step.seat = 'split')],
    [[S.Holes], () => (this.found.step.seat = 'foot')],
    [
      [S.FromEnd],
      (token) => (this.found.step.countFrom = /base|bottom|chin/i.test(token.image) ? 'base' : 'end'),
    ],
    [[S.FromTop], () => (this.found.step.countFrom = 'top')],
    [[S.Lightly], () => (this.found.step.firmness = 'light')],
    [[S.Medium], () => (this.found.step.firmness = 'medium')],
    [[S.Firmly], () => (this.found.step.firmness = 'firm')],
    [[S.NotStuff], () => (this.found.step.firmness = 'none')],
    [[S.CountsShowing], () => (this.found.countsShowing = true)],
  ];

  private styled(style: FeatureStyle): void {
    this.found.styles.push(style);
    if (stitched.has(style)) this.stitched();
  }

  private stitched(): void {
    this.found.step.embroidered = true;
    this.found.verbs.push(S.Embroider);
  }

  private isMouth(): void {
    if (this.found.features.length === 0) this.found.features.push('mouth');
  }

  /** `Level with the bottom of the eyes` is not level with the eyes. */
  private levelWithEnd(token: IToken): void {
    if (this.found.waiting.includes('level')) this.found.unused.push(token.startOffset);
  }

  private byFrontLine(): void {
    const waits = this.found.waiting.some((phrase) => phrase === 'outward' || phrase === 'beside');
    if (waits) this.answer('front', ['outward', 'beside']);
  }

  private betweenEyes(token: IToken): void {
    if (!/eyes/i.test(token.image)) return;
    this.found.said.add('level');
    this.found.by.level ??= 'eyes';
    this.found.named.push('eyes');
  }

  private besideBoth(token: IToken): void {
    if (!/beside|next/i.test(token.image)) this.found.step.sides ??= 'both';
  }

  /** An edge named after the phrase it belongs to is another's. */
  private edgeNamed(edge: 'inner' | 'outer'): void {
    const { said, waiting } = this.found;
    if (!said.has('inLine') || waiting.includes('inLine')) this.found.edge = edge;
  }

  private roundNumbers(said: readonly IToken[]): void {
    const { step } = this.found;
    step.roundNumbers = [
      ...(step.roundNumbers ?? []),
      said.map((token) => ({
        round: roundOf(token),
        span: { from: token.startOffset, to: token.startOffset + token.image.length },
      })),
    ];
  }

  private side(side: 'left' | 'right'): void {
    const { step } = this.found;
    this.found.leftAndRight =
      this.found.leftAndRight ||
      (step.sides !== undefined && step.sides !== side && step.sides !== 'middle' && step.sides !== 'both');
    step.sides = this.found.leftAndRight ? 'both' : side;
  }

  private wait(phrase: Waiting): void {
    this.found.said.add(phrase);
    this.found.waiting.push(phrase);
  }

  /** A feature's name: the answer to what waits for one, else what the sentence places. */
  private name(feature: FeatureKind, token: IToken): void {
    const { features, waiting, named, mentions } = this.found;
    named.push(feature);
    if (waiting.length > 0) {
      this.answer(feature, [...waiting]);
      return;
    }
    const mention = { kind: feature, from: token.startOffset, until: token.startOffset + token.image.length };
    const before = mentions.at(-1);
    if (before && mention.from - before.until <= 1) {
      // Two names in one: button eyes are eyes, an eye patch is a patch, a cheek patch a cheek.
      before.until = mention.until;
      if (before.kind === 'button' || (before.kind === 'eyes' && feature === 'patch')) this.rename(mention);
      return;
    }
    const called = [this.LA(-1), this.LA(-2)].find(
      (one) => one.image && !/^(?:the|an?|his|her|its)$/i.test(one.image),
    );
    // `Buttons for eyes`, `buttons as eyes`: what they are for is what they are.
    const isFor = /^for$/i.test(called?.image ?? '');
    const isAs = /^as$/i.test(called?.image ?? '') && before?.kind === 'button';
    if (before && (isFor || isAs)) {
      this.rename(mention);
      return;
    }
    features.push(feature);
    mentions.push(mention);
  }

  private rename(mention: Phrases['mentions'][number]): void {
    this.found.features.splice(-1, 1, mention.kind);
    this.found.mentions.splice(-1, 1, mention);
  }

  private answer(by: FeatureKind | 'front', phrases: Waiting[]): void {
    for (const phrase of phrases) this.found.by[phrase] = by;
    this.found.waiting = this.found.waiting.filter((phrase) => !phrases.includes(phrase));
  }

  /** Felt circles: behind eyes that are named they are rings, else what the feature is made of. */
  private ringNamed(of: 'felt' | 'crochet'): void {
    this.found.ring = of;
    if (this.found.features[0] !== 'eyes') this.found.styles.push(of);
  }

  /** `From the outer edge of one eye to the outer edge of the other`: as wide as that. */
  private eyeToEye(image: string): void {
    this.found.said.add('inLine');
    this.found.by.inLine = 'eyes';
    this.found.named.push('eyes');
    this.found.edge = /inn|inside/i.test(image) ? 'inner' : /out/i.test(image) ? 'outer' : 'middle';
  }

  /** `A patch over the left eye`, `a ring around each eye`: on its round and in line with it. Brows over the eyes are above them. */
  private overEye(image: string): void {
    const { step, features, by, said, named } = this.found;
    named.push('eyes');
    // `Sew felt circles behind the eyes`: the circles are what is sewn on.
    if (features.length === 0 && this.found.ring) features.push('patch');
    if (features.length === 0) {
      features.push('eyes');
      return;
    }
    if (features[0] !== 'patch' && features[0] !== 'spots') return;
    for (const phrase of ['level', 'inLine'] as const) {
      said.add(phrase);
      by[phrase] ??= 'eyes';
    }
    step.sides ??= /left/i.test(image) ? 'left' : /right/i.test(image) ? 'right' : 'both';
  }
}
