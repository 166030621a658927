import { View } from '@tamagui/core';
import { placeOfMove, stitchesBefore, type MovePlace } from '../../core/make/moves';
import type { TapFor } from '../../core/make/run';
import type { Task } from '../../core/make/tasks';
import { Row } from '../../ui/layout';
import { Answer, Body, Quiet } from '../../ui/text';
import { RoundRing } from './RoundRing';

type RoundTask = Extract<Task, { kind: 'round' }>;

/** A number to be read at arm's length, with what it counts. */
function Giant({ label, value, of }: { label: string; value: number; of: number | null }) {
  const whole = of === null ? '' : `of ${of}`;
  return (
    <View flexGrow={1} flexBasis={0} aria-label={`${label} ${value} ${whole}`.trim()} role="img">
      <Body fontWeight="700" aria-hidden>
        {label}
      </Body>
      <Answer fontSize={value > 99 ? 84 : 112} lineHeight={112} letterSpacing={-4} aria-hidden>
        {value}
      </Answer>
      <Quiet aria-hidden>{whole}</Quiet>
    </View>
  );
}

/** The moves of the repeat she is in, the one that comes now set off. */
function RepeatNow({ task, place }: { task: RoundTask; place: MovePlace }) {
  const repeat = task.moves.repeats[place.repeat];
  if (!repeat) return null;
  return (
    <View flexDirection="row" flexWrap="wrap" gap="$2">
      {repeat.runs.map(({ words, times }, i) => {
        const isNow = i === place.run;
        const count = times > 1 ? `${times} ` : '';
        const far = isNow && place.at > 0 ? ` · ${place.at + 1} of ${times}` : '';
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

function Coming({ next, roundsToStop, stop }: Ahead) {
  return (
    <View gap="$2" borderTopWidth={1} borderColor="$line" paddingTop="$3">
      {next?.kind === 'round' ? (
        <Quiet fontSize="$3" lineHeight="$3">
          Then {next.row ? 'row' : 'round'} {next.label}: {next.words} · {next.moves.stitches}
        </Quiet>
      ) : null}
      {stop && roundsToStop !== null ? (
        <Quiet fontSize="$3" lineHeight="$3">
          {roundsToStop === 1
            ? 'A stop comes right after this round'
            : `${roundsToStop} rounds to the next stop`}
          : {stop.titles.join(', ').toLowerCase()}.
        </Quiet>
      ) : null}
    </View>
  );
}

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

/** A round while it is worked: its number, what to do, and where in it she is. */
export function RoundNow({
  task,
  move,
  by,
  ahead,
}: {
  task: RoundTask;
  move: number;
  by: TapFor;
  ahead: Ahead;
}) {
  const place = placeOfMove(task.moves, move);
  const { repeats, stitches } = task.moves;
  const isRepeated = repeats.length > 1;
  const word = task.row ? 'Row' : 'Round';
  return (
    <View gap="$4">
      <Row alignItems="flex-start" gap="$4">
        <Giant label={word} value={task.label} of={task.rounds} />
        {by !== 'round' && place ? (
          isRepeated && by === 'repeat' ? (
            <Giant label="Repeat" value={place.repeat + 1} of={repeats.length} />
          ) : (
            <Giant
              label="Stitch"
              value={Math.min(stitches, stitchesBefore(task.moves, move) + 1)}
              of={stitches}
            />
          )
        ) : (
          <Giant label="Stitches" value={stitches} of={null} />
        )}
      </Row>
      <Answer fontSize="$7" lineHeight="$7">
        {task.words}
      </Answer>
      {by !== 'round' && place && (isRepeated || (repeats[0]?.runs.length ?? 0) > 1 || by === 'stitch') ? (
        <RepeatNow task={task} place={place} />
      ) : null}
      <Body fontSize="$4">
        {stitches} stitches at the end of the {word.toLowerCase()}.
        {isRepeated && by === 'stitch' && place ? ` Repeat ${place.repeat + 1} of ${repeats.length}.` : ''}
      </Body>
      {task.asides.map((aside) => (
        <View key={aside} borderLeftWidth={4} borderColor="$marker" paddingLeft="$3">
          <Body fontSize="$4">{aside}</Body>
        </View>
      ))}
      {by === 'round' ? null : <RoundRing moves={task.moves} done={move} />}
      <Coming {...ahead} />
    </View>
  );
}
