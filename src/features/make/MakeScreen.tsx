import { t, tAs } from '../../core/words/language';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from '@tamagui/core';
import type { Run } from '../../core/make/run';
import { minutesOfAll } from '../../core/plan/time';
import { timeWords } from '../../core/words/time';
import { BatchPlan } from './BatchPlan';
import { orderByUnit } from '../../core/toy/orderWords';
import { nameOfToy } from '../../core/keep/toyCard';
import { generalCaution } from '../../core/safety/cautions';
import { useHands } from '../../data/hands';
import { usePace } from '../../data/pace';
import { useMakingRun, useRuns, useStanding, type Standing } from '../../data/useMaking';
import { useToy } from '../../data/useToy';
import { Card, fewCards, Fill } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { HowMany } from '../../ui/HowMany';
import { Empty, Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';
import { SaveLine, SaveTrouble } from '../toy/SaveLine';
import { ToyTabs } from '../toy/ToyTabs';
import { MakingPage } from './MakingPage';
import { ToyTimeline } from './ToyTimeline';

/** The order of the whole toy, the steps of one unit together. */
function OrderOfWork() {
  const { analysis } = useToy();
  const groups = orderByUnit(analysis);
  return (
    <View render="ol" margin={0} padding={0} gap="$2" aria-label={t`Order of work`}>
      {groups.map(({ key, unit, lines, minutes }) => (
        <View key={key} render="li" style={{ listStyleType: 'none' }}>
          <Card gap="$1">
            <View flexDirection="row" justifyContent="space-between" gap="$2">
              <Title render="h3" margin={0} fontSize="$4" lineHeight="$4">
                {unit}
              </Title>
              <Quiet>{t`${Math.max(1, Math.round(minutes))} min`}</Quiet>
            </View>
            <Body>{lines.join(' · ')}</Body>
          </Card>
        </View>
      ))}
    </View>
  );
}

/** `Toy 3 of 6 · begun 26/11/2026 · 77 min so far` */
function begunWords({ started, copies }: Run, standing: Standing | null): string {
  const toys = standing?.task ? t`toy ${standing.toy} of ${copies}` : t`${copies} toys`;
  const minutes = Math.round(standing?.minutes ?? 0);
  const words = [
    t`Begun ${new Date(started).toLocaleDateString()}`,
    copies > 1 ? toys : '',
    minutes > 0 ? t`${timeWords(minutes)} so far` : '',
  ];
  return words.filter(Boolean).join(' · ');
}

/** A run that was begun, to be gone on with. */
function Begun({ run, onOpen, onDelete }: { run: Run; onOpen: () => void; onDelete: () => void }) {
  const [isSure, setSure] = useState(false);
  const standing = useStanding(run.id);
  return (
    <Card gap="$2">
      {standing ? (
        <Title render="h2" margin={0} fontSize="$4" lineHeight="$4">
          {standing.task ?? t`All done`}
        </Title>
      ) : null}
      <Body>{begunWords(run, standing)}</Body>
      <View flexDirection="row" gap="$2">
        <Press grow tone="primary" label={t`Go on making`} onPress={onOpen} />
        <Press
          tone={isSure ? 'danger' : 'plain'}
          label={isSure ? t`Delete it for good` : t`Delete`}
          onPress={() => (isSure ? onDelete() : setSure(true))}
        />
      </View>
    </Card>
  );
}

/** How many, how long, and off. */
function BeginNew({ isFirst, onBegin }: { isFirst: boolean; onBegin: (copies: number) => void }) {
  const { analysis } = useToy();
  const { own } = usePace();
  const [copies, setCopies] = useState(1);
  const wrong = analysis.problems.filter(({ severity }) => severity === 'error').length;
  const [isPlanning, setPlanning] = useState(false);
  const minutes = minutesOfAll(analysis.order.steps, analysis.pace);
  return (
    <Card gap="$3">
      <HowMany toys={copies} onChange={setCopies} />
      <Body>{t`About ${timeWords(minutes * copies)} of work at ${own === null ? t`a usual` : t`your`} pace${copies > 1 ? t`, ${timeWords(minutes)} a toy` : ''}.`}</Body>
      {wrong > 0 ? (
        <Notice tone="look">
          {t`${wrong === 1 ? t`one thing in this pattern does` : t`${wrong} things in this pattern do`} not add up yet. Mend it first, or count with care.`}
        </Notice>
      ) : null}
      <Press tone={isFirst ? 'primary' : 'plain'} label={t`Begin making`} onPress={() => onBegin(copies)} />
      {isPlanning ? (
        <BatchPlan toy={analysis} copies={copies} />
      ) : (
        <Press label={t`Plan it over days`} onPress={() => setPlanning(true)} />
      )}
    </Card>
  );
}

function Begin({ onOpen }: { onOpen: (run: string) => void }) {
  const router = useRouter();
  const { analysis, editor, text } = useToy();
  const { runs, error, retry, begin, remove } = useRuns(editor.id);
  const { hands } = useHands();
  const hasRounds = analysis.parts.some(({ checks }) => checks.length > 0);
  const start = (copies: number) =>
    begin.mutate({ name: nameOfToy(analysis), text, copies, hands }, { onSuccess: (run) => onOpen(run.id) });
  return (
    <>
      {error || begin.error ? (
        <Notice
          tone="wrong"
          live
          actions={<Press label={t`Try again`} onPress={retry} />}
        >{t`what is being made can’t be read or kept: this browser’s storage is full or shut.`}</Notice>
      ) : null}
      <View gap="$4" style={fewCards} alignItems="flex-start">
        <View gap="$4">
          {(runs ?? []).map((run) => (
            <Begun
              key={run.id}
              run={run}
              onOpen={() => onOpen(run.id)}
              onDelete={() => remove.mutate(run.id)}
            />
          ))}
          {runs && runs.length > 0 ? (
            <Press role="link" label={t`Logbook`} onPress={() => router.push(`/toy/${editor.id}/log`)} />
          ) : null}
          {hasRounds ? (
            <BeginNew isFirst={!runs || runs.length === 0} onBegin={start} />
          ) : (
            <Empty>{t`Nothing to make yet: write some rounds first.`}</Empty>
          )}
        </View>
        {hasRounds ? (
          <View gap="$4">
            <Title render="h2" margin={0}>{t`Order of work`}</Title>
            <ToyTimeline />
            <OrderOfWork />
            <Quiet>{generalCaution}</Quiet>
          </View>
        ) : null}
      </View>
    </>
  );
}

/** Making a toy: what was begun, what can be begun, and the order of it all; or the work itself. */
export function MakeScreen() {
  const router = useRouter();
  const { run } = useLocalSearchParams<{ run?: string }>();
  const { analysis, editor } = useToy();
  const { making, error, reopen } = useMakingRun(run ?? null);
  const leave = () => router.replace(`/toy/${editor.id}/make`);
  if (run && making) return <MakingPage making={making} reopen={reopen} onLeave={leave} />;
  if (run && (making === null || error))
    return (
      <Page title={t`Not here`} back={{ name: tAs('leave')`Back`, go: leave }}>
        <Notice tone="look" actions={<Press label={t`Try again`} onPress={reopen} />}>
          {error ? t`what was made can’t be read just now.` : t`this is not being made in this browser.`}
        </Notice>
      </Page>
    );
  if (run) return null;
  return (
    <Fill>
      <Page
        broad
        title={t`Make`}
        aside={<SaveLine name={nameOfToy(analysis)} />}
        back={{ name: t`Back to the shelf`, go: () => router.replace('/') }}
      >
        <SaveTrouble />
        <Begin onOpen={(id) => router.push(`/toy/${editor.id}/make?run=${id}`)} />
      </Page>
      <ToyTabs chosen="make" />
    </Fill>
  );
}
