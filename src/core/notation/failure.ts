/**
 * What a report needs of something that failed: what it was, and where in the code. One line.
 *
 * @param failure what was thrown
 */
export function failureOf(failure: unknown): string {
  if (!(failure instanceof Error)) return String(failure).slice(0, 200);
  const place =
    failure.stack
      ?.split('\n')
      .find((line) => /^\s*at\s/.test(line))
      ?.trim()
      .replace(/\(?(?:\w+:)?\/\S*\//, '')
      .replace(/\)$/, '') ?? '';
  return `${failure.name}: ${failure.message} ${place}`.replace(/\s+/g, ' ').trim().slice(0, 200);
}
