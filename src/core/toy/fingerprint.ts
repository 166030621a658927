const bits = new DataView(new ArrayBuffer(8));

/**
 * A short name for plain data: the same for the same data, and another for any other in all but one of 2⁶⁴ cases. Every field and every
 * number goes in by itself; nothing has to be listed.
 *
 * @param data objects, lists, typed arrays, words and numbers, without circles
 */
export function fingerprint(data: unknown): string {
  let low = 2166136261;
  let high = 374761393;
  const add = (word: number) => {
    low = Math.imul(low ^ word, 16777619);
    high = Math.imul(high ^ word, 2246822519) ^ (high >>> 13);
  };
  const addNumber = (value: number) => {
    bits.setFloat64(0, value);
    add(bits.getInt32(0));
    add(bits.getInt32(4));
  };
  const addWords = (value: string) => {
    add(value.length);
    for (let i = 0; i < value.length; i += 1) add(value.charCodeAt(i));
  };
  const addAny = (value: unknown): void => {
    if (typeof value === 'number') addNumber(value);
    else if (typeof value === 'object' && value !== null) {
      const list = Array.isArray(value) || ArrayBuffer.isView(value) ? (value as ArrayLike<unknown>) : null;
      add(list ? list.length : -1);
      if (list) for (let i = 0; i < list.length; i += 1) addAny(list[i]);
      else {
        for (const [name, inner] of Object.entries(value)) {
          addWords(name);
          addAny(inner);
        }
      }
    } else addWords(String(value));
  };
  addAny(data);
  return `${(high >>> 0).toString(36)}-${(low >>> 0).toString(36)}`;
}
