/** A time of work as one says it, to five minutes: `2 hours 35`. */
export function timeWords(minutes: number): string {
  const whole = Math.max(1, Math.round(minutes / 5) * 5);
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  if (hours === 0) return `${whole} minutes`;
  return `${hours} ${hours === 1 ? 'hour' : 'hours'}${rest > 0 ? ` ${rest}` : ''}`;
}
