import type { ReactNode } from 'react';
import Svg from 'react-native-svg';
import { View } from '@tamagui/core';
import { Quiet } from './text';

interface DrawingProps {
  /** what it shows, for whoever does not see it */
  label: string;
  /** how to read it */
  words: string;
  /** its own measures, to which the children keep; it is shown as wide as there is room */
  width: number;
  height: number;
  children: ReactNode;
}

/** A drawing on a sheet of its own, with a line under it. */
export function Drawing({ label, words, width, height, children }: DrawingProps) {
  return (
    <View gap="$1">
      <View
        role="img"
        aria-label={label}
        backgroundColor="$sheet"
        borderRadius="$3"
        borderWidth={1}
        borderColor="$line"
        padding="$2"
        maxWidth={480}
      >
        <Svg width="100%" viewBox={`0 0 ${width} ${height}`} aria-hidden>
          {children}
        </Svg>
      </View>
      <Quiet>{words}</Quiet>
    </View>
  );
}
