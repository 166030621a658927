import * as fc from 'fast-check';
import { fromSigns, mostPieces, packParcel, takePiece, toSigns, type Parcel } from './parcel';

/** Every code of a parcel, read in this order. */
function received(codes: readonly string[]) {
  let parcel: Parcel | null = null;
  for (const code of codes) {
    const taken = takePiece(parcel, code);
    if (taken.kind === 'whole' || taken.kind === 'damaged') return taken;
    if (taken.kind === 'more') parcel = taken.parcel;
  }
  return parcel;
}

// The examples of RFC 9285, section 4.
test.each([
  ['AB', 'BB8'],
  ['Hello!!', '%69 VD92EX0'],
  ['base-45', 'UJCLQE7W581'],
])('%s in signs', (text, expected) => {
  const bytes = new TextEncoder().encode(text);
  expect(toSigns(bytes)).toBe(expected);
  expect(fromSigns(expected)).toEqual(bytes);
});

test('signs that stand for no bytes', () => {
  // One sign alone; more than two bytes can say; a sign there is not.
  for (const text of ['A', 'GGW', '::', 'ab ']) expect(fromSigns(text)).toBeNull();
});

test('what is packed comes out the same, in whatever order its codes are read', () => {
  fc.assert(
    fc.property(
      fc.string({ unit: 'binary', maxLength: 3000 }).chain((text) =>
        fc.record({
          text: fc.constant(text),
          order: fc.shuffledSubarray(
            Array.from({ length: mostPieces }, (_, i) => i),
            { minLength: mostPieces },
          ),
        }),
      ),
      ({ text, order }) => {
        const codes = packParcel(text);
        fc.pre(codes !== null);
        const read = order.flatMap((index) => codes?.[index] ?? []);
        expect(received(read.flatMap((code) => [code, code]))).toEqual({ kind: 'whole', text });
      },
    ),
    { numRuns: 60 },
  );
});

/** A text that deflate can't make much shorter: so many codes. */
const long = Array.from({ length: 900 }, (_, i) => (i * 7919) % 997).join(' ');

test('a longer text takes several codes, each small enough for a screen', () => {
  const codes = packParcel(long) ?? [];
  expect(codes.length).toBeGreaterThan(2);
  for (const code of codes) {
    expect(code).toMatch(/^[0-9A-Z $%*+\-./:]+$/);
    expect(code.length).toBeLessThan(640);
  }
});

test('a text for more codes than can be held up has none', () => {
  let state = 1;
  const noise = Array.from({ length: 30_000 }, () => {
    state = (Math.imul(state, 1103515245) + 12345) & 0x7fffffff;
    return String.fromCharCode(33 + ((state >> 16) % 90));
  });
  expect(packParcel(noise.join(''))).toBeNull();
});

test('a code of another toy begins anew, and other codes are passed over', () => {
  const [first = '', second = ''] = packParcel(long) ?? [];
  const other = packParcel('Toy: Dot') ?? [];
  const begun = takePiece(null, first);
  expect(begun.kind === 'more' && [...begun.parcel.pieces.keys()]).toEqual([1]);
  const parcel = begun.kind === 'more' ? begun.parcel : null;
  expect(takePiece(parcel, 'https://example.org/')).toEqual({ kind: 'other' });
  expect(takePiece(parcel, 'HOPPLA1/AB/3/2/00')).toEqual({ kind: 'other' });
  expect(takePiece(parcel, other[0] ?? '')).toEqual({ kind: 'whole', text: 'Toy: Dot' });
  const next = takePiece(parcel, second);
  expect(next.kind === 'more' && [...next.parcel.pieces.keys()]).toEqual([1, 2]);
});

test('what is not what was sent is not taken', () => {
  const [code = ''] = packParcel('Toy: Dot') ?? [];
  const changed = code.replace(/.$/, (sign) => (sign === '0' ? '1' : '0'));
  expect(takePiece(null, changed)).toEqual({ kind: 'damaged' });
  expect(takePiece(null, 'HOPPLA1/ABC/1/1/')).toEqual({ kind: 'damaged' });
});
