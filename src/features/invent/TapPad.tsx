import { t } from '../../core/words/language';
import { Pressable } from 'react-native';
import { View } from '@tamagui/core';
import { Press } from '../../ui/Press';
import { Answer, Quiet } from '../../ui/text';
import type { RoundInHand } from './useRoundInHand';

interface KeyProps {
  label: string;
  words: string;
  disabled: boolean;
  onPress: () => void;
}

/** One thing the hook does, as large as a knuckle. */
function Key({ label, words, disabled, onPress }: KeyProps) {
  return (
    <Pressable
      role="button"
      aria-label={`${label}: ${words}`}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0 }}
    >
      <View
        minHeight={88}
        borderRadius="$3"
        borderWidth={1}
        borderColor={disabled ? '$line' : '$primary'}
        backgroundColor={disabled ? '$sheet' : '$primary'}
        alignItems="center"
        justifyContent="center"
        padding="$2"
      >
        <Answer color={disabled ? '$quiet' : '$onPrimary'}>{label}</Answer>
        <Quiet color={disabled ? '$quiet' : '$onPrimary'}>{words}</Quiet>
      </View>
    </Pressable>
  );
}

/** So many plain stitches at one tap. */
const several = 5;

/** What the hook does, to be tapped; what goes on by itself until the round is full; and the end of the round. */
export function TapPad({ round }: { round: RoundInHand }) {
  const { word, room, inRing, isFull, canClose, made, number, tap, back, same, plain, finish } = round;
  const { called, manner } = round;
  const isRing = inRing && !manner.rows;
  return (
    <View gap="$2">
      {canClose ? (
        <Press
          tone={isFull ? 'primary' : 'plain'}
          label={isRing ? t`The ring is closed: ${made} stitches` : t`${called} ${number} done: ${made}`}
          onPress={finish}
        />
      ) : null}
      <View flexDirection="row" gap="$2" role="group" aria-label={t`What you worked`}>
        <Key label={word} words={t`one plain`} disabled={room < 1} onPress={() => tap('plain', 1)} />
        {inRing ? null : (
          <>
            <Key label={t`inc`} words={t`two in one`} disabled={room < 1} onPress={() => tap('more', 1)} />
            <Key label={t`dec`} words={t`two together`} disabled={room < 2} onPress={() => tap('fewer', 1)} />
          </>
        )}
      </View>
      <View flexDirection="row" gap="$2">
        <Press
          grow
          label={`${several} ${word}`}
          disabled={room < several}
          onPress={() => tap('plain', several)}
        />
        <Press grow label={t`Take one back`} disabled={!back} onPress={() => back?.()} />
      </View>
      {inRing ? null : (
        <View flexDirection="row" gap="$2">
          <Press grow label={t`Same to the end`} disabled={!same} onPress={() => same?.()} />
          <Press grow label={t`Plain to the end`} disabled={!plain} onPress={() => plain?.()} />
        </View>
      )}
    </View>
  );
}
