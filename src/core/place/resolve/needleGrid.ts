import { roundCount } from '../../fabric/fabric';
import { turn } from '../../shape/azimuth';
import { directionAt } from '../frame/direction';
import { upOf, type FaceFrame, type Place, type Row } from '../frame/faceFrame';
import { azimuthAt, heightAt, rightOf } from '../frame/sidewaysFrame';
import type { FeatureUnit } from './unit';

/** The places a unit's strokes go by. They need not be holes: lines may be broken. */
export interface NeedleGrid {
  /** `share` of the way from the unit's first end to its other, `rise` rounds (stitches on a part that lies) higher */
  at: (unit: FeatureUnit, share: number, rise: number) => Place;
  /** the same, `by` holes (lines on a part that lies) further towards the other end */
  aside: (unit: FeatureUnit, share: number, rise: number, by: number) => Place;
  /** +1 where away from the middle of the face leads towards the unit's other end */
  outward: (unit: FeatureUnit) => 1 | -1;
}

/** The grid of a row: on a part that stands along its line of holes and from line to line, on one that lies from line to line across. */
export function needleGrid(frame: FaceFrame, row: Row): NeedleGrid {
  return frame.lies ? sidewaysGrid(frame, row) : uprightGrid(frame, row);
}

const opposite = (way: 1 | -1): 1 | -1 => (way === 1 ? -1 : 1);

function uprightGrid({ form }: FaceFrame, { level, toRight }: Row): NeedleGrid {
  const at: NeedleGrid['at'] = (unit, share, rise) => ({
    line: level + upOf(form) * rise,
    azimuth: unit.fromAzimuth + (unit.toAzimuth - unit.fromAzimuth) * share,
  });
  const stitch = ({ from, to, fromAzimuth, toAzimuth }: FeatureUnit) =>
    Math.abs(toAzimuth - fromAzimuth) / Math.max(1, Math.abs(to - from));
  return {
    at,
    aside: (unit, share, rise, by) => {
      const { line, azimuth } = at(unit, share, rise);
      return { line, azimuth: azimuth + by * stitch(unit) };
    },
    outward: ({ side }) => (side === 'left' ? opposite(toRight) : toRight),
  };
}

function sidewaysGrid({ form, front }: FaceFrame, row: Row): NeedleGrid {
  const { fabric } = form;
  const side =
    row.facing === 1 ? ({ front, facing: 1 } as const) : ({ front: front + Math.PI, facing: -1 } as const);
  const right = rightOf(form);
  const aside: NeedleGrid['aside'] = (unit, share, rise, by) => {
    const low = heightAt(form, side, unit.fromLine, unit.fromAzimuth);
    const high = heightAt(form, side, unit.toLine, unit.toAzimuth);
    const across = unit.fromLine + (unit.toLine - unit.fromLine) * share + by;
    const line = Math.max(1, Math.min(fabric.rounds - 1, Math.round(across)));
    const step = turn / Math.max(1, roundCount(fabric, line + 1));
    const up = side.facing * directionAt(fabric, form.orientation, line);
    return { line, azimuth: azimuthAt(form, side, line, low + (high - low) * share) + up * rise * step };
  };
  return {
    at: (unit, share, rise) => aside(unit, share, rise, 0),
    aside,
    outward: ({ side: of }) => (of === 'left' ? opposite(right) : right),
  };
}
