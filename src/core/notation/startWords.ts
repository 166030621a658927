import type { PartSource } from './pattern';
import { PartNames } from './sentence/names';

/** Where round 1 is on the finished toy. */
export type StartEnd = 'top' | 'bottom';

const low = String.raw`(?:bottom|feet|foot|legs?|base|neck|chin)`;
const high = String.raw`(?:top|crown)`;
const upward = new RegExp(
  String.raw`\bbottom(?:\s*-\s*|\s+)(?:up(?:wards?)?|to\s+(?:the\s+)?top)\b|\bfrom\s+(?:the\s+)?${low}\s+(?:up(?:wards?)?|to\s+(?:the\s+)?top)\b|\bstart(?:s|ed|ing)?\s+(?:at|from|with)\s+(?:the\s+)?${low}\b|\bwork(?:ed|ing)?\s+upwards?\b`,
  'i',
);
const downward = new RegExp(
  String.raw`\btop(?:\s*-\s*|\s+)(?:down(?:wards?)?|to\s+(?:the\s+)?bottom)\b|\bfrom\s+(?:the\s+)?(?:${high}|neck|shoulders|head)\s+(?:down(?:wards?)?|to\s+(?:the\s+)?bottom)\b|\bstart(?:s|ed|ing)?\s+(?:at|from|with)\s+(?:the\s+)?${high}\b|\bwork(?:ed|ing)?\s+downwards?\b`,
  'i',
);
/** Words about how a piece is made, and not about where something goes on it. */
const aboutMaking =
  /^\W*(?:(?:the|this|all|each|every|both|we|you|i|it|is|are|parts?|pieces?|\p{L}+)\s+){0,6}?(?:start|begin|work|made|crochet|bottom|top)/iu;

/** From which end a piece is said to be worked: `from the bottom up`, `top-down`, `start at the feet`; null where the words don't say. */
export function startSaidIn(text: string): StartEnd | null {
  if (upward.test(text)) return 'bottom';
  return downward.test(text) ? 'top' : null;
}

/** Which hand is said before it. */
const hand = /^\W*(?:(?:left|right)[\s-]?hand(?:ed)?)\s*[,.;:]\s*/i;

/** The same of a whole line that says nothing else, but for the hand. */
export function startSaidBy(line: string): StartEnd | null {
  const own = line.replace(hand, '');
  return line.length <= 90 && aboutMaking.test(own) ? startSaidIn(own) : null;
}

/** Words that say from which end something is worked. */
interface StartHeard {
  start: StartEnd;
  /** a sentence that may name the parts it is of */
  text: string;
  /** the part it stands in; null over all of them */
  within: PartSource | null;
}

/** Gathers where parts begin while a text is read, and settles it once all parts are known. */
export class Starts {
  /** parts whose line `Start:` says it, whatever other words do */
  private readonly settled = new Set<PartSource>();
  private readonly heard: StartHeard[] = [];

  settledBy(part: PartSource): void {
    this.settled.add(part);
  }

  hear(said: StartHeard): void {
    this.heard.push(said);
  }

  /** A body that grows out of legs begins below; words say so of the parts they name, else of the one they stand in. */
  settle(parts: readonly PartSource[]): void {
    const names = new PartNames(parts);
    const open = parts.filter((part) => !this.settled.has(part));
    for (const part of open) if (part.grown) part.start = 'bottom';
    for (const { start, text, within } of this.heard) {
      const named = new Set(names.in(text).map(({ id }) => id));
      const meant = named.size > 0 ? open.filter(({ id }) => named.has(id)) : open;
      for (const part of meant) if (named.size > 0 || !within || part === within) part.start = start;
    }
  }
}
