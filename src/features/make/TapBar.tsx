import { t, tAs } from '../../core/words/language';
import { memo } from 'react';
import { Pressable } from 'react-native';
import { View } from '@tamagui/core';
import { Icon } from '../../ui/Icon';
import { Answer, Body } from '../../ui/text';

interface TapBarProps {
  label: string;
  canGoOn: boolean;
  onNext: () => void;
  onBack: () => void;
}

/** What the thumb rests on: one wide place to go on, one beside it to take a tap back. */
export const TapBar = memo(function TapBar({ label, canGoOn, onNext, onBack }: TapBarProps) {
  return (
    <View flexDirection="row" gap="$2">
      <Pressable role="button" aria-label={t`One step back`} onPress={onBack}>
        <View
          width={72}
          minHeight={104}
          borderRadius="$3"
          borderWidth={1}
          borderColor="$edge"
          backgroundColor="$sheet"
          alignItems="center"
          justifyContent="center"
          gap="$1"
        >
          <Icon name="undo" size={28} />
          <Body fontSize="$2">{tAs('undo')`Back`}</Body>
        </View>
      </Pressable>
      <Pressable
        role="button"
        aria-label={label}
        onPress={onNext}
        style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0 }}
      >
        <View
          minHeight={104}
          borderRadius="$3"
          borderWidth={1}
          borderColor="$primary"
          backgroundColor={canGoOn ? '$primary' : '$sheet'}
          alignItems="center"
          justifyContent="center"
          padding="$2"
        >
          <Answer color={canGoOn ? '$onPrimary' : '$color'} textAlign="center">
            {label}
          </Answer>
        </View>
      </Pressable>
    </View>
  );
});
