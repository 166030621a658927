import { roundCount, type Fabric } from '../../fabric/fabric';
import { turn } from '../azimuth';
import type { RelaxedForm } from './relaxForm';
import { roundPlane } from './roundPlane';

/**
 * Where each stitch really stands around its round, in radians on the same scale as the round starts: measured about the middle of its
 * round, in the round's own plane, so that bends, ovals and clustered increases are true.
 *
 * Runs on without jumps within a round.
 *
 * @returns one number a stitch
 */
export function formAzimuths(fabric: Fabric, form: RelaxedForm, starts: Float64Array): Float64Array {
  const azimuths = new Float64Array(form.nodes.stitches);
  const { places } = form;
  let [ax, ay, az] = [1, 0, 0];
  for (let round = 0; round < fabric.rounds; round += 1) {
    const from = fabric.offset[round] ?? 0;
    const count = roundCount(fabric, round + 1);
    if (count === 0) continue;
    if (fabric.row[round] === 1) {
      // From edge to edge, the middle at 0.
      for (let i = 0; i < count; i += 1) azimuths[from + i] = (turn * (i + 0.5 - count / 2)) / count;
      continue;
    }
    const {
      middle: [mx, my, mz],
      axis: [nx, ny, nz],
    } = roundPlane(places, from, count);
    // The direction of azimuth 0 is carried from round to round without turning about the axis.
    const along = ax * nx + ay * ny + az * nz;
    ax -= along * nx;
    ay -= along * ny;
    az -= along * nz;
    const length = Math.hypot(ax, ay, az) || 1;
    ax /= length;
    ay /= length;
    az /= length;
    const [bx, by, bz] = [ny * az - nz * ay, nz * ax - nx * az, nx * ay - ny * ax];
    let before = (starts[round] ?? 0) + turn / count / 2;
    for (let i = from; i < from + count; i += 1) {
      const [x, y, z] = [places[i * 3]! - mx, places[i * 3 + 1]! - my, places[i * 3 + 2]! - mz];
      const angle = Math.atan2(x * bx + y * by + z * bz, x * ax + y * ay + z * az);
      before = angle + Math.round((before - angle) / turn) * turn;
      azimuths[i] = before;
      before += turn / count;
    }
  }
  return azimuths;
}
