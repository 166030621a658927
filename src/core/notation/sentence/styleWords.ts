import type { TokenType } from 'chevrotain';
import { S } from './tokens';
import type { FeatureStyle } from './said';

/** The words that say how a feature is made. */
export const styles: readonly [TokenType, FeatureStyle][] = [
  [S.Triangle, 'triangle'],
  [S.Satin, 'satin'],
  [S.Smile, 'smile'],
  [S.Line, 'line'],
  [S.ShortRow, 'row'],
  [S.Lips, 'lips'],
  [S.Sleeping, 'sleeping'],
  [S.FeltWord, 'felt'],
  [S.CrochetWord, 'crochet'],
  [S.Oval, 'oval'],
];

/** Styles worked with the needle. */
export const stitched: ReadonlySet<FeatureStyle> = new Set([
  'triangle',
  'satin',
  'smile',
  'row',
  'lips',
  'sleeping',
]);
