import type { Fabric } from './fabric';

type Numbered = Pick<Fabric, 'label' | 'row'>;

/** A round of a part: its place, and the number it goes by. Of what lies halfway between two both have a half. */
export interface RoundRef {
  /** by index, from 1: two rounds of a part never have the same */
  row: number;
  /** in the maker's text, where two may have the same */
  round: number;
}

/** Places of the rounds and rows that have a number in the text, from 1, in the order they are worked. */
const numbered = ({ label }: Numbered, number: number): number[] =>
  [...label].flatMap((one, i) => (one === number ? [i + 1] : []));

/**
 * Place of the round that a maker calls by a number, from 1; 0 where the part has none. The only way from a number to a round: a part
 * may count its rows from 1 and then, around them, its rounds from 1, and of two with one number the round is meant.
 */
export function roundNumbered(fabric: Numbered, number: number): number {
  const places = numbered(fabric, number);
  return places.find((place) => fabric.row[place - 1] === 0) ?? places[0] ?? 0;
}

/** Whether a number is that of a row and of a round too. */
export function isRowAndRound(fabric: Numbered, number: number): boolean {
  const places = numbered(fabric, number);
  return new Set(places.map((place) => fabric.row[place - 1])).size > 1;
}
