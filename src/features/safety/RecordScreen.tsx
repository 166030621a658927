import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { nameOfToy } from '../../core/keep/toyCard';
import { madeOf, recordCaution, standingOf, type RecordEntry, type Standing } from '../../core/safety/record';
import type { Trial } from '../../core/safety/trials';
import { trialsOfToy } from '../../core/toy/trialsOfToy';
import { useRules } from '../../data/rules';
import { useRecord } from '../../data/useRecord';
import { useToy } from '../../data/useToy';
import { mostToys } from '../../ui/HowMany';
import { Field } from '../../ui/Field';
import { Card, CardList, Fill } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { NumberStep } from '../../ui/NumberStep';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet, Title } from '../../ui/text';
import { SaveLine } from '../toy/SaveLine';
import { TrialCard, type Outcome } from './TrialCard';

/** What could not be read or written, and what to do. */
function RecordTrouble({ record }: { record: ReturnType<typeof useRecord> }) {
  const { error, retry, add } = record;
  return (
    <>
      {error ? (
        <Notice tone="wrong" live actions={<Press label={t`Try again`} onPress={retry} />}>
          {error.message}
        </Notice>
      ) : null}
      {add.error ? (
        <Notice tone="wrong" live>
          {t`It was not written down: ${add.error.message} Try again.`}
        </Notice>
      ) : null}
    </>
  );
}

interface TrialsProps {
  trials: readonly Trial[];
  toy: number;
  record: ReturnType<typeof useRecord>;
}

/** Everything there is to try on one toy, one at a time. */
function Trials({ trials, toy, record: { entries, add } }: TrialsProps) {
  const [open, setOpen] = useState<string | null>(null);
  const write = (trial: Trial, outcome: Outcome) =>
    add.mutate(
      { trial: trial.id, of: trial.of, toy, at: new Date().toISOString(), ...outcome },
      { onSuccess: () => setOpen(null) },
    );
  return (
    <CardList label={t`What to try`}>
      {trials.map((trial) => (
        <TrialCard
          key={`${trial.id} ${toy}`}
          trial={trial}
          standing={standingOf(trial, toy, entries ?? [])}
          open={open === trial.id}
          busy={add.isPending || entries === null}
          onOpen={() => setOpen(trial.id)}
          onWrite={(outcome) => write(trial, outcome)}
        />
      ))}
    </CardList>
  );
}

/** Fields are no longer than what is kept of them. */
const longestMaker = 100;
const longestLots = 500;

interface MadeProps {
  toy: number;
  entries: readonly RecordEntry[] | null;
  add: ReturnType<typeof useRecord>['add'];
}

/** Who made this toy, and of which lots: asked once, written down anew where it changes. */
function Made({ toy, entries, add }: MadeProps) {
  const known = madeOf(toy, entries ?? []);
  const before = known ?? { maker: '', lots: '' };
  const [maker, setMaker] = useState<string | null>(null);
  const [lots, setLots] = useState<string | null>(null);
  const shown = { maker: maker ?? before.maker, lots: lots ?? before.lots };
  const said = { maker: shown.maker.trim(), lots: shown.lots.trim() };
  const isNew = said.maker !== before.maker || said.lots !== before.lots;
  return (
    <Card gap="$2">
      <Title render="h2" margin={0} fontSize="$4" lineHeight="$4">{t`Who made it, and of what`}</Title>
      <Field
        label={t`Made by`}
        value={shown.maker}
        onChange={(text) => setMaker(text.slice(0, longestMaker))}
      />
      <Field
        label={t`Lots of yarn, stuffing and eyes`}
        value={shown.lots}
        placeholder={t`as their bands and bags say`}
        onChange={(text) => setLots(text.slice(0, longestLots))}
      />
      <Press
        label={isNew || !known ? t`Write it down` : t`Written down`}
        disabled={!isNew || add.isPending || entries === null}
        onPress={() => add.mutate({ toy, at: new Date().toISOString(), ...said })}
      />
    </Card>
  );
}

/** How many were tried, and whether something failed. */
function summary(standings: readonly Standing[]): string {
  const failed = standings.filter((standing) => standing === 'failed').length;
  const tried = standings.filter((standing) => standing !== 'open').length;
  if (failed > 0) return t`${failed} failed`;
  return tried === 0 ? t`Nothing tried yet` : t`${tried} of ${standings.length} tried`;
}

/** What a finished toy is tried by, and what came of it. */
export function RecordScreen() {
  const router = useRouter();
  const { analysis, editor } = useToy();
  const { book } = useRules();
  const record = useRecord(editor.id);
  const [toy, setToy] = useState(1);
  const trials = trialsOfToy(analysis, book);
  const entries = record.entries ?? [];
  const name = nameOfToy(analysis);
  return (
    <Fill>
      <Page
        title={t`Tried`}
        broad
        aside={<SaveLine name={name} />}
        back={{ name: t`Back to child-safe`, go: () => router.replace(`/toy/${editor.id}/safety`) }}
      >
        <RecordTrouble record={record} />
        <View role="status">
          <Answer>{summary(trials.map((trial) => standingOf(trial, toy, entries)))}</Answer>
          <Body>{t`Try each as it says, then write down what came of it. What fails stays on the record: mend it and try again.`}</Body>
        </View>
        <NumberStep
          label={t`Which toy of the batch`}
          unit=""
          value={toy}
          step={1}
          least={1}
          most={mostToys}
          onChange={(value) => setToy(Math.round(value))}
        />
        <Trials trials={trials} toy={toy} record={record} />
        <Made key={toy} toy={toy} entries={record.entries} add={record.add} />
        <Press
          role="link"
          label={t`The record on paper`}
          onPress={() => router.push(`/toy/${editor.id}/record-paper?toy=${toy}`)}
        />
        <Quiet>{recordCaution}</Quiet>
      </Page>
    </Fill>
  );
}
