import Joi from 'joi';

/** What a maker's hands and tools get through and how far they reach, in mm. */
export interface Hands {
  /** opening through which a washer can still be pressed, and can be pressed in comfort */
  washersTight: number;
  washersEasy: number;
  /** opening that fingers stuff through */
  stuffFingers: number;
  /** opening that a stuffing stick goes through */
  stuffTool: number;
  /** opening that the whole hand goes through */
  wholeHand: number;
  /** how deep fingers reach along the wall where the hand stays outside, and where it goes in */
  fingerReach: number;
  handReach: number;
  /** how deep the stuffing stick reaches */
  toolReach: number;
  /** how long the longest needle is */
  needle: number;
  /** what the maker's own stuffing weighs for a gram of the usual one; as much where none was weighed */
  stuffingShare?: number;
}

/** What of them is a length. */
export type HandFigure = Exclude<keyof Hands, 'stuffingShare'>;

/** Makers' usual figures, our own: each is the maker's to change. */
export const usualHands: Hands = {
  washersTight: 16,
  washersEasy: 25,
  stuffFingers: 22,
  stuffTool: 10,
  wholeHand: 65,
  fingerReach: 80,
  handReach: 200,
  toolReach: 250,
  needle: 70,
};

export type HandSize = 'small' | 'usual' | 'large';

/**
 * Hands by their size, and the tools most makers have: a stick as thick as a pencil. Our own figures, a sixth to a fifth less and more
 * than usual; what one's own get through is found with a tube of plain rounds.
 */
export const handsBySize: Readonly<Record<HandSize, Hands>> = {
  small: {
    ...usualHands,
    washersTight: 14,
    washersEasy: 21,
    stuffFingers: 18,
    wholeHand: 55,
    fingerReach: 70,
    handReach: 170,
  },
  usual: usualHands,
  large: {
    ...usualHands,
    washersTight: 19,
    washersEasy: 30,
    stuffFingers: 26,
    wholeHand: 76,
    fingerReach: 90,
    handReach: 225,
  },
};

/** Least and most of each figure, in mm: what any hand or tool may be. */
export const handLimits: Readonly<Record<HandFigure, readonly [least: number, most: number]>> = {
  washersTight: [6, 60],
  washersEasy: [8, 80],
  stuffFingers: [8, 60],
  stuffTool: [4, 30],
  wholeHand: [35, 120],
  fingerReach: [30, 150],
  handReach: [80, 400],
  toolReach: [50, 600],
  needle: [30, 400],
};

/** What is kept as hands: every figure, within its limits. */
export const handsSchema = Joi.object<Hands>(
  Object.fromEntries(
    Object.entries(handLimits).map(([key, [least, most]]) => [
      key,
      Joi.number().min(least).max(most).required(),
    ]),
  ),
  // Hands that were kept before needles were asked for have none.
).keys({
  needle: Joi.number().min(handLimits.needle[0]).max(handLimits.needle[1]),
  stuffingShare: Joi.number().min(0.01).max(20),
});

/** Hands as they are kept; usual ones where none are, or where what is kept is no hands. */
export function readHands(kept: string | null): Hands {
  if (kept === null) return usualHands;
  try {
    const { error, value } = handsSchema.validate(JSON.parse(kept), { convert: false });
    return error ? usualHands : { ...usualHands, ...(value as Hands) };
  } catch {
    return usualHands;
  }
}

const keys = Object.keys(handLimits) as HandFigure[];

/** Which size a pair of hands is, where every figure is as it is shipped; null where one was changed. */
export const sizeOfHands = (hands: Hands): HandSize | null =>
  (Object.keys(handsBySize) as HandSize[]).find((size) =>
    keys.every((key) => handsBySize[size][key] === hands[key]),
  ) ?? null;

/** Whether nothing of it is this maker's own. */
export const areUsual = (hands: Hands): boolean =>
  sizeOfHands(hands) === 'usual' && (hands.stuffingShare ?? 1) === 1;

/** The same hands with what must be in order put in order: what is easy is never narrower than what is tight. */
export const inOrder = (hands: Hands): Hands => ({
  ...hands,
  washersEasy: Math.max(hands.washersTight, hands.washersEasy),
  handReach: Math.max(hands.fingerReach, hands.handReach),
});
