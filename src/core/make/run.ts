import { t } from '../words/language';
import Joi from 'joi';
import { handsSchema, type Hands } from '../plan/hands';
import type { Doing } from '../plan/order';
import { usualPace } from '../plan/time';
import { afterRepeat } from './moves';
import { movesOfTask, taskName, taskWords, type Task } from './tasks';

/** What a tap stands for. */
export type TapFor = 'stitch' | 'repeat' | 'round';

/** One making of a toy, or of several alike. */
export interface Run {
  id: string;
  /** the toy it was begun from */
  toy: string;
  name: string;
  /** its own copy of the text, as it was begun: later edits of the toy never move her place */
  text: string;
  copies: number;
  started: string;
  /** the hands it was begun with; usual ones where nothing says */
  hands?: Hands;
}

/** Where she is. */
export interface Place {
  /** which copy, from 0 */
  copy: number;
  task: number;
  /** taps done in the task */
  move: number;
}

/** Something that happened while making; the progress is what they come to. */
export type RunEvent = { at: number } & (
  | { kind: 'on'; by: TapFor }
  | { kind: 'back' }
  | { kind: 'goto'; place: Place }
  /** an act of a stop, done or not after all */
  | { kind: 'tick'; act: number; done: boolean }
  /** gone on from a stop with acts left */
  | { kind: 'skip'; why: string }
  /** so many stitches there really were in the round just worked */
  | { kind: 'counted'; stitches: number }
  | { kind: 'note'; text: string }
  /** a picture of how it stands, as a data address, with what she says of it */
  | { kind: 'photo'; picture: string; text: string }
  /** the run's own text is another from here on, with the place in it */
  | { kind: 'text'; text: string; why: string; place: Place }
);

const placeSchema = Joi.object({
  copy: Joi.number().integer().min(0).max(999).required(),
  task: Joi.number().integer().min(0).max(999_999).required(),
  move: Joi.number().integer().min(0).max(999_999).required(),
});
const at = Joi.number().min(0).required();
/** Signs of a picture: one of a phone's screen width, and no more. */
export const longestPicture = 400_000;
const kindOf = (kind: string, keys: Joi.PartialSchemaMap) =>
  Joi.object({ at, kind: Joi.valid(kind).required(), ...keys });

/** What may be kept as an event. */
const eventSchema = Joi.alternatives<RunEvent>(
  kindOf('on', { by: Joi.valid('stitch', 'repeat', 'round').required() }),
  kindOf('back', {}),
  kindOf('goto', { place: placeSchema.required() }),
  kindOf('tick', { act: Joi.number().integer().min(0).max(999).required(), done: Joi.boolean().required() }),
  kindOf('skip', { why: Joi.string().allow('').max(200).required() }),
  kindOf('counted', { stitches: Joi.number().integer().min(0).max(9_999).required() }),
  kindOf('note', { text: Joi.string().max(2_000).required() }),
  kindOf('photo', {
    picture: Joi.string()
      .pattern(/^data:image\/(?:jpeg|png|webp);base64,[A-Za-z0-9+/=]+$/)
      .max(longestPicture)
      .required(),
    text: Joi.string().allow('').max(300).required(),
  }),
  kindOf('text', {
    text: Joi.string().allow('').max(200_000).required(),
    why: Joi.string().max(200).required(),
    place: placeSchema.required(),
  }),
);

const tapsFor: ReadonlySet<unknown> = new Set<TapFor>(['stitch', 'repeat', 'round']);

/** Whether a value is an event. Taps, of which there are many thousands in a run, are told at a glance. */
export function isEvent(value: unknown): value is RunEvent {
  if (typeof value !== 'object' || value === null) return false;
  const { kind, at: when, by, ...rest } = value as Record<string, unknown>;
  const isTap = kind === 'back' ? by === undefined : kind === 'on' && tapsFor.has(by);
  if (isTap && typeof when === 'number' && when >= 0 && Object.keys(rest).length === 0) return true;
  return eventSchema.validate(value).error === undefined;
}

const runSchema = Joi.object<Run>({
  id: Joi.string().max(60).required(),
  toy: Joi.string().max(60).required(),
  name: Joi.string().allow('').max(300).required(),
  text: Joi.string().allow('').max(200_000).required(),
  copies: Joi.number().integer().min(1).max(999).required(),
  started: Joi.string().isoDate().required(),
  hands: handsSchema,
});

/** Whether a value is a run. */
export const isRun = (value: unknown): value is Run =>
  runSchema.validate(value, { convert: false }).error === undefined;

