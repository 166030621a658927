import { evenRound } from '../fabric/evenRound';
import { saysOpen } from '../fabric/lastEdge';
import type { LineEdit } from '../notation/problem';
import { writeReinforce, type ReinforceSentence } from '../notation/sentence/reinforce';
import { stitchWord } from '../notation/stitchKinds';
import type { FeaturePlacement } from '../place/resolve/placement';
import { discMm } from '../place/rule/hardware';
import { removeRule, writeRule } from '../place/rule/writeRule';
import { hasPost } from '../place/rule/rule';
import type { Mends } from '../safety/remedies';
import type { RuleBook } from '../safety/ruleBook';
import { coverOfStrand } from '../shape/form/showThrough';
import { gaugeFromTable, weightInWords } from '../shape/yarnWeights';
import { toyHeaderEdits } from '../notation/editText';
import type { PartAnalysis, ToyAnalysis } from './analysis';

/** So many stitches at most are drawn together. */
const mostGathered = 8;
/** What ends wider than this was never meant to be closed by rounds of decreases alone. */
const widestClosed = 72;
/** Hooks are sold in steps of half a millimetre, and none is finer than this. */
const hookStepMm = 0.5;
const finestHookMm = 1;

/**
 * The edit that writes down how something is reinforced: straight behind the rounds, where it is about this part and no other, also where
 * two parts have one name or the part runs on into the assembly.
 */
function reinforcedEdits(
  { source }: Pick<PartAnalysis, 'source'>,
  said: Pick<ReinforceSentence, 'how'> & Partial<Pick<ReinforceSentence, 'feature' | 'discMm'>>,
): LineEdit[] {
  const { how, feature = null, discMm: disc = null } = said;
  const last = source.rounds.at(-1);
  const line = last ? last.line + last.lines - 1 : (source.chain?.line ?? source.firstLine);
  return [{ line, text: writeReinforce({ how, feature, discMm: disc, part: null }), insertAfter: true }];
}

/** The same feature in thread: as large, in the same place. */
function embroideredEdits({ source }: PartAnalysis, { id, rule }: FeaturePlacement): LineEdit[] {
  const { ring, ...bare } = rule;
  const style = rule.kind === 'nose' ? 'satin' : null;
  return [writeRule(source, id, { ...(ring ? bare : rule), embroidered: true, style })];
}

/** A button as a stitched spot of its size, where it lies. */
function spotEdits({ source }: PartAnalysis, { id, rule }: FeaturePlacement): LineEdit[] {
  return [writeRule(source, id, { ...rule, kind: 'spots', embroidered: true, style: 'satin' })];
}

/** What the plan can do about a feature that was found. */
export function mendsOfFeature(part: PartAnalysis, feature: FeaturePlacement): Mends {
  const { id, kind, rule } = feature;
  const isPressed = hasPost(rule);
  if (isPressed)
    return {
      embroider: embroideredEdits(part, feature),
      back: reinforcedEdits(part, { how: 'backing', feature: kind, discMm: discMm(rule.sizeMm ?? 0) }),
      'finer-hook': null,
    };
  if (kind === 'button') return { 'stitch-spot': spotEdits(part, feature) };
  if (rule.style === 'button') return { embroider: embroideredEdits(part, feature) };
  const removed = removeRule(part.source, id);
  if (kind === 'key ring' || kind === 'hair' || kind === 'whiskers')
    return { 'leave-out': removed ? [removed] : null };
  return { twice: reinforcedEdits(part, { how: 'twice', feature: kind }) };
}

/** The rounds that bring an end of so many stitches down to what can be gathered: plain multiples of six where it comes to those. */
function closingCounts(stitches: number): number[] {
  const counts: number[] = [];
  for (let count = stitches; count > mostGathered;) {
    const over = count % 6 === 0 ? 6 : count % 6;
    // A round can halve its stitches at most.
    count = Math.max(Math.ceil(count / 2), count - over);
    counts.push(count);
  }
  return counts;
}

/** Rounds of decreases behind the last, and the hole drawn together. */
function decreasedEdits(
  { source, fabric, checks }: PartAnalysis,
  { pattern }: ToyAnalysis,
): LineEdit[] | null {
  const last = source.rounds.at(-1);
  const stitches = checks.at(-1)?.worked ?? 0;
  const isWide = stitches > widestClosed;
  if (!last || stitches <= mostGathered || isWide || saysOpen(source) || fabric.row[0] === 1) return null;
  const word = stitchWord('sc', pattern.terms.value);
  const counts = closingCounts(stitches);
  const rounds = counts.map((count, i) => {
    const body = evenRound(counts[i - 1] ?? stitches, count)?.replace(/\bsc\b/g, word);
    return `R${last.number + 1 + i}: ${body ?? ''} [${count}]`;
  });
  const line = last.line + last.lines - 1;
  return [...rounds, `Gather the last ${counts.at(-1) ?? 0} stitches.`].map((text) => ({
    line,
    text,
    insertAfter: true,
  }));
}

/** A hook so fine that the yarn covers the widest round; null where the gauge is her own, or no hook, or no yarn is named. */
function finerHookEdits({ text, pattern }: ToyAnalysis, stretch: number): LineEdit[] | null {
  const { gauge, hook, yarns } = pattern.header;
  const hookMm = Number.parseFloat(/\d+(?:[.,]\d+)?/.exec(hook ?? '')?.[0].replace(',', '.') ?? '');
  const weight = yarns.flatMap(({ value }) => weightInWords(value) ?? [])[0];
  if (!gauge?.assumed || !weight || !Number.isFinite(hookMm)) return null;
  for (let finer = hookMm - hookStepMm; finer >= finestHookMm; finer -= hookStepMm) {
    const { widthMm, heightMm } = gaugeFromTable(weight.key, finer);
    if (widthMm * stretch > coverOfStrand * weight.thicknessMm) continue;
    const named = gauge.yarn ? `, ${gauge.yarn}` : '';
    return [
      ...toyHeaderEdits(text, 'Hook', `${finer} mm`),
      ...toyHeaderEdits(text, 'Gauge', `${widthMm} mm x ${heightMm} mm${named}, assumed`),
    ];
  }
  return null;
}

/** A part that is nothing but chains, of as many as stay under the longest cord. */
function shortenedEdits(
  { source, form }: PartAnalysis,
  text: string,
  { figures }: RuleBook,
): LineEdit[] | null {
  const { chain } = source;
  const most = Math.floor(figures.cordMm / form.gauge.widthMm);
  const line = text.split(/\r\n|\n|\r/)[(chain?.line ?? 0) - 1];
  if (!chain || chain.isRing || line === undefined || most < 1) return null;
  const shorter = line.replace(new RegExp(`\\b${chain.stitches}\\b`), String(most));
  return shorter === line ? null : [{ line: chain.line, text: shorter }];
}

/** The edit that has a part sewn on twice round. */
export const mendsOfSeam = (part: PartAnalysis): LineEdit[] => reinforcedEdits(part, { how: 'twice' });

/** What the plan can do about a part that was found. `stretch`: how many times as wide as worked its widest round is stuffed. */
export function mendsOfPart(part: PartAnalysis, toy: ToyAnalysis, book: RuleBook, stretch: number): Mends {
  return {
    twice: mendsOfSeam(part),
    'sew-down': reinforcedEdits(part, { how: 'sewn-down' }),
    shorten: shortenedEdits(part, toy.text, book),
    decrease: decreasedEdits(part, toy),
    'finer-hook': finerHookEdits(toy, stretch),
  };
}
