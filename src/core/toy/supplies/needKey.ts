import type { ToolKind } from './tools';

/** In what something is counted. */
export type Unit = 'g' | 'm' | 'cm2' | 'pieces';

/** Yarn of a colour, by what it is; of which the text does not say what it is, by the toy. */
export const yarnKey = (name: string, what: string): string =>
  `yarn ${name.toLowerCase()}, ${what.toLowerCase()}`;
export const ownYarnKey = (name: string, toy: string): string => `yarn ${name.toLowerCase()} of ${toy}`;

export const isYarnKey = (key: string): boolean => key.startsWith('yarn ');

const figure = (value: number): number => Math.round(value * 10) / 10;

/** What is bought by the piece, by its size. */
export const pieceKey = (kind: string, sizeMm: number | null): string =>
  sizeMm !== null && sizeMm > 0 ? `${kind}, ${figure(sizeMm)} mm` : kind;

/** Felt of a colour, or of any. */
export const feltKey = (colour: string | null): string =>
  colour === null ? 'felt' : `felt, ${colour.trim().toLowerCase()}`;

const hundredth = (value: number): number => Math.round(value * 100) / 100;

/**
 * A hook is asked for by its size; of needles, markers and pins any will do.
 *
 * @param said its size as the text names it, where that is none in mm
 */
export function toolKey(kind: ToolKind, sizeMm: number | null, said: string | null = null): string {
  if (kind !== 'crochet hook') return kind;
  if (sizeMm !== null) return `${kind}, ${hundredth(sizeMm)} mm`;
  return said === null ? kind : `${kind}, ${said.toLowerCase()}`;
}

const kindInKey = (key: string): string => key.split(', ')[0] ?? key;

/** In what it is counted, by the name it is kept under. */
export function unitOfKey(key: string): Unit {
  if (isYarnKey(key) || key === 'stuffing') return 'g';
  if (kindInKey(key) === 'felt') return 'cm2';
  return key === 'thread' ? 'm' : 'pieces';
}
