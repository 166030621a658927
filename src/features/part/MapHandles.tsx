import { droppedAt, eyesDropped, featureDropped } from '../../core/place/drop';
import { raised, widened } from '../../core/place/features/moveFeature';
import { featureName } from '../../core/place/features/featureSteps';
import { upOf } from '../../core/place/features/verticalLine';
import { eyesApart, raisedEyes } from '../../core/place/moveEyes';
import { holeOnMap, mapPoint, type FabricMap } from '../../core/shape/map';
import type { PartAnalysis } from '../../core/toy/analyse';
import { MapHandle } from './MapHandle';
import { usePartEdits } from './usePartEdits';

type Point = { x: number; y: number };
type Way = 'up' | 'down' | 'left' | 'right';

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
  const { eyes } = part;
  const dropped = (x: number, y: number) => droppedAt(part.form, part.map, map.height, toMm(x, y));
  const dragEyes = (x: number, y: number, first: boolean): boolean => {
    const current = edits.now();
    const rule = current.eyes && eyesDropped(current.form, current.eyes, dropped(x, y));
    if (rule) edits.putEyes((now, of) => eyesDropped(of.form, now, dropped(x, y)), !first);
    return Boolean(rule);
  };
  const keyEyes = (side: 'left' | 'right') => (pressed: Way) => {
    edits.putEyes((now, { form }) =>
      pressed === 'up' || pressed === 'down'
        ? raisedEyes(form, now, pressed === 'up' ? 1 : -1)
        : eyesApart(form, now, now.rule.apart + (pressed === side ? 1 : -1)),
    );
  };
  const dragFeature =
    (id: string) =>
    (x: number, y: number, first: boolean): boolean => {
      if (first) onFeature(id);
      const current = edits.now();
      const placed = current.features.find((one) => one.id === id);
      const rule = placed && featureDropped(current.form, current.map.front, placed, dropped(x, y));
      if (rule) edits.putFeature(id, () => rule, !first);
      return Boolean(rule);
    };
  const keyFeature = (id: string, side: string) => (pressed: Way) => {
    onFeature(id);
    if (pressed === 'up' || pressed === 'down')
      edits.putFeature(id, (now, { form, fabric }) =>
        raised(now, pressed === 'up' ? 1 : -1, upOf(form), fabric.label),
      );
    else
      edits.putFeature(id, (now) =>
        widened(now, side === 'middle' ? (pressed === 'right' ? 1 : -1) : pressed === side ? 1 : -1),
      );
  };
  const between = (line: number) =>
    `between round ${part.fabric.label[line - 1]} and ${part.fabric.label[line]}`;
  // What is chosen lies on top, so that it can be taken hold of where things are close together.
  const features = [...part.features].sort((a, b) => Number(a.id === feature) - Number(b.id === feature));
  return (
    <>
      {eyes?.posts.map((post) => {
        const at = toPx(
          holeOnMap(part.map, map, post.line, post.stitch, post.azimuth, eyes.rule.seat === 'split'),
        );
        return (
          <MapHandle
            key={post.side}
            name={`${post.side === 'left' ? 'Left' : 'Right'} eye, ${eyes.rule.seat === 'foot' ? 'hole' : 'split'} ${post.stitch}, ${between(post.line)}. Arrow keys move it.`}
            x={at.x}
            y={at.y}
            onDrag={dragEyes}
            onKey={keyEyes(post.side)}
            onTap={() => onFeature('eyes')}
          />
        );
      })}
      {features.flatMap((placed) =>
        placed.units.map((unit) => {
          const [a, b] = [
            mapPoint(
              part.map,
              unit.fromLine,
              unit.fromLine === unit.toLine ? unit.azimuth : unit.fromAzimuth,
            ),
            mapPoint(part.map, unit.toLine, unit.fromLine === unit.toLine ? unit.azimuth : unit.toAzimuth),
          ];
          const at = toPx({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
          const name = featureName(placed.id, placed.kind);
          return (
            <MapHandle
              key={`${placed.id}${unit.side}`}
              name={`${unit.side === 'middle' ? name : `${unit.side === 'left' ? 'Left' : 'Right'} of ${name.toLowerCase()}`}, ${between(unit.fromLine)}. Arrow keys move it.`}
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
