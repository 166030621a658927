import type { Problem } from '../notation/problem';
import { roundCount } from '../fabric/fabric';
import { bentFront, frontAzimuth } from '../place/frame/frontLine';
import { stitchAzimuth } from '../shape/azimuth';
import { hasOwnFront, type Join, type JoinPart } from './joined';
import { endOf, widthOn, type Placing } from './placing';
import { aroundOf, type Around, type Neighbour } from './spot';
import { wallOf, type Wall } from './wall';

/** The work that joining keeps while it goes: what is placed so far, by the wall. */
export class Joining {
  readonly joins: Join[] = [];
  readonly problems: Problem[] = [];
  private readonly walls = new Map<string, Wall>();
  readonly fronts: Map<string, number>;
  /** azimuths at which parts face by their edge or their shape, as nothing was known to be joined to them */
  readonly facings = new Map<string, number>();

  /** @param fronts azimuths of front lines that are known already */
  constructor(
    readonly parts: readonly JoinPart[],
    fronts: ReadonlyMap<string, number>,
  ) {
    this.fronts = new Map(fronts);
  }

  wall(of: JoinPart): Wall {
    const known = this.walls.get(of.part.id);
    if (known) return known;
    const wall = wallOf(of.fabric, of.starts, of.profile, !endOf(of).open);
    this.walls.set(of.part.id, wall);
    return wall;
  }

  /** Where another part is on this wall. */
  neighbour(wall: JoinPart, id: string): Neighbour | null {
    const there = this.joins.filter(({ unit, on }) => unit.part === id && on.part === wall.part.id);
    const placed = there.filter(({ covers }) => covers !== null);
    if (placed.length === 0) return this.seamOf(wall, id);
    const rows = placed.flatMap(({ covers }) => covers?.rows ?? []);
    const middles = placed.flatMap(({ row }) => (row === null ? [] : [row]));
    const middle = (Math.min(...rows) + Math.max(...rows)) / 2;
    return {
      row: middles.length > 0 ? middles.reduce((sum, row) => sum + row, 0) / middles.length : middle,
      rows: [Math.min(...rows), Math.max(...rows)],
      azimuths: placed.map(({ centre }) => centre?.azimuth ?? 0),
    };
  }

  /**
   * Another part that is joined to the end of this wall: its seam is the wall's last round. A closed head on an open body is sewn to by the
   * body's edge.
   */
  private seamOf(wall: JoinPart, id: string): Neighbour | null {
    const seam = this.joins.find(({ kind, unit, on }) => {
      const isByItsEdge = unit.part === wall.part.id && on.part === id;
      const isOnIt = unit.part === id && on.part === wall.part.id;
      return (
        (kind === 'edge-to-edge' && isOnIt) ||
        ((kind === 'edge-to-edge' || kind === 'open-on-wall') && isByItsEdge)
      );
    });
    if (!seam) return null;
    const row = wall.fabric.rounds + 0.5;
    return { row, rows: [row, row], azimuths: [] };
  }

  /** The front line of a wall: where its face or its maker has it, else opposite the round starts of the rounds that things are joined to. */
  frontOf(wall: JoinPart, rows: readonly number[]): number {
    const { part, fabric, starts } = wall;
    const known = this.fronts.get(part.id);
    if (known !== undefined) return known;
    const rounds = [...new Set(rows.map((row) => Math.round(row)))];
    const front = hasOwnFront(wall) ? wall.front : frontAzimuth(part, fabric, starts, rounds);
    this.fronts.set(part.id, front);
    return front;
  }

  /**
   * The azimuth at which a part faces forward, for an edge of it that is joined: where its face or its maker has it, else where what is
   * joined to the part has it, else where its shape bends it to, else opposite the start of the round.
   */
  facing(piece: JoinPart, round: number): number {
    const { part, fabric, starts } = piece;
    if (hasOwnFront(piece)) return piece.front;
    const known = this.fronts.get(part.id);
    if (known !== undefined) return known;
    const opposite = (roundCount(fabric, round) + 1) / 2;
    const facing = bentFront(fabric, starts) ?? stitchAzimuth(fabric, starts, round, opposite);
    this.facings.set(part.id, facing);
    return facing;
  }

  /** Where around its wall the units of a sentence go, about a row of it; null where that is not said. */
  around(placing: Placing, row: number, front: number): Around | null {
    const { sentence, piece, wall, units, stitches, side } = placing;
    return aroundOf(wall, stitches ? { ...sentence, stitches } : sentence, {
      row,
      front,
      count: units.length,
      side,
      name: piece.part.name,
      width: widthOn(placing),
      neighbour: (id) => this.neighbour(wall, id),
    });
  }
}
