import { createFont, createTamagui, createTokens } from '@tamagui/core';
import { palette } from './palette';

/** Sizes follow an 8-px rhythm; touch targets are 44 px and up. */
const tokens = createTokens({
  size: { 0: 0, 1: 4, 2: 8, 3: 12, 4: 16, 5: 24, 6: 32, 7: 44, 8: 56, 9: 72, true: 44 },
  space: { 0: 0, 1: 4, 2: 8, 3: 12, 4: 16, 5: 24, 6: 32, 7: 44, true: 16 },
  radius: { 0: 0, 1: 6, 2: 10, 3: 14, 4: 18, true: 10 },
  zIndex: { 0: 0, 1: 10, 2: 100, true: 0 },
  color: {
    mat: palette.mat,
    matGrid: palette.matGrid,
    thread: palette.thread,
    marker: palette.marker,
    onMarker: palette.onMarker,
  },
});

/** One set of steps for both families: 15 is the smallest text that stands anywhere, 18 the text to read at arm's length. */
const sizes = { 1: 14, 2: 15, 3: 17, 4: 18, 5: 22, 6: 28, 7: 36, 8: 48, true: 17 };
const lineHeight = { 1: 19, 2: 21, 3: 24, 4: 26, 5: 28, 6: 33, 7: 40, 8: 52, true: 24 };

const body = createFont({
  family: 'AtkinsonHyperlegibleNext_400Regular, "Atkinson Hyperlegible Next", system-ui, sans-serif',
  size: sizes,
  lineHeight,
  weight: { 4: '400', 7: '700', true: '400' },
  letterSpacing: { 4: 0, true: 0 },
  face: {
    400: { normal: 'AtkinsonHyperlegibleNext_400Regular' },
    700: { normal: 'AtkinsonHyperlegibleNext_700Bold' },
  },
});

const heading = createFont({
  family: 'BricolageGrotesque_700Bold, "Bricolage Grotesque", system-ui, sans-serif',
  size: sizes,
  lineHeight,
  weight: { 7: '700', true: '700' },
  letterSpacing: { 4: -0.2, 6: -0.6, 7: -1, 8: -1.5, true: -0.2 },
  face: { 700: { normal: 'BricolageGrotesque_700Bold' } },
});

const light = {
  background: '#EDF1EE',
  sheet: '#FBFCFA',
  color: '#10302E',
  quiet: '#4A6461',
  line: '#CBD6D1',
  selection: '#5B3FD6',
  good: '#1E7F4F',
  danger: '#B3261E',
  notice: '#FFF1E4',
  primary: '#10302E',
  onPrimary: '#FBFCFA',
  edge: '#6E8580',
};
const dark: typeof light = {
  background: '#0E1615',
  sheet: '#17211F',
  color: '#E9F1EE',
  quiet: '#A9C2BC',
  line: '#2B3B38',
  selection: '#A996FF',
  good: '#5CC58E',
  danger: '#FF8A80',
  notice: '#2B2017',
  primary: '#F7F4EA',
  onPrimary: '#10302E',
  edge: '#6E8580',
};

export const config = createTamagui({
  tokens,
  fonts: { body, heading },
  themes: { light, dark },
  defaultFont: 'body',
  media: { wide: { minWidth: 1000 } },
  settings: { allowedStyleValues: false, fastSchemeChange: true },
});

export type AppConfig = typeof config;

declare module '@tamagui/core' {
  interface TamaguiCustomConfig extends AppConfig {}
}
