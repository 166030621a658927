import { memo } from 'react';
import Svg, { Line } from 'react-native-svg';
import { useTheme, View } from '@tamagui/core';
import type { RoundMoves } from '../../core/make/moves';

const size = 176;
const middle = size / 2;
const inner = 56;

/** More strokes than this run together: of a longer round every second or third is drawn, and the one she is at. */
const mostTicks = 140;

interface Tick {
  /** share of the way round */
  at: number;
  /** how many moves come before it */
  move: number;
  /** it makes more than one stitch, or draws some together */
  isChange: boolean;
}

function ticksOf({ repeats, moves }: RoundMoves, done: number): Tick[] {
  const ticks: Tick[] = [];
  let move = 0;
  for (const { runs } of repeats) {
    for (const { words, times, makes } of runs) {
      const isChange = makes > 1 || /dec|tog/i.test(words);
      for (let i = 0; i < times; i += 1) {
        ticks.push({ at: move / moves, move, isChange });
        move += 1;
      }
    }
  }
  if (ticks.length <= mostTicks) return ticks;
  const every = Math.ceil(ticks.length / mostTicks);
  return ticks.filter((tick, i) => i % every === 0 || tick.move === done);
}

interface StrokeProps extends Tick {
  colour: string;
  isNow: boolean;
}

/** A place in the ring. Of a tap only two change: the one that is left and the one that comes. */
const Stroke = memo(function Stroke({ at, isChange, colour, isNow }: StrokeProps) {
  const angle = 2 * Math.PI * at - Math.PI / 2;
  const outer = inner + (isChange ? 28 : 16);
  return (
    <Line
      x1={middle + inner * Math.cos(angle)}
      y1={middle + inner * Math.sin(angle)}
      x2={middle + outer * Math.cos(angle)}
      y2={middle + outer * Math.sin(angle)}
      stroke={colour}
      strokeWidth={isNow ? 7 : 4}
      strokeLinecap="round"
    />
  );
});

/** The round as a ring, a stroke for each place the hook goes: what is done, where she is, what changes the count. */
export function RoundRing({ moves, done }: { moves: RoundMoves; done: number }) {
  const theme = useTheme();
  const [now, before, ahead] = [theme.marker.val, theme.color.val, theme.line.val];
  return (
    <View alignItems="center" aria-hidden>
      <Svg width={size} height={size} viewBox={`0 0 ${size} ${size}`}>
        {ticksOf(moves, done).map((tick) => {
          const isNow = tick.move === done;
          const rest = tick.move < done ? before : ahead;
          return <Stroke key={tick.move} {...tick} isNow={isNow} colour={isNow ? now : rest} />;
        })}
      </Svg>
    </View>
  );
}
