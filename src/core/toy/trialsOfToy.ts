import { t } from '../words/language';
import { sayTerm } from '../words/said';
import { trialsOf, type Trial, type TriedFeature } from '../safety/trials';
import { shippedRules, type RuleBook } from '../safety/ruleBook';
import type { PartAnalysis, ToyAnalysis } from './analysis';
import { unitName } from './orderWords';

const singles: Readonly<Record<string, string>> = { eyes: 'eye', cheeks: 'cheek', spots: 'spot' };

/** Everything on a part that is pressed or sewn on, each of a pair by its side. */
function featuresOf({ features, source }: PartAnalysis, unit: string): TriedFeature[] {
  return features.flatMap(({ id, kind, rule, units, needle }) => {
    const isStitched = rule.embroidered || needle !== null || kind === 'sculpting' || kind === 'hair';
    if (isStitched) return [];
    const owner = unit.toLowerCase() || source.name.toLowerCase();
    return units.map(({ side, halfMm }): TriedFeature => {
      const one = singles[kind] ?? id;
      const name = side === 'middle' ? `${id} of the ${owner}` : `${side} ${one} of the ${owner}`;
      const called =
        side === 'middle'
          ? t`${sayTerm(id)} of the ${owner}`
          : t`${sayTerm(side)} ${sayTerm(one)} of the ${owner}`;
      return { name, called, sizeMm: rule.sizeMm ?? 2 * halfMm };
    });
  });
}

/** What is tried on a toy: what is put on each making of each part, every join that is sewn or worked in, then the whole. */
export function trialsOfToy(toy: ToyAnalysis, book: RuleBook = shippedRules): Trial[] {
  const features = toy.parts.flatMap((part) =>
    Array.from({ length: part.source.make }, (_, i) =>
      featuresOf(part, unitName(toy, part.source.id, i + 1)),
    ).flat(),
  );
  const joins = toy.joined.joins
    .filter(({ kind }) => kind !== 'worked-on')
    .map(({ unit }) => unitName(toy, unit.part, unit.unit).toLowerCase());
  const isStuffed = toy.parts.some(({ stops }) =>
    stops.stops.some(({ acts }) => acts.some(({ act }) => act === 'stuff')),
  );
  return trialsOf({ features, joins, isStuffed }, book);
}
