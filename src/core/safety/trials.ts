import { t } from '../words/language';
import type { RuleBook } from './ruleBook';

/** How something is tried at home. */
export type TrialKind = 'pull' | 'twist' | 'seam' | 'cylinder' | 'drop' | 'weigh' | 'wash' | 'light';

const trialNames: Readonly<Record<TrialKind, string>> = {
  pull: t`Pull`,
  twist: t`Twist`,
  seam: t`Pull the seam`,
  cylinder: t`Small-parts cylinder`,
  drop: t`Drop`,
  weigh: t`Weigh`,
  wash: t`Wash`,
  light: t`Hold against light`,
};
/** What a trial is called. */
export const trialName = (kind: TrialKind): string => trialNames[kind];
export const isTrialKind = (word: string): word is TrialKind => Object.hasOwn(trialNames, word);

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
  /** by which it is known on the record */
  name: string;
  /** as it is said to the maker */
  called: string;
  sizeMm: number;
}

/** What of a toy can be tried. */
export interface TriedToy {
  features: readonly TriedFeature[];
  /** units that are joined, by their names */
  joins: readonly string[];
  isStuffed: boolean;
}

const tension = t`After the tension test of EN 71-1:2014+A1:2018 (90 N, 50 N up to 6 mm, 10 s); check the current text and the law where you live`;
const seams = t`After the seam test for soft-filled toys of EN 71-1:2014+A1:2018 (70 N, 10 s); check the current text and the law where you live`;
const small = t`After the small-parts cylinder of EN 71-1:2014+A1:2018 and 16 CFR 1501.4; check the current text and the law where you live`;
const practice = t`Makers’ practice; no standard gives a figure`;

/** Newton as a luggage scale shows it. */
export const kilograms = (newton: number): number => Math.round(newton / 0.981) / 10;

const pulled = (newton: number, seconds: number) =>
  t`Hook a luggage scale behind it, pull straight out to ${newton} N (${kilograms(newton)} kg) in five seconds and hold for ${seconds}.`;

/** Something done with the whole toy, without a force that is measured. */
const withWhole = (kind: TrialKind, how: string): Trial => ({
  id: kind,
  kind,
  of: t`the whole toy`,
  how,
  forceN: null,
  seconds: null,
  source: practice,
});

const cylinderTrial = (widthMm: number, depthMm: number): Trial => ({
  ...withWhole(
    'cylinder',
    t`Hold a tube ${widthMm} mm wide and ${depthMm} mm deep over every part, and over whatever came off: nothing may go in whole without being pressed.`,
  ),
  of: t`every small part`,
  source: small,
});

const wholeTrials = (isStuffed: boolean): Trial[] => [
  withWhole(
    'drop',
    t`Let it fall from table height five times, on its head, its back, each side. Then feel every part.`,
  ),
  withWhole(
    'weigh',
    t`Weigh it, before the wash and when it is dry again. What is lighter has lost something.`,
  ),
  withWhole('wash', t`Wash it as the label will say and let it dry. Then feel for loose parts and ends.`),
  ...(isStuffed ? [withWhole('light', t`Stretch it against a lamp. No stuffing may show or come out.`)] : []),
];

/**
 * What is tried on a toy, by the figures of the rule book: everything that is pressed or sewn on, every join, then the whole toy.
 *
 * @param book forces in newton, times in seconds
 */
export function trialsOf({ features, joins, isStuffed }: TriedToy, { figures }: RuleBook): Trial[] {
  const { pullN, pullSmallN, smallMm, pullSeconds, seamN, cylinderWidthMm, cylinderDepthMm } = figures;
  const onFeatures = features.flatMap(({ name, called, sizeMm }): Trial[] => {
    const forceN = sizeMm > 0 && sizeMm <= smallMm ? pullSmallN : pullN;
    return [
      {
        id: `pull ${name}`,
        kind: 'pull',
        of: called,
        how: pulled(forceN, pullSeconds),
        forceN,
        seconds: pullSeconds,
        source: tension,
      },
      {
        id: `twist ${name}`,
        kind: 'twist',
        of: called,
        how: t`Turn it half round one way, then the other, as far as fingers can. It must not loosen.`,
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
    how: t`${pulled(seamN, pullSeconds)} Then from each side. No stitch may open.`,
    forceN: seamN,
    seconds: pullSeconds,
    source: seams,
  }));
  return [
    ...onFeatures,
    ...onJoins,
    cylinderTrial(cylinderWidthMm, cylinderDepthMm),
    ...wholeTrials(isStuffed),
  ];
}
