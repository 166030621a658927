import { useMemo } from 'react';
import Svg, { G, Path } from 'react-native-svg';
import { View } from '@tamagui/core';
import { drawAssembled } from '../../core/toy/assembled';
import { Shapes } from '../../ui/ToyPicture';
import type { ToyAnalysis } from '../../core/toy/analyse';

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
const segments = 16;
const marginMm = 8;

/** The toy put together, as it is seen from a side, on the mat. */
export function AssembledDrawing({ toy, name, yaw, pulled, height }: AssembledDrawingProps) {
  const { patches, on, box } = useMemo(
    () => drawAssembled(toy, { yaw, pulled, segments }),
    [toy, yaw, pulled],
  );
  const viewBox = [
    box.left - marginMm,
    box.top - marginMm,
    box.width + 2 * marginMm,
    box.height + 2 * marginMm,
  ].join(' ');
  return (
    <View backgroundColor="$mat" borderRadius="$3" overflow="hidden">
      <Svg width="100%" height={height} viewBox={viewBox} role="img" aria-label={`${name}, put together`}>
        <G strokeWidth={0.4} strokeLinejoin="round">
          {patches.map(({ d, colour }, i) => (
            <Path key={i} d={d} fill={colour} stroke={colour} />
          ))}
        </G>
        <Shapes shapes={on} />
      </Svg>
    </View>
  );
}
