import { t } from '../../core/words/language';
import { droppedAt, featureDropped } from '../../core/place/move/drop';
import { raised, widened } from '../../core/place/move/step';
import type { FeaturePlacement } from '../../core/place/resolve/placement';
import type { FeatureUnit } from '../../core/place/resolve/unit';
import { featureName } from '../../core/place/rule/ruleSteps';
import { holeOnMap, mapPoint, type FabricMap } from '../../core/shape/map';
import { frameOfPart, type PartAnalysis } from '../../core/toy/analyse';
import { Handle } from '../../ui/Handle';
import { usePartEdits } from './usePartEdits';

type Point = { x: number; y: number };
type Way = 'up' | 'down' | 'left' | 'right';

/** Where a unit is taken hold of: at the hole of a post, else in its middle. */
function placeOnMap(
  { map: view }: PartAnalysis,
  map: FabricMap,
  { washerMm, seat }: FeaturePlacement,
  unit: FeatureUnit,
): Point {
  if (washerMm !== null)
    return holeOnMap(view, map, { line: unit.fromLine, hole: unit.from, azimuth: unit.azimuth, seat });
  const level = unit.fromLine === unit.toLine;
  const a = mapPoint(view, unit.fromLine, level ? unit.azimuth : unit.fromAzimuth);
  const b = mapPoint(view, unit.toLine, level ? unit.azimuth : unit.toAzimuth);
  return { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
}

/** `Left eye, hole 15`, `Right of brows` */
function handleName({ eyes }: PartAnalysis, placed: FeaturePlacement, { side, from }: FeatureUnit): string {
  const name = featureName(placed.id, placed.kind);
  const word = side === 'left' ? t`Left` : t`Right`;
  if (placed === eyes)
    return placed.seat === 'foot' ? t`${word} eye, hole ${from}` : t`${word} eye, split ${from}`;
  return side === 'middle' ? name : t`${word} of ${name.toLowerCase()}`;
}

/** What can be taken hold of on the map: the eyes and every place of a feature, by drag or by arrow keys. */
export function MapHandles({
  part,
  map,
  feature,
  onFeature,
  toPx,
  toMm,
}: {
  part: PartAnalysis;
  map: FabricMap;
  feature: string;
  onFeature: (id: string) => void;
  toPx: (point: Point) => Point;
  toMm: (x: number, y: number) => Point;
}) {
  const edits = usePartEdits(part);
  const dropped = (x: number, y: number) => droppedAt(frameOfPart(part), part.map, map.height, toMm(x, y));
  const dragFeature =
    (id: string) =>
    (x: number, y: number, first: boolean): boolean => {
      if (first) onFeature(id);
      const current = edits.now();
      const placed = current.features.find((one) => one.id === id);
      const rule = placed && featureDropped(frameOfPart(current), placed, dropped(x, y));
      if (rule) edits.putFeature(id, () => rule, !first);
      return Boolean(rule);
    };
  const keyFeature = (id: string, side: string) => (pressed: Way) => {
    onFeature(id);
    if (pressed === 'up' || pressed === 'down')
      edits.putFeature(id, (now, of) => raised(frameOfPart(of), now, pressed === 'up' ? 1 : -1));
    else
      edits.putFeature(id, (now, of) =>
        widened(
          frameOfPart(of),
          now,
          side === 'middle' ? (pressed === 'right' ? 1 : -1) : pressed === side ? 1 : -1,
        ),
      );
  };
  const between = (line: number) =>
    t`between round ${part.fabric.label[line - 1]} and ${part.fabric.label[line]}`;
  // What is chosen lies on top, so that it can be taken hold of where things are close together.
  const features = [...part.features].sort((a, b) => Number(a.id === feature) - Number(b.id === feature));
  return (
    <>
      {features.flatMap((placed) =>
        placed.units.map((unit) => {
          const at = toPx(placeOnMap(part, map, placed, unit));
          return (
            <Handle
              key={`${placed.id}${unit.side}`}
              name={t`${handleName(part, placed, unit)}, ${between(unit.fromLine)}. Arrow keys move it.`}
              x={at.x}
              y={at.y}
              onDrag={dragFeature(placed.id)}
              onKey={keyFeature(placed.id, unit.side)}
              onTap={() => onFeature(placed.id)}
            />
          );
        }),
      )}
    </>
  );
}
