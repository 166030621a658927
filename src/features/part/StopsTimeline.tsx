import { t } from '../../core/words/language';
import { Circle, Line, Path, Rect, Text } from 'react-native-svg';
import { useTheme } from '@tamagui/core';
import type { PartAnalysis } from '../../core/toy/analyse';
import { partTimeline, type ActBar, type PartTimeline } from '../../core/toy/timeline';
import { Drawing } from '../../ui/Drawing';

const width = 340;
const edge = 14;
/** where the numbers of the stops, the opening and the first bar begin, and how high each is */
const numbersAt = 14;
const openingAt = 24;
const openingHigh = 52;
const barsAt = openingAt + openingHigh + 14;
const barEvery = 36;
const barHigh = 10;
const scaleHigh = 20;
/** Numbers of stops nearer than that run into each other. */
const numbersApart = 24;

/** Rounds that are numbered on the scale: every fifth, or tenth where they are many. */
const numbered = (rounds: number): number => (rounds > 60 ? 20 : rounds > 30 ? 10 : 5);

/** Where a round ends along the drawing. */
const xOf = (round: number, rounds: number): number => edge + ((width - 2 * edge) * round) / rounds;

/** The opening after each round, mirrored like the piece itself. */
function openingPath({ openings }: PartTimeline): string {
  const most = Math.max(1, ...openings);
  const middle = openingAt + openingHigh / 2;
  const at = (round: number, sign: number) => {
    const half = ((openings[round - 1] ?? 0) / most) * (openingHigh / 2);
    return `${xOf(round, openings.length).toFixed(1)} ${(middle + sign * half).toFixed(1)}`;
  };
  const rounds = openings.map((_, i) => i + 1);
  const top = rounds.map((round) => at(round, -1));
  const bottom = [...rounds].reverse().map((round) => at(round, 1));
  return `M ${edge} ${middle} L ${[...top, ...bottom].join(' L ')} Z`;
}

const roundWords = (labels: readonly number[], index: number) => labels[index - 1] ?? index;

/** The drawing in words, for whoever does not see it. */
function said({ labels, bars }: PartTimeline): string {
  return bars
    .map(({ title, earliest, easy, latest, at }) => {
      const until = latest > easy ? t`, possible until ${roundWords(labels, latest)}` : '';
      return t`${title}: after round ${roundWords(labels, at)}; easy from ${roundWords(labels, earliest)} to ${roundWords(labels, easy)}${until}`;
    })
    .join('. ');
}

/** Words over lines: what is behind them stays away from the letters. */
function Words({
  x,
  y,
  anchor,
  children,
}: {
  x: number;
  y: number;
  anchor: 'start' | 'end';
  children: string;
}) {
  const theme = useTheme();
  const common = {
    x,
    y,
    textAnchor: anchor,
    fontSize: 13,
    fontFamily: 'AtkinsonHyperlegibleNext_400Regular',
  };
  return (
    <>
      <Text
        {...common}
        fill={theme.sheet.val}
        stroke={theme.sheet.val}
        strokeWidth={5}
        strokeLinejoin="round"
      >
        {children}
      </Text>
      <Text {...common} fill={theme.color.val}>
        {children}
      </Text>
    </>
  );
}

function Bar({ bar, row, rounds }: { bar: ActBar; row: number; rounds: number }) {
  const theme = useTheme();
  const top = barsAt + row * barEvery;
  const y = top + 18;
  const from = xOf(bar.earliest, rounds) - 4;
  const easy = xOf(bar.easy, rounds) + 4;
  const latest = xOf(bar.latest, rounds) + 4;
  // A title that begins far right stands before the end of its bar.
  const isRight = from > width * 0.6;
  return (
    <>
      <Words x={isRight ? width - edge : from} y={top + 11} anchor={isRight ? 'end' : 'start'}>
        {bar.title}
      </Words>
      {latest > easy ? (
        <Path
          d={`M ${easy} ${y + 1} H ${latest - 4} a 4 4 0 0 1 0 ${barHigh - 2} H ${easy}`}
          fill="none"
          stroke={theme.color.val}
          strokeWidth={1.5}
          strokeDasharray="3 3"
        />
      ) : null}
      <Rect x={from} y={y} width={easy - from} height={barHigh} rx={barHigh / 2} fill={theme.color.val} />
      <Circle
        cx={xOf(bar.at, rounds)}
        cy={y + barHigh / 2}
        r={7}
        fill={theme.marker.val}
        stroke={theme.sheet.val}
        strokeWidth={2}
      />
    </>
  );
}

