import type { Firmness } from '../shape/stuffed';

/** Grams of stuffing that a litre of toy takes. */
export type StuffingDensities = Readonly<Record<Exclude<Firmness, 'none'>, number>>;

/** Usual figures for polyester fibre stuffed by hand; weigh one toy to make them your own. */
export const usualDensities: StuffingDensities = { light: 20, medium: 35, firm: 50 };

/** Grams of stuffing for a volume in ml; nothing for a part left empty. */
export function stuffingGrams(
  volumeMl: number,
  firmness: Firmness,
  densities: StuffingDensities = usualDensities,
): number {
  return firmness === 'none' ? 0 : (volumeMl / 1000) * densities[firmness];
}

/**
 * The maker's own densities from one weighing: the other firmnesses keep their proportion to the weighed one.
 *
 * @param grams what went into a part of `volumeMl`
 * @returns null where the weighing can't be right: under 2 or over 300 g a litre
 */
export function weighedDensities(
  volumeMl: number,
  firmness: Exclude<Firmness, 'none'>,
  grams: number,
): StuffingDensities | null {
  const density = volumeMl > 0 ? grams / (volumeMl / 1000) : 0;
  if (!(density >= 2 && density <= 300)) return null;
  const share = density / usualDensities[firmness];
  return {
    light: usualDensities.light * share,
    medium: usualDensities.medium * share,
    firm: usualDensities.firm * share,
  };
}

/** What a stuffing weighs for a gram of the usual one: the same at each firmness. */
export const shareOfUsual = ({ medium }: StuffingDensities): number => medium / usualDensities.medium;
