/**
 * Openings that an act needs, as diameters in mm: makers' usual figures, to be changed to one's own hands.
 */
export interface Needs {
  washersTight: number;
  washersEasy: number;
  stuffFingers: number;
  stuffTool: number;
}

export const usualNeeds: Needs = { washersTight: 16, washersEasy: 25, stuffFingers: 22, stuffTool: 10 };
