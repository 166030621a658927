/** Something to be done on one toy of a batch, without putting it down if there is time. */
export interface BatchItem {
  words: string;
  /** which toy of the batch, from 1 */
  toy: number;
  minutes: number;
}

/** What is done of one thing on a day. */
export interface DayItem {
  words: string;
  /** the toys it is done on, first and last */
  toys: readonly [first: number, last: number];
  minutes: number;
  /** the last of them is not finished on this day */
  goesOn: boolean;
}

export interface DayPlan {
  /** as `2026-12-05` */
  date: string;
  items: DayItem[];
  minutes: number;
}

export interface Schedule {
  /** the days that have work on them */
  days: DayPlan[];
  totalMinutes: number;
  /** minutes that find no place by the last day; 0 where all is done */
  lackingMinutes: number;
  /** so many minutes on each of the days would do, in steps of five; null where there is no day */
  enoughADay: number | null;
}

/** A piece begun with less time than this is not worth taking up. Our own figure. */
const leastStretch = 10;

const dayMs = 86_400_000;
/** Less than this is rounding, and no work. */
const hair = 1e-6;

/** Most days that are planned ahead. */
export const mostDays = 366;

/**
 * The days from one to another, both of them included, that fall on certain days of the week.
 *
 * @param from as `2026-12-05`
 * @param by the same; none where it lies before
 * @param weekdays 0 is Sunday
 */
export function daysBetween(from: string, by: string, weekdays: ReadonlySet<number>): string[] {
  const [first, last] = [Date.parse(`${from}T00:00:00Z`), Date.parse(`${by}T00:00:00Z`)];
  if (!Number.isFinite(first) || !Number.isFinite(last)) return [];
  const days: string[] = [];
  for (let at = first; at <= last && days.length < mostDays; at += dayMs) {
    const day = new Date(at);
    if (weekdays.has(day.getUTCDay())) days.push(day.toISOString().slice(0, 10));
  }
  return days;
}

/** Puts so many minutes of an item on a day, beside what is the same there already. */
function put(day: DayPlan, { words, toy }: BatchItem, minutes: number, goesOn: boolean): void {
  const before = day.items.at(-1);
  day.minutes += minutes;
  if (before?.words !== words || before.goesOn) {
    day.items.push({ words, toys: [toy, toy], minutes, goesOn });
    return;
  }
  day.items[day.items.length - 1] = {
    words,
    toys: [before.toys[0], toy],
    minutes: before.minutes + minutes,
    goesOn,
  };
}

/** Fills the days in order. @returns the minutes that found a place */
function fill(days: readonly DayPlan[], items: readonly BatchItem[], minutesADay: number): number {
  let at = 0;
  let placed = 0;
  for (const item of items) {
    let rest = item.minutes;
    while (rest > hair && at < days.length) {
      const day = days[at]!;
      const room = minutesADay - day.minutes;
      const isWorthIt = rest <= room + hair || room >= leastStretch || day.minutes === 0;
      const now = isWorthIt ? Math.min(rest, room) : 0;
      if (now > 0) put(day, item, now, rest - now > hair);
      rest -= now;
      placed += now;
      if (rest > hair) at += 1;
    }
  }
  return placed;
}

const emptyDays = (dates: readonly string[]): DayPlan[] =>
  dates.map((date) => ({ date, items: [], minutes: 0 }));

/** The least minutes a day, in steps of five, with which all of it fits. */
function enoughFor(items: readonly BatchItem[], dates: readonly string[], totalMinutes: number): number {
  let minutes = Math.max(5, Math.ceil(totalMinutes / dates.length / 5) * 5);
  while (totalMinutes - fill(emptyDays(dates), items, minutes) > hair) minutes += 5;
  return minutes;
}

/**
 * Lays work out over days, in its order: each day is filled, and what does not fit goes on the next.
 *
 * @param dates the days there are, in order
 * @param minutesADay of work on each of them
 */
export function scheduleOf(
  items: readonly BatchItem[],
  dates: readonly string[],
  minutesADay: number,
): Schedule {
  const days = emptyDays(dates);
  const totalMinutes = items.reduce((sum, { minutes }) => sum + minutes, 0);
  const lacking = totalMinutes - fill(days, items, minutesADay);
  return {
    days: days.filter(({ items: planned }) => planned.length > 0),
    totalMinutes,
    lackingMinutes: lacking > hair ? lacking : 0,
    enoughADay: dates.length > 0 ? enoughFor(items, dates, totalMinutes) : null,
  };
}
