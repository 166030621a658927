import type { ViewStyle } from 'react-native';
import { styled, View } from '@tamagui/core';

/** Takes the room that is left, and never more. */
export const Fill = styled(View, {
  name: 'Fill',
  flexGrow: 1,
  flexShrink: 1,
  flexBasis: 0,
  minHeight: 0,
  minWidth: 0,
});

/** Things beside each other, in the middle of the line, with the usual room between. */
export const Row = styled(View, {
  name: 'Row',
  flexDirection: 'row',
  alignItems: 'center',
  gap: '$2',
});

/** A sheet of its own on the page. */
export const Card = styled(View, {
  name: 'Card',
  backgroundColor: '$sheet',
  borderRadius: '$3',
  borderWidth: 1,
  borderColor: '$line',
  padding: '$3',
});

/** As many cards beside each other as there is room for; one below the other on a phone. */
export const cardGrid: ViewStyle = {
  display: 'grid',
  gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 340px), 1fr))',
} as unknown as ViewStyle;
