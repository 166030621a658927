import type { RuleBook } from './ruleBook';

/** How something is tried at home. */
export type TrialKind = 'pull' | 'twist' | 'seam' | 'drop' | 'wash' | 'light';

/** What is tried: a try at home, never a test by a laboratory. */
export interface Trial {
  /** the same for the same thing as long as it has its name: `pull eyes left of head` */
  id: string;
  kind: TrialKind;
  /** what it is about: `left eye of the head` */
  of: string;
  how: string;
  /** so hard, in newton; null where no force is measured */
  forceN: number | null;
  seconds: number | null;
  source: string;
}

/** A thing that is pressed or sewn on, one post or piece of it. */
export interface TriedFeature {
  name: string;
  sizeMm: number;
}

/** What of a toy can be tried. */
export interface TriedToy {
  features: readonly TriedFeature[];
  /** units that are joined, by their names */
  joins: readonly string[];
  isStuffed: boolean;
}

const tension =
  'After the tension test of EN 71-1:2014+A1:2018 (90 N, 50 N up to 6 mm, 10 s); check the current text and the law where you live';
const seams =
  'After the seam test for soft-filled toys of EN 71-1:2014+A1:2018 (70 N, 10 s); check the current text and the law where you live';
const practice = 'Makers’ practice; no standard gives a figure';

/** Newton as a luggage scale shows it. */
export const kilograms = (newton: number): number => Math.round(newton / 0.981) / 10;

const pulled = (newton: number, seconds: number) =>
  `Hook a luggage scale behind it, pull straight out to ${newton} N (${kilograms(newton)} kg) in five seconds and hold for ${seconds}.`;

/**
 * What is tried on a toy, by the figures of the rule book: everything that is pressed or sewn on, every join, then the whole toy.
 *
 * @param book forces in newton, times in seconds
 */
export function trialsOf({ features, joins, isStuffed }: TriedToy, { figures }: RuleBook): Trial[] {
  const { pullN, pullSmallN, smallMm, pullSeconds, seamN } = figures;
  const onFeatures = features.flatMap(({ name, sizeMm }): Trial[] => {
    const forceN = sizeMm > 0 && sizeMm <= smallMm ? pullSmallN : pullN;
    return [
      {
        id: `pull ${name}`,
        kind: 'pull',
        of: name,
        how: pulled(forceN, pullSeconds),
        forceN,
        seconds: pullSeconds,
        source: tension,
      },
      {
        id: `twist ${name}`,
        kind: 'twist',
        of: name,
        how: 'Turn it half round one way, then the other, as far as fingers can. It must not loosen.',
        forceN: null,
        seconds: pullSeconds,
        source: practice,
      },
    ];
  });
  const onJoins = joins.map((name): Trial => ({
    id: `seam ${name}`,
    kind: 'seam',
    of: name,
    how: `${pulled(seamN, pullSeconds)} Then from each side. No stitch may open.`,
    forceN: seamN,
    seconds: pullSeconds,
    source: seams,
  }));
  const whole = (kind: TrialKind, how: string): Trial => ({
    id: kind,
    kind,
    of: 'the whole toy',
    how,
    forceN: null,
    seconds: null,
    source: practice,
  });
  return [
    ...onFeatures,
    ...onJoins,
    whole(
      'drop',
      'Let it fall from table height five times, on its head, its back, each side. Then feel every part.',
    ),
    whole('wash', 'Wash it as the label will say and let it dry. Then feel for loose parts and ends.'),
    ...(isStuffed ? [whole('light', 'Stretch it against a lamp. No stuffing may show or come out.')] : []),
  ];
}
