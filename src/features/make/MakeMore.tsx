import { t } from '../../core/words/language';
import { useMemo, useState } from 'react';
import { View } from '@tamagui/core';
import { longestPicture, type Progress, type Run, type TapFor } from '../../core/make/run';
import type { Task } from '../../core/make/tasks';
import { whereWasI } from '../../core/make/whereWasI';
import { analyseToy } from '../../core/toy/analyse';
import { plannedForHands } from '../../core/toy/planToy';
import { usualHands } from '../../core/plan/hands';
import { usePace } from '../../data/pace';
import { useMakeHabits } from '../../data/makeHabits';
import type { Happening } from '../../data/makingRun';
import { OneOf } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Card, fewCards } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { choosePhoto } from '../../ui/photo';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';
import { BatchPlan } from './BatchPlan';
import { LogEntries } from './LogEntries';
import { MoreRounds } from './MoreRounds';

type RoundTask = Extract<Task, { kind: 'round' }>;

interface MakeMoreProps {
  progress: Progress;
  tasks: readonly Task[];
  happen: (what: Happening) => void;
  onClose: () => void;
  run: Run;
}

const taps: readonly (readonly [TapFor, string])[] = [
  ['stitch', t`A stitch`],
  ['repeat', t`A repeat`],
  ['round', t`A round`],
];

const Heading = ({ children }: { children: string }) => (
  <Title render="h2" margin={0} fontSize="$4" lineHeight="$4">
    {children}
  </Title>
);

/** How to find the place on the piece itself. */
function WhereWasI({ task, text }: { task: Task; text: string }) {
  const part = analyseToy(text, { searches: false }).parts.find(({ source }) => source.id === task.unit.part);
  if (task.kind !== 'round' || !part) return null;
  return (
    <Card gap="$2">
      <Heading>{t`Where was I?`}</Heading>
      {whereWasI(part.fabric, task.round).map((line) => (
        <Body key={line}>{line}</Body>
      ))}
    </Card>
  );
}

/** Going to another round or unit: what is tapped along starts there. */
function GoTo({ tasks, progress, happen, onClose }: MakeMoreProps) {
  const { place } = progress;
  const task = tasks[place.task];
  const units = tasks.flatMap(({ unit }, i) =>
    i === 0 || tasks[i - 1]?.unit !== unit ? [{ unit, at: i }] : [],
  );
  const first = units.filter(({ unit }, i) => units.findIndex((one) => one.unit.name === unit.name) === i);
  const rounds = tasks.flatMap((one, i) =>
    one.kind === 'round' && one.unit.name === task?.unit.name ? [{ label: one.label, at: i }] : [],
  );
  const [round, setRound] = useState(task?.kind === 'round' ? task.label : 1);
  const go = (at: number) => {
    happen({ kind: 'goto', place: { copy: place.copy, task: at, move: 0 } });
    onClose();
  };
  const wanted = rounds.find(({ label }) => label === round);
  return (
    <Card gap="$3">
      <Heading>{t`Go to`}</Heading>
      {rounds.length > 1 ? (
        <View gap="$2">
          <NumberStep
            label={t`Round`}
            unit={t`of ${rounds.length}`}
            value={round}
            step={1}
            least={rounds[0]?.label ?? 1}
            most={rounds.at(-1)?.label ?? 1}
            onChange={setRound}
          />
          <Press
            label={t`Go to the beginning of round ${round}`}
            disabled={!wanted}
            onPress={() => wanted && go(wanted.at)}
          />
        </View>
      ) : null}
      <View flexDirection="row" flexWrap="wrap" gap="$2">
        {first.map(({ unit, at }) => (
          <Press key={`${unit.name} ${at}`} label={unit.name} onPress={() => go(at)} />
        ))}
      </View>
    </Card>
  );
}

/** What is still to be made, day by day. */
function LeftOverDays({ progress, run }: MakeMoreProps) {
  const { pace } = usePace();
  const [isPlanning, setPlanning] = useState(false);
  const { text, place } = progress;
  const toy = useMemo(
    () => ({ ...plannedForHands(analyseToy(text, { searches: false }), run.hands ?? usualHands), pace }),
    [text, run.hands, pace],
  );
  return (
    <Card gap="$3">
      <Heading>{t`What is left`}</Heading>
      {isPlanning ? (
        <BatchPlan toy={toy} copies={run.copies} done={place} />
      ) : (
        <Press label={t`Plan the rest over days`} onPress={() => setPlanning(true)} />
      )}
    </Card>
  );
}

