/**
 * What can still be read of the text of a toy whose document is damaged: its text field, as far as it goes, else all there is.
 *
 * @param kept the document as it was found
 */
export function salvagedText(kept: string): string {
  const field = /"text"\s*:\s*"((?:[^"\\]|\\.)*)/s.exec(kept)?.[1];
  if (field === undefined) return kept;
  // A document cut off in the middle of an escaped sign.
  const whole = field.replace(/\\u[0-9a-f]{0,3}$/i, '');
  return whole.replace(/\\(u[0-9a-f]{4}|.)/gis, (_, sign: string) => {
    const plain: Record<string, string> = { n: '\n', r: '\r', t: '\t', b: '', f: '' };
    if (/^u.{4}$/i.test(sign)) return String.fromCharCode(Number.parseInt(sign.slice(1), 16));
    return Object.hasOwn(plain, sign) ? (plain[sign] ?? '') : sign;
  });
}
