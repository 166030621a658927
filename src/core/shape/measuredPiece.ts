/** A finished piece as it stands, measured or worked out, in mm. */
export interface PieceSize {
  widthMm: number;
  heightMm: number;
}

/** What explains that a piece measures other than it was worked out. */
export interface Explained {
  /** `same`: nothing to explain; `stitch`: larger or smaller all over; `width`, `height`: in one direction; `both`: in each by its own; `far`: not this piece */
  kind: 'same' | 'stitch' | 'width' | 'height' | 'both' | 'far';
  /** measured over worked out */
  wider: number;
  higher: number;
  /** the stitch that would give what was measured; null where nothing is to be changed */
  stitch: PieceSize | null;
}

/** A tape round a soft piece is this true: less is no difference. Our own figure. */
const tapeShare = 0.04;
/** Differences so near each other are one: the whole stitch is larger or smaller. */
const alikeShare = 0.06;
/** Beyond, something else was measured. */
const farthest = { least: 0.7, most: 1.4 } as const;

const tenth = (mm: number): number => Math.round(mm * 10) / 10;
const isNear = (share: number): boolean => Math.abs(share - 1) <= tapeShare;
const isFar = (share: number): boolean => !(share >= farthest.least && share <= farthest.most);

/**
 * Compares a finished, stuffed, upright piece with what was worked out of its rounds: its width goes with the width of a stitch, its
 * height with the height of a round, as long as it is stuffed as planned.
 *
 * @param stitch width and height of the stitch it was worked out with
 */
export function explainMeasured(workedOut: PieceSize, measured: PieceSize, stitch: PieceSize): Explained {
  const wider = measured.widthMm / workedOut.widthMm;
  const higher = measured.heightMm / workedOut.heightMm;
  const by = (width: number, height: number): PieceSize => ({
    widthMm: tenth(stitch.widthMm * width),
    heightMm: tenth(stitch.heightMm * height),
  });
  const explained = (kind: Explained['kind'], found: PieceSize | null): Explained => ({
    kind,
    wider,
    higher,
    stitch: found,
  });
  if (isFar(wider) || isFar(higher)) return explained('far', null);
  if (isNear(wider) && isNear(higher)) return explained('same', null);
  if (Math.abs(wider / higher - 1) <= alikeShare) {
    const all = Math.sqrt(wider * higher);
    return explained('stitch', by(all, all));
  }
  if (isNear(wider)) return explained('height', by(1, higher));
  if (isNear(higher)) return explained('width', by(wider, 1));
  return explained('both', by(wider, higher));
}
