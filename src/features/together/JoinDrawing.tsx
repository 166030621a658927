import { t } from '../../core/words/language';
import Svg, { Circle, G, Polyline, Text as SvgText } from 'react-native-svg';
import { View } from '@tamagui/core';
import {
  pictureWidth,
  wordsHeight,
  type JoinPicture,
  type MarkTone,
  type PictureMark,
} from '../../core/join/joinPicture';
import { palette } from '../../ui/palette';
import { Quiet } from '../../ui/text';

const colours: Readonly<Record<MarkTone, string>> = {
  round: palette.matGrid,
  fabric: palette.yarn,
  piece: palette.chosen,
  way: palette.thread,
  pin: palette.marker,
};
const widths: Readonly<Record<MarkTone, number>> = { round: 3, fabric: 1.6, piece: 4, way: 1.8, pin: 2 };

/** One join drawn on its own stitches; the same is said in words beside it. */
export function JoinDrawing({ picture, name }: { picture: JoinPicture; name: string }) {
  const { height, marks, says } = picture;
  return (
    <View gap="$1">
      <View
        borderRadius="$3"
        overflow="hidden"
        backgroundColor="$mat"
        role="img"
        aria-label={t`${name}, how it is joined`}
      >
        <Svg width="100%" viewBox={`0 0 ${pictureWidth} ${Math.round(height)}`} aria-hidden>
          {marks.map((mark, i) => (
            <Mark key={i} mark={mark} />
          ))}
        </Svg>
      </View>
      <Quiet>{says}</Quiet>
    </View>
  );
}

function Mark({ mark }: { mark: PictureMark }) {
  if (mark.kind === 'line')
    return (
      <Polyline
        points={mark.points.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ')}
        fill="none"
        stroke={colours[mark.tone]}
        strokeWidth={widths[mark.tone]}
        strokeLinecap="round"
        strokeLinejoin="round"
        strokeDasharray={mark.tone === 'way' ? '4 3' : undefined}
      />
    );
  if (mark.kind === 'dot')
    return (
      <Circle
        cx={mark.x}
        cy={mark.y}
        r={mark.radius}
        fill={mark.tone === 'pin' ? 'none' : colours[mark.tone]}
        stroke={mark.tone === 'pin' ? colours.pin : palette.mat}
        strokeWidth={mark.tone === 'pin' ? 2.5 : 1}
      />
    );
  const lettering = {
    x: mark.x,
    y: mark.y,
    fontSize: wordsHeight,
    fontFamily: 'AtkinsonHyperlegibleNext_700Bold',
    textAnchor: mark.anchor,
  } as const;
  return (
    <G>
      <SvgText {...lettering} fill={palette.mat} stroke={palette.mat} strokeWidth={3} strokeLinejoin="round">
        {mark.words}
      </SvgText>
      <SvgText {...lettering} fill={palette.thread}>
        {mark.words}
      </SvgText>
    </G>
  );
}
