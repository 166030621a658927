import { counted, t } from './language';
import pluralize from 'pluralize';
import { number } from './measures';

/** How a piece is named within a sentence. */
export const low = (name: string): string => name.toLowerCase();

/** `1 round`, `3 stitches`, in the language of the interface. */
export const plural = (n: number, one: string, many = pluralize.plural(one)): string =>
  counted(n, one, `${n} ${n === 1 ? one : many}`);

/** The same as it is written in patterns. */
export const pluralInPattern = (n: number, one: string): string => pluralize(one, n, true);

/** `3.4 mm`, `12 mm`, to the tenth where it is small: for what is in mm everywhere, as eyes, washers and the distances between them. */
export const mm = (value: number): string => `${number(value, value < 10 ? 1 : 0)} mm`;

/** `34 mm`: for figures of standards, which are in mm everywhere. */
export const wholeMm = (value: number): string => `${number(value)} mm`;

/** A part by its name, as many as there are of it. */
export const some = (name: string, count: number): string =>
  count === 1 ? pluralize.singular(low(name)) : pluralize.plural(low(name));

/** Whether a name speaks of several: `eyes`, `the ears`. */
export const isMany = (name: string): boolean => pluralize.isPlural(low(name));

/** The word that goes with a name: of one, or of several. */
export const agree = (name: string, one: string, several: string): string => (isMany(name) ? several : one);

/** `Between 9 and 10` */
export const between = (gap: readonly [number, number]): string => t`between ${gap.join(t` and `)}`;
