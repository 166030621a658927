import { t } from '../../core/words/language';
import { useEffect, useState } from 'react';
import { View } from '@tamagui/core';
import { standingWords, type Standing, type TrialEntry } from '../../core/safety/record';
import { kilograms, trialName, type Trial } from '../../core/safety/trials';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { Card, Row } from '../../ui/layout';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet, Title } from '../../ui/text';
import { Meter, type Taken } from './Meter';

const marks: Record<Standing, string> = { open: '○', held: '✓', failed: '✕', mended: '✓' };

/** Counts seconds down while something is pulled. */
function Countdown({ seconds }: { seconds: number }) {
  const [endsAt, setEndsAt] = useState<number | null>(null);
  const [left, setLeft] = useState(seconds);
  useEffect(() => {
    if (endsAt === null) return undefined;
    const tick = setInterval(() => {
      const rest = Math.max(0, Math.ceil((endsAt - Date.now()) / 1000));
      setLeft(rest);
      if (rest > 0) return;
      setEndsAt(null);
      navigator.vibrate?.(200);
    }, 200);
    return () => clearInterval(tick);
  }, [endsAt]);
  const isDone = endsAt === null && left === 0;
  return (
    <Row>
      <Press
        label={endsAt === null ? t`Count ${seconds} seconds` : t`Counting`}
        disabled={endsAt !== null}
        onPress={() => {
          setLeft(seconds);
          setEndsAt(Date.now() + seconds * 1000);
        }}
      />
      <View role="timer" aria-label={t`Seconds left`}>
        <Answer>{isDone ? t`Time` : left}</Answer>
      </View>
    </Row>
  );
}

/** What came of a trial, to be written down. */
export type Outcome = Pick<TrialEntry, 'result' | 'forceN' | 'grams' | 'note'>;

/** What the two ends of a trial are called, where held and failed say too little. */
const endings: Partial<Record<Trial['kind'], Record<Outcome['result'], string>>> = {
  cylinder: { held: t`Nothing goes in`, failed: t`Something goes in` },
  weigh: { held: t`As heavy as it was`, failed: t`It has lost weight` },
};
const usualEndings: Record<Outcome['result'], string> = { held: t`It held`, failed: t`It failed` };

interface TryingProps {
  trial: Trial;
  busy: boolean;
  onWrite: (outcome: Outcome) => void;
}

/** Longest note, heaviest toy, hardest pull. */
const longestNote = 300;
const heaviestG = 20_000;
const hardestN = 1000;

/** What is measured while a thing is tried: its pull or its weight, typed or taken from an instrument. */
interface Measure {
  value: number;
  /** null where it was typed */
  taken: Taken | null;
}

interface MeasuringProps {
  trial: Trial;
  measure: Measure;
  onMeasure: (measure: Measure) => void;
}

/** How hard or how heavy, by hand or by an instrument. */
function Measuring({ trial: { kind, forceN, seconds }, measure: { value }, onMeasure }: MeasuringProps) {
  const isWeighed = kind === 'weigh';
  const onTake = (taken: Taken) => onMeasure({ value: taken.value, taken });
  const onChange = (typed: number) => onMeasure({ value: typed, taken: null });
  return (
    <>
      <Meter
        kind={isWeighed ? 'mass' : 'force'}
        wanted={forceN ?? 0}
        seconds={seconds ?? 0}
        onTake={onTake}
      />
      {isWeighed ? (
        <NumberStep
          label={t`How heavy`}
          unit={t`g`}
          value={value}
          step={1}
          least={0}
          most={heaviestG}
          onChange={onChange}
        />
      ) : (
        <NumberStep
          label={t`How hard, ${kilograms(value)} kg on the scale`}
          unit="N"
          value={value}
          step={5}
          least={0}
          most={hardestN}
          onChange={onChange}
        />
      )}
    </>
  );
}

/** What is written down of a try. */
function outcomeOf(
  { kind, forceN, seconds }: Trial,
  { value, taken }: Measure,
  note: string,
  result: Outcome['result'],
): Outcome {
  const held = seconds === null || kind === 'weigh' ? '' : t`, held ${Math.floor(taken?.heldSeconds ?? 0)} s`;
  const by = taken ? `${taken.device}${held}` : '';
  return {
    result,
    forceN: forceN === null ? null : value,
    ...(kind === 'weigh' && value > 0 ? { grams: value } : {}),
    note: [note.trim(), by].filter(Boolean).join('; ').slice(0, longestNote),
  };
}

/** While a thing is tried: how, how long, how hard, and what came of it. */
function Trying({ trial, busy, onWrite }: TryingProps) {
  const { kind, how, seconds, forceN, source } = trial;
  const [measure, setMeasure] = useState<Measure>({ value: forceN ?? 0, taken: null });
  const [note, setNote] = useState('');
  const { taken } = measure;
  const isShort = taken !== null && seconds !== null && taken.heldSeconds < seconds;
  const words = endings[kind] ?? usualEndings;
  const write = (result: Outcome['result']) => onWrite(outcomeOf(trial, measure, note, result));
  return (
    <>
      <Body>{how}</Body>
      {seconds === null ? null : <Countdown seconds={seconds} />}
      {forceN !== null || kind === 'weigh' ? (
        <Measuring trial={trial} measure={measure} onMeasure={setMeasure} />
      ) : null}
      {isShort ? (
        <Notice tone="plain" live>
          {t`Held for ${Math.floor(taken.heldSeconds)} of ${seconds} seconds. Pull again, or write down that it failed.`}
        </Notice>
      ) : null}
      <Field
        label={t`A note, if you like`}
        value={note}
        placeholder={t`what opened, what you did about it`}
        onChange={setNote}
      />
      <Row>
        <Press
          grow
          tone="primary"
          label={words.held}
          disabled={busy || isShort}
          onPress={() => write('held')}
        />
        <Press grow tone="danger" label={words.failed} disabled={busy} onPress={() => write('failed')} />
      </Row>
      <Quiet>{source}</Quiet>
    </>
  );
}

const edges: Record<Standing, '$danger' | '$edge' | '$good'> = {
  open: '$edge',
  held: '$good',
  failed: '$danger',
  mended: '$good',
};

interface TrialCardProps extends TryingProps {
  standing: Standing;
  open: boolean;
  onOpen: () => void;
}

/** How a thing is tried, and how that stands. */
export function TrialCard({ standing, open, onOpen, ...trying }: TrialCardProps) {
  const { kind, of } = trying.trial;
  return (
    <View render="li" style={{ listStyleType: 'none' }}>
      <Card gap="$2" borderLeftWidth={6} borderLeftColor={edges[standing]}>
        <Row justifyContent="space-between">
          <View flexShrink={1}>
            <Title render="h2" margin={0} fontSize="$4" lineHeight="$4">
              {trialName(kind)}: {of}
            </Title>
            <Body color={standing === 'failed' ? '$danger' : '$color'}>
              {marks[standing]} {standingWords(standing).toLowerCase()}
            </Body>
          </View>
          {open ? null : (
            <Press
              label={standing === 'open' ? t`Try it` : t`Again`}
              name={t`Try: ${trialName(kind)}, ${of}`}
              onPress={onOpen}
            />
          )}
        </Row>
        {open ? <Trying {...trying} /> : null}
      </Card>
    </View>
  );
}
