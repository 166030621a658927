import { t } from '../../words/language';
import { roundCount } from '../../fabric/fabric';
import { gapOf } from '../frame/faceFrame';
import { byDistance, withApart } from '../move/step';
import type { Finding } from '../resolve/finding';
import { hasPost, leadsFace } from '../rule/rule';
import { attemptRule, remedy, type Check, type Checked } from './checked';
import { saying } from '../../words/problems/problems';
import { plural } from '../../words/counted';

/** A part that ends with no more stitches is drawn together there. */
const closesWith = 12;
/** Rounds that washers, and other things, need between them and the round that closes. */
const washersNeed = 2;
const othersNeed = 1;

/** Something on the rounds that close the piece, where there is no room and the fabric is drawn together. */
export const nearClosing: Check = (checked) => {
  const { frame, placed, rule } = checked;
  const { fabric } = frame.form;
  const flat = fabric.row[0] === 1;
  const closes = roundCount(fabric, fabric.rounds) <= closesWith;
  if (!closes || (flat && leadsFace(rule))) return [];
  return hasPost(rule) && leadsFace(rule) ? washersNearClosing(checked) : [...lyingNear(checked, placed)];
};

function* lyingNear(checked: Checked, { units }: Checked['placed']): Generator<Finding> {
  const { frame, id } = checked;
  const last = Math.max(...units.map(({ fromLine, toLine }) => Math.max(fromLine, toLine)));
  if (frame.form.fabric.rounds - last > othersNeed) return;
  yield {
    ...saying('near-closing', { why: 'lies', name: id }),
    severity: 'warning',
    suggestions: twoLinesBack(checked),
  };
}

function washersNearClosing(checked: Checked): Finding[] {
  const { frame, placed, id } = checked;
  const { fabric } = frame.form;
  const round = fabric.label[fabric.rounds - 1] ?? fabric.rounds;
  if (frame.lies) {
    const near = placed.units.filter(({ fromLine }) => fabric.rounds - fromLine <= washersNeed);
    return near.map(({ side }) => ({
      ...saying('near-closing', { why: 'beside', round, side }),
      severity: 'warning',
      where: { feature: id, ...(side === 'middle' ? {} : { side }) },
      suggestions: closer(checked),
    }));
  }
  const past = fabric.rounds - placed.line;
  if (past > washersNeed) return [];
  return [
    {
      ...saying('near-closing', { why: 'past', round, rounds: past }),
      severity: 'warning',
      suggestions: twoLinesBack(checked),
    },
  ];
}

function closer(checked: Checked): NonNullable<Finding['suggestions']> {
  const apart = (checked.placed.apart ?? 0) - 2;
  const rule = withApart(checked.frame, checked.placed, apart);
  const title = t`${plural(apart, 'round')} apart`;
  return rule ? [remedy(checked, attemptRule(checked, title, rule))] : [];
}

function twoLinesBack(checked: Checked): NonNullable<Finding['suggestions']> {
  const { frame, placed } = checked;
  const line = placed.line - 2;
  if (frame.lies || line < 1) return [];
  const gap = gapOf(frame.form, line);
  const rule = { ...byDistance(placed), vertical: { by: 'gap' as const, gap } };
  return [remedy(checked, { title: t`Between ${gap.join(t` and `)}`, rule })];
}
