import { drawToy, unitAt, type DrawnToy } from '../join/pose/drawn';
import type { DrawnFace, Looking } from '../join/pose/looking';
import type { JoinPart, Unit } from '../join/joined';
import { ballsOf, meshOf } from '../join/pose/mesh';
import { poseToy } from '../join/pose/pose';
import type { PosedUnit } from '../join/pose/posed';
import { wallOf, type Wall } from '../join/wall';
import { pressedEye, featureColour } from '../place/rule/library';
import type { FeatureKind } from '../notation/sentence/said';
import { gathered, outline, type PageFace } from '../shape/gathered';
import { flatAtEnd, flatThickness, pressedFlat } from '../shape/pressedFlat';
import { pictureSize, shinyDot, type Picture, type PictureShape } from '../shape/picture';
import { yarnColour } from '../supplies/yarnColour';
import type { PartAnalysis, ToyAnalysis } from './analysis';
import { joinPart } from './joinAll';
import { memoise } from './memoise';
import { isStuffed, stuffedPart } from './stuffedPart';

/** The surface of a part as it is stuffed; one that is not keeps its profile. */
const stuffedWall = memoise((part: PartAnalysis): Wall => {
  const { stops, fabric, starts } = part;
  const how = stops.closing?.how;
  return wallOf(fabric, starts, stuffedPart(part), how !== 'open' && how !== 'flat');
});

/** The surface of a part whose edge is held flat: an empty one is pressed flat, one that is stuffed only towards that edge. */
const flatWall = memoise((part: PartAnalysis): Wall => {
  const round = stuffedWall(part);
  if (isStuffed(part)) {
    const { half, thick } = flatAtEnd(round.radius, round.along);
    return { ...round, radius: half, thick };
  }
  const { half, z } = pressedFlat(round.radius, round.along);
  return { ...round, z, radius: half, thick: half.map(() => flatThickness) };
});

const posedOf = memoise((toy: ToyAnalysis): PosedUnit[] => {
  const surfaceOf = ({ part }: JoinPart, isFlat: boolean): Wall => {
    const found = toy.parts.find(({ source }) => source.id === part.id);
    if (!found) throw new Error(`no part ${part.id}`);
    return isFlat ? flatWall(found) : stuffedWall(found);
  };
  return poseToy(
    toy.parts.map((part) => joinPart(part)),
    toy.joined,
    surfaceOf,
  );
});

/** Every unit in its place, as far as the text says it. */
export function assembled(toy: ToyAnalysis): PosedUnit[] {
  return posedOf(toy);
}

/** One colour of the drawing, in its place between what lies behind it and before it. */
export interface Patch {
  unit: number;
  d: string;
  colour: string;
}

/** A face of a unit as it stands on the page. */
interface UnitFace extends PageFace {
  unit: number;
}

/** A hex colour, darker or lighter. */
function shaded(hex: string, light: number): string {
  // Eight steps: neighbours of one shade make one patch.
  const share = 0.58 + (Math.round(light * 8) / 8) * 0.46;
  const channel = (at: number) =>
    Math.min(255, Math.round(Number.parseInt(hex.slice(at, at + 2), 16) * share))
      .toString(16)
      .padStart(2, '0');
  return `#${channel(1)}${channel(3)}${channel(5)}`;
}

/** Colours of a unit's yarns. */
const yarnsOf = (toy: ToyAnalysis, { part }: PosedUnit): string[] =>
  part.fabric.palette.map((name) => yarnColour(name, toy.pattern.header));

/** A scale from mm to the page. */
interface Scale {
  x: (mm: number) => number;
  y: (mm: number) => number;
  perMm: number;
}

/** The faces on the page, from the furthest to the nearest. */
function pageFaces(toy: ToyAnalysis, posed: readonly PosedUnit[], drawn: DrawnToy, scale: Scale): UnitFace[] {
  const colours = posed.map((unit) => yarnsOf(toy, unit));
  return drawn.faces.map(({ unit, corners, light, colour }) => {
    const yarn = colours[unit]?.[colour] ?? colours[unit]?.[0] ?? yarnColour('', toy.pattern.header);
    const onPage = Array.from(corners, (mm, index) => (index % 2 === 0 ? scale.x(mm) : scale.y(mm)));
    return { unit, corners: onPage, colour: shaded(yarn, light) };
  });
}

/** Patches of one colour each: neighbours in one shade that come one after the other make one. */
function patchesOf(faces: readonly UnitFace[]): Patch[] {
  const patches: Patch[] = [];
  for (const { unit, corners, colour } of faces) {
    const last = patches.at(-1);
    if (last && last.unit === unit && last.colour === colour) last.d += outline(corners);
    else patches.push({ unit, d: outline(corners), colour });
  }
  return patches;
}

/** Thickness of embroidery thread as it lies, in mm. */
const threadMm = 1.3;

/** What lies on the fabric: threads, then what is pressed or sewn on. */
function shapesOn({ dots, strokes }: DrawnToy, { x, y, perMm }: Scale): PictureShape[] {
  const threads = strokes.map(({ points, feature }): PictureShape => {
    const along: string[] = [];
    for (let i = 0; i < points.length; i += 2) along.push(`${x(points[i] ?? 0)} ${y(points[i + 1] ?? 0)}`);
    const width = Math.max(1, Math.round(threadMm * perMm * 10) / 10);
    return { kind: 'stroke', d: `M${along.join('L')}`, colour: featureColour(feature as FeatureKind), width };
  });
  const pressed = dots.flatMap(({ feature, radiusMm, embroidered, ...at }): PictureShape[] => {
    const place = { x: x(at.x), y: y(at.y) };
    const radius = Math.max(0.8, Math.round(radiusMm * perMm * 10) / 10);
    if (feature !== 'eyes' || embroidered)
      return [{ kind: 'dot', ...place, radius, colour: featureColour(feature as FeatureKind) }];
    return shinyDot(place, radius, pressedEye);
  });
  return [...threads, ...pressed];
}

