import * as vec3 from 'gl-matrix/vec3';

/** From where a toy is looked at, and how far it is pulled apart. */
export interface Looking {
  /** how far the toy is turned, in radians: a quarter shows the side that is left when one looks at its front */
  yaw: number;
  /** in mm, along each part's own direction */
  pulled: number;
  /** pieces around each round */
  segments: number;
  /** so many rounds make one band; 1 where it is not said */
  rounds?: number;
}

/** One piece of surface as it is seen: its corners on the page, x to the right and y down, and how light it is. */
export interface DrawnFace {
  /** index of the unit it is of */
  unit: number;
  /** x, y of each corner, in mm */
  corners: number[];
  /** how near it is */
  depth: number;
  /** 0 turned away from the light, 1 towards it */
  light: number;
  /** index of its yarn in the part's palette */
  colour: number;
}

/** Turns a place about the toy's upright axis. */
export function seen(place: vec3, yaw: number): vec3 {
  const [x = 0, y = 0, z = 0] = place;
  const [cos, sin] = [Math.cos(yaw), Math.sin(yaw)];
  return vec3.fromValues(x * cos + z * sin, y, z * cos - x * sin);
}
