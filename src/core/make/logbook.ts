import { paceLimits, type OwnPace, type TimedAct } from '../plan/time';
import { Making, type Acted, type LogEntry, type Run, type RunEvent, type TasksOf } from './run';

/** A time at work without a long break. */
export interface Session {
  /** when it began and ended, in milliseconds since 1970 */
  from: number;
  until: number;
  /** minutes at work in it, short pauses left out */
  minutes: number;
  stitches: number;
}

/** All that is known of one making of a toy. */
export interface Logbook {
  run: Run;
  sessions: Session[];
  /** the pattern as it was made: the run’s own, with what was changed on the way */
  text: string;
  /** what she wrote down, and what went otherwise than planned, in its order */
  entries: LogEntry[];
  /** minutes from tap to tap along rounds, and the stitches made in them */
  worked: { minutes: number; stitches: number };
  /** what was done at stops and on finished pieces, and how long it took */
  acted: readonly Acted[];
  finished: boolean;
}

/** A break this long ends a session. */
const breakMs = 30 * 60_000;

/** What the events of a run come to when one looks back on it. */
export function logbookOf(run: Run, events: readonly RunEvent[], tasksOf: TasksOf): Logbook {
  const making = new Making(run, tasksOf);
  const sessions: Session[] = [];
  for (const event of events) {
    const before = making.tally;
    making.apply(event);
    const { minutes, stitches } = making.tally;
    const last = sessions.at(-1);
    if (last && event.at - last.until < breakMs) {
      last.until = Math.max(last.until, event.at);
      last.minutes += minutes - before.minutes;
      // Stepping back takes stitches away again.
      last.stitches = Math.max(0, last.stitches + stitches - before.stitches);
    } else
      sessions.push({ from: event.at, until: event.at, minutes: 0, stitches: stitches - before.stitches });
  }
  const { text, log, worked, acted, finished } = making.progress();
  return { run, text, sessions, entries: log, worked, acted, finished };
}

/** So many minutes of tapping tell a pace; fewer may be anything. */
const enoughMinutes = 10;
/** Stitches a minute over several makings; null where too little is known, or nobody works like that. */
export function paceOf(logbooks: readonly Pick<Logbook, 'worked'>[]): number | null {
  const minutes = logbooks.reduce((sum, { worked }) => sum + worked.minutes, 0);
  const stitches = logbooks.reduce((sum, { worked }) => sum + worked.stitches, 0);
  const pace = minutes > 0 ? stitches / minutes : 0;
  const isKnown = minutes >= enoughMinutes && pace >= paceLimits[0] && pace <= paceLimits[1];
  return isKnown ? Math.round(pace * 10) / 10 : null;
}

/** Done so often, or sewn so many stitches, an act has a time of its own. */
const enoughTimes = 2;
const enoughSewn = 30;

/** Minutes for what she does at stops and stitches she sews a minute, over several makings; only what she did often enough. */
export function actsPaceOf(
  logbooks: readonly Pick<Logbook, 'acted'>[],
): Pick<OwnPace, 'acts' | 'sewnPerMinute'> {
  const all = logbooks.flatMap(({ acted }) => acted);
  const totalOf = (doing: Acted['do']) =>
    all
      .filter((one) => one.do === doing)
      .reduce((sum, { times, minutes }) => ({ times: sum.times + times, minutes: sum.minutes + minutes }), {
        times: 0,
        minutes: 0,
      });
  const tenths = (value: number) => Math.round(value * 10) / 10;
  const kinds = [...new Set(all.map((one) => one.do))].filter(
    (doing): doing is TimedAct => doing !== 'sew' && doing !== 'work',
  );
  const known = kinds
    .map((doing) => [doing, totalOf(doing)] as const)
    .filter(([, { times }]) => times >= enoughTimes);
  const sewn = totalOf('sew');
  return {
    acts: Object.fromEntries(known.map(([doing, { times, minutes }]) => [doing, tenths(minutes / times)])),
    sewnPerMinute: sewn.times >= enoughSewn ? tenths(sewn.times / sewn.minutes) : null,
  };
}

/** The entries that say something, by every word of it in any order: a word of the note, the piece, the day. */
export function entriesWith(entries: readonly LogEntry[], wanted: string): LogEntry[] {
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  return entries.filter(({ text, task, at }) => {
    const all = `${text} ${task} ${new Date(at).toLocaleDateString()}`.toLowerCase();
    return words.every((word) => all.includes(word));
  });
}
