import { View } from '@tamagui/core';
import { Answer, Quiet } from './text';

/** A number and, under it, what it is. */
export function Figure({ value, words }: { value: string; words: string }) {
  return (
    <View flexShrink={1} flexGrow={1} flexBasis={132} minWidth={84}>
      <Answer fontSize="$5" lineHeight="$5">
        {value}
      </Answer>
      <Quiet>{words}</Quiet>
    </View>
  );
}
