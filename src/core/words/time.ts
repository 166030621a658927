import { plural } from './counted';

/** A time of work as one says it, to five minutes where it is more than that: `3 minutes`, `2 hours 35`. */
export function timeWords(minutes: number): string {
  const whole = minutes < 5 ? Math.max(1, Math.round(minutes)) : Math.round(minutes / 5) * 5;
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  if (hours === 0) return plural(whole, 'minute');
  return `${plural(hours, 'hour')}${rest > 0 ? ` ${rest}` : ''}`;
}
