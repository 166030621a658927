import Svg, { Circle, G, Line, Path, Polygon, Text as SvgText } from 'react-native-svg';
import type { DrawnStitch, Technique, TechniqueStep } from '../../core/make/techniques';
import { needsOutline, yarnColour } from '../../core/supplies/yarnColour';
import type { ToyHeader } from '../../core/notation/pattern';
import { palette } from '../../ui/palette';

/** The picture, in its own units. */
const width = 320;
const height = 190;
const rows = { below: 118, above: 52 } as const;
/** Half the width of the two loops on top of a stitch, and of the feet of its legs. */
const top = 17;
const foot = 3;

interface Spot {
  x: number;
  y: number;
}

interface TechniqueDrawingProps {
  technique: Technique;
  step: TechniqueStep;
  hand: 'left' | 'right';
  header: ToyHeader;
}

/**
 * One step of a technique, as the work lies in the maker's hands: its live edge up, the outside towards her. Right-handed rounds go on
 * to the left, left-handed ones to the right.
 */
export function TechniqueDrawing({ technique, step, hand, header }: TechniqueDrawingProps) {
  const { kind } = technique;
  return (
    <Svg width="100%" height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
      {kind === 'ring' ? (
        <RingPicture
          step={step}
          total={technique.steps.at(-1)?.above.length ?? 0}
          hand={hand}
          header={header}
        />
      ) : (
        <RowsPicture step={step} isSeam={kind === 'seam'} hand={hand} header={header} />
      )}
    </Svg>
  );
}

interface PictureProps {
  step: TechniqueStep;
  hand: 'left' | 'right';
  header: ToyHeader;
}

/** Places of a row, in the order of working. */
function spotsOf(count: number, y: number, hand: 'left' | 'right'): Spot[] {
  const apart = Math.min(62, (width - 40) / Math.max(1, count));
  return Array.from({ length: count }, (_, i) => {
    const off = (i - (count - 1) / 2) * apart;
    return { x: width / 2 + (hand === 'right' ? -off : off), y };
  });
}

function RowsPicture({ step, isSeam, hand, header }: PictureProps & { isSeam: boolean }) {
  const { below, above, into, loops } = step;
  const low = spotsOf(below.length, rows.below, hand);
  // Where several stand on one they spread, and what stands on several stands between them.
  const sideways = hand === 'right' ? -1 : 1;
  const high = above.map(({ on }, i): Spot => {
    const stood = on.map((at) => low[at]?.x ?? width / 2);
    const middle = stood.reduce((sum, x) => sum + x, 0) / Math.max(1, stood.length);
    const same = above.filter((other) => other.on.length === 1 && other.on[0] === on[0]);
    const place = same.indexOf(above[i] as DrawnStitch);
    const spread = on.length === 1 && same.length > 1 ? (place - (same.length - 1) / 2) * 40 * sideways : 0;
    return { x: middle + spread, y: rows.above };
  });
  return (
    <G>
      {below.map((stitch, i) => (
        <Stitch
          key={`b${stitch.number}-${i}`}
          stitch={stitch}
          at={low[i]}
          feet={[]}
          header={header}
          numbered="under"
        />
      ))}
      {above.map((stitch, i) => (
        <Stitch
          key={`a${stitch.number}-${i}`}
          stitch={stitch}
          at={high[i]}
          feet={isSeam ? [] : stitch.on.flatMap((at) => low[at] ?? [])}
          header={header}
          numbered="over"
          isHanging={isSeam}
        />
      ))}
      {isSeam
        ? into.flatMap((at) => {
            const [from, to, next] = [high[at], low[at], high[at + 1]];
            if (!from || !to) return [];
            return [
              <Thread key={`d${at}`} from={from} to={to} />,
              next && into.includes(at + 1) ? <Thread key={`u${at}`} from={to} to={next} /> : null,
            ];
          })
        : into.map((at) => {
            const spot = low[at];
            return spot ? <Hook key={at} at={spot} loops={loops} /> : null;
          })}
    </G>
  );
}

interface StitchProps {
  stitch: DrawnStitch;
  at: Spot | undefined;
  /** what it stands on; without any it stands on what is not drawn */
  feet: readonly Spot[];
  header: ToyHeader;
  /** on which side its number stands */
  numbered: 'over' | 'under';
  /** upside down: its loops point downwards */
  isHanging?: boolean;
}

/** A stitch from the outside: two legs, and the two loops on its top. */
function Stitch({ stitch, at, feet, header, numbered, isHanging = false }: StitchProps) {
  if (!at) return null;
  const { x, y } = at;
  const colour = yarnColour(stitch.yarn, header);
  const down = isHanging ? -1 : 1;
  const [first = { x, y: y + 50 * down }] = feet;
  const last = feet.at(-1) ?? first;
  const [left, right] = first.x <= last.x ? [first, last] : [last, first];
  const legs = `M${left.x - foot} ${left.y - 4 * down}L${x - top + 4} ${y + 7 * down}M${right.x + foot} ${right.y - 4 * down}L${x + top - 4} ${y + 7 * down}`;
  const front = `M${x - top} ${y}Q${x} ${y + 15 * down} ${x + top} ${y}`;
  const back = `M${x - top} ${y}Q${x} ${y - 15 * down} ${x + top} ${y}`;
  const numberY = numbered === 'over' ? (isHanging ? y - 30 : y - 16) : y + 62;
  return (
    <G>
      {needsOutline(colour) ? (
        <Path
          d={`${legs}${front}${back}`}
          stroke={palette.thread}
          strokeOpacity={0.5}
          strokeWidth={10}
          strokeLinecap="round"
          fill="none"
        />
      ) : null}
      <Path d={legs} stroke={colour} strokeWidth={8} strokeLinecap="round" fill="none" />
      <Path d={back} stroke={colour} strokeWidth={5} strokeLinecap="round" fill="none" />
      <Path d={front} stroke={colour} strokeWidth={6} strokeLinecap="round" fill="none" />
      <SvgText
        x={x}
        y={numberY}
        fontSize={15}
        fontFamily="AtkinsonHyperlegibleNext_700Bold"
        textAnchor="middle"
        fill={palette.thread}
      >
        {stitch.number}
      </SvgText>
    </G>
  );
}

