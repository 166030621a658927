/** What a step may take beside the object it is about: plain data, all of which it is kept by. */
export type Plain =
  string | number | boolean | null | undefined | readonly Plain[] | { readonly [key: string]: Plain };

/** Of each object so many results are kept. */
const resultsKept = 4;

/**
 * Keeps the results of a pure function for as long as the object it is about lives. The result is kept by that object itself and by all
 * that is handed over beside it: an input that is not handed over can't be used, and one that is can't be left out.
 *
 * @param compute of an object that is never changed, and of plain data
 */
export function memoise<Of extends object, Rest extends readonly Plain[], R>(
  compute: (of: Of, ...rest: Rest) => R,
): (of: Of, ...rest: Rest) => R {
  const kept = new WeakMap<Of, Map<string, R>>();
  return (of, ...rest) => {
    const results = kept.get(of) ?? new Map<string, R>();
    kept.set(of, results);
    const key = JSON.stringify(rest);
    const found = results.get(key);
    if (found !== undefined) return found;
    const result = compute(of, ...rest);
    results.set(key, result);
    if (results.size > resultsKept) {
      const [oldest] = results.keys();
      if (oldest !== undefined) results.delete(oldest);
    }
    return result;
  };
}
