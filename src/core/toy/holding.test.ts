import { ball, ear, eyes, forWhom, head, wing } from '../__tests__/screenedToys';
import { applyEdits } from '../notation/applyEdits';
import { shippedRules } from '../safety/ruleBook';
import { analyseToy } from './analyse';
import { holdingsOf } from './holding';
import { buildSheet } from './sheet/buildSheet';
import { suppliesOf } from './supplies/suppliesOf';
import { tasksOf } from './tasksOf';
import { workInInstead } from './workInInstead';

test('worked in instead of sewn: only what comes out is offered, and the seam is gone', () => {
  const text = forWhom('under 3', head(ball) + ear);
  const toy = analyseToy(text);
  const tried = workInInstead(toy, 'ear');
  expect(tried.ok).toBe(true);
  const after = analyseToy(applyEdits(text, tried.ok ? tried.edits : []));
  expect(after.joined.joins.map(({ kind, round }) => [kind, round])).toEqual([
    ['no-sew', 5],
    ['no-sew', 5],
  ]);
  expect(after.problems.filter(({ severity }) => severity === 'error')).toEqual([]);
  // Between two rounds nothing can be worked in; what is not sewn on neither; a shared sentence is told.
  const between = analyseToy(text.replace('on round 5', 'between R4 and R9'));
  expect(workInInstead(between, 'ear').ok).toBe(false);
  expect(workInInstead(toy, 'head')).toMatchObject({ ok: false, why: 'It is not sewn on.' });
  const both = analyseToy(
    `${text}\n\nTail\nR1: 6 sc in ring\nR2-R6: sc around\nSew the ears and the tail to the head on round 9.`,
  );
  expect(workInInstead(both, 'tail')).toMatchObject({ ok: false });
});

test('holding: each seam and feature with its ways, and a way taken and taken back is the text as it was', () => {
  const text = forWhom('under 3', head(ball, eyes) + wing);
  const ways = (of: string) =>
    holdingsOf(analyseToy(of), 'under-3', shippedRules).map(({ id, taken, advised }) => [
      id,
      taken.key,
      advised.key,
    ]);
  expect(ways(text)).toEqual([
    ['seam wing', 'once', 'twice'],
    ['eyes head', 'washer', 'disc'],
  ]);
  const taken = ['seam wing', 'eyes head'].reduce((of, id) => {
    const holding = holdingsOf(analyseToy(of), 'under-3', shippedRules).find((one) => one.id === id);
    return applyEdits(of, [...holding!.edits.values()][0]!);
  }, text);
  expect(ways(taken).map(([, key]) => key)).toEqual(['twice', 'disc']);
  const back = ['seam wing', 'eyes head'].reduce((of, id) => {
    const holding = holdingsOf(analyseToy(of), 'under-3', shippedRules).find((one) => one.id === id);
    return applyEdits(of, [...holding!.edits.values()][0]!);
  }, taken);
  expect(back.split('\n').filter(Boolean)).toEqual(text.split('\n').filter(Boolean));
});

test('what is reinforced is on the sheet, at the stop, in making and among what is bought', () => {
  const text = forWhom(
    '3+',
    `${head(ball, eyes, 'Reinforce the eyes: a 24 mm disc of felt behind each washer.')}${wing}\nReinforce the wings: sew twice round.`,
  );
  const toy = analyseToy(text);
  const stops = toy.parts[0]!.stops.stops.flatMap(({ acts }) => acts);
  expect(stops.find(({ act }) => act === 'seat-eyes')?.why).toContain(
    'put a disc of felt of 24 mm over each, then press the washers',
  );
  expect(suppliesOf(toy).hardware).toContainEqual({ kind: 'disc of felt', sizeMm: 24, count: 2 });
  const seams = tasksOf(toy).flatMap((task) => (task.kind === 'finish' ? task.steps : []));
  expect(seams.filter((step) => step.startsWith('Once round, then once more the other way'))).toHaveLength(2);
  const sheet = buildSheet(toy);
  expect(
    sheet.joins.every(({ sentences }) => sentences.some((one) => one.startsWith('Once round, then'))),
  ).toBe(true);
});

test('what stuffs besides is not taken out with what it says of the seam', () => {
  const text = forWhom('under 3', `${head(ball)}${ear}`).replace(
    'Do not stuff.',
    'Stuff the ears and sew around them twice.',
  );
  const [seam] = holdingsOf(analyseToy(text), 'under-3', shippedRules);
  expect([seam?.taken.key, seam?.edits.size]).toEqual(['twice', 0]);
});

test('what is pulled through has no seam', () => {
  const text = `${head(ball)}\n\nArms\nCh 31, sc in 2nd ch from hook and in each ch across\nPull the arms through the head from side to side at round 12.`;
  const toy = analyseToy(text);
  expect(toy.joined.joins.map(({ kind }) => kind)).toEqual(['through']);
  expect(holdingsOf(toy, 'under-3', shippedRules)).toEqual([]);
});
