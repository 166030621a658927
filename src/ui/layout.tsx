import type { ReactNode } from 'react';
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

/** One of two columns that share the width, where there is room for both. */
export const halfWide = { flexGrow: 1, flexShrink: 1, flexBasis: 0, minWidth: 0 } as const;

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

/** The two or three cards of a page, which share all of its width. */
export const fewCards: ViewStyle = {
  display: 'grid',
  gridTemplateColumns: 'repeat(auto-fit, minmax(min(100%, 340px), 1fr))',
} as unknown as ViewStyle;

/** Cards of a list, each as high as what it says, beside each other where there is room. */
export const CardList = ({ label, children }: { label: string; children: ReactNode }) => (
  <View
    render="ul"
    margin={0}
    padding={0}
    gap="$3"
    style={cardGrid}
    alignItems="flex-start"
    aria-label={label}
  >
    {children}
  </View>
);
