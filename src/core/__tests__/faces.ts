import { analyseToy, type PartAnalysis, type ToyAnalysis } from '../toy/analyse';
import { featureHead } from './featureCorpus';
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

/** Lines about the toy stand above the heading, lines about the part below it. */
export const headWith = (sentences: string, header = '') => {
  const [ofPart, ofToy] = [true, false].map((wanted) =>
    header
      .split('\n')
      .filter((line) => line && line.startsWith('Start') === wanted)
      .map((line) => `${line}\n`)
      .join(''),
  );
  return analyseFaces(`${ofToy}${featureHead.replace('Head\n', `Head\n${ofPart}`)}${sentences}\n`).parts[0]!;
};