/** Stops so near each other that their numbers share a place, by their indexes. */
function groupsOf(stops: readonly number[], rounds: number): number[][] {
  const groups: number[][] = [];
  for (const at of stops) {
    const last = groups.at(-1);
    const before = last?.at(-1);
    const isNear = before !== undefined && xOf(at, rounds) - xOf(before, rounds) < numbersApart;
    if (last && isNear) last.push(at);
    else groups.push([at]);
  }
  return groups;
}

/** A line at each stop, with the numbers of its rounds on top. */
function StopLines({ timeline: { labels, stops }, bottom }: { timeline: PartTimeline; bottom: number }) {
  const theme = useTheme();
  const rounds = labels.length;
  return (
    <>
      {stops.map((at) => (
        <Line
          key={at}
          x1={xOf(at, rounds)}
          x2={xOf(at, rounds)}
          y1={openingAt - 4}
          y2={bottom}
          stroke={theme.marker.val}
          strokeWidth={1.5}
        />
      ))}
      {groupsOf(stops, rounds).map((group) => {
        const [first = 1, last = first] = [group[0], group.at(-1)];
        const isAtEdge = last === rounds && group.length > 1;
        return (
          <Text
            key={first}
            x={isAtEdge ? width - edge + 6 : (xOf(first, rounds) + xOf(last, rounds)) / 2}
            y={numbersAt}
            textAnchor={isAtEdge ? 'end' : 'middle'}
            fontSize={13}
            fontFamily="BricolageGrotesque_700Bold"
            fill={theme.color.val}
          >
            {group.map((at) => labels[at - 1]).join(' · ')}
          </Text>
        );
      })}
    </>
  );
}

/** Numbers of rounds along the bottom. */
function Scale({ labels, bottom }: { labels: readonly number[]; bottom: number }) {
  const theme = useTheme();
  const every = numbered(labels.length);
  return labels.map((label, i) =>
    label % every === 0 ? (
      <Text
        key={i}
        x={xOf(i + 1, labels.length)}
        y={bottom + 14}
        textAnchor="middle"
        fontSize={11}
        fontFamily="AtkinsonHyperlegibleNext_400Regular"
        fill={theme.quiet.val}
      >
        {label}
      </Text>
    ) : null,
  );
}

/** Along the rounds of a part: its opening, when each act can be done, and where the stops are. */
export function StopsTimeline({ part }: { part: PartAnalysis }) {
  const theme = useTheme();
  const timeline = partTimeline(part);
  const { labels, bars } = timeline;
  const rounds = labels.length;
  if (rounds < 2 || bars.length === 0) return null;
  const bottom = barsAt + bars.length * barEvery;
  return (
    <Drawing
      label={t`The rounds with their stops. ${said(timeline)}`}
      words={t`Grey is the opening. A bar is solid while it is easy, dashed while it can still be done; the dot is the stop.`}
      width={width}
      height={bottom + scaleHigh}
    >
      <Path d={openingPath(timeline)} fill={theme.line.val} />
      <StopLines timeline={timeline} bottom={bottom} />
      {bars.map((bar, row) => (
        <Bar key={`${bar.title} ${row}`} bar={bar} row={row} rounds={rounds} />
      ))}
      <Scale labels={labels} bottom={bottom} />
    </Drawing>
  );
}
