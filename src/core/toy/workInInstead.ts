import { t } from '../words/language';
import { applyEdits } from '../notation/applyEdits';
import { overSentences } from '../notation/editText';
import type { LineEdit } from '../notation/problem';
import { writeJoin } from '../notation/sentence/join';
import type { AnyJoin } from '../join/joined';
import { analyseToy } from './analyse';
import type { ToyAnalysis } from './analysis';

/** A part worked in instead of sewn on: what that changes in the text, or why it can't be. */
export type WorkedInInstead = { ok: true; edits: LineEdit[] } | { ok: false; why: string };

const no = (why: string): WorkedInInstead => ({ ok: false, why });

/** The sentence without sewing. What says how its edge is held or sewn says nothing of that. */
function withoutSewing({ twice: _twice, ...sentence }: AnyJoin): string {
  return writeJoin({ ...sentence, kind: 'nosew', edge: null });
}

/**
 * Tries to have a part worked into its wall without sewing, where its sentences say it is. Nothing is offered that does not come out:
 * the new text is worked out whole, and what goes wrong there is the reason given.
 *
 * @param partId the part by its id in the text
 */
export function workInInstead(toy: ToyAnalysis, partId: string): WorkedInInstead {
  const joins = toy.joined.joins.filter(({ unit }) => unit.part === partId);
  const sewn = joins.filter(({ kind }) => kind !== 'no-sew' && kind !== 'worked-on');
  if (sewn.length === 0) return no(t`It is not sewn on.`);
  const sentences = [...new Set(sewn.map(({ sentence }) => sentence))];
  const isSpread = sentences.some(({ gap, range }) => gap ?? range);
  if (isSpread)
    return no(t`Its sentence names two rounds, and it is worked in on one. Say which: “on round 7”.`);
  const others = sentences.some(({ joined }) =>
    joined.some(({ parts }) => parts.some(({ id }) => id !== partId)),
  );
  if (others) return no(t`Its sentence sews on other parts too. Give it a sentence of its own first.`);
  const edits = overSentences(sentences.map((said) => ({ said, words: withoutSewing(said) })));
  const after = analyseToy(applyEdits(toy.text, edits), { searches: false });
  const known = new Set(toy.problems.map(({ message }) => message));
  const wrong = after.problems.find(({ severity, message }) => severity !== 'info' && !known.has(message));
  if (wrong) return no(wrong.message);
  const now = after.joined.joins.filter(({ unit }) => unit.part === partId);
  const isAll = now.length === joins.length && now.every(({ kind, ledger }) => kind === 'no-sew' && ledger);
  return isAll ? { ok: true, edits } : no(t`No round was found that works all of it in.`);
}
