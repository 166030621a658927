import { type ReactNode } from 'react';
import { Pressable, type StyleProp, type ViewStyle } from 'react-native';
import { styled, View } from '@tamagui/core';
import { Body } from './text';

const Face = styled(View, {
  minHeight: 48,
  paddingHorizontal: '$4',
  paddingVertical: '$2',
  borderRadius: '$2',
  borderWidth: 1,
  flexDirection: 'row',
  alignItems: 'center',
  justifyContent: 'center',
  gap: '$2',
  variants: {
    tone: {
      primary: { backgroundColor: '$primary', borderColor: '$primary' },
      plain: { backgroundColor: '$sheet', borderColor: '$edge' },
      quiet: { backgroundColor: 'transparent', borderColor: 'transparent' },
      danger: { backgroundColor: '$sheet', borderColor: '$danger' },
    },
    chosen: { true: { backgroundColor: '$primary', borderColor: '$primary' } },
    faint: { true: { opacity: 0.45 } },
  } as const,
});

export interface PressProps {
  label?: string;
  /** what is said aloud, where the label alone would not do */
  name?: string;
  icon?: ReactNode;
  tone?: 'primary' | 'plain' | 'quiet' | 'danger';
  chosen?: boolean;
  disabled?: boolean;
  /** a choice among several, or a page to go to, instead of an act */
  role?: 'button' | 'tab' | 'radio' | 'link' | 'switch';
  grow?: boolean;
  /** the sign above its word */
  stacked?: boolean;
  /** one of many in a line: no more room at its sides than it needs */
  tight?: boolean;
  onPress: () => void;
}

/** A button a knuckle can hit. */
export function Press({
  label,
  name,
  icon,
  tone = 'plain',
  chosen = false,
  disabled = false,
  role = 'button',
  grow = false,
  stacked = false,
  tight = false,
  onPress,
}: PressProps) {
  const style: StyleProp<ViewStyle> = grow ? { flexGrow: 1, flexShrink: 1, flexBasis: 0 } : undefined;
  const ink = chosen || tone === 'primary' ? '$onPrimary' : tone === 'danger' ? '$danger' : '$color';
  return (
    <Pressable
      style={style}
      role={role}
      aria-label={name ?? label}
      aria-disabled={disabled || undefined}
      aria-selected={role === 'tab' ? chosen : undefined}
      aria-checked={role === 'radio' || role === 'switch' ? chosen : undefined}
      disabled={disabled}
      onPress={onPress}
    >
      <Face
        tone={tone}
        chosen={chosen}
        faint={disabled}
        paddingHorizontal={label && !stacked && !tight ? '$4' : '$2'}
        flexDirection={stacked ? 'column' : 'row'}
        gap={stacked ? '$1' : '$2'}
        minWidth={48}
      >
        {icon ? <View flexShrink={0}>{icon}</View> : null}
        {label ? (
          <Body color={ink} flexShrink={1} fontWeight={tone === 'primary' ? '700' : '400'} textAlign="center">
            {label}
          </Body>
        ) : null}
      </Face>
    </Pressable>
  );
}
