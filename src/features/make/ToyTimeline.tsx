import { t } from '../../core/words/language';
import { Circle, Line, Rect, Text } from 'react-native-svg';
import { useTheme } from '@tamagui/core';
import { toyTimeline, type Lane, type LaneBar, type Thread } from '../../core/toy/timeline';
import { useToy } from '../../data/useToy';
import { Drawing } from '../../ui/Drawing';

const width = 340;
const edge = 8;
const laneHigh = 34;
const barAt = 18;
const barHigh = 10;
const scaleHigh = 22;
/** Shorter bars would not be seen. */
const leastWide = 2;

const middleOf = (lane: number): number => lane * laneHigh + barAt + barHigh / 2;

/** Hours along the scale: as many as stand beside each other. */
const everyMinutes = (minutes: number): number =>
  [15, 30, 60, 120, 240, 480, 960].find((every) => minutes / every <= 6) ?? 1920;

const clock = (minutes: number): string =>
  minutes % 60 === 0 ? `${minutes / 60} h` : minutes < 60 ? t`${minutes} min` : `${minutes / 60} h`;

interface DrawnLane {
  lane: Lane;
  row: number;
  xOf: (minutes: number) => number;
}

function LaneDrawn({ lane, row, xOf }: DrawnLane) {
  const theme = useTheme();
  const fills: Record<LaneBar['kind'], string> = {
    work: theme.color.val,
    stop: theme.marker.val,
    sew: theme.selection.val,
  };
  const begin = xOf(lane.bars[0]?.from ?? 0);
  const isRight = begin > width * 0.78;
  return (
    <>
      <Text
        x={isRight ? width - edge : begin}
        y={row * laneHigh + 13}
        textAnchor={isRight ? 'end' : 'start'}
        fontSize={13}
        fontFamily="AtkinsonHyperlegibleNext_400Regular"
        fill={theme.color.val}
      >
        {lane.name}
      </Text>
      {lane.bars.map(({ kind, from, to }) => (
        <Rect
          key={from}
          x={xOf(from)}
          y={row * laneHigh + barAt + (kind === 'work' ? 0 : -2)}
          width={Math.max(leastWide, xOf(to) - xOf(from))}
          height={barHigh + (kind === 'work' ? 0 : 4)}
          fill={fills[kind]}
        />
      ))}
    </>
  );
}

/** From where a unit is ready, along its lane, to the one it goes on. */
function ThreadDrawn({ thread: { lane, onto, from, to }, xOf }: { thread: Thread; xOf: DrawnLane['xOf'] }) {
  const theme = useTheme();
  const [y, goal] = [middleOf(lane), middleOf(onto)];
  return (
    <>
      <Line
        x1={xOf(from)}
        x2={xOf(to)}
        y1={y}
        y2={y}
        stroke={theme.edge.val}
        strokeWidth={1.5}
        strokeDasharray="2 3"
      />
      <Line x1={xOf(to)} x2={xOf(to)} y1={y} y2={goal} stroke={theme.edge.val} strokeWidth={1.5} />
      <Circle cx={xOf(to)} cy={goal} r={3.5} fill={theme.edge.val} />
    </>
  );
}

/** The making of the whole toy in time: a lane for each piece, and a thread from each to where it is needed. */
export function ToyTimeline() {
  const theme = useTheme();
  const { analysis } = useToy();
  const { lanes, threads, minutes } = toyTimeline(analysis);
  if (lanes.length < 2 || minutes === 0) return null;
  const xOf = (at: number): number => edge + ((width - 2 * edge) * at) / minutes;
  const bottom = lanes.length * laneHigh;
  const every = everyMinutes(minutes);
  const marks = Array.from({ length: Math.floor(minutes / every) }, (_, i) => (i + 1) * every);
  return (
    <Drawing
      label={t`The pieces in the order they are made: ${lanes.map(({ name }) => name).join(', ')}. The list below says each step.`}
      words={t`Low bars are crochet, high ones stops (orange) or sewing (violet). A thread leads to where a piece is needed.`}
      width={width}
      height={bottom + scaleHigh}
    >
      {marks.map((at) => (
        <Line key={at} x1={xOf(at)} x2={xOf(at)} y1={0} y2={bottom} stroke={theme.line.val} strokeWidth={1} />
      ))}
      {threads.map((thread) => (
        <ThreadDrawn key={`${thread.lane} ${thread.onto} ${thread.to}`} thread={thread} xOf={xOf} />
      ))}
      {lanes.map((lane, row) => (
        <LaneDrawn key={lane.name} lane={lane} row={row} xOf={xOf} />
      ))}
      {marks.map((at) => (
        <Text
          key={at}
          x={xOf(at)}
          y={bottom + 15}
          textAnchor="middle"
          fontSize={11}
          fontFamily="AtkinsonHyperlegibleNext_400Regular"
          fill={theme.quiet.val}
        >
          {clock(at)}
        </Text>
      ))}
    </Drawing>
  );
}
