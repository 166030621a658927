import { useEffect, useState } from 'react';
import { View } from '@tamagui/core';
import { standingWords, type Standing, type TrialEntry } from '../../core/safety/record';
import { kilograms, type Trial } from '../../core/safety/trials';
import { Field } from '../../ui/Field';
import { Card, Row } from '../../ui/layout';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet, Title } from '../../ui/text';

const kinds: Record<Trial['kind'], string> = {
  pull: 'Pull',
  twist: 'Twist',
  seam: 'Pull the seam',
  drop: 'Drop',
  wash: 'Wash',
  light: 'Hold against light',
};

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
        label={endsAt === null ? `Count ${seconds} seconds` : 'Counting'}
        disabled={endsAt !== null}
        onPress={() => {
          setLeft(seconds);
          setEndsAt(Date.now() + seconds * 1000);
        }}
      />
      <View role="timer" aria-label="Seconds left">
        <Answer>{isDone ? 'Time' : left}</Answer>
      </View>
    </Row>
  );
}

/** What came of a trial, to be written down. */
export type Outcome = Pick<TrialEntry, 'result' | 'forceN' | 'note'>;

interface TryingProps {
  trial: Trial;
  busy: boolean;
  onWrite: (outcome: Outcome) => void;
}

/** While a thing is tried: how, how long, how hard, and what came of it. */
function Trying({ trial: { how, seconds, forceN, source }, busy, onWrite }: TryingProps) {
  const [force, setForce] = useState(forceN ?? 0);
  const [note, setNote] = useState('');
  const write = (result: Outcome['result']) =>
    onWrite({ result, forceN: forceN === null ? null : force, note: note.trim().slice(0, 300) });
  return (
    <>
      <Body>{how}</Body>
      {seconds === null ? null : <Countdown seconds={seconds} />}
      {forceN === null ? null : (
        <NumberStep
          label={`How hard, ${kilograms(force)} kg on the scale`}
          unit="N"
          value={force}
          step={5}
          least={0}
          most={1000}
          onChange={setForce}
        />
      )}
      <Field
        label="A note, if you like"
        value={note}
        placeholder="what opened, what you did about it"
        onChange={setNote}
      />
      <Row>
        <Press grow tone="primary" label="It held" disabled={busy} onPress={() => write('held')} />
        <Press grow tone="danger" label="It failed" disabled={busy} onPress={() => write('failed')} />
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
              {kinds[kind]}: {of}
            </Title>
            <Body color={standing === 'failed' ? '$danger' : '$color'}>
              {marks[standing]} {standingWords(standing).toLowerCase()}
            </Body>
          </View>
          {open ? null : (
            <Press
              label={standing === 'open' ? 'Try it' : 'Again'}
              name={`Try: ${kinds[kind]}, ${of}`}
              onPress={onOpen}
            />
          )}
        </Row>
        {open ? <Trying {...trying} /> : null}
      </Card>
    </View>
  );
}
