/** The whole number from `from` to `to` that is off the least; of equal ones the first. */
export function nearest(from: number, to: number, off: (value: number) => number): number {
  let found = from;
  for (let value = from; value <= to; value += 1) if (off(value) < off(found) - 1e-9) found = value;
  return found;
}
