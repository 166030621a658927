import { useDeferredValue } from 'react';
import Svg, { Circle, G, Path, Rect } from 'react-native-svg';
import { palette } from './palette';
import { pictureSize, type Picture, type PictureShape } from '../core/shape/picture';
import { needsOutline } from '../core/supplies/yarnColour';

const { mat } = palette;
const corner = pictureSize * 0.12;

/** A small picture of a toy or a part on the mat, as it was computed and kept; an empty mat where nothing is worked yet. */
export function ToyPicture({ picture, name, size }: { picture: Picture | null; name: string; size: number }) {
  const box = `0 0 ${pictureSize} ${pictureSize}`;
  const ground = <Rect width={pictureSize} height={pictureSize} rx={corner} fill={mat} />;
  // Pictures are many paths: what can be tapped is there first, and they follow in the browser's own time.
  const isDrawn = useDeferredValue(true, false);
  if (!picture)
    return (
      <Svg width={size} height={size} viewBox={box} role="img" aria-label={`${name}: no rounds yet`}>
        {ground}
      </Svg>
    );
  return (
    <Svg width={size} height={size} viewBox={box} role="img" aria-label={`${name}, seen from the front`}>
      {ground}
      {isDrawn ? <Drawn picture={picture} /> : null}
    </Svg>
  );
}

function Drawn({ picture }: { picture: Picture }) {
  const { ground: under, fabric, stroke, on } = picture;
  return (
    <>
      <G strokeLinecap="round" fill="none">
        {fabric.map(({ d, colour }) =>
          needsOutline(colour) ? (
            <Path
              key={`o${colour}`}
              d={d}
              stroke={palette.thread}
              strokeOpacity={0.45}
              strokeWidth={stroke * 1.35}
            />
          ) : null,
        )}
        {under.map(({ d, colour }) => (
          <Path key={`g${colour}`} d={d} fill={colour} stroke={colour} strokeWidth={1} />
        ))}
        <Path d={under.map(({ d }) => d).join('')} fill={palette.shade} fillOpacity={0.38} />
        {fabric.map(({ d, colour }) => (
          <Path key={`u${colour}`} d={d} stroke={colour} strokeWidth={stroke} />
        ))}
        <Path
          d={fabric.map(({ d }) => d).join('')}
          stroke={palette.shade}
          strokeOpacity={0.3}
          strokeWidth={stroke}
        />
        {fabric.map(({ d, colour }) => (
          <Path key={colour} d={d} stroke={colour} strokeWidth={stroke * 0.68} />
        ))}
      </G>
      <Shapes shapes={on} />
    </>
  );
}

/** What lies on the fabric of a picture, from below up. */
export function Shapes({ shapes }: { shapes: readonly PictureShape[] }) {
  return shapes.map((shape, index) => {
    if (shape.kind === 'patch')
      return <Path key={index} d={shape.d} fill={shape.colour} stroke={shape.colour} strokeWidth={0.8} />;
    if (shape.kind === 'dot')
      return (
        <Circle
          key={index}
          cx={shape.x}
          cy={shape.y}
          r={shape.radius}
          fill={shape.colour}
          stroke={shape.edge}
          strokeWidth={shape.edge ? 1.2 : 0}
        />
      );
    return (
      <Path
        key={index}
        d={shape.d}
        stroke={shape.colour}
        strokeWidth={shape.width}
        strokeLinecap="round"
        fill="none"
      />
    );
  });
}
