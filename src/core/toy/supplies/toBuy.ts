import { t } from '../../words/language';
import { unparse } from 'papaparse';
import { minutesOfAll } from '../../plan/time';
import type { MakingList } from '../../supplies/makingList';
import type { ToyAnalysis } from '../analysis';
import { feltName } from './felt';
import { feltKey, isYarnKey, ownYarnKey, pieceKey, toolKey, yarnKey, type Unit } from './needKey';
import { toolKinds, toolName, toolsOf, type ToolNeed } from './tools';
import {
  isCrocheted,
  isOfFelt,
  leftOut,
  pieceName,
  suppliesOf,
  type HardwareNeed,
  type YarnNeed,
} from './suppliesOf';
import { areaWords, mm2InCm2, number, weightWords, yarnWords } from '../../words/measures';

/** A toy of the list, worked out. */
export interface ToMake {
  id: string;
  name: string;
  toy: ToyAnalysis;
  count: number;
}

/** Something the toys of a list take together. */
export interface BuyNeed {
  /** what is there of it and what it costs is kept under this */
  key: string;
  /** as it stands on the list */
  words: string;
  unit: Unit;
  /** what one toy takes, with what it is bought to spare, by the toy's id; of a tool nothing: it is there again afterwards */
  each: ReadonlyMap<string, number>;
  /** what all of them take; of a tool as many as are in use at once */
  amount: number;
  there: number;
  /** used again for every toy, and not used up */
  isTool: boolean;
  /** what is missing, in whole grams, tenths of a metre, square centimetres, pieces */
  buy: number;
}

/** What a toy costs its maker. */
export interface ToyCost {
  id: string;
  name: string;
  /** of what has a price; null while nothing has */
  materials: number | null;
  /** what has none, and is not in the sum */
  unpriced: string[];
  minutes: number;
  /** materials and her time; null while nothing has a price, or nobody says what an hour brings */
  total: number | null;
}

/** A yarn of which the text says what it is, is the same in every toy that says so; any other may be another one in each. */
function yarnLine({ name, kind }: YarnNeed, { id, name: toy }: ToMake): { key: string; words: string } {
  if (kind === null) {
    const called = name.charAt(0).toUpperCase() + name.slice(1);
    return { key: ownYarnKey(name, id), words: t`${called} of ${toy}` };
  }
  return { key: yarnKey(name, kind), words: `${name} (${kind})` };
}

function pieceLine({ kind, sizeMm }: HardwareNeed): { key: string; words: string } {
  const size = sizeMm > 0 ? `, ${Math.round(sizeMm * 10) / 10} mm` : '';
  return { key: pieceKey(kind, sizeMm), words: `${pieceName(kind)}${size}` };
}

const inUnit: Readonly<Record<Unit, (amount: number) => number>> = {
  g: Math.ceil,
  cm2: Math.ceil,
  m: (metres) => Math.ceil(metres * 10) / 10,
  pieces: Math.ceil,
};

interface Line {
  key: string;
  words: string;
  unit: Unit;
  amount: number;
}

/** What one toy takes, a line for each thing. */
function linesOf(toMake: ToMake, spare: number): Line[] {
  const { yarns, stuffingG, hardware, felt, threadM } = suppliesOf(toMake.toy);
  const bought = hardware.filter((need) => !isOfFelt(need) && !isCrocheted(need));
  const more = 1 + spare / 100;
  const used: Line[] = [
    ...yarns.map((yarn) => ({ ...yarnLine(yarn, toMake), unit: 'g' as const, amount: yarn.grams * more })),
    { key: 'stuffing', words: t`Stuffing`, unit: 'g', amount: stuffingG * more },
    ...bought.map((need) => ({ ...pieceLine(need), unit: 'pieces' as const, amount: need.count })),
    ...felt.map((need) => ({
      key: feltKey(need.colour),
      words: feltName(need),
      unit: 'cm2' as const,
      amount: need.areaMm2 / mm2InCm2,
    })),
    { key: 'thread', words: t`Thread for stitching`, unit: 'm', amount: threadM * more },
  ];
  return used.filter(({ amount }) => amount > 0);
}

/** A hook's size as the text names it, where that is none in mm. */
const hookSaid = ({ use }: ToolNeed): string | null => (use?.of === 'hook' ? use.said : null);

/** What the toys of a list are made with, one after the other: as many as one of them takes, as long as one of them asks. */
function toolsTogether(toMake: readonly ToMake[]): Line[] {
  const tools = new Map<string, ToolNeed>();
  for (const { toy } of toMake)
    for (const tool of toolsOf(toy)) {
      const key = toolKey(tool.kind, tool.sizeMm, hookSaid(tool));
      const known = tools.get(key) ?? tool;
      const count = Math.max(known.count, tool.count);
      const isLonger = (tool.sizeMm ?? 0) > (known.sizeMm ?? 0);
      tools.set(key, { ...(isLonger ? tool : known), count });
    }
  const orderOf = ({ kind }: ToolNeed) => toolKinds.indexOf(kind);
  const inOrder = [...tools].sort(([, a], [, b]) => orderOf(a) - orderOf(b));
  return inOrder.map(([key, tool]) => ({
    key,
    words: [toolName(tool), hookSaid(tool)].filter((word) => word !== null).join(', '),
    unit: 'pieces',
    amount: tool.count,
  }));
}

