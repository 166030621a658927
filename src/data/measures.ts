import { useMutation } from '@tanstack/react-query';
import { chooseMeasures, measures, usualMeasures, type Measures } from '../core/words/measures';
import { isRecord, parsed } from './json';
import { storage } from './storage';

const key = 'hoppla/habit/measures';

/** What a maker says of how she measures; how numbers are written her browser knows. */
export type OwnMeasures = Pick<Measures, 'length' | 'weight'>;

/** What is kept, the usual for what can't be read. */
export function readMeasures(kept: string | null): OwnMeasures {
  const stored = parsed(kept ?? '');
  const { length, weight } = isRecord(stored) ? stored : {};
  return {
    length: length === 'inches' ? length : usualMeasures.length,
    weight: weight === 'ounces' ? weight : usualMeasures.weight,
  };
}

/** Takes up how she measures, before anything is said in words. What can't be read must not hold up a page: mm and grams then. */
export async function takeUpMeasures(): Promise<void> {
  const kept = await storage.getItem(key).catch(() => null);
  chooseMeasures({ ...readMeasures(kept), locale: navigator.language });
}

/** How she measures, and a way to change it. */
export function useMeasures() {
  const keep = useMutation({
    mutationFn: (own: OwnMeasures) => storage.setItem(key, JSON.stringify(own)),
    // Whatever was said in words is made anew: all of it is kept already.
    onSuccess: () => window.location.reload(),
  });
  const { length, weight } = measures();
  return {
    own: { length, weight },
    /** what could not be kept: the browser's storage is full or shut */
    failed: keep.isError ? (keep.variables ?? null) : null,
    change: (own: OwnMeasures) => keep.mutate(own),
  };
}
