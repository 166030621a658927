import { useMemo, useState } from 'react';
import { View as Box } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import Svg, { Circle, G, Path, Polyline } from 'react-native-svg';
import { palette } from '../../ui/palette';
import type { Side } from '../../core/shape/form/sight';
import { needsOutline } from '../../core/supplies/yarnColour';
import type { DrawnForm } from './drawnForm';

/** Angles to look from, in radians: around the upright axis, and over it. */
export const sideAngles: Record<Side, { around: number; over: number }> = {
  front: { around: 0, over: 0 },
  back: { around: Math.PI, over: 0 },
  left: { around: Math.PI / 2, over: 0 },
  right: { around: -Math.PI / 2, over: 0 },
  top: { around: 0, over: Math.PI / 2 },
  underneath: { around: 0, over: -Math.PI / 2 },
};

interface FormDrawingProps {
  label: string;
  drawn: DrawnForm;
  angles: { around: number; over: number };
  onTurn: (angles: { around: number; over: number }) => void;
  onPick: (stitch: number | null) => void;
}

/** The form drawn in strokes, for machines that can't draw in three dimensions: the same stitches, turned and tapped the same way. */
export function FormDrawing({ label, drawn, angles, onTurn, onPick }: FormDrawingProps) {
  const [size, setSize] = useState({ width: 0, height: 0 });
  const { placed, frames, colours, step } = drawn;
  const reach = useMemo(
    () => placed.reduce((most, value) => Math.max(most, Math.abs(value)), 10) * 1.35,
    [placed],
  );
  const scale = Math.min(size.width, size.height) / (2 * reach) || 1;
  const [ca, sa, co, so] = [
    Math.cos(angles.around),
    Math.sin(angles.around),
    Math.cos(angles.over),
    Math.sin(angles.over),
  ];
  const turned = ([x, y, z]: readonly [number, number, number]) => {
    const [tx, tz] = [x * ca + z * sa, z * ca - x * sa];
    return {
      x: tx * scale + size.width / 2,
      y: size.height / 2 - (y * co - tz * so) * scale,
      depth: y * so + tz * co,
    };
  };
  const strokes = frames
    .flatMap(({ look, stitch, matrices }) =>
      Array.from(stitch, (index, i) => {
        const column = (k: number): [number, number, number] => [
          matrices[i * 16 + k * 4]!,
          matrices[i * 16 + k * 4 + 1]!,
          matrices[i * 16 + k * 4 + 2]!,
        ];
        const [along, up, out, foot] = [column(0), column(1), column(2), column(3)];
        const facing = out[0] * -sa * co + out[1] * so + out[2] * ca * co;
        if (facing < 0) return null;
        const at = (x: number, y: number) =>
          turned([
            foot[0] + along[0] * x + up[0] * y,
            foot[1] + along[1] * x + up[1] * y,
            foot[2] + along[2] * x + up[2] * y,
          ]);
        const points =
          look === 'decrease'
            ? [at(-0.45, 0.05), at(0, 1), at(0.45, 0.05)]
            : look === 'loop'
              ? [at(-0.5, 0.1), at(0.5, 0.1)]
              : [at(-0.36, 1.05), at(0, 0.1), at(0.36, 1.05)];
        return {
          index,
          depth: points[1]?.depth ?? 0,
          faint: facing < step * 0.35,
          d: points
            .map((point, k) => `${k === 0 ? 'M' : 'L'}${point.x.toFixed(1)} ${point.y.toFixed(1)}`)
            .join(''),
        };
      }),
    )
    .filter((stroke) => stroke !== null)
    .sort((a, b) => a.depth - b.depth);

  const gesture = Gesture.Exclusive(
    Gesture.Pan()
      .runOnJS(true)
      .minDistance(5)
      .onChange((event) =>
        onTurn({
          around: angles.around + event.changeX / 120,
          over: Math.max(-Math.PI / 2, Math.min(Math.PI / 2, angles.over + event.changeY / 120)),
        }),
      ),
    Gesture.Tap()
      .runOnJS(true)
      .onEnd((event) => {
        let [best, near]: [number | null, number] = [null, (step * scale) ** 2];
        for (const { index } of strokes) {
          const at = turned([placed[index * 3]!, placed[index * 3 + 1]!, placed[index * 3 + 2]!]);
          const far = (at.x - event.x) ** 2 + (at.y - event.y) ** 2;
          if (far < near) [best, near] = [index, far];
        }
        onPick(best);
      }),
  );
  const faces = ([x, y, z]: readonly [number, number, number]) => -x * sa * co + y * so + z * ca * co > -0.2;
  const visible = (stitch: number) => faces(drawn.outward(stitch));
  const spot = (stitch: number) =>
    turned([placed[stitch * 3] ?? 0, placed[stitch * 3 + 1] ?? 0, placed[stitch * 3 + 2] ?? 0]);
  const marked = [
    ...new Set([...(drawn.selected === null ? [] : [drawn.selected]), ...drawn.measured]),
  ].filter(visible);
  return (
    <GestureDetector gesture={gesture}>
      <Box
        style={{ flex: 1 }}
        onLayout={(event) =>
          setSize({ width: event.nativeEvent.layout.width, height: event.nativeEvent.layout.height })
        }
      >
        {size.width > 0 ? (
          <Svg width={size.width} height={size.height} role="img" aria-label={label}>
            <G fill="none" strokeLinecap="round" strokeLinejoin="round">
              {strokes.map(({ index, d, faint }, i) => {
                const colour = colours[index] ?? palette.yarnUnknown;
                return (
                  <Path
                    key={i}
                    d={d}
                    stroke={needsOutline(colour) ? palette.yarnOutline : colour}
                    strokeWidth={step * scale * (faint ? 0.28 : 0.4)}
                    strokeOpacity={faint ? 0.6 : 1}
                  />
                );
              })}
            </G>
            {drawn.eyes.map(({ at, out, radius }, i) => {
              const shown = -out[0] * sa * co + out[1] * so + out[2] * ca * co > 0;
              const { x, y } = turned(at);
              return shown ? <Circle key={i} cx={x} cy={y} r={radius * scale} fill={palette.eye} /> : null;
            })}
            {drawn.patches.map(({ at, radius, colour }, i) => {
              const { x, y } = turned(at.at);
              return faces(at.out) ? (
                <Circle key={`p${i}`} cx={x} cy={y} r={radius * scale} fill={colour} />
              ) : null;
            })}
            {drawn.strokes.map(({ from, to, colour }, i) => {
              const [a, b] = [turned(from.at), turned(to.at)];
              return faces(from.out) ? (
                <Path
                  key={`n${i}`}
                  d={`M${a.x} ${a.y}L${b.x} ${b.y}`}
                  stroke={colour}
                  strokeWidth={step * scale * 0.34}
                  strokeLinecap="round"
                />
              ) : null;
            })}
            {drawn.tape.length > 1 ? (
              <Polyline
                points={drawn.tape
                  .map(spot)
                  .map(({ x, y }) => `${x},${y}`)
                  .join(' ')}
                fill="none"
                stroke={palette.marker}
                strokeWidth={2}
              />
            ) : null}
            {marked.map((stitch) => {
              const { x, y } = spot(stitch);
              return (
                <Circle
                  key={stitch}
                  cx={x}
                  cy={y}
                  r={step * scale * 0.8}
                  fill="none"
                  stroke={palette.marker}
                  strokeWidth={3}
                />
              );
            })}
          </Svg>
        ) : null}
      </Box>
    </GestureDetector>
  );
}
