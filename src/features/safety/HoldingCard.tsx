import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import type { LineEdit } from '../../core/notation/problem';
import type { Audience } from '../../core/safety/audience';
import { basisOfHolding, type HoldingWay } from '../../core/safety/reinforce';
import { holdingsOf, type Holding } from '../../core/toy/holding';
import { workInInstead } from '../../core/toy/workInInstead';
import { useRules } from '../../data/rules';
import { useToy } from '../../data/useToy';
import { OneOf } from '../../ui/Choice';
import { Card, cardGrid } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';

type Way = HoldingWay['key'];

/** Things that hold in the same way: what is done is said once, and each has its own choice. */
interface HeldAlike {
  first: Holding;
  all: Holding[];
}

function alike(holdings: readonly Holding[]): HeldAlike[] {
  const groups: HeldAlike[] = [];
  for (const holding of holdings) {
    const same = groups.find(
      ({ first }) =>
        first.taken.how === holding.taken.how &&
        first.advised.key === holding.advised.key &&
        first.test === holding.test,
    );
    if (same) same.all.push(holding);
    else groups.push({ first: holding, all: [holding] });
  }
  return groups;
}

interface WaysProps {
  holding: Holding;
  onTake: (edits: LineEdit[]) => void;
}

/** Has a part worked in instead of sewn on, where that comes out; else says why it does not. */
function WorkIn({ part, title, onTake }: { part: string; title: string; onTake: WaysProps['onTake'] }) {
  const { analysis } = useToy();
  const [why, setWhy] = useState<string | null>(null);
  const attempt = () => {
    const tried = workInInstead(analysis, part);
    if (tried.ok) onTake(tried.edits);
    setWhy(tried.ok ? null : tried.why);
  };
  return (
    <>
      <Press label={t`Work it in`} name={t`Work it in, no sewing: ${title}`} onPress={attempt} />
      {why ? (
        <Notice tone="plain" live>
          {t`It can’t be worked in: ${why}`}
        </Notice>
      ) : null}
    </>
  );
}

/** The ways of one thing, the one it takes chosen. */
function Ways({ holding, onTake }: WaysProps) {
  const { title, ways, taken, edits, sewnPart } = holding;
  const take = (key: Way) => {
    const changes = edits.get(key);
    if (changes) onTake(changes);
  };
  return (
    <View flexDirection="row" flexWrap="wrap" alignItems="flex-end" gap="$2">
      {edits.size === 0 ? (
        <Body>{title}</Body>
      ) : (
        <OneOf
          wraps
          label={title}
          options={ways.map(({ key, name }) => [key, name] as const)}
          chosen={taken.key}
          onChoose={take}
        />
      )}
      {sewnPart === null ? null : <WorkIn part={sewnPart} title={title} onTake={onTake} />}
    </View>
  );
}

/** What is done, how it compares, how it is tried; then what it is done to. */
function Held({ held: { first, all }, onTake }: { held: HeldAlike; onTake: (edits: LineEdit[]) => void }) {
  const { taken, advised, test } = first;
  return (
    <View gap="$2">
      <Body fontWeight="700">{taken.name}</Body>
      <Body>
        {taken.how} {taken.carries}
      </Body>
      {advised.key === taken.key ? null : (
        <Body>{t`Better here: ${advised.name.toLowerCase()}. ${advised.carries}`}</Body>
      )}
      {all.map((holding) => (
        <Ways key={holding.id} holding={holding} onTake={onTake} />
      ))}
      <Quiet>{test}</Quiet>
    </View>
  );
}

/** How every join and every feature is made to hold, hers to choose. */
export function HoldingCard({
  audience,
  onTake,
}: {
  audience: Audience | null;
  onTake: (edits: LineEdit[]) => void;
}) {
  const { analysis } = useToy();
  const { book } = useRules();
  const held = alike(holdingsOf(analysis, audience, book));
  if (held.length === 0) return null;
  return (
    <Card gap="$4">
      <Title render="h2" margin={0}>{t`What holds it`}</Title>
      <View gap="$4" style={cardGrid}>
        {held.map((one) => (
          <Held key={one.first.id} held={one} onTake={onTake} />
        ))}
      </View>
      <Quiet>{basisOfHolding}</Quiet>
    </Card>
  );
}