/** Something she wrote down or that went otherwise than planned. */
export interface LogEntry {
  at: number;
  /** where she was: `Left ear, round 2` */
  task: string;
  copy: number;
  text: string;
  /** a photo, as a data address */
  picture?: string;
}

/** What the events of a run come to. */
export interface Progress {
  text: string;
  place: Place;
  /** acts ticked at the stop she is at */
  ticked: ReadonlySet<number>;
  log: LogEntry[];
  /** minutes at work, pauses left out */
  minutes: number;
  /** stitches of the rounds tapped along */
  stitches: number;
  /** minutes from one tap along a round to the next, and the stitches made in them: her pace */
  worked: { minutes: number; stitches: number };
  /** what was done at stops and on finished pieces, and how long it took */
  acted: readonly Acted[];
  lastAt: number;
  finished: boolean;
}

/** Acts of one kind that were timed: how often, and minutes in all; of a seam its stitches. */
export interface Acted {
  do: Doing;
  times: number;
  minutes: number;
}

/** A break longer than this is no working time. */
const longestGap = 5 * 60_000;
/** Stuffing and stitching go on without a tap; longer than this nobody is at it. */
const longestAct = 30 * 60_000;
/** A stop that is gone through so many times quicker or slower than usual was not done there, or not all the time. */
const tooQuick = 8;
const tooSlow = 6;
/** Places remembered for stepping back. */
const backKept = 100_000;

/** Stitches that so many moves along a round make: an increase is one move and two of them. */
function stitchesOf(task: Extract<Task, { kind: 'round' }>, moves: number): number {
  const most = movesOfTask(task);
  return most > 0 ? (moves / most) * task.moves.stitches : 0;
}

/** How the tasks of a text are found; the caller keeps them by text. */
export type TasksOf = (text: string) => readonly Task[];

/** A run while its events are taken in one after the other. */
export class Making {
  private text: string;
  private tasks: readonly Task[];
  private place: Place = { copy: 0, task: 0, move: 0 };
  private ticked = new Set<number>();
  private finished = false;
  private minutes = 0;
  private stitches = 0;
  private readonly worked = { minutes: 0, stitches: 0 };
  private readonly acted = new Map<Doing, Acted>();
  /** minutes at the stop or the finishing she is at */
  private atStop = 0;
  private lastAt: number;
  private readonly log: LogEntry[] = [];
  private readonly before: Place[] = [];

  constructor(
    private readonly run: Run,
    private readonly tasksOf: TasksOf,
  ) {
    this.text = run.text;
    this.tasks = tasksOf(run.text);
    this.lastAt = Date.parse(run.started) || 0;
  }

  /** Where the events so far have led; a new object each time. */
  progress(): Progress {
    const { text, place, log, minutes, stitches, lastAt, finished } = this;
    const worked = { ...this.worked };
    const acted = Array.from(this.acted.values(), (one) => ({ ...one }));
    const ticked = new Set(this.ticked);
    return { text, place, ticked, log: [...log], minutes, stitches, worked, acted, lastAt, finished };
  }

  /** Minutes at work so far, and stitches of the rounds tapped along. */
  get tally(): { minutes: number; stitches: number } {
    return { minutes: this.minutes, stitches: this.stitches };
  }

  /** Takes in one more event. */
  apply(event: RunEvent): void {
    const gap = event.at - this.lastAt;
    const minutes = gap > 0 && gap <= longestGap ? gap / 60_000 : 0;
    this.minutes += minutes;
    if (gap > 0 && gap <= longestAct && this.tasks[this.place.task]?.kind !== 'round')
      this.atStop += gap / 60_000;
    this.lastAt = Math.max(this.lastAt, event.at);
    switch (event.kind) {
      case 'on':
        this.on(event.by, minutes);
        break;
      case 'back':
        this.back();
        break;
      case 'goto':
        this.remember();
        this.move(event.place);
        break;
      case 'tick':
        if (event.done) this.ticked.add(event.act);
        else this.ticked.delete(event.act);
        break;
      case 'skip':
        this.write(event.at, t`Went on without: ${this.leftOver().join(', ')}. ${event.why}`.trim());
        this.remember();
        this.nextTask();
        break;
      case 'counted':
        this.write(event.at, t`Counted ${event.stitches} stitches.`);
        break;
      case 'note':
        this.write(event.at, event.text);
        break;
      case 'photo':
        this.write(event.at, event.text, event.picture);
        break;
      case 'text':
        this.text = event.text;
        this.tasks = this.tasksOf(event.text);
        this.write(event.at, event.why);
        this.before.length = 0;
        this.move(event.place);
        break;
    }
  }

