/** Further away a feature would be another feature. */
const furthest = 8;

/**
 * The nearest lines of holes, towards the end and towards the start, on which something is all right.
 *
 * @param line where it is now, by index from 1
 * @param lines how many there are
 */
export function clearLines(line: number, lines: number, isClear: (at: number) => boolean): number[] {
  return [1, -1].flatMap((way) => {
    for (let by = 1; by <= furthest; by += 1) {
      const at = line + way * by;
      if (at < 1 || at > lines) return [];
      if (isClear(at)) return [at];
    }
    return [];
  });
}
