import { Circle, G, Line, Text as SvgText } from 'react-native-svg';
import { palette } from '../../ui/palette';
import { holeOnMap, mapPoint, type FabricMap } from '../../core/shape/map';
import { featureColour } from '../../core/place/rule/library';
import type { PartAnalysis } from '../../core/toy/analyse';

const { ink, thread: light, marker } = palette;

/** The stitched and sewn features on the map; of the chosen one the needle's points are numbered. */
export function MapFeatures({
  part,
  map: drawn,
  chosen,
  scale,
}: {
  part: PartAnalysis;
  map: FabricMap;
  chosen: string;
  scale: number;
}) {
  const { map, form } = part;
  const features = part.features.filter((feature) => feature !== part.eyes);
  return (
    <G>
      {features.map((feature) => {
        const here = feature.id === chosen;
        const points = feature.needle?.points ?? [];
        const spots = points.map((point) => holeOnMap(map, drawn, { ...point, seat: 'foot' }));
        return (
          <G key={feature.id}>
            {feature.needle === null
              ? feature.units.map((unit) => {
                  const [a, b] = (
                    [
                      [unit.fromLine, unit.from, unit.fromAzimuth],
                      [unit.toLine, unit.to, unit.toAzimuth],
                    ] as const
                  ).map(([line, hole, azimuth]) =>
                    holeOnMap(map, drawn, { line, hole, azimuth, seat: feature.seat }),
                  );
                  const { x, y } =
                    a && b
                      ? { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
                      : mapPoint(map, unit.fromLine, unit.azimuth);
                  return (
                    <Circle
                      key={unit.side}
                      cx={x}
                      cy={y}
                      r={Math.max(unit.halfMm, form.gauge.widthMm * 0.4)}
                      fill={featureColour(feature.kind)}
                      fillOpacity={feature.kind === 'patch' || feature.kind === 'spots' ? 0.85 : 1}
                      stroke={here ? marker : light}
                      strokeWidth={2 / scale}
                    />
                  );
                })
              : null}
            {(feature.needle?.lies ?? []).map(([from, to], i) => {
              const [a, b] = [spots[from], spots[to]];
              if (!a || !b) return null;
              return (
                <G key={i}>
                  <Line
                    x1={a.x}
                    y1={a.y}
                    x2={b.x}
                    y2={b.y}
                    stroke={light}
                    strokeWidth={form.gauge.widthMm * 0.42}
                    strokeLinecap="round"
                  />
                  <Line
                    x1={a.x}
                    y1={a.y}
                    x2={b.x}
                    y2={b.y}
                    stroke={featureColour(feature.kind)}
                    strokeWidth={form.gauge.widthMm * 0.28}
                    strokeLinecap="round"
                  />
                </G>
              );
            })}
            {here
              ? uniqueSpots(points.map((point) => `${point.line}/${point.hole}`)).map((i) => {
                  const at = spots[i];
                  return at ? (
                    <Circle key={`s${i}`} cx={at.x} cy={at.y} r={3.4 / scale} fill={marker} />
                  ) : null;
                })
              : null}
            {here
              ? uniqueSpots(points.map((point) => `${point.line}/${point.hole}`))
                  .slice(0, 12)
                  .map((i) => {
                    const at = spots[i];
                    return at ? (
                      <SvgText
                        key={`n${i}`}
                        x={at.x}
                        y={at.y - 6 / scale}
                        fontSize={13 / scale}
                        fontFamily="AtkinsonHyperlegibleNext_700Bold"
                        textAnchor="middle"
                        fill={light}
                        stroke={ink}
                        strokeWidth={0.4 / scale}
                      >
                        {i + 1}
                      </SvgText>
                    ) : null;
                  })
              : null}
          </G>
        );
      })}
    </G>
  );
}

/** First index of every different spot: a hole met twice is numbered once. */
function uniqueSpots(keys: readonly string[]): number[] {
  return keys.flatMap((key, i) => (keys.indexOf(key) === i ? [i] : []));
}
