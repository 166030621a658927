import pluralize from 'pluralize';

/** How a piece is named within a sentence. */
export const low = (name: string): string => name.toLowerCase();

/** `1 round`, `3 stitches`. */
export const plural = (n: number, one: string): string => pluralize(one, n, true);

/** `3.4 mm`, `12 mm`: to the tenth where it is small. */
export const mm = (value: number): string =>
  `${value < 10 ? Math.round(value * 10) / 10 : Math.round(value)} mm`;

/** `34 mm`: for lengths nobody measures finer. */
export const wholeMm = (value: number): string => `${Math.round(value)} mm`;

/** A part by its name, as many as there are of it. */
export const some = (name: string, count: number): string =>
  count === 1 ? pluralize.singular(low(name)) : pluralize.plural(low(name));

/** Whether a name speaks of several: `eyes`, `the ears`. */
export const isMany = (name: string): boolean => pluralize.isPlural(low(name));

/** The word that goes with a name: of one, or of several. */
export const agree = (name: string, one: string, several: string): string => (isMany(name) ? several : one);

/** `Between 9 and 10` */
export const between = (gap: readonly [number, number]): string => `between ${gap.join(' and ')}`;
