import { weightInWords, yarnWeight, type YarnWeight } from '../shape/yarnWeights';
import type { ToyAnalysis } from './analysis';
import { strandsFor, strandsOf } from './supplies/strands';

/** Strands beside each other are as thick as one of their whole section. */
export const thicknessOf = ({ thicknessMm }: YarnWeight, strands: number): number =>
  thicknessMm * Math.sqrt(strands);

function weightOf({ pattern }: Pick<ToyAnalysis, 'pattern'>): YarnWeight {
  for (const { value } of pattern.header.yarns) {
    const found = weightInWords(value);
    if (found) return found;
  }
  return yarnWeight('medium');
}

/**
 * The class of yarn a toy is worked in, by what its text says of its yarns; medium where it says nothing. Where strands are held together
 * in all of its parts it is as thick as they are.
 */
export function yarnOf(toy: Pick<ToyAnalysis, 'text' | 'pattern' | 'parts'>): YarnWeight {
  const weight = weightOf(toy);
  const [only, ...others] = toy.pattern.header.yarns;
  const yarn = others.length === 0 ? (only?.name ?? '') : '';
  const said = strandsOf(toy);
  const lines = toy.parts.map(({ source }) => source.line);
  const strands = lines.map((partLine) => strandsFor(said, yarn, { partLine, lines }));
  return { ...weight, thicknessMm: thicknessOf(weight, strands.length > 0 ? Math.min(...strands) : 1) };
}
