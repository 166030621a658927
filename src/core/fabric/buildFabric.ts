import type { Problem } from '../notation/problem';
import type { PartSource } from '../notation/pattern';
import { stitchKinds, type StitchKind, type Terms } from '../notation/terms';
import { loopBits as bits, type Fabric, type Outgrowth, type WorkedThrough } from './fabric';
import { asMeant } from './readings';
import { isJoined, partStart, roundItems } from './roundItems';
import { workOrPlain } from './workRound';
import { limits } from '../notation/limits';
import { overRound } from '../notation/wrapped';
import { saying } from '../words/problems/problems';

const code = Object.fromEntries(stitchKinds.map((kind, index) => [kind, index])) as Record<
  StitchKind,
  number
>;

/** Grows typed arrays by doubling: the number of stitches is known only when the last round is worked. */
class Growing {
  kind = new Uint8Array(1024);
  colour = new Uint8Array(1024);
  into = new Uint8Array(1024);
  parentCount = new Uint8Array(1024);
  parentFirst = new Int32Array(1024);
  length = 0;

  push(kind: number, colour: number, into: number, first: number, count: number): void {
    if (this.length === this.kind.length) this.grow();
    const at = this.length;
    this.kind[at] = kind;
    this.colour[at] = colour;
    this.into[at] = into;
    this.parentFirst[at] = first;
    this.parentCount[at] = count;
    this.length += 1;
  }

  private grow(): void {
    const wider = <A extends Uint8Array | Int32Array>(from: A, to: A): A => {
      to.set(from);
      return to;
    };
    const size = this.kind.length * 2;
    this.kind = wider(this.kind, new Uint8Array(size));
    this.colour = wider(this.colour, new Uint8Array(size));
    this.into = wider(this.into, new Uint8Array(size));
    this.parentCount = wider(this.parentCount, new Uint8Array(size));
    this.parentFirst = wider(this.parentFirst, new Int32Array(size));
  }
}

/** The other loops, where the line names them. */
function swapLoops(text: string, from: number): string {
  return (
    text.slice(0, from) +
    text.slice(from).replace(/\b(front|back)\b|\b[FB]LO\b/i, (word) => {
      const lower = word.toLowerCase();
      const other = lower === 'front' ? 'back' : lower === 'back' ? 'front' : lower === 'flo' ? 'blo' : 'flo';
      return word === word.toUpperCase() ? other.toUpperCase() : other;
    })
  );
}

/**
 * Builds the stitch graph of one part.
 *
 * @param part as read
 * @param terms what the stitch words mean
 * @returns the graph, and problems about loops already used
 */
