import { t } from '../../core/words/language';
import { useState } from 'react';
import { View as Box } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { palette } from '../../ui/palette';

const colours = palette;
const [across, rounds] = [14, 12];

/** A swatch of plain stitches: columns lean by `lean` stitches a round, against the direction of work (to the left going up). */
function stitches(lean: number, width: number, height: number): string {
  let d = '';
  for (let round = 0; round < rounds; round += 1) {
    for (let stitch = -4; stitch < across + 5; stitch += 1) {
      const x = (stitch - lean * round + 0.5) * width;
      const y = (rounds - round) * height;
      d += `M${x - 0.36 * width - lean * 0.5 * width} ${y - 0.98 * height}L${x} ${y - 0.12 * height}L${x + 0.36 * width - lean * 0.5 * width} ${y - 0.98 * height}`;
    }
  }
  return d;
}

/** What to lay the ruler on: ten stitches across and ten rounds up, in the middle of the swatch. */
export function SwatchDrawing() {
  const [width, setWidth] = useState(0);
  const w = width / across;
  const h = w * 0.96;
  const high = rounds * h;
  return (
    <Box
      style={{ backgroundColor: colours.mat, borderRadius: 14, overflow: 'hidden' }}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
    >
      {width > 0 ? (
        <Svg
          width={width}
          height={high}
          role="img"
          aria-label={t`Ten stitches across and ten rounds up, framed in the middle of a swatch`}
        >
          <Path
            d={stitches(0, w, h)}
            stroke={colours.yarn}
            strokeWidth={w * 0.26}
            strokeLinecap="round"
            strokeLinejoin="round"
            fill="none"
            opacity={0.85}
          />
          <Rect
            x={2 * w}
            y={h}
            width={10 * w}
            height={10 * h}
            fill="none"
            stroke={colours.marker}
            strokeWidth={3}
          />
          <G>
            {Array.from({ length: 11 }, (_, i) => (
              <Line
                key={i}
                x1={(2 + i) * w}
                x2={(2 + i) * w}
                y1={h}
                y2={h - (i % 5 === 0 ? 12 : 7)}
                stroke={colours.marker}
                strokeWidth={2}
              />
            ))}
            {Array.from({ length: 11 }, (_, i) => (
              <Line
                key={i}
                y1={(1 + i) * h}
                y2={(1 + i) * h}
                x1={2 * w}
                x2={2 * w - (i % 5 === 0 ? 12 : 7)}
                stroke={colours.marker}
                strokeWidth={2}
              />
            ))}
          </G>
          <Label x={7 * w} y={11 * h - 8} words={t`10 stitches`} />
          <Label x={10.2 * w} y={6 * h} words={t`10 rounds`} />
        </Svg>
      ) : null}
    </Box>
  );
}

/** What to count for the lean: from where the first stitch went straight up to where the round really begins ten rounds later. */
export function LeanDrawing({ wandered }: { wandered: number }) {
  const [width, setWidth] = useState(0);
  const w = width / across;
  const h = w * 0.96;
  const top = h;
  const bottom = 11 * h;
  const begin = 9 * w;
  return (
    <Box
      style={{ backgroundColor: colours.mat, borderRadius: 14, overflow: 'hidden' }}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
    >
      {width > 0 ? (
        <Svg
          width={width}
          height={rounds * h}
          role="img"
          aria-label={t`Ten rounds up, the first stitch has wandered ${wandered} stitches to the side`}
        >
          <Path
            d={stitches(wandered / 10, w, h)}
            stroke={colours.yarn}
            strokeWidth={w * 0.26}
            strokeLinecap="round"
            strokeLinejoin="round"
            fill="none"
            opacity={0.85}
          />
          <Line
            x1={begin}
            x2={begin}
            y1={bottom}
            y2={top}
            stroke={colours.thread}
            strokeWidth={2}
            strokeDasharray="3 7"
          />
          <Line
            x1={begin}
            x2={begin - wandered * w}
            y1={bottom}
            y2={top}
            stroke={colours.marker}
            strokeWidth={4}
            strokeLinecap="round"
          />
          <Line
            x1={begin}
            x2={begin - wandered * w}
            y1={top}
            y2={top}
            stroke={colours.marker}
            strokeWidth={4}
            strokeLinecap="round"
          />
          <Label x={begin - (wandered * w) / 2} y={top + 22} words={t`${wandered} stitches`} />
          <Label x={begin} y={bottom + h * 0.7} words={t`first stitch`} />
        </Svg>
      ) : null}
    </Box>
  );
}

function Label({ x, y, words }: { x: number; y: number; words: string }) {
  const type = {
    x,
    y,
    fontSize: 16,
    fontFamily: 'AtkinsonHyperlegibleNext_700Bold',
    textAnchor: 'middle',
  } as const;
  return (
    <G>
      <SvgText {...type} fill={colours.mat} stroke={colours.mat} strokeWidth={6} strokeLinejoin="round">
        {words}
      </SvgText>
      <SvgText {...type} fill={colours.thread}>
        {words}
      </SvgText>
    </G>
  );
}
