import { t } from '../../core/words/language';
import { memo } from 'react';
import { View } from '@tamagui/core';
import { placeOfMove, stitchesBefore, type MovePlace } from '../../core/make/moves';
import type { TapFor } from '../../core/make/run';
import type { Task } from '../../core/make/tasks';
import { Row } from '../../ui/layout';
import { Answer, Body, Quiet } from '../../ui/text';
import { RoundRing } from './RoundRing';

type RoundTask = Extract<Task, { kind: 'round' }>;

/** What a number counts, over it. */
const Counts = memo(function Counts({ label }: { label: string }) {
  return (
    <Body fontWeight="700" aria-hidden>
      {label}
    </Body>
  );
});

/** How many there are, under it. */
const Whole = memo(function Whole({ words }: { words: string }) {
  return <Quiet aria-hidden>{words}</Quiet>;
});

interface GiantProps {
  label: string;
  value: number;
  of: number | null;
}

/** A number to be read at arm's length, with what it counts. */
const Giant = memo(function Giant({ label, value, of }: GiantProps) {
  const whole = of === null ? '' : t`of ${of}`;
  return (
    <View flexGrow={1} flexBasis={0} aria-label={`${label} ${value} ${whole}`.trim()} role="img">
      <Counts label={label} />
      <Answer fontSize={value > 99 ? 84 : 112} lineHeight={112} letterSpacing={-4} aria-hidden>
        {value}
      </Answer>
      <Whole words={whole} />
    </View>
  );
});

/** The moves of the repeat she is in, the one that comes now set off. */
function RepeatNow({ task, place }: { task: RoundTask; place: MovePlace }) {
  const repeat = task.moves.repeats[place.repeat];
  if (!repeat) return null;
  return (
    <View flexDirection="row" flexWrap="wrap" gap="$2">
      {repeat.runs.map(({ words, times }, i) => {
        const isNow = i === place.run;
        const count = times > 1 ? `${times} ` : '';
        const far = isNow && place.at > 0 ? t` · ${place.at + 1} of ${times}` : '';
        return (
          <View
            // The runs of a repeat have no other name than their place.
            key={i}
            paddingHorizontal="$3"
            paddingVertical="$1"
            borderRadius="$2"
            borderWidth={2}
            borderColor={isNow ? '$marker' : '$line'}
            backgroundColor={isNow ? '$notice' : 'transparent'}
          >
            <Answer fontSize="$6" lineHeight="$6" color={isNow || i > place.run ? '$color' : '$quiet'}>
              {times === 0 ? words : `${count}${words}`}
              <Body fontSize="$4">{far}</Body>
            </Answer>
          </View>
        );
      })}
    </View>
  );
}

/** What comes after the round: the next one, and the next stop. */
export interface Ahead {
  next: Task | undefined;
  /** rounds from this one to the stop, this one counted; null where none is ahead */
  roundsToStop: number | null;
  stop: Extract<Task, { kind: 'stop' }> | null;
}

const Coming = memo(function Coming({ next, roundsToStop, stop }: Ahead) {
  return (
    <View gap="$2" borderTopWidth={1} borderColor="$line" paddingTop="$3">
      {next?.kind === 'round' ? (
        <Quiet fontSize="$3" lineHeight="$3">
          {next.row
            ? t`Then row ${next.label}: ${next.words} · ${next.moves.stitches}`
            : t`Then round ${next.label}: ${next.words} · ${next.moves.stitches}`}
        </Quiet>
      ) : null}
      {stop && roundsToStop !== null ? (
        <Quiet fontSize="$3" lineHeight="$3">
          {roundsToStop === 1
            ? t`A stop comes right after this round`
            : t`${roundsToStop} rounds to the next stop`}
          : {stop.titles.join(', ').toLowerCase()}.
        </Quiet>
      ) : null}
    </View>
  );
});

/** What is ahead of a task in the same unit. */
export function aheadOf(tasks: readonly Task[], at: number): Ahead {
  const found = tasks.findIndex((task, i) => i > at && task.kind !== 'round');
  const stop = tasks[found];
  return {
    next: tasks[at + 1],
    roundsToStop: stop?.kind === 'stop' ? found - at : null,
    stop: stop?.kind === 'stop' ? stop : null,
  };
}

/** The two numbers: the round, and where in it she is. */
function Numbers({ task, move, by }: Pick<RoundNowProps, 'task' | 'move' | 'by'>) {
  const { moves, label, rounds, row } = task;
  const { repeats, stitches } = moves;
  const place = by === 'round' ? null : placeOfMove(moves, move);
  const isByRepeat = by === 'repeat' && repeats.length > 1;
  const stitch = Math.min(stitches, stitchesBefore(moves, move) + 1);
  return (
    <Row alignItems="flex-start" gap="$4">
      <Giant label={row ? t`Row` : t`Round`} value={label} of={rounds} />
      {place && isByRepeat ? <Giant label={t`Repeat`} value={place.repeat + 1} of={repeats.length} /> : null}
      {place && !isByRepeat ? <Giant label={t`Stitch`} value={stitch} of={stitches} /> : null}
      {place ? null : <Giant label={t`Stitches`} value={stitches} of={null} />}
    </Row>
  );
}

/** The maker's own words. */
const Words = memo(function Words({ words }: { words: string }) {
  return (
    <Answer fontSize="$7" lineHeight="$7">
      {words}
    </Answer>
  );
});

interface ComesToProps {
  stitches: number;
  isRow: boolean;
  /** which repeat she is in, and of how many; empty where that is told already */
  repeat: string;
}

/** How many stitches there are at the end. */
const ComesTo = memo(function ComesTo({ stitches, isRow, repeat }: ComesToProps) {
  return (
    <Body fontSize="$4">
      {isRow
        ? t`${stitches} stitches at the end of the row.${repeat}`
        : t`${stitches} stitches at the end of the round.${repeat}`}
    </Body>
  );
});

/** What is marked or changes in the round. */
const Asides = memo(function Asides({ asides }: { asides: readonly string[] }) {
  return asides.map((aside) => (
    <View key={aside} borderLeftWidth={4} borderColor="$marker" paddingLeft="$3">
      <Body fontSize="$4">{aside}</Body>
    </View>
  ));
});

interface RoundNowProps {
  task: RoundTask;
  move: number;
  by: TapFor;
  ahead: Ahead;
}

/** A round while it is worked: its number, what to do, and where in it she is. */
export function RoundNow({ task, move, by, ahead }: RoundNowProps) {
  const place = by === 'round' ? null : placeOfMove(task.moves, move);
  const { repeats, stitches } = task.moves;
  const isRepeated = repeats.length > 1;
  // Of one run the large number says all there is.
  const isDivided = isRepeated || (repeats[0]?.runs.length ?? 0) > 1;
  const repeat =
    isRepeated && by === 'stitch' && place ? t` Repeat ${place.repeat + 1} of ${repeats.length}.` : '';
  return (
    <View gap="$4">
      <Numbers task={task} move={move} by={by} />
      <Words words={task.words} />
      {place && isDivided ? <RepeatNow task={task} place={place} /> : null}
      <ComesTo stitches={stitches} isRow={task.row} repeat={repeat} />
      <Asides asides={task.asides} />
      {by === 'round' ? null : <RoundRing moves={task.moves} done={move} />}
      <Coming {...ahead} />
    </View>
  );
}
