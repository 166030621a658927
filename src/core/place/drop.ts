import { turn } from '../shape/azimuth';
import type { MapView } from '../shape/map';
import { roundCount } from '../fabric/fabric';
import type { EyePlacement } from './eyes';
import { withEyes, type EyeRule } from './eyeSentence';
import type { FeaturePlacement } from './features/featurePlacement';
import { atDistance, isAtBack, type FeatureRule } from './features/featureRule';
import { movedTo } from './features/moveFeature';
import { upOf } from './features/verticalLine';
import { heightAt, lyingFrame, stitchesUp } from './lying/frame';
import { raisedByStitches } from './lying/raisedByStitches';
import { eyesApart } from './moveEyes';
import type { PartForm } from './partForm';

/** Where on a part something is dropped: its line of holes by index, and how far apart a pair is with one of the two there. */
export interface Dropped {
  line: number;
  apart: number;
  /** on a part that lies on its side, stitches up from the front line; null on one that stands */
  rise: number | null;
}

const clamp = (value: number, least: number, most: number) => Math.max(least, Math.min(most, value));

/**
 * The nearest line of holes and distance to a point of the map.
 *
 * @param point in mm, as `fabricMap` lays the part out
 * @param height of that map
 */
export function droppedAt(
  form: PartForm,
  view: MapView,
  height: number,
  { x, y }: { x: number; y: number },
): Dropped {
  const { fabric, profile } = form;
  const step = view.gauge.heightMm;
  const whole = fabric.rounds * step;
  // Along the rounds and across them, as the part stands.
  const along = view.lying ? x + whole / 2 : y;
  const around = view.lying ? height / 2 - y : x;
  const exact = view.start === 'top' ? along / step : (whole - along) / step;
  const line = clamp(Math.round(exact), 1, Math.max(1, fabric.rounds - 1));
  const radius = Math.max(1, profile.radius[line - 1] ?? 1);
  if (!view.lying) {
    const count = roundCount(fabric, line + 1);
    const angle = Math.min(Math.PI * 0.95, Math.abs(around) / radius);
    return {
      line,
      apart: clamp(Math.round((angle * 2 * count) / turn), 2, Math.max(2, count - 2)),
      rise: null,
    };
  }
  const frame = lyingFrame(form, view.front);
  return {
    line,
    apart: clamp(Math.round(2 * Math.abs(exact - frame.middle)), 1, Math.max(1, fabric.rounds - 2)),
    rise:
      Math.round(
        stitchesUp(
          form,
          frame,
          heightAt(form, frame, line, view.front + view.dir * clamp(around / radius, -1.4, 1.4)),
        ),
      ) || 0,
  };
}

/** The eyes with one of them dropped; null where that changes nothing. */
export function eyesDropped(
  form: PartForm,
  eyes: EyePlacement,
  { line, apart, rise }: Dropped,
): EyeRule | null {
  const { rule, round } = eyes;
  if (rise !== null) {
    const next = eyesApart(form, eyes, apart);
    return next && (rise !== (rule.rise ?? 0) || apart !== rule.apart) ? { ...next, rise } : null;
  }
  if (line === round && apart === rule.apart) return null;
  return withEyes(rule, {
    gap: [form.fabric.label[line - 1] ?? line, form.fabric.label[line] ?? line + 1],
    apart,
  });
}

/**
 * A feature with one of its places dropped; null where that changes nothing.
 *
 * @param front azimuth of the front line
 */
export function featureDropped(
  form: PartForm,
  front: number,
  placed: FeaturePlacement,
  { line, apart, rise }: Dropped,
): FeatureRule | null {
  // At the back the distance is about the middle there, the other way round.
  const about =
    isAtBack(placed.rule.sideways) && rise === null ? Math.max(1, (placed.units[0]?.of ?? 0) - apart) : apart;
  const next = placed.apart === null || placed.rule.sides === 'middle' ? null : about;
  if (rise === null)
    return line === placed.line && (next === null || next === placed.apart)
      ? null
      : movedTo(placed, line, next, upOf(form), form.fabric.label);
  const [unit] = placed.units;
  if (!unit) return null;
  const frame = lyingFrame(form, front, isAtBack(placed.rule.sideways) ? 'back' : 'front');
  const by =
    rise - Math.round(stitchesUp(form, frame, heightAt(form, frame, unit.fromLine, unit.fromAzimuth)));
  const raised = by === 0 ? placed.rule : raisedByStitches(placed.rule, by, placed.counted);
  if (!raised) return null;
  if (next !== null && next !== placed.apart)
    return { ...raised, sideways: atDistance(placed.rule.sideways, next) };
  return by === 0 ? null : raised;
}
