import { t } from '../../core/words/language';
import { Pressable } from 'react-native';
import { View } from '@tamagui/core';
import type { Task } from '../../core/make/tasks';
import { eyeCaution } from '../../core/safety/cautions';
import { Answer, Body, Quiet } from '../../ui/text';
import { sizeWords } from '../../core/words/measures';

type StopTask = Extract<Task, { kind: 'stop' }>;

/** What to look at before an act is done for good. */
const checks: Partial<Record<StopTask['acts'][number]['act'], readonly string[]>> = {
  'seat-eyes': [
    t`The front faces you`,
    t`Both posts level, as far from the middle`,
    t`Washers flat side to the fabric`,
    t`Tug each eye`,
  ],
  'seat-nose': [t`The front faces you`, t`In the middle, under the eyes`, t`Tug it`],
  'put-in': [t`Stuffing on all sides of it`, t`Nothing hard can be felt from outside`],
  close: [t`Nothing is forgotten inside`],
};

interface TickProps {
  title: string;
  place: readonly string[];
  why: string;
  looks: readonly string[];
  done: boolean;
  onChange: (done: boolean) => void;
}

/** One thing to do at a stop, with a box to tick. */
function Tick({ title, place, why, looks, done, onChange }: TickProps) {
  return (
    <Pressable role="checkbox" aria-checked={done} aria-label={title} onPress={() => onChange(!done)}>
      <View
        flexDirection="row"
        gap="$3"
        padding="$3"
        borderRadius="$3"
        borderWidth={2}
        borderColor={done ? '$good' : '$edge'}
        backgroundColor="$sheet"
      >
        <View
          width={32}
          height={32}
          borderRadius="$1"
          borderWidth={2}
          borderColor={done ? '$good' : '$edge'}
          alignItems="center"
          justifyContent="center"
        >
          <Answer fontSize="$5" lineHeight="$5" color="$good" aria-hidden>
            {done ? '✓' : ''}
          </Answer>
        </View>
        <View flexShrink={1} gap="$1">
          <Answer fontSize="$6" lineHeight="$6">
            {title}
          </Answer>
          {place.map((line, i) => (
            <Body key={line} fontSize="$4" fontWeight={i === 0 ? '700' : '400'}>
              {line}
            </Body>
          ))}
          <Body>{why}</Body>
          {looks.map((look) => (
            <Body key={look} fontWeight="700">
              · {look}
            </Body>
          ))}
        </View>
      </View>
    </Pressable>
  );
}

/** A stop: what has to be done before she works on, and until when it can be. */
export function StopNow({
  task,
  ticked,
  onTick,
}: {
  task: StopTask;
  ticked: ReadonlySet<number>;
  onTick: (act: number, done: boolean) => void;
}) {
  const isLast = task.acts.some(({ act }) => act === 'close' || act === 'cut');
  const pressed = task.acts.some(({ act }) => act === 'seat-eyes' || act === 'seat-nose');
  return (
    <View gap="$3">
      <View backgroundColor="$marker" borderRadius="$3" padding="$3" role="status">
        <Answer fontSize={64} lineHeight={68} letterSpacing={-2} color="$onMarker">{t`Stop`}</Answer>
        <Body fontSize="$4" fontWeight="700" color="$onMarker">
          {t`After round ${task.after}. The opening is ${sizeWords(task.openingMm)}. ${
            isLast
              ? ''
              : task.latest > task.after
                ? t`Last call after round ${task.latest}.`
                : t`This is the last call.`
          }`}
        </Body>
      </View>
      {task.acts.map((act, i) => (
        <Tick
          key={`${act.act} ${act.feature} ${act.part} ${act.fills?.from}`}
          title={task.titles[i] ?? ''}
          why={act.why}
          place={task.places[i] ?? []}
          looks={checks[act.act] ?? []}
          done={ticked.has(i)}
          onChange={(done) => onTick(i, done)}
        />
      ))}
      {pressed ? <Quiet>{eyeCaution}</Quiet> : null}
    </View>
  );
}
