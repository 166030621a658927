import { Circle, G, Line } from 'react-native-svg';
import { holeOnMap, type FabricMap } from '../../core/shape/map';
import type { PartAnalysis } from '../../core/toy/analyse';
import { palette } from '../../ui/palette';

/** Farther apart than so many stitches, two holes lie on both sides of the cut at the back, or of the start. */
const cutFrom = 3;

/** What is worked along lines of the part: each hole, and the thread from one to the next. */
export function MapLines({ part, map, scale }: { part: PartAnalysis; map: FabricMap; scale: number }) {
  const { widthMm } = part.map.gauge;
  return (
    <G>
      {part.lines.map(({ sentence, along, holes }) => {
        const points = holes.map(({ line, hole, azimuth }) =>
          holeOnMap(part.map, map, { line, hole, azimuth, seat: 'foot' }),
        );
        return (
          <G key={`${sentence.line} ${sentence.span.from} ${along}`}>
            {points.slice(1).map((to, i) => {
              const from = points[i]!;
              const isNear = Math.hypot(to.x - from.x, to.y - from.y) < widthMm * cutFrom;
              return isNear ? (
                <Line
                  key={i}
                  x1={from.x}
                  y1={from.y}
                  x2={to.x}
                  y2={to.y}
                  stroke={palette.thread}
                  strokeWidth={3 / scale}
                />
              ) : null;
            })}
            {points.map(({ x, y }, i) => (
              <Circle
                key={i}
                cx={x}
                cy={y}
                r={Math.max(widthMm * 0.18, 2 / scale)}
                fill={palette.ink}
                stroke={palette.thread}
                strokeWidth={1.5 / scale}
              />
            ))}
          </G>
        );
      })}
    </G>
  );
}
