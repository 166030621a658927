import { t } from '../core/words/language';
import { createElement } from 'react';
import { Circle, Path } from 'react-native-svg';
import type { Picture, PictureShape } from '../core/shape/picture';
import { pictureAddress } from './pictureAddress';

interface ToyPictureProps {
  picture: Picture | null;
  name: string;
  size: number;
}

/**
 * A small picture of a toy or a part on the mat, as it was computed and kept; an empty mat where nothing is worked yet. It is one image,
 * which the browser draws once: a shelf of many toys scrolls over them.
 */
export function ToyPicture({ picture, name, size }: ToyPictureProps) {
  return createElement('img', {
    src: pictureAddress(picture),
    width: size,
    height: size,
    alt: picture ? t`${name}, seen from the front` : t`${name}: no rounds yet`,
    decoding: 'async',
    draggable: false,
    style: { flexShrink: 0, display: 'block' },
  });
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
