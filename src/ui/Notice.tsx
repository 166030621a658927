import { t } from '../core/words/language';
import type { ReactNode } from 'react';
import { View } from '@tamagui/core';
import { Body } from './text';

const tones = { look: '$marker', wrong: '$danger', good: '$good', plain: '$edge' } as const;
const signs = { look: () => t`Look`, wrong: () => t`Wrong`, good: () => t`Good`, plain: null } as const;

/** A message with its sign and, below it, what can be done. The colour is never the only sign. */
export function Notice({
  tone,
  children,
  actions,
  live = false,
}: {
  tone: keyof typeof tones;
  children: ReactNode;
  actions?: ReactNode;
  live?: boolean;
}) {
  const sign = signs[tone]?.() ?? null;
  return (
    <View
      role={live ? 'status' : undefined}
      backgroundColor={tone === 'look' ? '$notice' : '$sheet'}
      borderLeftWidth={4}
      borderColor={tones[tone]}
      borderRadius="$1"
      paddingHorizontal="$3"
      paddingVertical="$2"
      gap="$2"
    >
      <Body>
        {sign ? <Body fontWeight="700">{sign}: </Body> : null}
        {children}
      </Body>
      {actions ? (
        <View flexDirection="row" flexWrap="wrap" gap="$2">
          {actions}
        </View>
      ) : null}
    </View>
  );
}
