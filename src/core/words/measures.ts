/** In what lengths are said. */
export type LengthUnit = 'mm' | 'inches';
/** In what weights are said. */
export type WeightUnit = 'grams' | 'ounces';

/** How a maker measures and weighs, and how numbers are written where she lives. All is worked out and kept in mm, metres and grams. */
export interface Measures {
  length: LengthUnit;
  weight: WeightUnit;
  /** a language tag: `en-GB` writes 3.4, `de-AT` 3,4 */
  locale: string;
}

export const usualMeasures: Readonly<Measures> = { length: 'mm', weight: 'grams', locale: 'en' };

let chosen: Readonly<Measures> = usualMeasures;
/** How numbers of so many places are written: making one takes longer than all the rest. */
const formats = new Map<number, Intl.NumberFormat>();

/** From now on lengths and weights are said so. Words that were made before stay as they are. */
export function chooseMeasures(measures: Partial<Measures>): void {
  chosen = { ...chosen, ...measures };
  formats.clear();
}

function formatOf(places: number): Intl.NumberFormat {
  const known = formats.get(places);
  if (known) return known;
  const made = new Intl.NumberFormat(chosen.locale, {
    maximumFractionDigits: places,
    useGrouping: false,
    numberingSystem: 'latn',
  });
  formats.set(places, made);
  return made;
}

export const measures = (): Readonly<Measures> => chosen;

/** Exact by the international yard and pound agreement of 1959. */
export const mmInInch = 25.4;
export const metresInYard = 0.9144;
export const gramsInOunce = 28.349523125;

/** Below this all is said in mm, also to a maker who measures in inches: so stitches, eyes and washers are measured and sold. */
export const leastInchesMm = 10;

type Rounding = (value: number) => number;

/** Rounded to so many places; a whole number that was worked out a hair too large is not taken for more. */
const roundedTo = (value: number, places: number, round: Rounding): number => {
  const step = 10 ** places;
  return round(Number((value * step).toFixed(6))) / step;
};

/** A number as it is written where she lives, with so many places at most. */
export function number(value: number, places = 0): string {
  // Minus nothing is nothing.
  return formatOf(places).format(Number(value.toFixed(places)) || 0);
}

/** Parts of an inch on her tape. */
const onTape = 8;

/** `6 1/8 in`, to the nearest eighth. */
function inches(mm: number): string {
  const eighths = Math.round((mm / mmInInch) * onTape);
  const whole = Math.floor(eighths / onTape);
  let over = eighths % onTape;
  let of = onTape;
  while (over > 0 && over % 2 === 0) [over, of] = [over / 2, of / 2];
  const parts = over === 0 ? [`${whole}`] : [...(whole > 0 ? [`${whole}`] : []), `${over}/${of}`];
  return `${parts.join(' ')} in`;
}

const isInInches = (mm: number): boolean => chosen.length === 'inches' && Math.abs(mm) >= leastInchesMm;

/** `34 mm`, `1 3/8 in`: a size nobody measures finer. */
export const sizeWords = (mm: number): string => (isInInches(mm) ? inches(mm) : `${number(mm)} mm`);

/** A size after another one that has its unit: `127`, `5 in`. */
export const sizeAfter = (mm: number): string => (chosen.length === 'inches' ? sizeWords(mm) : number(mm));

/** `80 × 60 mm`, `3 1/8 in × 2 3/8 in` */
export const sizesWords = (mms: readonly number[]): string =>
  chosen.length === 'inches'
    ? mms.map(sizeWords).join(' × ')
    : `${mms.map((mm) => number(mm)).join(' × ')} mm`;

/** `3.4 mm`, `12 mm`: to the tenth where it is small. */
export const fineSizeWords = (mm: number): string =>
  isInInches(mm) ? inches(mm) : `${number(mm, mm < 10 ? 1 : 0)} mm`;

/** `0.8 mm`, `12.4 mm`: to the tenth of a mm always, as no tape tells it. */
export const tenthWords = (mm: number): string => `${number(mm, 1)} mm`;

/** What is cut is never too short: `300 mm`, in whole cm; `12 in`. */
export const cutWords = (mm: number): string =>
  chosen.length === 'inches'
    ? `${roundedTo(mm / mmInInch, 0, Math.ceil)} in`
    : `${roundedTo(mm / 10, 0, Math.ceil) * 10} mm`;

/** A thread that is cut, as it is measured from the ball: `30 cm`, `12 in`. */
export const threadWords = (mm: number): string =>
  chosen.length === 'inches' ? `${roundedTo(mm / mmInInch, 0, Math.ceil)} in` : `${Math.round(mm / 10)} cm`;

/** Yarn and thread by length, not less than it takes: `12 m`, `14 yd`. */
export function yarnWords(metres: number, places = 0, round: Rounding = Math.ceil): string {
  const isYards = chosen.length === 'inches';
  const amount = roundedTo(isYards ? metres / metresInYard : metres, places, round);
  return `${number(amount, places)} ${isYards ? 'yd' : 'm'}`;
}

/**
 * `8 g`, `2.5 g`, `0.3 oz`
 *
 * @param places of grams; ounces have one, under one ounce two
 * @param round `Math.ceil` for what must be enough
 */
export function weightWords(grams: number, places = 0, round: Rounding = Math.round): string {
  if (chosen.weight === 'grams') return `${number(roundedTo(grams, places, round), places)} g`;
  const ounces = grams / gramsInOunce;
  const ofOunces = ounces < 1 ? 2 : 1;
  return `${number(roundedTo(ounces, ofOunces, round), ofOunces)} oz`;
}

export const mm2InCm2 = 100;

/**
 * An area, not less than it takes: `3 cm²`, `0.5 sq in`
 *
 * @param mm2 in square millimetres
 */
export function areaWords(mm2: number, round: Rounding = Math.ceil): string {
  if (chosen.length === 'mm') return `${number(roundedTo(mm2 / mm2InCm2, 0, round))} cm²`;
  return `${number(roundedTo(mm2 / mmInInch ** 2, 1, round), 1)} sq in`;
}