/** How taps count, and what else she is told by. */
function Habits() {
  const { habits, change } = useMakeHabits();
  const switches = [
    [t`Say it aloud`, 'speaks'],
    [t`Let me feel it`, 'buzzes'],
    [t`Keep the screen on`, 'awake'],
    [t`Show how it is done`, 'teaches'],
  ] as const;
  return (
    <Card gap="$3">
      <OneOf label={t`A tap is`} options={taps} chosen={habits.by} onChoose={(by) => change({ by })} />
      <View flexDirection="row" flexWrap="wrap" gap="$2">
        {switches.map(([label, key]) => (
          <Press
            key={key}
            role="switch"
            label={label}
            chosen={habits[key]}
            onPress={() => change({ [key]: !habits[key] })}
          />
        ))}
      </View>
      <Quiet>{t`The screen stays on, and the phone can be felt, only where the browser lets a page do so: over a safe address (https), or on this machine.`}</Quiet>
    </Card>
  );
}

/** The stitches there really are, and rounds worked more often than the pattern says. */
function Otherwise({ task, progress, happen, onClose, run }: MakeMoreProps & { task: RoundTask }) {
  const { stitches } = task.moves;
  const [counted, setCounted] = useState(stitches);
  const off = Math.abs(counted - stitches);
  return (
    <Card gap="$3">
      <Heading>{t`It went otherwise`}</Heading>
      <NumberStep
        label={t`Stitches I count in round ${task.label}`}
        unit={t`stitches`}
        value={counted}
        step={1}
        least={0}
        most={999}
        onChange={setCounted}
      />
      <Press
        label={t`Write that down`}
        onPress={() => {
          happen({ kind: 'counted', stitches: counted });
          onClose();
        }}
      />
      {off === 0 ? null : (
        <Body>{t`The pattern has ${stitches}: ${off} ${counted > stitches ? t`too many` : t`missing`}. What goes by stitch numbers on this round and above shifts; open the round up, or add or take one where it doesn’t show, at the back.`}</Body>
      )}
      <MoreRounds
        task={task}
        place={progress.place}
        text={progress.text}
        hands={run.hands}
        happen={happen}
        onDone={onClose}
      />
    </Card>
  );
}

/** More photos than these make a toy slow to open. */
const mostPhotos = 40;

/** Notes and photos, and everything that was written down so far. */
function Log({ progress, run, happen, onClose }: MakeMoreProps) {
  const [note, setNote] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const photos = progress.log.filter(({ picture }) => picture !== undefined).length;
  const keep = () => {
    happen({ kind: 'note', text: note.trim() });
    onClose();
  };
  const photograph = async () => {
    setTrouble(null);
    try {
      const picture = await choosePhoto();
      if (picture === null) return;
      if (picture.length > longestPicture)
        throw new Error(t`This photo stays too large to be kept. Take another.`);
      happen({ kind: 'photo', picture, text: note.trim() });
      setNote('');
    } catch (reason) {
      setTrouble(reason instanceof Error ? reason.message : t`The photo could not be read. Try another.`);
    }
  };
  return (
    <Card gap="$3">
      <Field label={t`A note`} value={note} onChange={setNote} />
      <View flexDirection="row" gap="$2">
        <Press grow tight label={t`Keep the note`} disabled={note.trim() === ''} onPress={keep} />
        <Press
          grow
          tight
          label={t`Add a photo`}
          disabled={photos >= mostPhotos}
          onPress={() => void photograph()}
        />
      </View>
      <Quiet>{t`A photo is kept small, in this browser only. What you wrote above goes with it.`}</Quiet>
      {trouble === null ? null : (
        <Notice tone="wrong" live>
          {trouble}
        </Notice>
      )}
      {progress.log.length > 0 ? <LogEntries entries={progress.log} copies={run.copies} /> : null}
    </Card>
  );
}

/** Everything beside the next number: how taps count, the place on the piece, notes, what went otherwise. */
export function MakeMore(props: MakeMoreProps) {
  const { progress, tasks, onClose } = props;
  const task = tasks[progress.place.task];
  if (!task) return null;
  return (
    <>
      <View gap="$4" style={fewCards} alignItems="flex-start">
        <WhereWasI task={task} text={progress.text} />
        <Habits />
        <GoTo {...props} />
        {task.kind === 'round' ? <Otherwise {...props} task={task} /> : null}
        <LeftOverDays {...props} />
        <Log {...props} />
      </View>
      <Press tone="primary" label={t`Back to the work`} onPress={onClose} />
    </>
  );
}
