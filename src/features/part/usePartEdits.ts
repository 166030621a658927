import { applyEdits } from '../../core/notation/applyEdits';
import type { Suggestion } from '../../core/notation/problem';
import type { EyePlacement } from '../../core/place/eyes';
import type { FeaturePlacement } from '../../core/place/features/featurePlacement';
import { proposeEyes } from '../../core/place/proposeEyes';
import { removeEyes, withEyes, writeEyes, type EyeRule } from '../../core/place/eyeSentence';
import { eyeEdits, frontSentence } from '../../core/place/frontEdits';
import { proposedRule, type FeatureRule } from '../../core/place/features/featureRule';
import { stitchEyes } from '../../core/place/features/stitchEyes';
import { lyingFrame } from '../../core/place/lying/frame';
import { proposedLyingRule } from '../../core/place/lying/lyingRule';
import { proposeLyingEyes } from '../../core/place/lying/lyingEyesRule';
import { removeFeature, writeFeature } from '../../core/place/features/featureSentence';
import type { FeatureKind } from '../../core/notation/step';
import { holeAt } from '../../core/place/holes';
import { seatHoles } from '../../core/place/partForm';
import { apartValues } from '../../core/toy/checkParts';
import { setPartHeader, setToyHeader } from '../../core/toy/editText';
import { analyseToy, type PartAnalysis } from '../../core/toy/analyse';
import { habitIn, useApartHabit, type Apart } from '../../data/habits';
import { useToy } from '../../data/useToy';

/** Everything the thumb can change about a part, written into its text. */
export function usePartEdits(part: PartAnalysis) {
  const { editor, analysis } = useToy();
  const { keep: keepHabit } = useApartHabit();
  const put = (next: string, amend = false) => (amend ? editor.amend(next) : editor.step(next));

  /** The part as the text stands now. What is on the screen may be a tap behind; two quick taps must both count. */
  const now = (): { text: string; part: PartAnalysis } => {
    const { text } = editor.store.getState();
    const current =
      text === analysis.text
        ? part
        : (analyseToy(text).parts.find((one) => one.source.id === part.source.id) ?? part);
    return { text, part: current };
  };
  const putEyes = (ruleOf: (eyes: EyePlacement, of: PartAnalysis) => EyeRule | null, amend = false) => {
    const { text, part: current } = now();
    const rule = current.eyes && ruleOf(current.eyes, current);
    if (rule && current.eyes) put(applyEdits(text, eyeEdits(current.form, current.eyes, rule)), amend);
  };
  const putHeader = (key: 'Start' | 'Front', value: string) => {
    const { text, part: current } = now();
    put(setPartHeader(text, current.source, key, value));
  };

  return {
    now: () => now().part,
    seat: () => {
      const { text, part: current } = now();
      put(
        applyEdits(text, [
          writeEyes(
            current.source,
            current.source.lying
              ? proposeLyingEyes(current.form, lyingFrame(current.form, current.map.front))
              : proposeEyes(current.form),
          ),
        ]),
      );
    },
    stitchEyes: (style: 'satin' | 'sleeping') => {
      const { text, part: current } = now();
      if (current.eyes) put(applyEdits(text, [stitchEyes(current.source, current.eyes.rule, style)]));
    },
    unseat: () => {
      const { text, part: current } = now();
      const edit = removeEyes(current.source);
      if (edit) put(applyEdits(text, [edit]));
    },
    change: (next: Partial<EyeRule> | ((rule: EyeRule) => Partial<EyeRule>), amend = false) =>
      putEyes(({ rule }) => withEyes(rule, typeof next === 'function' ? next(rule) : next), amend),
    /** The eyes' rule, made from how they are placed now. */
    putEyes,
    /** A feature's rule, made from how it is placed now and written over its sentence. */
    putFeature: (
      id: string,
      ruleOf: (placed: FeaturePlacement, of: PartAnalysis) => FeatureRule | null,
      amend = false,
    ) => {
      const { text, part: current } = now();
      const placed = current.features.find((feature) => feature.id === id);
      const rule = placed && ruleOf(placed, current);
      if (rule) put(applyEdits(text, [writeFeature(current.source, id, rule)]), amend);
    },
    addFeature: (kind: FeatureKind) => {
      const {
        text,
        part: { source, form, eyes, features, map },
      } = now();
      const eyeLine = eyes?.round ?? features.find((feature) => feature.kind === 'eyes')?.line ?? 0;
      put(
        applyEdits(text, [
          writeFeature(
            source,
            null,
            source.lying ? proposedLyingRule(kind, form) : proposedRule(kind, form, eyeLine, map.front),
          ),
        ]),
      );
    },
    dropFeature: (id: string) => {
      const {
        text,
        part: { source },
      } = now();
      const edit = removeFeature(source, id);
      if (edit) put(applyEdits(text, [edit]));
    },
    apply: (suggestion: Suggestion) => {
      const told = habitIn(suggestion.edits);
      if (told) keepHabit(told);
      // A remedy is for the text it was worked out from.
      const { text } = editor.store.getState();
      if (text === analysis.text) put(applyEdits(text, suggestion.edits));
    },
    /** What “8 apart” means to this maker: written into this text and kept for the next ones. */
    apartMeans: (apart: Apart) => {
      keepHabit(apart);
      put(setToyHeader(editor.store.getState().text, 'Apart', apartValues[apart]));
    },
    /** Takes another arrangement of the face, by the text that says it. */
    take: (next: string) => put(next),
    hand: (hand: 'left' | 'right') =>
      put(setToyHeader(editor.store.getState().text, 'Hand', hand === 'left' ? 'left' : '')),
    start: (start: 'top' | 'bottom' | 'left' | 'right') => putHeader('Start', start === 'top' ? '' : start),
    /** Turns the front by half stitches of the round above the eyes, as seen from the front. */
    turnFront: (halves: number) => {
      const {
        text,
        part: { eyes, form, map, starts, fabric, source },
      } = now();
      if (!eyes) return;
      // Eyes at named stitches would stay where they are: from now on they go by the front.
      const before = eyes.rule.holes
        ? applyEdits(text, [writeEyes(source, withEyes(eyes.rule, { apart: eyes.rule.apart }))])
        : text;
      const holes = seatHoles(form, eyes.round, 'foot');
      const { count } = holes;
      const wanted = Math.round((holeAt(holes, eyes.frontAzimuth) + map.dir * halves * 0.5) * 2) / 2;
      const azimuth = holes.first + (2 * Math.PI * (wanted - 1)) / count;
      const start = starts[eyes.round] ?? 0;
      const stitch = ((((((azimuth - start) / (2 * Math.PI)) * count) % count) + count) % count) + 0.5;
      put(
        setPartHeader(
          before,
          source,
          'Front',
          frontSentence(stitch, fabric.label[eyes.round] ?? 1).replace('Front: ', ''),
        ),
      );
    },
    front: (line: string) => putHeader('Front', line.replace('Front: ', '')),
    resetFront: () => putHeader('Front', ''),
  };
}
