import { analyseToy, type PartAnalysis, type ToyAnalysis } from '../toy/analyse';
import type { FeaturePlacement } from '../place/resolve/placement';

/** A part whose pressed eyes stand apart from its other features, which tests look at one by one. */
export interface FacePart extends PartAnalysis {
  /** every feature, the eyes too */
  all: FeaturePlacement[];
}

/** A toy with the eyes of each part apart from its other features. */
export function analyseFaces(text: string): Omit<ToyAnalysis, 'parts'> & { parts: FacePart[] } {
  const toy = analyseToy(text);
  const parts = toy.parts.map((part) => ({
    ...part,
    all: part.features,
    features: part.features.filter((feature) => feature !== part.eyes),
  }));
  return { ...toy, parts };
}