/** A drawing of the assembled toy, with the box it stands in. */
export interface ToyDrawing {
  patches: Patch[];
  /** what lies on it, from below up */
  on: PictureShape[];
  /** of the page, in mm */
  box: { left: number; top: number; width: number; height: number };
  /** what is drawn, in the order that patches and faces number it */
  units: Unit[];
  /** from the furthest to the nearest, in mm of the page */
  faces: DrawnFace[];
}

function boxOf({ faces }: DrawnToy): ToyDrawing['box'] {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { corners } of faces) {
    for (let i = 0; i < corners.length; i += 2) {
      left = Math.min(left, corners[i] ?? 0);
      right = Math.max(right, corners[i] ?? 0);
      top = Math.min(top, corners[i + 1] ?? 0);
      bottom = Math.max(bottom, corners[i + 1] ?? 0);
    }
  }
  return faces.length === 0
    ? { left: 0, top: 0, width: 1, height: 1 }
    : { left, top, width: right - left, height: bottom - top };
}

/** The assembled toy as it is seen from a side, in mm, to tenths. */
export function drawAssembled(toy: ToyAnalysis, looking: Looking): ToyDrawing {
  // From the side what lies beside the toy would stand before it or behind it.
  const isFromSide = Math.abs(Math.cos(looking.yaw)) < 0.5;
  const posed = assembled(toy).filter(({ loose }) => !(loose && isFromSide));
  const drawn = drawToy(posed, looking);
  const tenths = (mm: number) => Math.round(mm * 10) / 10;
  const scale: Scale = { x: tenths, y: tenths, perMm: 1 };
  return {
    patches: patchesOf(pageFaces(toy, posed, drawn, scale)),
    on: shapesOn(drawn, scale),
    box: boxOf(drawn),
    units: posed.map(({ unit }) => unit),
    faces: drawn.faces,
  };
}

/** The unit that is drawn at a place of the page, in mm; null beside the toy. */
export function unitDrawnAt({ faces, units }: ToyDrawing, x: number, y: number): Unit | null {
  const found = unitAt(faces, x, y);
  return found === null ? null : (units[found] ?? null);
}

/** All of a unit as it lies on the page, also what is hidden, and the middle of it; null where it is not drawn. */
export function shapeOnPage({ faces }: ToyDrawing, unit: number): { d: string; x: number; y: number } | null {
  const own = faces.filter((face) => face.unit === unit);
  if (own.length === 0) return null;
  const { left, top, width, height } = boxOf({ faces: own, dots: [], strokes: [] });
  return { d: own.map(({ corners }) => outline(corners)).join(''), x: left + width / 2, y: top + height / 2 };
}

/** Pieces around a round in a small picture: kept with each toy, so few. */
const smallSegments = 14;

/** A small picture of the assembled toy from the front; null where no part is joined to another. */
export function toyPicture(toy: ToyAnalysis): Picture | null {
  const posed = assembled(toy).filter(({ loose }) => !loose);
  if (posed.length < 2) return null;
  const drawn = drawToy(posed, { yaw: 0, pulled: 0, segments: smallSegments });
  const { left, top, width, height } = boxOf(drawn);
  const extent = Math.max(width, height) * 1.12;
  const perMm = pictureSize / extent;
  const scale: Scale = {
    x: (mm) => Math.round((mm - left - width / 2 + extent / 2) * perMm),
    y: (mm) => Math.round((mm - top - height / 2 + extent / 2) * perMm),
    perMm,
  };
  const patches = gathered(pageFaces(toy, posed, drawn, scale));
  return {
    ground: [],
    fabric: [],
    stroke: 1,
    on: [...patches, ...shapesOn(drawn, scale)],
  };
}

/** The assembled toy as surfaces for other programs: every unit by its name, then what sits on it. */
export interface ToyModel {
  /** colours as hex, one for each piece of surface of four corners */
  surfaces: { name: string; positions: Float32Array; index: Uint32Array; colours: string[] }[];
  balls: { at: [x: number, y: number, z: number]; radiusMm: number; colour: string }[];
}

/** The toy put together, in mm: x to the right as one looks at its front, y up, z to the front. What lies beside it is left out. */
export function modelOfToy(toy: ToyAnalysis): ToyModel {
  const posed = assembled(toy).filter(({ loose }) => !loose);
  const surfaces = posed.map((unit) => {
    const { yarns, ...mesh } = meshOf(unit);
    const own = yarnsOf(toy, unit);
    const unknown = own[0] ?? yarnColour('', toy.pattern.header);
    return { ...mesh, colours: Array.from(yarns, (yarn) => own[yarn] ?? unknown) };
  });
  const balls = posed.flatMap(ballsOf).map(({ at, radiusMm, feature }) => ({
    at,
    radiusMm,
    colour: feature === 'eyes' ? pressedEye.black : featureColour(feature),
  }));
  return { surfaces, balls };
}
