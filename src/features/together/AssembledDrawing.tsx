import { t } from '../../core/words/language';
import { useMemo } from 'react';
import Svg, { Circle, G, Path } from 'react-native-svg';
import { View } from '@tamagui/core';
import { drawAssembled, type Patch, type ToyDrawing } from '../../core/toy/assembled';
import type { ToyAnalysis } from '../../core/toy/analyse';
import { palette } from '../../ui/palette';
import { Shapes } from '../../ui/ToyPicture';

interface AssembledDrawingProps {
  toy: ToyAnalysis;
  name: string;
  /** radians around the toy, to the right */
  yaw: number;
  /** how far it is pulled apart, in mm */
  pulled: number;
  height: number;
}

/** Pieces around each round: smooth enough to be read, few enough to turn under a thumb. */
export const segments = 16;
/** While it turns it is drawn by so many: a large toy follows the thumb. An odd number is nearly as wide from every side. */
const turningSegments = 9;
/** Bands that a turning toy is drawn by, about: a large one has several rounds in each. */
const turningBands = 38;

/** How finely a toy is drawn while it turns. */
export function turningDetail({ parts }: ToyAnalysis): { segments: number; rounds: number } {
  const rounds = parts.reduce((sum, { source, fabric }) => sum + source.make * fabric.rounds, 0);
  return { segments: turningSegments, rounds: Math.max(1, Math.round(rounds / turningBands)) };
}

export const marginMm = 8;

/** The toy put together, as it is seen from a side, on the mat. */
export function AssembledDrawing({ toy, name, yaw, pulled, height }: AssembledDrawingProps) {
  const drawing = useMemo(() => drawAssembled(toy, { yaw, pulled, segments }), [toy, yaw, pulled]);
  const { box } = drawing;
  const viewBox = [
    box.left - marginMm,
    box.top - marginMm,
    box.width + 2 * marginMm,
    box.height + 2 * marginMm,
  ].join(' ');
  return (
    <View backgroundColor="$mat" borderRadius="$3" overflow="hidden">
      <Svg width="100%" height={height} viewBox={viewBox} role="img" aria-label={t`${name}, put together`}>
        <DrawnUnits drawing={drawing} />
      </Svg>
    </View>
  );
}

/** What marks a unit bears an id that begins so: a saved picture leaves it out. */
export const markId = 'mark';

/** A unit that is marked, by its index, with all of it on the page and the knob it is drawn by; none where it can't be taken hold of. */
export interface MarkedUnit {
  index: number;
  outline: string;
  knob: { x: number; y: number; radius: number } | null;
}

/** What is drawn of a toy. Of a marked unit a line goes around all that shows: what stands before it covers the line too. */
export function DrawnUnits({
  drawing: { patches, on },
  marked = null,
}: {
  drawing: ToyDrawing;
  marked?: MarkedUnit | null;
}) {
  const knob = marked?.knob;
  const own = patches.flatMap(({ unit }, i) => (unit === marked?.index ? [i] : []));
  // Where half of it is drawn: what comes later stands before it, what came earlier behind.
  const middle = own[own.length >> 1] ?? -1;
  const behind = patches.slice(0, Math.max(0, middle));
  return (
    <>
      <G strokeWidth={0.4} strokeLinejoin="round">
        {patches.map((patch, i) => (
          <G key={i}>
            {i === middle && marked ? (
              <G id={`${markId}-line`}>
                <Path d={marked.outline} stroke={palette.marker} strokeWidth={4} />
                {behind.map((one, k) => (one.unit === marked.index ? <PatchPath key={k} {...one} /> : null))}
              </G>
            ) : null}
            <PatchPath {...patch} />
          </G>
        ))}
      </G>
      <Shapes shapes={on} />
      {knob ? (
        <Circle
          id={`${markId}-knob`}
          cx={knob.x}
          cy={knob.y}
          r={knob.radius}
          fill={palette.marker}
          stroke={palette.thread}
          strokeWidth={knob.radius / 3}
        />
      ) : null}
    </>
  );
}

const PatchPath = ({ d, colour }: Pick<Patch, 'd' | 'colour'>) => (
  <Path d={d} fill={colour} stroke={colour} />
);
