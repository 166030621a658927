import { t } from '../../core/words/language';
import { memo, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { View } from '@tamagui/core';
import type { Happening, MakingRun, MakingState } from '../../data/makingRun';
import { useMakeHabits } from '../../data/makeHabits';
import type { TapFor } from '../../core/make/run';
import { movesOfTask, type Task } from '../../core/make/tasks';
import { analyseToy } from '../../core/toy/analyse';
import { techniquesOfTask } from '../../core/toy/techniquesOfTask';
import { OneOf } from '../../ui/Choice';
import { Icon } from '../../ui/Icon';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Answer, Body } from '../../ui/text';
import { HowTo } from './HowTo';
import { FinishNow } from './FinishNow';
import { MakeMore } from './MakeMore';
import { aheadOf, RoundNow } from './RoundNow';
import { buzz, useAwake, useKeys, useSpeaking } from './senses';
import { StopNow } from './StopNow';
import { TapBar } from './TapBar';

const reasons = [
  [t`Done already.`, t`It is done already`],
  [t`Later, from outside.`, t`Later, from outside`],
  [t`Not in this toy.`, t`Not in this toy`],
] as const;

/** What the wide button says. */
function nextLabel(task: Task, move: number, by: TapFor): string {
  if (task.kind === 'stop') return t`Go on`;
  if (task.kind === 'finish') return move + 1 >= movesOfTask(task) ? t`Done` : t`Next`;
  const { moves, repeats } = task.moves;
  const ends = by === 'round' || move + 1 >= moves || (by === 'repeat' && repeats.length <= 1);
  if (ends) return task.row ? t`Row ${task.label} done` : t`Round ${task.label} done`;
  return by === 'repeat' ? t`Repeat done` : t`Stitch done`;
}

/** The unit a task is of, and the copy, quietly. */
function whereWords(task: Task, copy: number, copies: number, minutes: number): string {
  const unit = task.unit.of > 1 ? t`${task.unit.unit} of ${task.unit.of}` : '';
  const toy = copies > 1 ? t`toy ${copy + 1} of ${copies}` : '';
  const time = minutes >= 1 ? t`${Math.round(minutes)} min so far` : '';
  return [unit, toy, time].filter(Boolean).join(' · ');
}

interface TroubleProps {
  trouble: 'storage' | 'elsewhere' | null;
  making: MakingRun;
  reopen: () => void;
}

function Trouble({ trouble, making, reopen }: TroubleProps) {
  if (trouble === null) return null;
  return trouble === 'storage' ? (
    <Notice
      tone="wrong"
      live
      actions={<Press label={t`Try again`} onPress={() => void making.retry()} />}
    >{t`the last taps are not kept yet: this browser’s storage is full or shut. They stay here as long as this page is open. Make room, then try again.`}</Notice>
  ) : (
    <Notice
      tone="look"
      live
      actions={<Press label={t`Show where it is`} onPress={reopen} />}
    >{t`this toy is being made in another tab too, and has moved on there. Taps here are not counted until you look.`}</Notice>
  );
}

interface SkippingProps {
  making: MakingRun;
  onStay: () => void;
  happen: (what: Happening) => void;
}

/** Acts of the stop she is at that are not ticked, by their titles. */
function leftOf({ progress, tasks }: MakingState): string[] {
  const task = tasks[progress.place.task];
  return task?.kind === 'stop' ? task.titles.filter((_, i) => !progress.ticked.has(i)) : [];
}

/** Why she goes on from a stop with acts left. */
function Skipping({ making, onStay, happen }: SkippingProps) {
  const left = leftOf(useStore(making.state));
  if (left.length === 0) return null;
  const skip = (why: string) => {
    onStay();
    happen({ kind: 'skip', why });
  };
  return (
    <Notice tone="look" actions={<Press label={t`Stay here`} onPress={onStay} />}>
      {t`not ticked: ${left.join(', ')}. Why go on without?`}
      <View paddingTop="$2">
        <OneOf
          column
          unlabelled
          label={t`Why go on without?`}
          options={reasons}
          chosen={null}
          onChoose={skip}
        />
      </View>
    </Notice>
  );
}

/** Behind the last task. */
function AllDone({ making, isEmpty, onBack }: { making: MakingRun; isEmpty: boolean; onBack: () => void }) {
  const minutes = useStore(making.state, ({ progress }) => progress.minutes);
  const { copies } = making.run;
  if (isEmpty) return <Answer>{t`Nothing to make yet: write some rounds first.`}</Answer>;
  return (
    <>
      <Answer>{t`All done.`}</Answer>
      <Body>
        {t`${copies > 1 ? t`${copies} toys` : t`The toy`}, ${Math.round(minutes)} minutes by the taps. Tug every part once more before it is given away.`}
      </Body>
      <Press label={t`One step back`} onPress={onBack} />
    </>
  );
}

interface TaskNowProps {
  making: MakingRun;
  by: TapFor;
  happen: (what: Happening) => void;
}

/** What is to be done now. */
function TaskNow({ making, by, happen }: TaskNowProps) {
  const { progress, tasks } = useStore(making.state);
  const { place, ticked } = progress;
  const task = tasks[place.task];
  if (!task) return null;
  return (
    <View gap="$4">
      {task.kind === 'round' ? (
        <RoundNow task={task} move={place.move} by={by} ahead={aheadOf(tasks, place.task)} />
      ) : null}
      {task.kind === 'stop' ? (
        <StopNow task={task} ticked={ticked} onTick={(act, done) => happen({ kind: 'tick', act, done })} />
      ) : null}
      {task.kind === 'finish' ? <FinishNow task={task} move={place.move} /> : null}
      <HowToNow key={place.task} task={task} text={progress.text} />
    </View>
  );
}

