import { weightInWords, yarnWeight, type YarnWeight } from '../shape/yarnWeights';
import type { ToyAnalysis } from './analyse';

/** The class of yarn a toy is worked in, by what its text says of its yarns; medium where it says nothing. */
export function yarnOf({ pattern }: Pick<ToyAnalysis, 'pattern'>): YarnWeight {
  for (const { value } of pattern.header.yarns) {
    const found = weightInWords(value);
    if (found) return found;
  }
  return yarnWeight('medium');
}
