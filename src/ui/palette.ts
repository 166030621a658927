/**
 * Colours that are the same in the light and in the dark: the cutting mat with what is drawn on it, and what things are made of. The
 * theme takes those it has from here; drawings that are no Tamagui elements take them directly.
 */
export const palette = {
  mat: '#0F4A45',
  matGrid: '#1A5750',
  thread: '#F7F4EA',
  marker: '#FF7A1A',
  onMarker: '#2A1000',
  /** on what is marked in the three dimensions, so that it shows in its own shade */
  markerGlow: '#8A3A00',
  /** shade and outline on the mat */
  shade: '#10302E',
  ink: '#161616',
  danger: '#B3261E',
  chosen: '#A996FF',
  paper: '#FFFFFF',
  onDark: '#FBFCFA',
  /** a pressed eye, its shine, and the washer behind it */
  eye: '#141414',
  eyeShine: '#BBBBBB',
  glint: '#FFFFFF',
  washer: '#E8E6DF',
  /** yarn of which nothing is known, and the outline of pale yarn */
  yarn: '#DCC8A4',
  yarnUnknown: '#FFFFFF',
  yarnOutline: '#8D7A6A',
  sun: '#FFF6EA',
  daylight: '#EEF2EE',
} as const;
