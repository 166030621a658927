import type { Item, Span, WorkLine } from './ast';

/** A line brought to other words, which remembers where each sign stood: messages and remedies speak of the line as it was written. */
export class Rewriting {
  /** where each sign stood, one more for the end; null while nothing is replaced */
  private at: number[] | null = null;

  constructor(public text: string) {}

  /**
   * Puts other words wherever a manner of speaking is found.
   *
   * @param pattern with the flag that finds all of them
   */
  replace(pattern: RegExp, by: (...found: string[]) => string): void {
    this.each(pattern, (found) => by(...found));
  }

  /** The same, by the names of what is found. */
  replaceNamed(pattern: RegExp, by: (found: Readonly<Record<string, string | undefined>>) => string): void {
    this.each(pattern, ({ groups = {} }) => by(groups));
  }

  private each(pattern: RegExp, by: (found: RegExpExecArray) => string): void {
    // Most lines are said in none of the manners, and a look is cheaper than a search for all of them.
    const isSaid = pattern.test(this.text);
    pattern.lastIndex = 0;
    if (!isSaid) return;
    const found = [...this.text.matchAll(pattern)];
    // From the end, so that what stands before keeps its place.
    for (const match of found.reverse()) this.put(match.index, match.index + match[0].length, by(match));
  }

  private put(from: number, to: number, words: string): void {
    const length = Math.max(1, words.length);
    const at = this.at ?? Array.from({ length: this.text.length + 1 }, (_, i) => i);
    const stood = Array.from(
      { length: words.length },
      (_, i) => at[from + Math.floor((i * (to - from)) / length)] ?? 0,
    );
    this.text = this.text.slice(0, from) + words + this.text.slice(to);
    this.at = [...at.slice(0, from), ...stood, ...at.slice(to)];
  }

  /** Where a run of signs stood in the line as it was written. */
  span({ from, to }: Span): Span {
    if (!this.at) return { from, to };
    const begin = this.at[from] ?? 0;
    return { from: begin, to: Math.max(begin + 1, (this.at[Math.max(from, to - 1)] ?? 0) + 1) };
  }

  /** What was read from the other words, with its places in the line as it was written. */
  backIn(read: WorkLine): WorkLine {
    if (!this.at) return read;
    const { label, total, brackets } = read;
    return {
      label: label && { ...label, span: this.span(label.span) },
      items: read.items.map((item) => this.itemBack(item)),
      total: total && { ...total, span: this.span(total.span) },
      brackets: brackets.map((span) => this.span(span)),
    };
  }

  private itemBack(item: Item): Item {
    const span = this.span(item.span);
    if (item.type === 'group')
      return { ...item, span, items: item.items.map((inner) => this.itemBack(inner)) };
    return { ...item, span };
  }
}
