import equal from 'fast-deep-equal';
import type { PartSource } from '../notation/pattern';

/** Of each part so many readings are kept: undo, a tap back and forth, and two texts side by side find theirs again. */
const readingsKept = 6;
const partsKept = 400;

const known = new Map<string, PartSource[]>();

/**
 * The same object for the same part: one that says what an earlier reading of it said, in every field and place, is that earlier one.
 * What is computed of a part is kept by this object, so nothing of the part can be left out of what it is kept by.
 */
export function interned(part: PartSource): PartSource {
  const readings = known.get(part.id) ?? [];
  const same = readings.find((reading) => equal(reading, part));
  const found = same ?? part;
  known.delete(part.id);
  known.set(part.id, [found, ...readings.filter((reading) => reading !== found)].slice(0, readingsKept));
  if (known.size > partsKept) {
    const [oldest] = known.keys();
    if (oldest !== undefined) known.delete(oldest);
  }
  return found;
}

/** Forgets every reading: what comes next is worked out as on a first start. For tests and measuring. */
export function forgetParts(): void {
  known.clear();
}
