import type { Item, WorkLine } from './ast';
import { growsTogether } from './grown';
import type { LineRead } from './readLine';
import { plainAround } from './workItem';

/** Work into a ring or into chains counted from the hook: how a part begins. */
export const isIntoRing = (item: Item): boolean =>
  item.type === 'work' && (item.target === 'ring' || item.target === 'hook');

/** What the lines around a line tell of it. Lines are counted from 0. */
export class Surroundings {
  constructor(
    private readonly lines: readonly string[],
    private readonly reads: readonly (LineRead | undefined)[],
  ) {}

  /** `Round 11 – 21` between rounds 10 and 12 is one plain round of 21 stitches; else it is the rounds from 11 to 21. */
  asOneRound(read: LineRead, index: number): LineRead {
    const { work } = read;
    const { label, items, total } = work;
    if (!label || label.last <= label.first || items.length > 0 || total) return read;
    const next = this.reads.slice(index + 1).find((one) => one?.work.label)?.work.label;
    if (next?.first !== label.first + 1) return read;
    const { span } = label;
    const said: WorkLine = {
      ...work,
      label: { ...label, last: label.first },
      items: [plainAround(span)],
      total: { value: label.last, span },
    };
    return { ...read, work: said };
  }

  /** A heading over rounds that are numbered on: the piece goes on, as a head does into its body. */
  goesOn(index: number, last: number): boolean {
    const next = this.reads.slice(index + 1).find((read) => read && (read.isRound || read.heading?.sure));
    const label = next?.isRound ? next.work.label : null;
    if (!next || !label || last < 1 || label.first !== last + 1) return false;
    const begins = next.work.items.some(
      (item) => item.type === 'ring' || item.type === 'base' || isIntoRing(item),
    );
    return !begins && !growsTogether(next.work);
  }

  /** Is the next line that says something a round, whatever its number, or work without one? */
  roundIsNext(index: number): boolean {
    const at = this.lines.findIndex((text, i) => i > index && text.trim() !== '');
    const next = this.reads[at];
    return next !== undefined && (next.isRound || next.isBareWork || next.header?.scope === 'part');
  }

  /** Does work follow within the next lines that say something, before another sure heading? */
  workFollows(index: number): boolean {
    let seen = 0;
    for (let i = index + 1; i < this.lines.length && seen < 3; i += 1) {
      const text = this.lines[i] ?? '';
      const read = this.reads[i];
      if (!read || !text.trim()) continue;
      if (read.isRound) return (read.work.label?.first ?? 2) <= 1;
      if (read.isBareWork || read.header?.scope === 'part') return true;
      seen += 1;
    }
    return false;
  }
}
