import { bounded } from './limits';
import type { SeamSchool } from './pattern';
import type { HeaderFault } from '../words/problems/reading';

/** Lines of the form `Key: value` that set something for the toy or for one part. */
export type Header =
  | { scope: 'toy'; key: 'toy' | 'hook' | 'for' | 'needs'; value: string }
  | { scope: 'toy'; key: 'terms'; value: 'us' | 'uk' }
  | { scope: 'toy'; key: 'hand'; value: 'left' | 'right' }
  | { scope: 'toy'; key: 'gauge'; widthMm: number; heightMm: number; yarn: string | null; assumed: boolean }
  | { scope: 'toy'; key: 'lean'; value: number }
  | { scope: 'toy'; key: 'apart'; value: 'posts' | 'showing' }
  | { scope: 'toy'; key: 'seam'; value: SeamSchool }
  | { scope: 'toy'; key: 'yarn'; name: string; value: string }
  | { scope: 'part'; key: 'start'; value: 'top' | 'bottom' | 'left' | 'right' }
  | { scope: 'part'; key: 'rounds'; value: 'spiral' | 'joined' }
  | { scope: 'part'; key: 'side'; value: 'out' | 'in' }
  | { scope: 'part'; key: 'make'; value: number }
  | { scope: 'part'; key: 'front'; round: number; stitch: number }
  | { scope: 'bad'; key: string; fault: HeaderFault };

type Reader = (value: string, name: string) => Header;

/** A value that is not read, and the words it may be where it is one of a few. */
const bad = (header: string, value: string, options: readonly string[] = []): Header => ({
  scope: 'bad',
  key: header,
  fault: { header, value: value.trim(), options },
});
const numbersIn = (value: string) =>
  (value.match(/\d+(?:[.,]\d+)?/g) ?? []).map((n) => bounded(Number.parseFloat(n.replace(',', '.'))));

/** Finer or coarser than any yarn is a slip of the pen. */
const isStitchSize = (mm: number | undefined): mm is number => mm !== undefined && mm >= 0.5 && mm <= 60;

const either =
  <A extends string>(key: string, options: Record<string, A>, make: (value: A) => Header): Reader =>
  (value) => {
    const word =
      value
        .trim()
        .toLowerCase()
        .split(/[\s,.;-]+/)[0] ?? '';
    const found = Object.hasOwn(options, word) ? options[word] : undefined;
    return found ? make(found) : bad(key, value, Object.keys(options));
  };

const readers: Record<string, Reader> = {
  toy: (value) => ({ scope: 'toy', key: 'toy', value: value.trim() }),
  hook: (value) => ({ scope: 'toy', key: 'hook', value: value.trim() }),
  for: (value) => ({ scope: 'toy', key: 'for', value: value.trim() }),
  terms: either('terms', { us: 'us', uk: 'uk', american: 'us', british: 'uk' }, (value) => ({
    scope: 'toy',
    key: 'terms',
    value,
  })),
  hand: either('hand', { left: 'left', right: 'right' }, (value) => ({ scope: 'toy', key: 'hand', value })),
  gauge: (value) => {
    const [widthMm, heightMm] = numbersIn(value);
    if (!isStitchSize(widthMm) || !isStitchSize(heightMm)) return bad('gauge', value);
    // `Gauge: 5 mm x 4.1 mm, River cotton, assumed`: whose gauge it is, and whether it is only expected.
    const after = /^(?:.*?\d+(?:[.,]\d+)?){2}\s*(?:mm)?\s*(.*)$/.exec(value)?.[1] ?? '';
    const words = after
      .split(',')
      .map((word) => word.trim())
      .filter(Boolean);
    const assumed = words.at(-1)?.toLowerCase() === 'assumed';
    return {
      scope: 'toy',
      key: 'gauge',
      widthMm,
      heightMm,
      yarn: words.slice(0, assumed ? -1 : undefined).join(', ') || null,
      assumed,
    };
  },
  lean: (value) => {
    const [lean] = numbersIn(value);
    if (lean === undefined || lean > 1) return bad('lean', value);
    return { scope: 'toy', key: 'lean', value: lean };
  },
  apart: either(
    'apart',
    {
      post: 'posts',
      posts: 'posts',
      stitches: 'showing',
      showing: 'showing',
      shows: 'showing',
      visible: 'showing',
    },
    (value) => ({ scope: 'toy', key: 'apart', value }),
  ),
  seam: either(
    'seam',
    {
      ladder: 'ladder',
      mattress: 'ladder',
      invisible: 'ladder',
      whip: 'whip',
      whipstitch: 'whip',
      overcast: 'whip',
      back: 'back',
      backstitch: 'back',
      top: 'top-loop',
      loop: 'top-loop',
    },
    (value) => ({ scope: 'toy', key: 'seam', value }),
  ),
  yarn: (value, name) => ({ scope: 'toy', key: 'yarn', name: name || value.trim(), value: value.trim() }),
  start: either('start', { top: 'top', bottom: 'bottom', left: 'left', right: 'right' }, (value) => ({
    scope: 'part',
    key: 'start',
    value,
  })),
  rounds: either('rounds', { spiral: 'spiral', joined: 'joined' }, (value) => ({
    scope: 'part',
    key: 'rounds',
    value,
  })),
  side: either(
    'side',
    { out: 'out', outside: 'out', right: 'out', in: 'in', inside: 'in', wrong: 'in' },
    (value) => ({ scope: 'part', key: 'side', value }),
  ),
  make: (value) => {
    const [n] = numbersIn(value);
    return n && n <= 99 ? { scope: 'part', key: 'make', value: Math.round(n) } : bad('make', value);
  },
  front: (value) => {
    const [a, b] = numbersIn(value);
    if (!a || !b || !/stitch|st/i.test(value)) return bad('front', value);
    const roundFirst = /^\s*(r|rnd|round)\b\.?\s*\d/i.test(value) || /^\s*r\d/i.test(value);
    return { scope: 'part', key: 'front', stitch: roundFirst ? b : a, round: Math.round(roundFirst ? a : b) };
  },
};

const beginsWork = /\b(?:ring|mr|mc|loop|circle|ch|chain|sc|dc|crochet)\b|\d\s*(?:sc|dc|ch)\b/i;

/** Reads `Key: value`; null where the line is no header Hoppla knows. */
export function readHeader(line: string): Header | null {
  const colon = line.indexOf(':');
  if (colon < 1 || colon > 24) return null;
  const [word = '', ...rest] = line.slice(0, colon).trim().toLowerCase().split(/\s+/);
  const reader = Object.hasOwn(readers, word) ? readers[word] : undefined;
  const isYarn = word === 'yarn' || word === 'colour' || word === 'color';
  const value = line.slice(colon + 1);
  if (isYarn && rest.length <= 2 && value.trim()) {
    const name = line.slice(0, colon).trim().split(/\s+/).slice(1).join(' ');
    return readers.yarn?.(value, name) ?? null;
  }
  if (!reader || rest.length > 0 || !value.trim()) return null;
  // `Start: make a magic ring with 6 sc` is how the work begins, not where round 1 is.
  if (word === 'start' && beginsWork.test(value)) return null;
  return reader(value, '');
}