/** Yarn first, then stuffing, what comes by the piece, felt, thread. */
function shopOrder({ key, unit }: Pick<Line, 'key' | 'unit'>): number {
  if (isYarnKey(key)) return 0;
  const byUnit: Readonly<Record<Unit, number>> = { g: 1, pieces: 2, cm2: 3, m: 4 };
  return byUnit[unit];
}

/** What the toys of a list take together, what of it is there, and what is missing. */
export function needsOf(toMake: readonly ToMake[], { there, spare }: MakingList): BuyNeed[] {
  const needs = new Map<string, Omit<BuyNeed, 'there' | 'buy'> & { each: Map<string, number> }>();
  for (const one of toMake)
    for (const { key, words, unit, amount } of linesOf(one, spare)) {
      const each = new Map<string, number>();
      const need = needs.get(key) ?? { key, words, unit, each, isTool: false, amount: 0 };
      need.each.set(one.id, (need.each.get(one.id) ?? 0) + amount);
      needs.set(key, { ...need, amount: need.amount + amount * one.count });
    }
  const inOrder = [...needs.values()].sort((a, b) => shopOrder(a) - shopOrder(b));
  const atHand = toolsTogether(toMake).map((line) => ({
    ...line,
    each: new Map<string, number>(),
    isTool: true,
  }));
  return [...inOrder, ...atHand].map((need) => {
    const has = there[need.key] ?? 0;
    // A hair over a whole one is the reckoning's, not a piece more.
    const missing = Math.max(0, need.amount - has - 1e-9);
    return { ...need, there: has, buy: inUnit[need.unit](missing) };
  });
}

/** What takes yarn and is on no list: how much of it can't be worked out. */
export const leftOutOf = (toMake: readonly ToMake[]): string[] =>
  toMake.flatMap(({ name, toy }) => leftOut(suppliesOf(toy)).map((words) => `${name}: ${words}`));

/** What each toy of a list costs: its materials by what they cost her, and her time by what an hour is to bring. */
export function costsOf(
  toMake: readonly ToMake[],
  needs: readonly BuyNeed[],
  { prices, rate }: MakingList,
): ToyCost[] {
  return toMake.map(({ id, name, toy }) => {
    const own = needs.filter(({ each }) => each.has(id));
    const unpriced = own.filter(({ key }) => !prices[key]).map(({ words }) => words);
    const priced = own.flatMap(({ key, each }) => {
      const known = prices[key];
      return known ? [((each.get(id) ?? 0) * known.price) / known.per] : [];
    });
    const materials = priced.length > 0 ? priced.reduce((sum, cost) => sum + cost, 0) : null;
    const minutes = minutesOfAll(toy.order.steps, toy.pace);
    return {
      id,
      name,
      materials,
      unpriced,
      minutes,
      total: rate === null || materials === null ? null : materials + (minutes / 60) * rate,
    };
  });
}

/**
 * How much of it: `70 g`, `4 ×`, `2.5 oz`.
 *
 * @param round `Math.ceil` for what must be enough
 */
export function amountWords(
  amount: number,
  unit: Unit,
  round: (value: number) => number = Math.round,
): string {
  if (unit === 'pieces') return `${number(amount, 1)} ×`;
  if (unit === 'cm2') return areaWords(amount * mm2InCm2, round);
  return unit === 'g' ? weightWords(amount, 1, round) : yarnWords(amount, 1, round);
}

/** How much is to be bought. */
export const buyAmount = ({ buy, unit }: BuyNeed): string => amountWords(buy, unit, Math.ceil);

const buyWords = (need: BuyNeed): string => `${buyAmount(need)} ${need.words}`;

/** The list for the shop, as plain text. */
export function toBuyText(toMake: readonly ToMake[], needs: readonly BuyNeed[]): string {
  const missing = needs.filter(({ buy, isTool }) => buy > 0 && !isTool);
  const tools = needs.filter(({ buy, isTool }) => buy > 0 && isTool);
  const present = needs.filter(({ buy }) => buy === 0);
  const block = (title: string, lines: readonly string[]) =>
    lines.length > 0 ? [title, ...lines.map((line) => `- ${line}`), ''] : [];
  return [
    ...block(
      t`To make`,
      toMake.map(({ name, count }) => `${count} × ${name}`),
    ),
    ...block(t`To buy`, missing.map(buyWords)),
    ...block(t`To have at hand`, tools.map(buyWords)),
    ...block(
      t`There already`,
      present.map(({ words }) => words),
    ),
    ...block(t`Not on this list`, leftOutOf(toMake)),
  ].join('\n');
}

/** The same as a table for a spreadsheet, with what it takes and costs. */
export function toBuyCsv(needs: readonly BuyNeed[], { prices }: MakingList): string {
  const rows = needs.map(({ key, words, unit, amount, there, buy }) => {
    const known = prices[key];
    return {
      what: words,
      unit,
      takes: inUnit[unit](amount - 1e-9),
      there,
      'to buy': buy,
      price: known?.price ?? '',
      'for so much': known?.per ?? '',
      cost: known ? Math.round((buy * known.price * 100) / known.per) / 100 : '',
    };
  });
  // A spreadsheet takes what begins with a sign for a sum to work out: a yarn's name never is one.
  return `${unparse(rows, { escapeFormulae: true })}\r\n`;
}
