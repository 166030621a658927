import { applyEdits } from '../../core/notation/applyEdits';
import type { Suggestion } from '../../core/notation/problem';
import type { FeaturePlacement } from '../../core/place/resolve/placement';
import { frontSentence, ruleEdits } from '../../core/place/move/front';
import { byDistance } from '../../core/place/move/step';
import { stitchedRule } from '../../core/place/move/stitchEyes';
import { proposedRule } from '../../core/place/rule/proposeRule';
import type { FeatureRule } from '../../core/place/rule/rule';
import { removeRule, writeRule } from '../../core/place/rule/writeRule';
import type { FeatureKind } from '../../core/notation/sentence/said';
import { holeAt } from '../../core/place/frame/holes';
import type { Seat } from '../../core/place/frame/pair';
import { seatHoles } from '../../core/place/frame/partForm';
import { apartValues } from '../../core/toy/checkParts';
import { setPartHeader, setToyHeader } from '../../core/notation/editText';
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
  /** A feature's rule, made from how it is placed now and written over its sentence. */
  const putFeature = (
    id: string,
    ruleOf: (placed: FeaturePlacement, of: PartAnalysis) => FeatureRule | null,
    amend = false,
  ) => {
    const { text, part: current } = now();
    const placed = current.features.find((feature) => feature.id === id);
    const rule = placed && ruleOf(placed, current);
    if (placed && rule) put(applyEdits(text, ruleEdits(current.form, placed, rule)), amend);
  };
  const putHeader = (key: 'Start' | 'Front', value: string) => {
    const { text, part: current } = now();
    put(setPartHeader(text, current.source, key, value));
  };

  return {
    now: () => now().part,
    putFeature,
    /** Something other about the eyes. */
    change: (ruleOf: (rule: FeatureRule) => FeatureRule, amend = false) =>
      putFeature('eyes', ({ rule }) => ruleOf(rule), amend),
    /** Where the posts go through: another kind of hole is another place, so named stitches are given up. */
    seatIn: (seat: Seat) => putFeature('eyes', (eyes) => ({ ...byDistance(eyes), seat })),
    stitchEyes: (style: 'satin' | 'sleeping') => putFeature('eyes', ({ rule }) => stitchedRule(rule, style)),
    addFeature: (kind: FeatureKind) => {
      const { text, part: current } = now();
      const { source, form, features, map } = current;
      const eyeLine = features.find((feature) => feature.kind === 'eyes')?.line ?? 0;
      put(applyEdits(text, [writeRule(source, null, proposedRule(kind, form, eyeLine, map.front))]));
    },
    dropFeature: (id: string) => {
      const { text, part: current } = now();
      const edit = removeRule(current.source, id);
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
      const before =
        eyes.rule.sideways.by === 'holes'
          ? applyEdits(text, [writeRule(source, eyes.id, byDistance(eyes))])
          : text;
      const holes = seatHoles(form, eyes.line, 'foot');
      const { count } = holes;
      const wanted = Math.round((holeAt(holes, eyes.front) + map.dir * halves * 0.5) * 2) / 2;
      const azimuth = holes.first + (2 * Math.PI * (wanted - 1)) / count;
      const start = starts[eyes.line] ?? 0;
      const stitch = ((((((azimuth - start) / (2 * Math.PI)) * count) % count) + count) % count) + 0.5;
      put(
        setPartHeader(
          before,
          source,
          'Front',
          frontSentence(stitch, fabric.label[eyes.line] ?? 1).replace('Front: ', ''),
        ),
      );
    },
    front: (line: string) => putHeader('Front', line.replace('Front: ', '')),
    resetFront: () => putHeader('Front', ''),
  };
}
