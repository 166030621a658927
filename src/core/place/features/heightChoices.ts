import type { FeatureKind, LandmarkKind } from '../../notation/step';
import type { EyePlacement } from '../eyes';
import type { PartForm } from '../partForm';
import { hangsOn } from './anchors';
import type { FeaturePlacement } from './featurePlacement';
import type { Vertical } from './featureRule';
import { landmarkLines } from './landmarks';
import { countedReach, lineEdge, type Reach } from './reach';
import { upOf } from './verticalLine';

/** One way to say how high something lies. */
export interface HeightChoice {
  /** what it is counted from; null for the numbers of the rounds */
  from: FeatureKind | LandmarkKind | null;
  vertical: Vertical;
}

/** What carries others: counting from anything smaller would only be a detour. */
const carriers: readonly FeatureKind[] = ['eyes', 'nose', 'mouth'];

/** What a rule for a line of holes is counted from, as `HeightChoice.from` names it. */
export function countedFrom(vertical: Vertical | null | undefined): HeightChoice['from'] {
  if (vertical?.by === 'level') return vertical.to;
  return vertical?.by === 'relation' ? vertical.to : null;
}

/**
 * The ways to say the height of what lies on a line of holes, each so that it stays there: by the numbers of the rounds, from the eyes and
 * other features that do not hang on it themselves, from what can be seen on the fabric, from the last round.
 *
 * @param id its name among the features of the part, `eyes` for pressed eyes
 * @param line line of holes by index from 1
 */
export function heightChoices(
  form: PartForm,
  id: string,
  line: number,
  eyes: EyePlacement | null,
  features: readonly FeaturePlacement[],
): HeightChoice[] {
  const { fabric } = form;
  const up = upOf(form);
  const choices: HeightChoice[] = [
    {
      from: null,
      vertical: { by: 'gap', gap: [fabric.label[line - 1] ?? line, fabric.label[line] ?? line + 1] },
    },
  ];
  const from = (to: FeatureKind | LandmarkKind, at: number, reach: Reach, level: Vertical) => {
    const risen = (line - at) * up;
    if (risen > reach.up)
      choices.push({
        from: to,
        vertical: { by: 'relation', rounds: risen - reach.up, direction: 'above', to },
      });
    else if (risen < -reach.down)
      choices.push({
        from: to,
        vertical: { by: 'relation', rounds: -risen - reach.down, direction: 'below', to },
      });
    else if (risen === 0) choices.push({ from: to, vertical: level });
  };
  for (const kind of carriers) {
    const placed = features.find((feature) => feature.kind === kind);
    const at = kind === 'eyes' && eyes ? eyes.round : placed?.line;
    if (at === undefined || id === kind || leadsTo(kind, id, eyes, features)) continue;
    from(kind, at, placed && !(kind === 'eyes' && eyes) ? countedReach(placed.rule) : lineEdge, {
      by: 'level',
      to: kind,
    });
  }
  for (const landmark of ['ridge', 'colour change', 'neck'] as const) {
    const [only, ...more] = landmarkLines(fabric, landmark);
    // Of several it would not be clear which.
    if (only !== undefined && more.length === 0)
      from(landmark, only, lineEdge, { by: 'relation', rounds: 0, direction: 'above', to: landmark });
  }
  choices.push({
    from: 'edge',
    vertical: { by: 'relation', rounds: fabric.rounds - line, direction: 'from', to: 'edge' },
  });
  return choices;
}

/** Whether a feature hangs on another, or on one that does. */
function leadsTo(
  kind: FeatureKind,
  id: string,
  eyes: EyePlacement | null,
  features: readonly FeaturePlacement[],
): boolean {
  let at: FeatureKind | null = kind;
  for (let steps = 0; at !== null && steps <= features.length + 1; steps += 1) {
    const name: FeatureKind = at;
    at = hangsOn(
      name === 'eyes' && eyes
        ? (eyes.rule.vertical ?? null)
        : (features.find((feature) => feature.kind === name)?.rule.vertical ?? null),
    );
    if (at === id) return true;
  }
  return false;
}
