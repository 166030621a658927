import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import { useState } from 'react';
import { Row } from '../../ui/layout';
import { evenRound } from '../../core/fabric/evenRound';
import { OneOf } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Icon } from '../../ui/Icon';
import { Notice } from '../../ui/Notice';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet } from '../../ui/text';

type Kind = 'plain' | 'more' | 'fewer' | 'repeat' | 'own';
const kinds: { key: Kind; label: string }[] = [
  { key: 'plain', label: t`Plain` },
  { key: 'more', label: t`Increase` },
  { key: 'fewer', label: t`Decrease` },
  { key: 'repeat', label: t`Same again` },
  { key: 'own', label: t`Write it` },
];

interface AddRoundProps {
  /** stitches to work into; 0 before the first round */
  below: number;
  /** stitches of the first round: the usual step up or down */
  ring: number;
  /** what the round before says */
  last: string | null;
  /** the maker's word for a plain stitch */
  word: string;
  onAdd: (body: string, count?: number) => void;
  onLeave: () => void;
}

/** Composes a round with the thumb: what kind, how many stitches, and the words that get there. */
export function AddRound({ below, ring, last, word, onAdd, onLeave }: AddRoundProps) {
  const [kind, setKind] = useState<Kind>('plain');
  const [wanted, setWanted] = useState(below + ring);
  const [stagger, setStagger] = useState(false);
  const [own, setOwn] = useState('');
  const inWords = (text: string) => text.replace(/\bsc\b/g, word);

  if (below === 0) {
    return (
      <View gap="$3" role="group" aria-label={t`The first round`}>
        <Stepper
          value={ring}
          low={3}
          high={12}
          step={1}
          words={t`stitches into the ring`}
          onChange={(n) => setWanted(n)}
          shown={wanted > 0 ? wanted : ring}
        />
        <View flexDirection="row" gap="$2">
          <Press
            grow
            tone="primary"
            label={t`Add it`}
            onPress={() => onAdd(`${wanted || ring} ${word} in magic ring`, wanted || ring)}
          />
          <Press label={t`Leave it`} onPress={onLeave} />
        </View>
      </View>
    );
  }
  const low = kind === 'more' ? below + 1 : Math.ceil(below / 2);
  const high = kind === 'more' ? below * 2 : below - 1;
  const target = Math.max(low, Math.min(high, wanted));
  const changes = kind === 'more' || kind === 'fewer';
  const even = kind === 'plain' ? 'sc around' : changes ? evenRound(below, target, stagger) : null;
  const body = kind === 'repeat' ? last : kind === 'own' ? own.trim() : even && inWords(even);
  const count = kind === 'plain' ? below : changes ? target : undefined;
  const missing = kind === 'own' ? t`Write what to work.` : t`One round can’t get there.`;
  return (
    <View gap="$3" role="group" aria-label={t`A new round`}>
      <OneOf
        wraps
        unlabelled
        label={t`Kind of round`}
        options={kinds.filter(({ key }) => key !== 'repeat' || last).map(({ key, label }) => [key, label])}
        chosen={kind}
        onChoose={(key) => {
          setKind(key);
          setWanted(key === 'fewer' ? below - ring : below + ring);
        }}
      />
      {kind === 'more' || kind === 'fewer' ? (
        <>
          <Stepper
            value={target}
            low={low}
            high={high}
            step={ring}
            words={t`stitches, from ${below}`}
            onChange={setWanted}
            shown={target}
          />
          <Press
            role="switch"
            label={stagger ? t`Staggered: begins with half a gap` : t`In line: no stagger`}
            chosen={stagger}
            onPress={() => setStagger(!stagger)}
          />
        </>
      ) : null}
      {kind === 'own' ? (
        <Field
          label={t`The round in your words`}
          value={own}
          onChange={setOwn}
          placeholder={`(${word} 3, inc) x 6`}
        />
      ) : null}
      {body ? (
        <Body>
          {body}
          {count === undefined ? '' : ` [${count}]`}
        </Body>
      ) : (
        <Notice tone="plain">{missing}</Notice>
      )}
      <View flexDirection="row" gap="$2">
        <Press
          grow
          tone="primary"
          label={t`Add it`}
          disabled={!body}
          onPress={() => body && onAdd(body, count)}
        />
        <Press label={t`Leave it`} onPress={onLeave} />
      </View>
    </View>
  );
}

/** A number to step up and down, by one and by a usual step. */
function Stepper({
  value,
  low,
  high,
  step,
  words,
  shown,
  onChange,
}: {
  value: number;
  low: number;
  high: number;
  step: number;
  words: string;
  shown: number;
  onChange: (n: number) => void;
}) {
  const to = (n: number) => onChange(Math.max(low, Math.min(high, n)));
  return (
    <Row>
      <Press
        name={t`One fewer`}
        icon={<Icon name="minus" />}
        disabled={shown <= low}
        onPress={() => to(shown - 1)}
      />
      <View flexGrow={1} alignItems="center">
        <Answer role="status">{shown}</Answer>
        <Quiet>{words}</Quiet>
      </View>
      <Press
        name={t`One more`}
        icon={<Icon name="plus" />}
        disabled={shown >= high}
        onPress={() => to(shown + 1)}
      />
      {step > 1 ? (
        <Press
          label={`+${step}`}
          name={t`${step} more`}
          disabled={shown >= high}
          onPress={() => to(value + step)}
        />
      ) : null}
    </Row>
  );
}
