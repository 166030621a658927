import { unparse } from 'papaparse';
import { createEvents, type EventAttributes } from 'ics';
import type { Step } from '../plan/order';
import type { BatchItem, DayItem, DayPlan } from '../plan/schedule';
import { minutesOf } from '../plan/time';
import { timeWords } from '../words/time';
import type { ToyAnalysis } from './analysis';
import { unitName } from './orderWords';

/** Toy by toy, or the same piece of all toys in one go. */
export type BatchOrder = 'toys' | 'pieces';

/** What is done on finished pieces. */
const isPutTogether = ({ do: doing }: Step): boolean =>
  doing === 'sew' || doing === 'place' || doing === 'attach' || doing === 'sculpt' || doing === 'check';

/** What stretches of one toy's plan are called: a piece as long as it is in hand, then what is put together. */
function stretchesOf(toy: ToyAnalysis): { words: string; minutes: number }[] {
  const stretches: { words: string; minutes: number }[] = [];
  for (const step of toy.order.steps) {
    const words = isPutTogether(step) ? 'Put it together' : unitName(toy, step.part, step.unit);
    const before = stretches.at(-1);
    if (before?.words === words) before.minutes += minutesOf(step, toy.pace);
    else stretches.push({ words, minutes: minutesOf(step, toy.pace) });
  }
  return stretches;
}

/** The work on a batch in the order the maker likes. A piece that others are worked into waits for them in both. */
export function batchItems(toy: ToyAnalysis, copies: number, order: BatchOrder): BatchItem[] {
  const stretches = stretchesOf(toy);
  const toys = Array.from({ length: copies }, (_, i) => i + 1);
  return order === 'toys'
    ? toys.flatMap((one) => stretches.map((stretch) => ({ ...stretch, toy: one })))
    : stretches.flatMap((stretch) => toys.map((one) => ({ ...stretch, toy: one })));
}

/** `Left arm, toys 1 to 5`. */
export function dayItemWords({ words, toys: [first, last], goesOn }: DayItem, copies: number): string {
  const of = first === last ? `toy ${first}` : `toys ${first} to ${last}`;
  const whose = copies === 1 ? '' : `, ${of}`;
  return `${words}${whose}${goesOn ? ' (goes on the next day)' : ''}`;
}

/** The days as a table for a spreadsheet. */
export function scheduleCsv(days: readonly DayPlan[], copies: number): string {
  const rows = days.flatMap(({ date, items }) =>
    items.map((item) => ({ date, what: dayItemWords(item, copies), minutes: Math.round(item.minutes) })),
  );
  return `${unparse(rows, { escapeFormulae: true })}\r\n`;
}

/**
 * The days as a calendar file, a whole-day entry each.
 *
 * @throws Error where a day is no day
 */
export function scheduleIcs(days: readonly DayPlan[], name: string, copies: number): string {
  const events = days.map(({ date, items, minutes }): EventAttributes => {
    const [year = 0, month = 0, day = 0] = date.split('-').map(Number);
    return {
      uid: `${date}-${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}@hoppla`,
      title: `${name}: ${timeWords(minutes)}`,
      description: items.map((item) => dayItemWords(item, copies)).join('\n'),
      start: [year, month, day],
      duration: { days: 1 },
      productId: 'hoppla',
    };
  });
  const { error, value } = createEvents(events);
  if (error || !value) throw error ?? new Error('The calendar could not be written.');
  return value;
}
