import { styled, Text } from '@tamagui/core';

export const Body = styled(Text, {
  fontFamily: '$body',
  fontSize: '$3',
  lineHeight: '$3',
  color: '$color',
  style: { fontVariantNumeric: 'tabular-nums' },
});

export const Quiet = styled(Body, { color: '$quiet', fontSize: '$2', lineHeight: '$2' });

export const Title = styled(Text, {
  fontFamily: '$heading',
  fontWeight: '700',
  color: '$color',
  fontSize: '$5',
  lineHeight: '$5',
  role: 'heading',
});

/** The answer: the biggest thing on the screen. */
export const Answer = styled(Text, {
  fontFamily: '$heading',
  fontWeight: '700',
  color: '$color',
  fontSize: '$6',
  lineHeight: '$6',
  letterSpacing: -0.6,
  style: { fontVariantNumeric: 'tabular-nums' },
});
