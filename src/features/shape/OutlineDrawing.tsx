import { t } from '../../core/words/language';
import { useTheme, View as Box } from '@tamagui/core';
import { useState } from 'react';
import { Circle, Path, Svg } from 'react-native-svg';
import type { OutlinePoint } from '../../core/shape/forms/meridian';
import type { PartAnalysis } from '../../core/toy/analysis';
import { stuffedPart } from '../../core/toy/stuffedPart';
import type { WantedSize } from '../../core/edit/stretchTo';
import { Handle } from '../../ui/Handle';

const height = 300;
const margin = 34;
const grip = 11;

interface OutlineDrawingProps {
  name: string;
  /** the part as it is, and as it would be */
  before: PartAnalysis;
  after: PartAnalysis;
  /** what is asked for, where the corner is drawn to */
  wanted: WantedSize;
  onWant: (size: WantedSize) => void;
  /** a step of the arrow keys, in mm */
  step: number;
}

/** Half the outline of a part from its start: distance from the axis and way along it, in mm. */
function outlineOf(part: PartAnalysis): OutlinePoint[] {
  const { radius, z } = stuffedPart(part);
  return [{ r: 0, z: 0 }, ...Array.from(radius, (r, i) => ({ r, z: z[i] ?? 0 }))];
}

interface View {
  /** px a mm */
  mm: number;
  middle: number;
  top: number;
}

const largest = (points: readonly OutlinePoint[]): OutlinePoint => ({
  r: Math.max(...points.map(({ r }) => r)),
  z: Math.max(...points.map(({ z }) => z)),
});

/** Where two outlines are drawn: the scale goes by the part as it is, so that what grows is seen to grow. */
function viewOf(was: readonly OutlinePoint[], is: readonly OutlinePoint[], width: number): View {
  const [old, now] = [largest(was), largest(is)];
  const high = Math.max(old.z, now.z);
  const mm = Math.min((width - 2 * margin) / (2.6 * old.r), (height - 2 * margin) / (1.2 * high));
  return { mm, middle: width / 2, top: (height - high * mm) / 2 };
}

function pathOf(points: readonly OutlinePoint[], { mm, middle, top }: View, isStartBelow: boolean): string {
  const high = largest(points).z;
  const y = (z: number) => (top + (isStartBelow ? high - z : z) * mm).toFixed(1);
  const right = points.map(({ r, z }) => `${(middle + r * mm).toFixed(1)} ${y(z)}`);
  const left = [...points].reverse().map(({ r, z }) => `${(middle - r * mm).toFixed(1)} ${y(z)}`);
  return `M${[...right, ...left].join('L')}Z`;
}

/** The corner that is drawn at, and what a place of the drawing asks for. */
function cornerOf({ mm, middle, top }: View, { wanted, onWant, step }: OutlineDrawingProps) {
  const whole = (size: number) => Math.round(Math.max(4, size) / step) * step;
  return {
    at: { x: middle + (wanted.acrossMm / 2) * mm, y: top + wanted.alongMm * mm },
    drawn(x: number, y: number): boolean {
      const next = { acrossMm: whole((2 * (x - middle)) / mm), alongMm: whole((y - top) / mm) };
      const isOther = next.acrossMm !== wanted.acrossMm || next.alongMm !== wanted.alongMm;
      if (isOther) onWant(next);
      return isOther;
    },
    byKey(key: 'up' | 'down' | 'left' | 'right') {
      const wider = key === 'right' ? step : key === 'left' ? -step : 0;
      const longer = key === 'down' ? step : key === 'up' ? -step : 0;
      onWant({ acrossMm: wanted.acrossMm + wider, alongMm: wanted.alongMm + longer });
    },
  };
}

/** The outline of a part, what it becomes over it, and its corner to draw at by thumb or by the arrow keys. */
export function OutlineDrawing(props: OutlineDrawingProps) {
  const { name, before, after } = props;
  const theme = useTheme();
  const [width, setWidth] = useState(340);
  const [was, is] = [outlineOf(before), outlineOf(after)];
  const view = viewOf(was, is, width);
  const isStartBelow = before.source.start === 'bottom';
  const { at, drawn, byKey } = cornerOf(view, props);
  const thread = theme.thread?.val;
  return (
    <Box
      backgroundColor="$mat"
      borderRadius="$3"
      overflow="hidden"
      height={height}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      <Svg
        width={width}
        height={height}
        role="img"
        aria-label={t`${name}, its outline as it is and as it would be`}
      >
        <Path
          d={pathOf(is, view, isStartBelow)}
          fill={thread}
          fillOpacity={0.28}
          stroke={thread}
          strokeWidth={2}
        />
        <Path
          d={pathOf(was, view, isStartBelow)}
          fill="none"
          stroke={thread}
          strokeWidth={1.5}
          strokeDasharray="5 5"
        />
        <Circle cx={at.x} cy={at.y} r={grip} fill={theme.marker?.val} />
      </Svg>
      <Handle
        name={t`Corner of the outline. Arrow keys make it wider, narrower, longer, shorter.`}
        x={at.x}
        y={at.y}
        onDrag={drawn}
        onKey={byKey}
        onTap={() => undefined}
      />
    </Box>
  );
}
