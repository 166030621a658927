import { View } from '@tamagui/core';
import { Notice } from '../../ui/Notice';
import { Body } from '../../ui/text';

/** Sentences that name a stitch by its number, which now lies elsewhere. */
export function LookAtThese({ sentences }: { sentences: readonly string[] }) {
  if (sentences.length === 0) return null;
  return (
    <Notice tone="look">
      {sentences.length === 1 ? 'this sentence names' : 'these sentences name'} a stitch by its number, and
      that stitch now lies elsewhere. Look where it should be:
      <View gap="$1" paddingTop="$1">
        {sentences.map((sentence) => (
          <Body key={sentence}>“{sentence}”</Body>
        ))}
      </View>
    </Notice>
  );
}
