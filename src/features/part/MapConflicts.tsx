import { Circle, G, Line, Text as SvgText } from 'react-native-svg';
import { palette } from '../../ui/palette';
import type { ConflictMark } from '../../core/place/check/marks';
import { holeOnMap, type FabricMap } from '../../core/shape/map';
import type { PartAnalysis } from '../../core/toy/analyse';

const { danger, thread: light } = palette;

/** What is not right, where it is: a dashed ring for what has no room, a bar for a middle that misses the front, each with its sign. */
export function MapConflicts({
  part,
  map,
  marks,
  scale,
}: {
  part: PartAnalysis;
  map: FabricMap;
  marks: readonly ConflictMark[];
  scale: number;
}) {
  return (
    <G>
      {marks.map((mark) => {
        const [a, b] = mark.ends.map(({ line, hole }) =>
          holeOnMap(part.map, map, { line, hole, azimuth: mark.azimuth, seat: mark.seat }),
        );
        if (!a || !b) return null;
        const { x, y } = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
        const sign =
          mark.radiusMm === null
            ? { x, y: y + 20 / scale }
            : { x: x + mark.radiusMm * 0.75, y: y - mark.radiusMm * 0.75 };
        return (
          <G key={`${mark.id}${mark.code}${mark.azimuth}`}>
            {mark.radiusMm === null ? (
              <Line
                x1={x}
                x2={x}
                y1={y - 11 / scale}
                y2={y + 11 / scale}
                stroke={light}
                strokeWidth={3 / scale}
              />
            ) : (
              <Circle
                cx={x}
                cy={y}
                r={mark.radiusMm}
                fill="none"
                stroke={light}
                strokeWidth={2.2 / scale}
                strokeDasharray={`${5 / scale} ${4 / scale}`}
              />
            )}
            <Circle
              cx={sign.x}
              cy={sign.y}
              r={9 / scale}
              fill={danger}
              stroke={light}
              strokeWidth={1.5 / scale}
            />
            <SvgText
              x={sign.x}
              y={sign.y + 5 / scale}
              fontSize={14 / scale}
              fontFamily="AtkinsonHyperlegibleNext_700Bold"
              textAnchor="middle"
              fill={light}
            >
              !
            </SvgText>
          </G>
        );
      })}
    </G>
  );
}
