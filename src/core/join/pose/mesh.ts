import type { FeatureKind } from '../../notation/sentence/said';
import { roundCount } from '../../fabric/fabric';
import { turn } from '../../shape/azimuth';
import { colourAt, isFilled } from './drawn';
import { placeOf, type PosedUnit } from './posed';

/** The surface of a unit as triangles, in mm: x to the right as one looks at the front, y up, z to the front. */
export interface UnitMesh {
  name: string;
  /** three numbers a corner; four corners a piece of surface, so that each has its own colour */
  positions: Float32Array;
  /** three corners a triangle */
  index: Uint32Array;
  /** of each piece of surface, its yarn by index in the part's palette */
  yarns: Uint8Array;
}

/** Something round that sits on a unit: an eye, a nose. */
export interface UnitBall {
  at: [x: number, y: number, z: number];
  radiusMm: number;
  feature: FeatureKind;
}

/** Pieces around each round. */
const segments = 32;

/** The surface of one unit. */
export function meshOf(posed: PosedUnit): UnitMesh {
  const { surface, part, unit } = posed;
  const bands = Math.max(0, surface.along.length - 1);
  const positions = new Float32Array(bands * segments * 12);
  const index = new Uint32Array(bands * segments * 6);
  const yarns = new Uint8Array(bands * segments);
  for (let band = 0; band < bands; band += 1) {
    const round = Math.min(part.fabric.rounds, band + 1);
    for (let i = 0; i < segments; i += 1) {
      const piece = band * segments + i;
      const corner = (ring: number, step: number) =>
        placeOf(posed, { along: surface.along[ring] ?? 0, azimuth: (turn * step) / segments });
      const corners = [corner(band, i), corner(band, i + 1), corner(band + 1, i + 1), corner(band + 1, i)];
      corners.forEach((place, k) => positions.set(place, piece * 12 + k * 3));
      index.set(
        [0, 1, 2, 0, 2, 3].map((k) => piece * 4 + k),
        piece * 6,
      );
      const hasStitches = roundCount(part.fabric, round) > 0;
      yarns[piece] = hasStitches ? colourAt(posed, round, (turn * (i + 0.5)) / segments) : 0;
    }
  }
  return { name: unit.name, positions, index, yarns };
}

/** What sits on a unit. */
export function ballsOf(posed: PosedUnit): UnitBall[] {
  return posed.part.features.filter(isFilled).flatMap(({ kind, units }) =>
    units.map(({ fromLine, azimuth, halfMm }): UnitBall => {
      const [x = 0, y = 0, z = 0] = placeOf(posed, { along: posed.surface.along[fromLine] ?? 0, azimuth });
      return { at: [x, y, z], radiusMm: halfMm, feature: kind as FeatureKind };
    }),
  );
}
