import { t } from '../words/language';
import type { Act } from '../plan/acts';
import type { Doing } from '../plan/order';
import type { RoundMoves } from './moves';

/** A unit as it is named while it is made. */
export interface TaskUnit {
  part: string;
  unit: number;
  name: string;
  /** how many of the part there are */
  of: number;
}

/** One thing to do, then the next: a round, a stop with its acts, or what is done on finished pieces. */
export type Task =
  | {
      kind: 'round';
      unit: TaskUnit;
      /** index of the round from 1, its number in the text, and how many there are */
      round: number;
      label: number;
      /** how many rounds before it have the same number */
      again: number;
      rounds: number;
      row: boolean;
      /** the maker's words */
      words: string;
      moves: RoundMoves;
      /** what is marked or changes in this round, one sentence each */
      asides: string[];
    }
  | {
      kind: 'stop';
      unit: TaskUnit;
      after: number;
      /** that round by its place, from 1 */
      row: number;
      latest: number;
      openingMm: number;
      acts: Act[];
      titles: string[];
      /** where each act is done, the address first; empty where it has no place */
      places: string[][];
    }
  | {
      kind: 'finish';
      unit: TaskUnit;
      do: Doing;
      title: string;
      /** how many before it do the same on the unit, as spines along both sides */
      again: number;
      /** how it is done, all along; null where that needs no saying */
      aside: string | null;
      /** what is done in turn, a tap each: pins, then every stitch of the edge */
      steps: string[];
    };

/** How many taps a task has: a round its moves, a stop its acts, a finishing its steps. */
export function movesOfTask(task: Task): number {
  if (task.kind === 'round') return task.moves.moves;
  return task.kind === 'stop' ? task.acts.length : Math.max(1, task.steps.length);
}

/** Names a task so that it is found again when the text has changed. */
export function taskName(task: Task): string {
  const { part, unit } = task.unit;
  if (task.kind === 'round') return `${part}#${unit} round ${task.label}${'+'.repeat(task.again)}`;
  if (task.kind === 'stop')
    return `${part}#${unit} stop ${task.after} ${task.acts.map(({ act, feature, part: worked }) => act + (feature ?? worked ?? '')).join()}`;
  return `${part}#${unit} ${task.title}${'+'.repeat(task.again)}`;
}

/** Where a task is, for whoever reads it later: `Left ear, round 2`. */
export function taskWords(task: Task): string {
  const { name } = task.unit;
  if (task.kind === 'round') return `${name}, ${task.row ? 'row' : 'round'} ${task.label}`;
  return task.kind === 'stop' ? t`${name}, after round ${task.after}` : `${name}: ${task.title}`;
}
