import type { TokenType } from 'chevrotain';
import { SentenceParser, type Phrases, type Waiting } from './sentenceParser';
import { S, sentenceLexer } from './sentenceTokens';
import { splitSentences } from './splitSentences';
import type { FeatureKind, FeatureStyle, Step, StepKind } from './step';

export type { FeatureKind, Step, StepKind } from './step';

let parser: SentenceParser | undefined;

/** More stitches than that are what a round has, not how wide a mouth is. */
const widestBare = 12;

function kindOf({ verbs, features, step, said: phrases, outward, vague, halfway }: Phrases): StepKind | null {
  const said = (...wanted: TokenType[]) => verbs.some((verb) => wanted.includes(verb));
  const stuffing = said(S.Stuff, S.NotStuff);
  if (said(S.NoSew)) return 'nosew';
  if (stuffing && !said(S.Insert, S.Safety, S.Embroider)) return 'stuff';
  const measured = step.sizeMm !== undefined || step.gap !== undefined || step.range !== undefined || step.apart !== undefined || step.showing !== undefined || step.relation !== undefined || step.stitchesFrom !== undefined || vague !== null || halfway || step.round !== undefined || step.atStart || phrases.size > 0 || outward !== null || features[0] === 'sculpting';
  if (said(S.Close)) return 'close';
  if (features.length > 0 && (said(S.Insert, S.Embroider, S.Safety, S.Sew) || measured)) return 'feature';
  if (said(S.Sew)) return 'sew';
  if (said(S.Pin)) return 'pin';
  if (said(S.Fold)) return 'fold';
  if (said(S.Cut) && said(S.Tail)) return 'cut';
  return stuffing ? 'stuff' : null;
}

/** What says a place without a number is taken as one round; what is not read at all is kept, clause by clause. */
function unread(step: Step, { vague, unused, outwardAt, heightAt, mentions }: Phrases, text: string, span: Step['span']): void {
  const placed = step.gap ?? step.range ?? step.relation ?? step.stitchesFrom ?? step.level ?? step.round ?? (step.atStart || undefined);
  const others = mentions.filter(({ kind }) => kind !== step.feature && kind !== step.inLine?.to && kind !== step.level && kind !== step.outward?.from && kind !== step.relation?.to && kind !== step.stitchesFrom?.to);
  const left = [...unused, ...others.map(({ from }) => from), ...(outwardAt !== null && !step.outward ? [outwardAt] : []), ...(heightAt !== null && placed === undefined && !vague ? [heightAt] : [])];
  const clauses = left.map((at) => clauseAt(text, at, span));
  if (vague && step.feature !== 'sculpting') {
    if (placed === undefined) {
      step.relation = { rounds: 1, direction: vague.direction, to: vague.to };
      step.vague = text.slice(vague.from, vague.until);
    } else if (!(step.relation && step.relation.to === vague.to && step.relation.direction === vague.direction)) clauses.push(clauseAt(text, vague.from, span));
  }
  if (clauses.length > 0 && step.feature !== 'sculpting') step.unused = [...new Set(clauses)];
}

/** The first style named is how it is made; “satin triangle” is a triangle in satin stitch, and only some things are a line or an oval. */
function styleOf(feature: FeatureKind, styles: readonly FeatureStyle[]): FeatureStyle | undefined {
  const fit = styles.filter((style) => (style !== 'line' || feature === 'mouth') && (style !== 'oval' || feature === 'eyes' || feature === 'nose'));
  return fit.includes('triangle') ? 'triangle' : fit[0];
}

/** The words around a place in a text, from comma to comma. */
function clauseAt(text: string, at: number, { from, to }: Step['span']): string {
  const comma = /^[,:;](?!\d)/;
  let [start, end] = [at, at];
  while (start > from && !comma.test(text.slice(start - 1, start + 1))) start -= 1;
  while (end < to && !comma.test(text.slice(end, end + 2))) end += 1;
  return text.slice(start, end).trim();
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
  for (const sentence of splitSentences(sentenceLexer.tokenize(text).tokens)) {
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
      const [feature] = phrases.features;
      const { by, said, outward } = phrases;
      step.feature = feature;
      const style = styleOf(feature, phrases.styles);
      if (style) step.style = style;
      if (style === 'line') step.embroidered = true;
      const eyes = feature === 'eyes' ? null : 'eyes';
      // Pressed eyes lie on one line of holes, whatever they are said to reach over.
      if (!eyes && step.range && !step.gap) { step.gap = step.range; delete step.range; }
      const bySomething = (phrase: Waiting) => (by[phrase] === 'front' ? null : (by[phrase] as FeatureKind | undefined)) ?? eyes;
      const level = bySomething('level');
      if (said.has('level') && level) step.level = level;
      const line = bySomething('inLine');
      if (said.has('inLine') && line) step.inLine = { edge: phrases.edge, to: line };
      // `Either side of the middle, 6 apart`: the distance says how far.
      if (by.beside === 'front') {
        if (step.apart === undefined && step.showing === undefined) step.outward = { stitches: outward ?? 1, from: 'front' };
        else step.sides ??= 'both';
      }
      else if (said.has('beside')) {
        const beside = bySomething('beside');
        step.outward = { stitches: outward ?? 1, from: beside };
        if (beside && !step.gap && !step.relation && step.round === undefined) step.level ??= beside;
      } else if (outward !== null) step.outward = { stitches: outward, from: by.outward ?? eyes };
      // `Outside the eyes` is the next stitch.
      else if (by.outward) step.outward = { stitches: 1, from: by.outward };
      // `Stitch 15 of round 16`: the hole at its foot, in the line under that round.
      if (step.stitches && step.round !== undefined && !step.gap && !step.countFrom && step.round > 1) { step.gap = [step.round - 1, step.round]; step.ofRound = step.round; delete step.round; }
      // `3 stitches from the nose` and nothing else: beside it.
      if (step.outward?.from && step.outward.from !== 'front' && step.outward.from !== 'eyes' && !step.gap && !step.relation && !step.stitchesFrom && !step.range && step.round === undefined) step.level ??= step.outward.from;
      if (feature === 'eyes' && phrases.ring) step.ring = { of: phrases.ring, ...(phrases.secondMm === null ? {} : { sizeMm: phrases.secondMm }) };
      // `4 sts` alone is how wide what is stitched is.
      if (phrases.bare !== null && phrases.bare <= widestBare && step.sizeMm === undefined && !step.stitches && (feature === 'mouth' || feature === 'nose' || feature === 'brows')) step.wide ??= phrases.bare;
      // One mouth that reaches from left to right.
      if ((feature === 'mouth' || feature === 'nose') && phrases.leftAndRight && !step.outward) delete step.sides;
      unread(step, phrases, text, span);
    }
    steps.push(step);
  }
  return steps;
}
