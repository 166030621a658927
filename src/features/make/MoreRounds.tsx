import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { analyseToy } from '../../core/toy/analyse';
import { compareToys } from '../../core/edit/compareToys';
import { withMoreRounds } from '../../core/edit/moreRounds';
import { placeAfterChange, type Place } from '../../core/make/run';
import type { Task } from '../../core/make/tasks';
import { usualHands, type Hands } from '../../core/plan/hands';
import { plannedForHands } from '../../core/toy/planToy';
import type { Happening } from '../../data/makingRun';
import { tasksOfText } from '../../data/useMaking';
import { useToy } from '../../data/useToy';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';

type RoundTask = Extract<Task, { kind: 'round' }>;

interface MoreRoundsProps {
  task: RoundTask;
  place: Place;
  text: string;
  hands: Hands | undefined;
  happen: (what: Happening) => void;
  onDone: () => void;
}

const planned = (text: string, hands: Hands = usualHands) =>
  plannedForHands(analyseToy(text, { searches: false }), hands);

/** More rounds were worked than the pattern has: what that changes, before it is agreed to. */
export function MoreRounds({ task, place, text, hands, happen, onDone }: MoreRoundsProps) {
  const [more, setMore] = useState(1);
  const { editor, text: pattern } = useToy();
  const { unit, label, words } = task;
  const longer = withMoreRounds(text, { part: unit.part, label, words }, more);
  const changes = compareToys(planned(text, hands), planned(longer, hands));
  const agree = () => {
    const moved = placeAfterChange(place, tasksOfText(text, hands), tasksOfText(longer, hands));
    happen({
      kind: 'text',
      text: longer,
      why: t`Worked round ${label} of the ${unit.name.toLowerCase()} ${more} ${more === 1 ? t`time` : t`times`} more.`,
      place: moved,
    });
    onDone();
  };
  return (
    <View gap="$3" role="region" aria-label={t`More rounds like this one`}>
      <Title render="h2" margin={0} fontSize="$4" lineHeight="$4">
        {t`More rounds like round ${task.label}`}
      </Title>
      <NumberStep
        label={t`Rounds more`}
        unit={t`rounds`}
        value={more}
        step={1}
        least={1}
        most={20}
        onChange={setMore}
      />
      {longer === text ? (
        <Body>{t`Only a round that keeps its count can be worked once more. Change the others in the pattern.`}</Body>
      ) : changes.length === 0 ? (
        <Body>{t`Nothing else changes by that.`}</Body>
      ) : (
        <View gap="$1" role="list" aria-label={t`What that changes`}>
          {changes.map(({ part, what, before, after }) => (
            <Body key={`${part} ${what}`} role="listitem">
              {part}, {what}: {before} → {after}
            </Body>
          ))}
        </View>
      )}
      <Press tone="primary" label={t`For this toy only`} disabled={longer === text} onPress={agree} />
      <Press
        label={t`For the pattern too`}
        disabled={longer === text || pattern !== text}
        onPress={() => {
          editor.step(longer);
          agree();
        }}
      />
      {pattern === text ? null : (
        <Quiet>{t`The pattern was changed since this toy was begun, so it is left as it is.`}</Quiet>
      )}
    </View>
  );
}
