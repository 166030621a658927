import { turn } from '../../shape/azimuth';
import { roundCount } from '../../fabric/fabric';
import type { MapView } from '../../shape/map';
import { gapOf, type FaceFrame } from '../frame/faceFrame';
import type { FeaturePlacement } from '../resolve/placement';
import { isAtBack, leadsFace, type FeatureRule } from '../rule/rule';
import { byDistance, raised, raisedByStitches, spaced } from './step';

/** Where on a part something is dropped: its line of holes by index, and how far apart a pair is with one of the two there. */
export interface Dropped {
  line: number;
  apart: number;
  /** on a part that lies on its side, stitches up from the front line; null on one that stands */
  rise: number | null;
}

interface Point {
  x: number;
  y: number;
}

const clamp = (value: number, least: number, most: number) => Math.max(least, Math.min(most, value));

/**
 * The nearest line of holes and distance to a point of the map.
 *
 * @param point in mm, as `fabricMap` lays the part out
 * @param height of that map
 */
export function droppedAt(frame: FaceFrame, view: MapView, height: number, { x, y }: Point): Dropped {
  const { fabric, profile } = frame.form;
  const step = view.gauge.heightMm;
  const whole = fabric.rounds * step;
  // Along the rounds and across them, as the part stands.
  const along = view.lying ? x + whole / 2 : y;
  const around = view.lying ? height / 2 - y : x;
  const exact = view.start === 'top' ? along / step : (whole - along) / step;
  const line = clamp(Math.round(exact), 1, Math.max(1, fabric.rounds - 1));
  const radius = Math.max(1, profile.radius[line - 1] ?? 1);
  if (!frame.lies) {
    const count = roundCount(fabric, line + 1);
    const angle = Math.min(Math.PI * 0.95, Math.abs(around) / radius);
    return {
      line,
      apart: clamp(Math.round((angle * 2 * count) / turn), 2, Math.max(2, count - 2)),
      rise: null,
    };
  }
  const fromMiddle = Math.round(2 * Math.abs(exact - frame.centre(false)));
  const azimuth = frame.front + view.dir * clamp(around / radius, -1.4, 1.4);
  const rise = Math.round(frame.stepsUp(0, frame.levelOf({ line, azimuth })));
  return { line, apart: clamp(fromMiddle, 1, Math.max(1, fabric.rounds - 2)), rise: rise || 0 };
}

/** A feature with one of its places dropped; null where that changes nothing. */
export function featureDropped(
  frame: FaceFrame,
  placed: FeaturePlacement,
  dropped: Dropped,
): FeatureRule | null {
  // At the back the distance is about the middle there, the other way round.
  const around = placed.units[0]?.of ?? 0;
  const about =
    isAtBack(placed.rule.sideways) && !frame.lies ? Math.max(1, around - dropped.apart) : dropped.apart;
  const pair = placed.apart !== null && placed.rule.sides !== 'middle';
  const apart = pair && about !== placed.apart ? about : null;
  if (!frame.lies)
    return dropped.line === placed.line && apart === null
      ? null
      : movedTo(frame, placed, dropped.line, apart);
  const by = (dropped.rise ?? 0) - Math.round(frame.stepsUp(0, placed.level));
  const risen = by === 0 ? placed.rule : raisedByStitches(placed.rule, by, placed.counted);
  if (!risen) return null;
  if (apart !== null) return spaced(frame, risen, apart);
  return by === 0 ? null : risen;
}

/**
 * The rule that puts a feature on another line of holes and, of a pair, so far apart. What is said by another feature goes on being said by
 * it; eyes go to the line by its number.
 *
 * @param line by index from 1
 * @param apart middle to middle of a pair; null leaves the sides as they are
 */
export function movedTo(
  frame: FaceFrame,
  placed: FeaturePlacement,
  line: number,
  apart: number | null,
): FeatureRule {
  const rule = leadsFace(placed.rule)
    ? { ...byDistance(placed), vertical: { by: 'gap' as const, gap: gapOf(frame.form, line) } }
    : raisedTo(frame, placed, line);
  if (apart === null || placed.apart === null || rule.sides === 'middle') return rule;
  if (rule.sideways.by !== 'outward') return spaced(frame, rule, apart);
  const stitches = Math.max(0, rule.sideways.stitches + Math.round((apart - placed.apart) / 2));
  return { ...rule, sideways: { ...rule.sideways, stitches } };
}

function raisedTo(frame: FaceFrame, placed: FeaturePlacement, line: number): FeatureRule {
  const way = frame.stepsUp(placed.level, line) > 0 ? 1 : -1;
  let moved: FeaturePlacement = { ...placed, rule: byDistance(placed) };
  while (moved.level !== line) {
    const rule = raised(frame, moved, way);
    const level = frame.raise(moved.level, way);
    if (!rule || level === null) break;
    moved = { ...moved, rule, level };
  }
  return moved.rule;
}
