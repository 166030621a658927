import { t } from '../words/language';
import { unparse } from 'papaparse';
import { createEvents, type EventAttributes } from 'ics';
import type { Place } from '../make/run';
import { movesOfTask, type Task } from '../make/tasks';
import type { Step } from '../plan/order';
import type { BatchItem, DayItem, DayPlan } from '../plan/schedule';
import { minutesOf } from '../plan/time';
import { timeWords } from '../words/time';
import type { ToyAnalysis } from './analysis';
import { unitName } from './orderWords';
import { tasksBySteps, tasksOf } from './tasksOf';

/** Toy by toy, or the same piece of all toys in one go. */
export type BatchOrder = 'toys' | 'pieces';

/** What is done on finished pieces. */
const isPutTogether = ({ do: doing }: Step): boolean =>
  doing === 'sew' || doing === 'place' || doing === 'attach' || doing === 'sculpt' || doing === 'check';

/** How far one toy is: the task that is in hand, and the taps done in it. */
type Reached = Pick<Place, 'task' | 'move'>;

const untouched: Reached = { task: 0, move: 0 };

/** What is left of each step, as a share of it, by the order of the steps. */
function sharesLeft(toy: ToyAnalysis, { task: at, move }: Reached): number[] {
  const indexOf = new Map(tasksOf(toy).map((task, i) => [task, i]));
  const doneOf = (task: Task): number => {
    const index = indexOf.get(task) ?? 0;
    if (index !== at) return index < at ? movesOfTask(task) : 0;
    // The acts of a stop are ticked in any order: it is done when it is left.
    return task.kind === 'stop' ? 0 : move;
  };
  return tasksBySteps(toy).map(({ tasks }) => {
    const whole = tasks.reduce((sum, task) => sum + movesOfTask(task), 0);
    const done = tasks.reduce((sum, task) => sum + doneOf(task), 0);
    return whole > 0 ? 1 - done / whole : 0;
  });
}

/** What stretches of one toy's plan are called: a piece as long as it is in hand, then what is put together. */
function stretchesOf(toy: ToyAnalysis, reached: Reached): { words: string; minutes: number }[] {
  const stretches: { words: string; minutes: number }[] = [];
  const left = sharesLeft(toy, reached);
  for (const [i, { step }] of tasksBySteps(toy).entries()) {
    const minutes = minutesOf(step, toy.pace) * (left[i] ?? 1);
    const words = isPutTogether(step) ? t`Put it together` : unitName(toy, step.part, step.unit);
    const before = stretches.at(-1);
    if (before?.words === words) before.minutes += minutes;
    else stretches.push({ words, minutes });
  }
  return stretches;
}

/**
 * The work on a batch in the order the maker likes. A piece that others are worked into waits for them in both.
 *
 * @param done where she is in a batch that is half made: what lies before it is left out
 */
export function batchItems(
  toy: ToyAnalysis,
  copies: number,
  order: BatchOrder,
  done: Place = { copy: 0, ...untouched },
): BatchItem[] {
  const toys = Array.from({ length: copies }, (_, i) => i);
  const perToy = toys.map((copy): BatchItem[] => {
    if (copy < done.copy) return [];
    const stretches = stretchesOf(toy, copy === done.copy ? done : untouched);
    return stretches.map((stretch) => ({ ...stretch, toy: copy + 1 }));
  });
  const most = Math.max(0, ...perToy.map(({ length }) => length));
  const items =
    order === 'toys'
      ? perToy.flat()
      : Array.from({ length: most }, (_, i) => perToy.flatMap((own) => own[i] ?? [])).flat();
  return items.filter(({ minutes }) => minutes > 0);
}

/** `Left arm, toys 1 to 5`. */
export function dayItemWords({ words, toys: [first, last], goesOn }: DayItem, copies: number): string {
  const of = first === last ? t`toy ${first}` : t`toys ${first} to ${last}`;
  const whose = copies === 1 ? '' : `, ${of}`;
  return `${words}${whose}${goesOn ? t` (goes on the next day)` : ''}`;
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
  if (error || !value) throw error ?? new Error(t`The calendar could not be written.`);
  return value;
}
