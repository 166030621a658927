import type { Suggestion } from '../../notation/problem';
import type { FaceFrame } from '../frame/faceFrame';
import { ruleEdits } from '../move/front';
import type { Finding } from '../resolve/finding';
import type { PlacedFeature, ResolvedFace } from '../resolve/placeFace';
import { eyesOf, type FeaturePlacement } from '../resolve/placement';
import { leadsFace, type FeatureRule } from '../rule/rule';

/** One feature of a face under its checks. */
export interface Checked extends PlacedFeature {
  frame: FaceFrame;
  face: ResolvedFace;
  /** everything on the face, this one too, in the order of the text */
  all: readonly FeaturePlacement[];
  /** the eyes that lead it; null where there are none */
  eyes: FeaturePlacement | null;
}

/** A check of one feature: what is wrong with it, each with remedies that rewrite its sentence. */
export type Check = (checked: Checked) => Finding[];

/** Something that could be done, and what it comes to. */
export interface Try {
  title: string;
  rule: FeatureRule;
  placed: FeaturePlacement;
}

/** A feature of a face, ready to be checked. */
export function checkedOf(face: ResolvedFace, feature: PlacedFeature): Checked {
  const all = face.features.map(({ placed }) => placed);
  return { ...feature, frame: face.frame, face, all, eyes: eyesOf(all) };
}

/** A feature placed by another rule. Eyes put on whole are written as they come to lie. */
export function attemptRule({ face, id }: Checked, title: string, rule: FeatureRule): Try {
  const placed = face.retry(id, rule);
  return { title, placed, rule: leadsFace(rule) ? placed.rule : rule };
}

/** The tap that takes a rule. */
export function remedy({ frame, placed }: Checked, { title, rule }: Pick<Try, 'title' | 'rule'>): Suggestion {
  return { title, edits: ruleEdits(frame.form, placed, rule) };
}