  private write(when: number, text: string, picture?: string): void {
    const task = this.tasks[this.place.task];
    const entry = { at: when, task: task ? taskWords(task) : '', copy: this.place.copy, text };
    this.log.push(picture === undefined ? entry : { ...entry, picture });
  }

  /** Acts of the stop that are not ticked, by their titles. */
  private leftOver(): string[] {
    const task = this.tasks[this.place.task];
    return task?.kind === 'stop' ? task.titles.filter((_, i) => !this.ticked.has(i)) : [];
  }

  private remember(): void {
    this.before.push(this.place);
    if (this.before.length > backKept) this.before.shift();
  }

  private move(place: Place): void {
    const task = Math.min(place.task, Math.max(0, this.tasks.length - 1));
    const most = this.tasks[task] ? movesOfTask(this.tasks[task]) : 0;
    this.place = { copy: Math.min(place.copy, this.run.copies - 1), task, move: Math.min(place.move, most) };
    this.ticked = new Set();
    this.atStop = 0;
    this.finished = false;
  }

  private on(by: TapFor, minutes: number): void {
    const task = this.tasks[this.place.task];
    if (!task || this.finished) return;
    this.remember();
    const { move } = this.place;
    const most = movesOfTask(task);
    if (task.kind !== 'round') {
      const next = task.kind === 'stop' ? most : move + 1;
      if (next >= most) {
        this.time(task);
        this.nextTask();
      } else this.place = { ...this.place, move: next };
      return;
    }
    const next = by === 'stitch' ? move + 1 : by === 'repeat' ? afterRepeat(task.moves, move) : most;
    const made = stitchesOf(task, next - move);
    this.stitches += made;
    // After a pause nobody knows how long the stitches took.
    if (minutes > 0) {
      this.worked.minutes += minutes;
      this.worked.stitches += made;
    }
    if (next >= most) this.nextTask();
    else this.place = { ...this.place, move: next };
  }

  /** Takes down how long a stop or a finishing took, shared among its acts as they usually share it. */
  private time(task: Exclude<Task, { kind: 'round' }>): void {
    const acts: Doing[] = task.kind === 'stop' ? task.acts.map(({ act }) => act) : [task.do];
    const usually = acts.map((act) =>
      act === 'sew' ? movesOfTask(task) / usualPace.sewnPerMinute : act === 'work' ? 0 : usualPace.acts[act],
    );
    const usual = usually.reduce((sum, minutes) => sum + minutes, 0);
    const isDone = this.atStop > usual / tooQuick && this.atStop < usual * tooSlow;
    if (!isDone) return;
    acts.forEach((act, i) => {
      const { times, minutes } = this.acted.get(act) ?? { times: 0, minutes: 0 };
      this.acted.set(act, {
        do: act,
        times: times + (act === 'sew' ? movesOfTask(task) : 1),
        minutes: minutes + (this.atStop * (usually[i] ?? 0)) / usual,
      });
    });
  }

  private back(): void {
    const last = this.before.pop();
    if (!last) return;
    const task = this.tasks[last.task];
    const sameRound = last.task === this.place.task && last.copy === this.place.copy;
    if (task?.kind === 'round' && sameRound)
      this.stitches = Math.max(0, this.stitches - stitchesOf(task, this.place.move - last.move));
    this.place = last;
    this.ticked = new Set();
    this.atStop = 0;
    this.finished = false;
  }

  private nextTask(): void {
    this.ticked = new Set();
    this.atStop = 0;
    const { copy, task } = this.place;
    if (task + 1 < this.tasks.length) this.place = { copy, task: task + 1, move: 0 };
    else if (copy + 1 < this.run.copies) this.place = { copy: copy + 1, task: 0, move: 0 };
    else this.finished = true;
  }
}

/**
 * What the events of a run come to, in their order.
 *
 * @param tasksOf the tasks of a text; asked once for each text the run has had
 */
export function foldRun(run: Run, events: Iterable<RunEvent>, tasksOf: TasksOf): Progress {
  const making = new Making(run, tasksOf);
  for (const event of events) making.apply(event);
  return making.progress();
}

/** The place in a changed text that is the one she was at: the same task by its name, else the nearest before it. */
export function placeAfterChange(place: Place, before: readonly Task[], after: readonly Task[]): Place {
  const names = new Map(after.map((task, i) => [taskName(task), i]));
  for (let task = place.task; task >= 0; task -= 1) {
    const old = before[task];
    const found = old ? names.get(taskName(old)) : undefined;
    if (found === undefined) continue;
    const isSame = task === place.task;
    return {
      copy: place.copy,
      task: isSame ? found : Math.min(found + 1, after.length - 1),
      move: isSame ? place.move : 0,
    };
  }
  return { ...place, task: 0, move: 0 };
}
