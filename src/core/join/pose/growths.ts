import * as vec3 from 'gl-matrix/vec3';
import { roundCount } from '../../fabric/fabric';
import type { StitchKind } from '../../notation/stitchKinds';
import { hangingMm, type LineHole, type SurfaceLine } from '../../place/resolve/surfaceLine';
import { turn } from '../../shape/azimuth';
import { chainLength } from '../../shape/form/outgrowths';
import { alongAt } from '../wall';
import { seen, type DrawnFace, type Looking } from './looking';
import { normalAt, outwardAt, placeOf, upward, type PosedUnit } from './posed';

/** A chain that is worked back to its beginning stands up less than half as high as it is long. */
const bentBack = 0.45;

/** How far a growth stands off the fabric, in mm. */
function heightOfGrowth(kinds: readonly StitchKind[], widthMm: number): number {
  const chains = kinds.filter((kind) => kind === 'ch').length;
  const isLoop = kinds.length - chains === 1 && chains > 1;
  return chains * chainLength * widthMm * (isLoop ? bentBack : 1);
}

/** Spikes, tentacles and chains that grow from the fabric, a point each. */
export function growthsOf(posed: PosedUnit, unit: number, { yaw, pulled }: Looking): DrawnFace[] {
  const { part, surface, sheet } = posed;
  if (sheet) return [];
  const { fabric, starts, gauge } = part;
  const shown = (place: vec3) => seen(vec3.scaleAndAdd(place, place, posed.outward, pulled), yaw);
  return fabric.outgrowths.flatMap(({ after, round, kinds }): DrawnFace[] => {
    const count = roundCount(fabric, round);
    if (count === 0) return [];
    const stitch = Math.max(0, after) - (fabric.offset[round - 1] ?? 0);
    const azimuth = (starts[round - 1] ?? 0) + (turn * (stitch + 1)) / count;
    const along = alongAt(surface, round);
    const half = (0.4 * turn) / count;
    const foot = { along, azimuth };
    const tip = vec3.scaleAndAdd(
      vec3.create(),
      placeOf(posed, foot),
      normalAt(posed, foot),
      heightOfGrowth(kinds, gauge.widthMm),
    );
    const corners = [
      placeOf(posed, { along, azimuth: azimuth - half }),
      placeOf(posed, { along, azimuth: azimuth + half }),
      tip,
    ].map(shown);
    return [
      {
        unit,
        corners: corners.flatMap(([x = 0, y = 0]) => [x, -y]),
        depth: Math.max(...corners.map(([, , z = 0]) => z)),
        light: 0.9,
        colour: fabric.colour[Math.max(0, after)] ?? 0,
      },
    ];
  });
}

/** What stands up hole by hole, and what hangs in strands; all else along a line is a band of fabric on edge. */
const pointed = /spike|spine|fin|plate|picot/i;
const strands = /fringe|hair|mane|fur|loop|strand|tassel/i;
/** What is drawn through the fabric and lies flat on it. */
const lyingFlat = /stripe|slip|sl\s*st|chain/i;

/** How far it stands off, in stitch widths, by its kind; our own figures, for drawing only. */
const standsOff = { pointed: 1.6, band: 1.3, flat: 0.25 };
/** How long a strand hangs that nobody measured, in stitch widths. */
const usualStrand = 4;

/** Words as an expression that finds them. */
const escaped = (words: string): string => words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Its yarn by its place in the part's palette: as the sentence names one, else that of the stitch it stands on. */
function yarnOfLine({ part }: PosedUnit, { sentence }: SurfaceLine, { line, hole }: LineHole): number {
  const { fabric } = part;
  const isNamed = (yarn: string) =>
    new RegExp(`\\b(?:in|with)\\s+(?:the\\s+)?(?:yarn\\s+)?${escaped(yarn)}(?![\\w])`, 'i').test(
      sentence.text,
    );
  const named = fabric.palette.findIndex((yarn) => yarn !== '' && isNamed(yarn));
  return named >= 0 ? named : (fabric.colour[(fabric.offset[line - 1] ?? 0) + hole - 1] ?? 0);
}

/** A place of the surface and one straight off it. */
function rootAt(posed: PosedUnit, { line, azimuth }: LineHole, offMm: number): { foot: vec3; tip: vec3 } {
  const point = { along: alongAt(posed.surface, line), azimuth };
  const foot = placeOf(posed, point);
  return { foot, tip: vec3.scaleAndAdd(vec3.create(), foot, normalAt(posed, point), offMm) };
}

/** Corners of each piece that is seen of a line, in space. */
function piecesOf(posed: PosedUnit, surfaceLine: SurfaceLine): { at: LineHole; corners: vec3[] }[] {
  const { thing, holes, sentence } = surfaceLine;
  const { widthMm } = posed.part.gauge;
  if (strands.test(thing)) {
    const cutMm = sentence.strandMm;
    const hangsMm = cutMm === null ? usualStrand * widthMm : Math.max(widthMm, hangingMm(cutMm));
    return holes.map((at) => {
      const { foot, tip } = rootAt(posed, at, widthMm * 0.6);
      const end = vec3.scaleAndAdd(vec3.create(), tip, upward, -hangsMm);
      const aside = vec3.cross(vec3.create(), upward, outwardAt(posed, at.azimuth));
      const other = vec3.scaleAndAdd(vec3.create(), foot, aside, widthMm * 0.5);
      return { at, corners: [foot, other, vec3.scaleAndAdd(vec3.create(), end, aside, widthMm * 0.25)] };
    });
  }
  const isPointed = pointed.test(thing);
  const kind = isPointed ? 'pointed' : lyingFlat.test(thing) ? 'flat' : 'band';
  const offMm = standsOff[kind] * widthMm;
  return holes.slice(1).flatMap((at, i) => {
    const before = rootAt(posed, holes[i] ?? at, offMm);
    const here = rootAt(posed, at, offMm);
    if (!isPointed) return [{ at, corners: [before.foot, before.tip, here.tip, here.foot] }];
    const foot = vec3.lerp(vec3.create(), before.foot, here.foot, 0.5);
    const tip = vec3.lerp(vec3.create(), before.tip, here.tip, 0.5);
    // Seen from the end of its line a spine is as thick as from the side.
    const off = vec3.sub(vec3.create(), tip, foot);
    const aside = vec3.cross(vec3.create(), off, vec3.sub(vec3.create(), here.foot, before.foot));
    vec3.normalize(aside, aside);
    const base = [-1, 1].map((side) => vec3.scaleAndAdd(vec3.create(), foot, aside, (side * widthMm) / 3));
    return [
      { at, corners: [before.foot, tip, here.foot] },
      { at, corners: [...base, tip] },
    ];
  });
}

/** What is worked on a part along lines, or knotted in: crests, spines, fringes. */
export function linesOf(posed: PosedUnit, unit: number, { yaw, pulled }: Looking): DrawnFace[] {
  if (posed.sheet) return [];
  const shown = (place: vec3) => seen(vec3.scaleAndAdd(place, place, posed.outward, pulled), yaw);
  return posed.part.lines.flatMap((surfaceLine) =>
    piecesOf(posed, surfaceLine).map(({ at, corners }): DrawnFace => {
      const places = corners.map(shown);
      return {
        unit,
        corners: places.flatMap(([x = 0, y = 0]) => [x, -y]),
        depth: Math.max(...places.map(([, , z = 0]) => z)),
        light: 0.9,
        colour: yarnOfLine(posed, surfaceLine, at),
      };
    }),
  );
}
