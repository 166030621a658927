/**
 * Keeps the last results of a pure function by a key of its input.
 *
 * @param most how many results to keep; the one unused longest goes first
 */
export function memoise<A extends unknown[], R>(most: number, compute: (...input: A) => R, keyOf: (...input: A) => string): (...input: A) => R {
  const kept = new Map<string, R>();
  return (...input) => {
    const key = keyOf(...input);
    const known = kept.get(key);
    if (known !== undefined) {
      kept.delete(key);
      kept.set(key, known);
      return known;
    }
    const result = compute(...input);
    kept.set(key, result);
    if (kept.size > most) {
      const oldest = kept.keys().next();
      if (!oldest.done) kept.delete(oldest.value);
    }
    return result;
  };
}
