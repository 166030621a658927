import { t } from '../../words/language';
import { unparse } from 'papaparse';
import { audienceSaid } from '../../safety/audience';
import { careWords, labelWarnings } from '../../safety/careLabel';
import { madeOf, standingOf, type RecordEntry } from '../../safety/record';
import { shippedRules, type RuleBook } from '../../safety/ruleBook';
import type { MakingList } from '../../supplies/makingList';
import { safetyOf } from '../safetyOf';
import { suppliesOf } from '../supplies/suppliesOf';
import { costsOf, needsOf, type ToMake } from '../supplies/toBuy';
import { trialsOfToy } from '../trialsOfToy';
import { escapedHtml } from './escaped';

/** One toy on the table of a fair. */
export interface FairToy {
  name: string;
  /** which of several alike, from 1, and how many there are */
  number: number;
  of: number;
  madeFor: string;
  maker: string;
  madeOn: string;
  lots: string;
  /** what it is made of, for a label */
  materials: string[];
  care: string[];
  warnings: string[];
  /** trials: how many there are, how many held, how many failed last */
  trials: number;
  held: number;
  failed: number;
  /** what it cost its maker, and what she asks; null where that is not said */
  cost: number | null;
  price: number | null;
}

/** What is known beside the toys themselves. */
export interface FairFacts {
  list: MakingList;
  /** what was written down, by the id of the toy */
  records: ReadonlyMap<string, readonly RecordEntry[]>;
  book?: RuleBook;
}

/** What a label says a toy is made of: its yarns as the pattern has them, its filling, what is pressed in or sewn on. */
function materialsOf({ toy }: ToMake): string[] {
  const { yarns, stuffingG, hardware } = suppliesOf(toy);
  const named = yarns.map(({ name, kind }) => (kind === null ? t`${name} yarn` : t`${kind} yarn`));
  const filling = stuffingG > 0 ? [t`stuffing of ……………`] : [];
  const pieces = hardware.map(({ kind }) => kind).filter((kind) => kind !== 'washer');
  return [...new Set([...named, ...filling, ...pieces])];
}

/** Every toy of a list by itself: twelve owls are twelve, each with what was tried on it. */
export function fairToysOf(
  toMake: readonly ToMake[],
  { list, records, book = shippedRules }: FairFacts,
): FairToy[] {
  const costs = new Map(
    costsOf(toMake, needsOf(toMake, list), list).map(({ id, total, materials }) => [id, total ?? materials]),
  );
  return toMake.flatMap((one) => {
    const { id, name, toy, count } = one;
    const { audience, findings } = safetyOf(toy, book);
    const trials = trialsOfToy(toy, book);
    const asked = list.asking[id] ?? 0;
    const stops = findings.filter(({ severity }) => severity === 'error').length;
    const shared = {
      name,
      of: count,
      madeFor: audience ? audienceSaid[audience] : t`not said`,
      materials: materialsOf(one),
      care: careWords(toy.pattern.header.yarns.map(({ value }) => value)),
      warnings: labelWarnings(audience, stops),
      trials: trials.length,
      cost: costs.get(id) ?? null,
      price: asked > 0 ? asked : null,
    };
    return Array.from({ length: count }, (_, i): FairToy => {
      const number = i + 1;
      const entries = records.get(id) ?? [];
      const made = madeOf(number, entries);
      const standings = trials.map((trial) => standingOf(trial, number, entries));
      return {
        ...shared,
        number,
        maker: made?.maker ?? '',
        madeOn: made?.at.slice(0, 10) ?? '',
        lots: made?.lots ?? '',
        held: standings.filter((standing) => standing === 'held' || standing === 'mended').length,
        failed: standings.filter((standing) => standing === 'failed').length,
      };
    });
  });
}

const money = (amount: number | null): string => (amount === null ? '' : amount.toFixed(2));
const numbered = ({ name, number, of }: FairToy): string => (of > 1 ? t`${name}, ${number} of ${of}` : name);

function labelHtml(toy: FairToy): string {
  const { madeFor, maker, madeOn, materials, care, warnings, price } = toy;
  const line = (words: string) => `<p>${escapedHtml(words)}</p>`;
  const [wash = '', dry = ''] = care;
  const by = t`Made by ${maker || '……………………………'}${madeOn ? `, ${madeOn}` : ''}`;
  return `<section class="label" aria-label="${escapedHtml(numbered(toy))}"><h2>${escapedHtml(toy.name)}</h2>${line(by)}${line(t`For: ${madeFor}`)}${line(t`Of ${materials.join('; ')}.`)}${line(`${wash} ${dry}`)}<p><strong>${escapedHtml(warnings[0] ?? '')}</strong> ${escapedHtml(warnings[1] ?? '')}</p>${price === null ? '' : `<p class="price">${money(price)}</p>`}</section>`;
}

const standingWords = ({ trials, held, failed }: FairToy): string =>
  failed > 0 ? t`${failed} FAILED, ${held} of ${trials} held` : t`${held} of ${trials} held`;

/** Labels to cut out, then the table of what is made, tried and priced; to stand in a page that has the sheet’s styles. */
export function fairBody(toys: readonly FairToy[]): string {
  const cell = (words: string) => `<td>${escapedHtml(words)}</td>`;
  const rows = toys.map(
    (toy) =>
      `<tr><th scope="row">${escapedHtml(numbered(toy))}</th>${cell(toy.madeOn || t`not yet`)}${cell(standingWords(toy))}${cell(money(toy.cost))}${cell(money(toy.price))}</tr>`,
  );
  const heads = [t`Toy`, t`Made`, t`Tried`, t`Cost`, t`Price`].map((head) => `<th scope="col">${head}</th>`);
  return `<article class="sheet fair"><div class="labels">${toys.map(labelHtml).join('')}</div><section><h2>What is on the table</h2><table><thead><tr>${heads.join('')}</tr></thead><tbody>${rows.join('')}</tbody></table><p>Tried at home by the maker: no certificate. What a label must say, and what must be tested, where toys are sold or given away is for the law of the place.</p></section></article>`;
}

/** Labels of one size, some beside each other, none over two pages. */
export const fairCss = `.fair .labels{display:flex;flex-wrap:wrap;gap:4mm}.fair .label{box-sizing:border-box;width:78mm;max-width:100%;min-height:54mm;padding:4mm;border:1px dashed #10302E;font-size:13px;line-height:1.35;break-inside:avoid}.fair .label h2{font-size:1.3em;margin:0 0 .2em}.fair .label p{margin:.2em 0}.fair .price{font-size:1.5em;font-weight:700;text-align:right}@media print{.fair .label{font-size:8.5pt}.fair .labels+section{break-before:page}}`;

/** The table for a spreadsheet. */
export function fairCsv(toys: readonly FairToy[]): string {
  const rows = toys.map((toy) => ({
    toy: toy.name,
    number: toy.number,
    of: toy.of,
    'made on': toy.madeOn,
    maker: toy.maker,
    lots: toy.lots,
    'made for': toy.madeFor,
    trials: toy.trials,
    held: toy.held,
    failed: toy.failed,
    cost: money(toy.cost),
    price: money(toy.price),
  }));
  return `${unparse(rows, { escapeFormulae: true })}\r\n`;
}
