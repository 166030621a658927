import { isJoin } from '../notation/sentence/join';
import { finishOf } from '../shape/form/finish';
import { stuffedProfile } from '../shape/stuffed';
import { blankJoin, type AnyJoin, type JoinPart, type Unit } from './joined';
import type { Joining } from './joining';
import type { Units } from './placing';
import { problem } from './problem';

/** Thread to knot at each end, in mm: our own figure. */
const knotEndMm = 150;

/** A unit on a thread. */
interface Strung {
  piece: JoinPart;
  unit: Unit;
}

/** All that one sentence strings, in order: every unit of a part that is named without a number. */
function strungBy(state: Joining, units: Units, { joined }: AnyJoin): Strung[] {
  const named = joined.flatMap(({ parts }) => parts);
  return named.flatMap(({ id, count }) => {
    const piece = state.parts.find(({ part }) => part.id === id);
    if (!piece || piece.fabric.rounds === 0) return [];
    const wanted = typeof count === 'number' ? count : piece.part.make;
    return units.take(piece, wanted).map((unit) => ({ piece, unit }));
  });
}

/** How long a piece is from end to end on the thread, as the text stuffs and closes it. */
function lengthOf({ part, fabric, profile, front }: JoinPart): number {
  const { z } = stuffedProfile(fabric, profile, finishOf({ part, fabric, profile, front }));
  return Math.max(0, ...z) - Math.min(0, ...z);
}

/** Joins what goes on one thread, one after the other: each below the one before. */
export function joinStrung(state: Joining, units: Units): void {
  const sentences = state.parts.flatMap(({ part }) => part.steps.filter(isJoin));
  for (const sentence of sentences) {
    if (sentence.way?.kind !== 'strung') continue;
    const strung = strungBy(state, units, sentence);
    const [first] = strung;
    if (!first) continue;
    const { gapMm = 0 } = sentence.way;
    const lengths = strung.reduce((sum, { piece }) => sum + lengthOf(piece), 0);
    const lengthMm = Math.round(lengths + gapMm * (strung.length - 1));
    const facts = {
      count: strung.length,
      lengthMm,
      threadMm: Math.ceil((lengthMm + 2 * knotEndMm) / 10) * 10,
    };
    const told = problem(first.piece, 'join-strung', facts, { severity: 'info', sentence });
    const unread = (sentence.unused ?? []).map((words) =>
      problem(first.piece, 'words-unused', { of: 'join', words, piece: first.piece.part.name }, { sentence }),
    );
    state.problems.push(...unread, ...(strung.length < 2 ? [told] : []));
    strung.forEach(({ unit }, i) => {
      const before = strung[i - 1];
      if (!before) return;
      state.joins.push({
        ...blankJoin('strung', unit, before.piece, sentence),
        on: { part: before.unit.part, unit: before.unit.unit },
        problems: i === 1 ? [told] : [],
      });
    });
  }
}
