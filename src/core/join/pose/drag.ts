import { roundCount } from '../../fabric/fabric';
import { stitchAzimuth, turn, wrapAngle } from '../../shape/azimuth';
import { seen } from './looking';
import type { JoinPart } from '../joined';
import type { JoinSpot } from '../move';
import { normalAt, placeOf, type PosedUnit } from './posed';
import { roundAt, rowOfLabel } from '../numbers';
import { alongAt, type WallPoint } from '../wall';

/** What a thumb has taken hold of: the middle of a unit on its wall. */
export interface Grip {
  wall: PosedUnit;
  /** row of its middle, by index, and where around it is */
  row: number;
  azimuth: number;
  /** azimuth of the front line of the wall */
  front: number;
  /** a pair stays even about the front; one alone goes anywhere; of several only the round changes */
  goes: 'pair' | 'alone' | 'together';
}

/** A place on the page, in mm: x to the right, y down. */
export interface PagePoint {
  x: number;
  y: number;
}

interface Candidate extends JoinSpot {
  row: number;
  azimuth: number;
}

/** Surface turned away further than this is not seen, as the cosine of its angle to the one who looks. */
const turnedAway = -0.15;
/** What a way along the round costs beside a way on the page: straight up or down means that, also where the wall curves away. */
const sidewaysCost = 0.04;

/** Places around a round where the middle may come to, in whole steps. */
function aroundRound(
  part: JoinPart,
  row: number,
  { azimuth, front, goes }: Grip,
): Pick<Candidate, 'azimuth' | 'at'>[] {
  if (goes === 'together') return [{ azimuth, at: null }];
  const count = roundCount(part.fabric, row);
  if (goes === 'pair') {
    const side = wrapAngle(azimuth - front) < 0 ? -1 : 1;
    const most = Math.floor((count - 1) / 2);
    return Array.from({ length: most }, (_, i) => ({
      azimuth: front + (side * turn * (i + 1)) / count,
      at: { kind: 'aside', stitches: i + 1 },
    }));
  }
  const stitches = Array.from({ length: count }, (_, i): Pick<Candidate, 'azimuth' | 'at'> => ({
    azimuth: stitchAzimuth(part.fabric, part.starts, row, i + 1),
    at: { kind: 'stitch', stitch: i + 1 },
  }));
  const middles = [
    { azimuth: front, at: { kind: 'front' } as const },
    { azimuth: front + Math.PI, at: { kind: 'back' } as const },
  ];
  // Half a stitch from the middle is the middle.
  const isClear = (one: Pick<Candidate, 'azimuth'>) =>
    middles.every((middle) => Math.abs(wrapAngle(middle.azimuth - one.azimuth)) > (0.4 * turn) / count);
  return [...middles, ...stitches.filter(isClear)];
}

/** Every place of the wall that a middle can come to: on each round that a sentence can name. */
function candidatesOf(grip: Grip): Candidate[] {
  const { part } = grip.wall;
  return Array.from({ length: part.fabric.rounds }, (_, i) => roundAt(part, i + 1))
    .filter(({ row, round }) => rowOfLabel(part, round) === row)
    .flatMap((round) => aroundRound(part, round.row, grip).map((one) => ({ ...one, ...round })));
}

const pointOn = ({ surface }: PosedUnit, row: number, azimuth: number): WallPoint => ({
  along: alongAt(surface, row),
  azimuth,
});

/** Where on the page a place of the wall is, and whether its surface is turned to the one who looks. */
function onPage(wall: PosedUnit, point: WallPoint, yaw: number): PagePoint & { isSeen: boolean } {
  const [x = 0, y = 0] = seen(placeOf(wall, point), yaw);
  const [, , towards = 0] = seen(normalAt(wall, point), yaw);
  return { x, y: -y, isSeen: towards >= turnedAway };
}

/** Whether a thumb can take hold of it from this side. */
export function isWithinReach({ wall, row, azimuth }: Grip, yaw: number): boolean {
  return onPage(wall, pointOn(wall, row, azimuth), yaw).isSeen;
}

/**
 * Where a middle comes to when it is drawn over the page: the round and stitch of the wall, turned to the one who looks, that is
 * nearest to the thumb.
 *
 * @param by how far it is drawn, in mm
 * @param yaw how far the toy is turned, in radians
 * @returns null where nothing of the wall can be seen
 */
export function draggedTo(grip: Grip, by: PagePoint, yaw: number): JoinSpot | null {
  const { wall, row, azimuth } = grip;
  const from = onPage(wall, pointOn(wall, row, azimuth), yaw);
  const wanted = { x: from.x + by.x, y: from.y + by.y };
  const { widthMm } = wall.part.gauge;
  let best: { cost: number; spot: JoinSpot } | null = null;
  for (const one of candidatesOf(grip)) {
    const { x, y, isSeen } = onPage(wall, pointOn(wall, one.row, one.azimuth), yaw);
    if (!isSeen) continue;
    const stitches = (wrapAngle(one.azimuth - azimuth) / turn) * roundCount(wall.part.fabric, one.row);
    const cost = (x - wanted.x) ** 2 + (y - wanted.y) ** 2 + sidewaysCost * (stitches * widthMm) ** 2;
    if (!best || cost < best.cost) best = { cost, spot: { round: one.round, at: one.at } };
  }
  return best?.spot ?? null;
}