export function buildFabric(part: PartSource, terms: Terms): { fabric: Fabric; problems: Problem[] } {
  const grown = new Growing();
  const problems: Problem[] = [];
  const outgrowths: Outgrowth[] = [];
  const workedThrough: WorkedThrough[] = [];
  const palette: string[] = [part.colour ?? ''];
  const count = part.rounds.length;
  const offset = new Uint32Array(count + 1);
  const base = new Uint32Array(count);
  const row = new Uint8Array(count);
  const joined = new Uint8Array(count);
  const label = new Uint32Array(count);
  const indexOfLabel = new Map<number, number>();
  let used = new Uint8Array(1024);
  // The round that last went into a stitch, so that an increase is not taken for a clash.
  let workedBy = new Int32Array(1024).fill(-1);
  const start = partStart(part);
  let colour: string | null = part.colour;
  let built = 0;
  let foldedAt = 0;
  const startSlots: number[] = [];
  const startTakes: number[] = [];

  for (const source of part.rounds) {
    if (grown.length >= limits.toyStitches) break;
    const before = grown.length;
    const index = built;
    const first = index === 0;
    const opening = source === part.rounds[0];
    const said = opening && start ? start.items : roundItems(source, opening);
    const onto = said.find((item) => item.type === 'base');
    let baseIndex = index - 1;
    let only = 0;
    if (onto?.type === 'base' && indexOfLabel.has(onto.round)) {
      baseIndex = indexOfLabel.get(onto.round) ?? baseIndex;
      only = bits[onto.loops];
    }
    const from = baseIndex >= 0 ? (offset[baseIndex] ?? 0) : 0;
    const folded = said.some((item) => item.type === 'layers');
    const whole =
      baseIndex >= 0 ? (offset[baseIndex + 1] ?? 0) - from : (start?.places ?? Number.POSITIVE_INFINITY);
    const places = folded && Number.isFinite(whole) ? Math.floor(whole / 2) : whole;
    if (folded) foldedAt = index + 1;
    const backwards = row[baseIndex] === 1 && source.row;
    let clash = 0;
    const items = opening
      ? said
      : asMeant(said, { below: places, total: source.work.total?.value ?? null, terms });
    const work = workOrPlain(items, places, {
      terms,
      colour,
      sink: {
        stitch(kind, slot, slots, loops, name) {
          const into = only || bits[loops];
          if (first) {
            startSlots.push(Number.isFinite(places) ? Math.min(slot, places - 1) : 0);
            startTakes.push(slots);
          }
          let at = -1;
          let taken = 0;
          if (baseIndex >= 0 && slots > 0 && places > 0) {
            const clamped = Math.min(slot, places - 1);
            taken = Math.min(slots, places - clamped);
            at = backwards ? from + places - clamped - taken : from + clamped;
          }
          for (let i = at; i < at + taken; i += 1) {
            const already = (used[i] ?? 0) & into;
            // An increase goes into the same loops twice on purpose; another round must not.
            if (already && workedBy[i] !== index) clash += 1;
            used[i] = (used[i] ?? 0) | into;
            workedBy[i] = index;
          }
          let tint = palette.indexOf(name ?? '');
          if (tint < 0) tint = palette.push(name ?? '') - 1;
          grown.push(code[kind], Math.min(tint, 255), into, at, taken);
          if (grown.length >= used.length) {
            const wider = new Uint8Array(used.length * 2);
            wider.set(used);
            used = wider;
            const later = new Int32Array(workedBy.length * 2).fill(-1);
            later.set(workedBy);
            workedBy = later;
          }
        },
        workedThrough(words, made, loops) {
          const from = grown.length - before - made + 1;
          if (made > 0) workedThrough.push({ round: index + 1, from, count: made, loops, words });
        },
        outgrowth(kinds) {
          outgrowths.push({ after: grown.length - 1, round: index + 1, kinds });
        },
      },
    });
    if (clash > 0 && onto) {
      problems.push({
        ...saying('loops-used', { piece: null, round: source.number, taken: clash }),
        severity: 'error',
        part: part.name,
        round: source.number,
        line: source.line,
        column: onto.span.from + 1,
        suggestions:
          onto.loops === 'both'
            ? []
            : [
                {
                  title:
                    onto.loops === 'front' ? 'Into the back loops instead' : 'Into the front loops instead',
                  edits: [overRound(source, swapLoops(source.text, onto.span.from))],
                },
              ],
      });
    }
    // A first round that makes no stitch is none: what comes after it begins the piece.
    if (grown.length === before) continue;
    built += 1;
    offset[built] = grown.length;
    base[index] = first ? 0 : baseIndex + 1;
    row[index] = source.row ? 1 : 0;
    joined[index] = isJoined(part, source) ? 1 : 0;
    label[index] = source.number;
    indexOfLabel.set(source.number, index);
    colour = work.colour;
  }
  const total = grown.length;
  return {
    fabric: {
      start: start?.kind ?? 'ring',
      places: start && Number.isFinite(start.places) ? start.places : 0,
      startSlots: Uint32Array.from(startSlots),
      startTakes: Uint8Array.from(startTakes),
      ground: start?.ground ?? [],
      rounds: built,
      offset: offset.slice(0, built + 1),
      kind: grown.kind.slice(0, total),
      colour: grown.colour.slice(0, total),
      palette,
      parentFirst: grown.parentFirst.slice(0, total),
      parentCount: grown.parentCount.slice(0, total),
      into: grown.into.slice(0, total),
      used: used.slice(0, total),
      base: base.slice(0, built),
      row: row.slice(0, built),
      joined: joined.slice(0, built),
      label: label.slice(0, built),
      folded: foldedAt,
      outgrowths,
      workedThrough,
    },
    problems,
  };
}
