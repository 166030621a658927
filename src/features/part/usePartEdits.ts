import { applyEdits } from '../../core/notation/applyEdits';
import type { Suggestion } from '../../core/notation/problem';
import { proposeEyes } from '../../core/place/proposeEyes';
import { removeEyes, withEyes, writeEyes, type EyeRule } from '../../core/place/eyeSentence';
import { frontSentence } from '../../core/place/eyeProblems';
import { proposedRule, type FeatureRule } from '../../core/place/features/featureRule';
import { raisedRelation } from '../../core/place/features/moveFeature';
import { upOf } from '../../core/place/features/verticalLine';
import { removeFeature, writeFeature } from '../../core/place/features/featureSentence';
import type { FeatureKind } from '../../core/notation/step';
import { holeAt } from '../../core/place/holes';
import { seatHoles } from '../../core/place/partForm';
import { apartValues } from '../../core/toy/checkParts';
import { setPartHeader, setToyHeader } from '../../core/toy/editText';
import type { PartAnalysis } from '../../core/toy/analyse';
import { habitIn, useApartHabit, type Apart } from '../../data/habits';
import { useToy } from '../../data/useToy';

/** Everything the thumb can change about a part, written into its text. */
export function usePartEdits(part: PartAnalysis) {
  const { editor, text } = useToy();
  const { keep: keepHabit } = useApartHabit();
  const lines = text.split(/\r\n|\n|\r/);
  const put = (next: string, amend = false) => (amend ? editor.amend(next) : editor.step(next));
  const { eyes, source, fabric } = part;
  const written = (rule: EyeRule) => applyEdits(text, [writeEyes(source, lines, rule)]);
  const labelAt = (round: number) => fabric.label[round - 1];

  return {
    seat: () => put(written(proposeEyes(part.form))),
    unseat: () => {
      const edit = removeEyes(source, lines);
      if (edit) put(applyEdits(text, [edit]));
    },
    change: (next: Partial<EyeRule>, amend = false) => { if (eyes) put(written(withEyes(eyes.rule, next)), amend); },
    /** Moves the eyes by whole rounds; false where there is no such line of holes. */
    moveRounds: (by: number): boolean => {
      if (!eyes) return false;
      const [lower, upper] = [labelAt(eyes.round + by), labelAt(eyes.round + by + 1)];
      if (!lower || !upper) return false;
      const { vertical } = eyes.rule;
      // What goes by the nose or a ridge goes on going by it, a round nearer or further.
      const risen = vertical?.by === 'relation' ? raisedRelation(vertical, (by * upOf(part.form)) as 1 | -1) : null;
      put(written(withEyes(eyes.rule, { gap: [lower, upper], ...(risen ? { vertical: risen } : {}) })));
      return true;
    },
    /** A feature's rule, written over its sentence or as a new one. */
    putFeature: (id: string, rule: FeatureRule | null, amend = false) => { if (rule) put(applyEdits(text, [writeFeature(source, lines, id, rule)]), amend); },
    addFeature: (kind: FeatureKind) => put(applyEdits(text, [writeFeature(source, lines, null, proposedRule(kind, part.form, eyes?.round ?? part.features.find((feature) => feature.kind === 'eyes')?.line ?? 0, part.map.front))])),
    dropFeature: (id: string) => {
      const edit = removeFeature(source, lines, id);
      if (edit) put(applyEdits(text, [edit]));
    },
    apply: (suggestion: Suggestion) => {
      const told = habitIn(suggestion.edits);
      if (told) keepHabit(told);
      put(applyEdits(text, suggestion.edits));
    },
    /** What “8 apart” means to this maker: written into this text and kept for the next ones. */
    apartMeans: (apart: Apart) => {
      keepHabit(apart);
      put(setToyHeader(text, 'Apart', apartValues[apart]));
    },
    /** Takes another arrangement of the face, by the text that says it. */
    take: (next: string) => put(next),
    hand: (hand: 'left' | 'right') => put(setToyHeader(text, 'Hand', hand === 'left' ? 'left' : '')),
    start: (start: 'top' | 'bottom') => put(setPartHeader(text, source, 'Start', start === 'bottom' ? 'bottom' : '')),
    /** Turns the front by half stitches of the round above the eyes, as seen from the front. */
    turnFront: (halves: number) => {
      if (!eyes) return;
      const holes = seatHoles(part.form, eyes.round, 'foot');
      const count = holes.count;
      const now = holeAt(holes, eyes.frontAzimuth);
      const wanted = Math.round((now + part.map.dir * halves * 0.5) * 2) / 2;
      const azimuth = holes.first + (2 * Math.PI * (wanted - 1)) / count;
      const start = part.starts[eyes.round] ?? 0;
      const stitch = ((((azimuth - start) / (2 * Math.PI)) * count % count) + count) % count + 0.5;
      put(setPartHeader(text, source, 'Front', frontSentence(stitch, labelAt(eyes.round + 1) ?? 1).replace('Front: ', '')));
    },
    front: (line: string) => put(setPartHeader(text, source, 'Front', line.replace('Front: ', ''))),
    resetFront: () => put(setPartHeader(text, source, 'Front', '')),
  };
}