/** The way of the hook: under both loops, or between them and under one. */
function Hook({ at: { x, y }, loops }: { at: Spot; loops: TechniqueStep['loops'] }) {
  // The front loop bows down on the drawing, the one behind bows up.
  const from = loops === 'back' ? y + 1 : y + 34;
  const to = loops === 'front' ? y - 1 : y - 30;
  const shades = { front: [y + 15], back: [y - 15], both: [y + 15, y - 15] }[loops];
  return (
    <G>
      {shades.map((bow) => (
        <Path
          key={bow}
          d={`M${x - top} ${y}Q${x} ${bow} ${x + top} ${y}`}
          stroke={palette.marker}
          strokeWidth={6}
          strokeLinecap="round"
          fill="none"
        />
      ))}
      <Line
        x1={x}
        y1={from}
        x2={x}
        y2={to + 8}
        stroke={palette.thread}
        strokeWidth={4}
        strokeLinecap="round"
      />
      <Polygon points={`${x - 8},${to + 11} ${x + 8},${to + 11} ${x},${to - 2}`} fill={palette.thread} />
    </G>
  );
}

function Thread({ from, to }: { from: Spot; to: Spot }) {
  return (
    <Line
      x1={from.x}
      y1={from.y}
      x2={to.x}
      y2={to.y}
      stroke={palette.marker}
      strokeWidth={4}
      strokeLinecap="round"
    />
  );
}

const middle: Spot = { x: width / 2, y: height / 2 };

const pointAt = (angle: number, r: number): string =>
  `${(middle.x + r * Math.cos(angle)).toFixed(1)} ${(middle.y + r * Math.sin(angle)).toFixed(1)}`;

/** The ring from above: its stitches stand around it, and its end hangs out. */
function RingPicture({ step, total, hand, header }: PictureProps & { total: number }) {
  const { above } = step;
  const isShut = above.length === total && total > 0;
  const hole = isShut ? 12 : 34;
  const turns = hand === 'right' ? -1 : 1;
  const apart = (2 * Math.PI) / Math.max(1, total);
  const colour = yarnColour(above[0]?.yarn ?? '', header);
  return (
    <G>
      <Circle cx={middle.x} cy={middle.y} r={hole} fill="none" stroke={palette.thread} strokeWidth={4} />
      <Path
        d={`M${pointAt(Math.PI / 2.6, hole)}Q${middle.x + 60} ${middle.y + 60} ${middle.x + 96} ${middle.y + 74}`}
        stroke={palette.thread}
        strokeWidth={4}
        strokeLinecap="round"
        fill="none"
      />
      {above.length === 0 ? (
        <Path
          d={`M${middle.x - 8} ${middle.y - hole}c-26 -44 42 -44 16 0`}
          stroke={palette.marker}
          strokeWidth={5}
          strokeLinecap="round"
          fill="none"
        />
      ) : null}
      {above.map(({ number }, i) => (
        <Spoke
          key={number}
          number={number}
          angle={turns * apart * i - Math.PI / 2}
          half={0.42 * Math.min(0.55, apart)}
          from={hole}
          colour={colour}
        />
      ))}
    </G>
  );
}

interface SpokeProps {
  number: number;
  angle: number;
  /** how far its two legs spread, to either side */
  half: number;
  from: number;
  colour: string;
}

/** A stitch of the first round: its legs spread away from the ring. */
function Spoke({ number, angle, half, from, colour }: SpokeProps) {
  const out = from + 30;
  const legs = `M${pointAt(angle, from)}L${pointAt(angle - half, out)}M${pointAt(angle, from)}L${pointAt(angle + half, out)}`;
  return (
    <G>
      {needsOutline(colour) ? (
        <Path
          d={legs}
          stroke={palette.thread}
          strokeOpacity={0.5}
          strokeWidth={10}
          strokeLinecap="round"
          fill="none"
        />
      ) : null}
      <Path d={legs} stroke={colour} strokeWidth={7} strokeLinecap="round" fill="none" />
      <SvgText
        x={middle.x + (out + 13) * Math.cos(angle)}
        y={middle.y + (out + 13) * Math.sin(angle) + 5}
        fontSize={14}
        fontFamily="AtkinsonHyperlegibleNext_700Bold"
        textAnchor="middle"
        fill={number === 1 ? palette.marker : palette.thread}
      >
        {number}
      </SvgText>
    </G>
  );
}
