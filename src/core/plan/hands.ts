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
}

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
};