/** How what comes now is done: drawn at once for who learns, a tap away for others. */
const HowToNow = memo(function HowToNow({ task, text }: { task: Task; text: string }) {
  const { habits } = useMakeHabits();
  const toy = useMemo(() => analyseToy(text, { searches: false }), [text]);
  const techniques = useMemo(() => techniquesOfTask(toy, task), [toy, task]);
  return (
    <HowTo
      key={String(habits.teaches)}
      techniques={techniques}
      header={toy.pattern.header}
      isOpen={habits.teaches}
    />
  );
});

/** A tap happens, and is felt: where it leads to a stop, differently. */
function useHappening(making: MakingRun, buzzes: boolean): (what: Happening) => void {
  return (what) => {
    making.happen(what);
    if (!buzzes) return;
    const { tasks, progress } = making.state.getState();
    buzz(tasks[progress.place.task]?.kind === 'stop' ? 'stop' : 'tap');
  };
}

interface MakingPageProps {
  making: MakingRun;
  reopen: () => void;
  onLeave: () => void;
}

type Shows = 'work' | 'why' | 'more';

/** What the thumb and the keys do: on, unless something is left to tick; and back. What is told apart is read when it happens. */
function useTaps(making: MakingRun, by: TapFor, happen: (what: Happening) => void) {
  const [shows, setShows] = useState<Shows>('work');
  const goOn = () => {
    const now = making.state.getState();
    if (now.progress.finished || shows === 'more') return;
    if (leftOf(now).length > 0) setShows('why');
    else happen({ kind: 'on', by });
  };
  const goBack = () => {
    if (shows === 'more') return;
    setShows('work');
    happen({ kind: 'back' });
  };
  useKeys(goOn, goBack);
  return { shows, setShows, goOn, goBack };
}

interface TapFootProps {
  making: MakingRun;
  by: TapFor;
  onNext: () => void;
  onBack: () => void;
}

/** What the thumb rests on, for the task as it stands. */
function TapFoot({ making, by, onNext, onBack }: TapFootProps) {
  const label = useStore(making.state, ({ progress, tasks }) => {
    const task = tasks[progress.place.task];
    return task ? nextLabel(task, progress.place.move, by) : '';
  });
  const canGoOn = useStore(making.state, (now) => leftOf(now).length === 0);
  return <TapBar label={label} canGoOn={canGoOn} onNext={onNext} onBack={onBack} />;
}

/** Everything beside the work, for the task as it stands. */
function Beside({
  making,
  happen,
  onClose,
}: {
  making: MakingRun;
  happen: (what: Happening) => void;
  onClose: () => void;
}) {
  const { progress, tasks } = useStore(making.state);
  return <MakeMore progress={progress} tasks={tasks} happen={happen} run={making.run} onClose={onClose} />;
}

/**
 * The screen that lies on the table: the next number, and a stop before it is too late. A tap within a round changes what it shows of
 * that round and nothing around it, so that it is answered at once on a slow phone too.
 */
export function MakingPage({ making, reopen, onLeave }: MakingPageProps) {
  const tasks = useStore(making.state, (now) => now.tasks);
  const at = useStore(making.state, ({ progress }) => progress.place.task);
  const copy = useStore(making.state, ({ progress }) => progress.place.copy);
  const finished = useStore(making.state, ({ progress }) => progress.finished);
  const minutes = useStore(making.state, ({ progress }) => Math.round(progress.minutes));
  const unkept = useStore(making.state, (now) => now.trouble);
  const { habits } = useMakeHabits();
  const task = tasks[at];
  useAwake(habits.awake && !finished);
  useSpeaking(finished ? undefined : task, habits.speaks);
  const happen = useHappening(making, habits.buzzes);
  const { shows, setShows, goOn, goBack } = useTaps(making, habits.by, happen);
  const leave = { name: t`Leave the work`, go: onLeave };
  const trouble = <Trouble trouble={unkept} making={making} reopen={reopen} />;
  const toWork = () => setShows('work');
  if (!task || finished)
    return (
      <Page key="end" title={making.run.name} back={leave}>
        {trouble}
        <AllDone making={making} isEmpty={!task} onBack={goBack} />
      </Page>
    );
  if (shows === 'more')
    return (
      <Page broad key="beside" title={t`Beside the work`} back={{ name: t`Back to the work`, go: toWork }}>
        <Beside making={making} happen={happen} onClose={toWork} />
      </Page>
    );
  return (
    <Page
      // A stop begins at its top, wherever the page before it was scrolled to.
      key={`${task.kind} ${copy} ${task.kind === 'round' ? task.unit.name : at}`}
      title={task.unit.name}
      aside={whereWords(task, copy, making.run.copies, minutes)}
      back={leave}
      actions={
        <Press
          tone="quiet"
          name={t`Beside the work`}
          icon={<Icon name="more" />}
          onPress={() => setShows('more')}
        />
      }
      foot={<TapFoot making={making} by={habits.by} onNext={goOn} onBack={goBack} />}
    >
      {trouble}
      {shows === 'why' ? <Skipping making={making} onStay={toWork} happen={happen} /> : null}
      <TaskNow making={making} by={habits.by} happen={happen} />
    </Page>
  );
}
