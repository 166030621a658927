import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { fingerprint } from '../toy/fingerprint';
import { longestDocument } from './document';

/** What every piece of a parcel begins with: nothing else that a camera may read does. */
const mark = 'HOPPLA1';

/** Bytes of one piece: its code can be read from a phone's screen at arm's length. */
const pieceBytes = 400;

/** More codes in turn than anyone holds a phone up for. */
export const mostPieces = 40;

/** One piece of a parcel as it was read from a code. */
interface Piece {
  /** tells one parcel from another, and that all of it came as it was sent */
  sum: string;
  /** which piece it is, from 1 */
  index: number;
  of: number;
  data: string;
}

const signs = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ $%*+-./:';
const base = signs.length;

/**
 * Bytes in signs that a code holds at five and a half bits each: three signs for two bytes, two for a last one alone (Base45, RFC 9285).
 */
export function toSigns(bytes: Uint8Array): string {
  let text = '';
  for (let i = 0; i < bytes.length; i += 2) {
    const isPair = i + 1 < bytes.length;
    let rest = isPair ? (bytes[i] ?? 0) * 256 + (bytes[i + 1] ?? 0) : (bytes[i] ?? 0);
    for (let sign = 0; sign < (isPair ? 3 : 2); sign += 1) {
      text += signs[rest % base];
      rest = Math.floor(rest / base);
    }
  }
  return text;
}

/** The bytes that signs stand for; null where they stand for none. */
export function fromSigns(text: string): Uint8Array | null {
  const bytes: number[] = [];
  for (let i = 0; i < text.length; i += 3) {
    const values = [...text.slice(i, i + 3)].map((sign) => signs.indexOf(sign));
    if (values.length === 1 || values.includes(-1)) return null;
    const [a = 0, b = 0, c = 0] = values;
    const value = a + b * base + c * base * base;
    const isPair = values.length === 3;
    if (value > (isPair ? 0xffff : 0xff)) return null;
    if (isPair) bytes.push(value >> 8);
    bytes.push(value & 0xff);
  }
  return Uint8Array.from(bytes);
}

/**
 * A text in pieces small enough for one code each, to be shown in turn.
 *
 * @param text a toy as it is exchanged
 * @returns null where it would take more codes than can be held up
 */
export function packParcel(text: string): string[] | null {
  const bytes = deflateSync(strToU8(text), { level: 9 });
  const of = Math.max(1, Math.ceil(bytes.length / pieceBytes));
  if (of > mostPieces) return null;
  const sum = fingerprint([text]).toUpperCase();
  return Array.from({ length: of }, (_, i) => {
    const data = toSigns(bytes.slice(i * pieceBytes, (i + 1) * pieceBytes));
    return `${mark}/${sum}/${i + 1}/${of}/${data}`;
  });
}

const written = new RegExp(`^${mark}/([0-9A-Z-]{1,40})/(\\d{1,2})/(\\d{1,2})/(.*)$`, 's');

function pieceIn(code: string): Piece | null {
  const [, sum = '', index, of, data = ''] = written.exec(code) ?? [];
  const piece = { sum, index: Number(index), of: Number(of), data };
  const isOne = piece.index >= 1 && piece.index <= piece.of && piece.of <= mostPieces;
  return isOne ? piece : null;
}

/** What has come of a parcel so far. */
export interface Parcel {
  sum: string;
  of: number;
  /** by which piece it is, from 1 */
  pieces: ReadonlyMap<number, string>;
}

/** What reading one more code comes to. */
export type Taken =
  /** no code of a toy */
  | { kind: 'other' }
  /** more are to come; of another parcel it begins anew */
  | { kind: 'more'; parcel: Parcel }
  /** all is there, and is what was sent */
  | { kind: 'whole'; text: string }
  /** all is there, and is not what was sent: it begins anew */
  | { kind: 'damaged' };

/** The text of a parcel that is all there; null where it is not what was sent. */
function unpacked({ sum, of, pieces }: Parcel): string | null {
  const parts = Array.from({ length: of }, (_, i) => fromSigns(pieces.get(i + 1) ?? ''));
  const whole = parts.flatMap((part) => (part ? [...part] : [256]));
  if (whole.includes(256)) return null;
  try {
    const text = strFromU8(inflateSync(Uint8Array.from(whole)));
    const isSent = text.length <= longestDocument && fingerprint([text]).toUpperCase() === sum;
    return isSent ? text : null;
  } catch {
    return null;
  }
}

/**
 * Takes a code that was read into what has come before.
 *
 * @param before null at the beginning
 */
export function takePiece(before: Parcel | null, code: string): Taken {
  const piece = pieceIn(code);
  if (!piece) return { kind: 'other' };
  const isSame = before !== null && before.sum === piece.sum && before.of === piece.of;
  const pieces = new Map(isSame ? before.pieces : []).set(piece.index, piece.data);
  const parcel = { sum: piece.sum, of: piece.of, pieces };
  if (pieces.size < piece.of) return { kind: 'more', parcel };
  const text = unpacked(parcel);
  return text === null ? { kind: 'damaged' } : { kind: 'whole', text };
}
