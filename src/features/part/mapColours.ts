/** The cutting mat and what is drawn on it. */
export const mapColours = { mat: '#0F4A45', grid: '#1A5750', thread: '#F7F4EA', marker: '#FF7A1A' };
