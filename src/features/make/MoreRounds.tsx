import { useState } from 'react';
import { View } from '@tamagui/core';
import { analyseToy } from '../../core/toy/analyse';
import { compareToys } from '../../core/toy/compareToys';
import { duplicateRound, roundCards } from '../../core/toy/editRounds';
import { placeAfterChange, type Place } from '../../core/make/run';
import type { Task } from '../../core/make/tasks';
import type { Happening } from '../../data/makingRun';
import { tasksOfText } from '../../data/useMaking';
import { useToy } from '../../data/useToy';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';

type RoundTask = Extract<Task, { kind: 'round' }>;

/** The text with a round of a part worked so many times more; the text itself where it has no such round. */
function withMoreRounds(text: string, { unit, label }: RoundTask, more: number): string {
  let longer = text;
  for (let i = 0; i < more; i += 1) {
    const part = analyseToy(longer, { searches: false }).parts.find(
      ({ source }) => source.id === unit.part,
    )?.source;
    const round = part?.rounds.find(({ number }) => number === label);
    const card = part && roundCards(part).find(({ first, last }) => first <= label && last >= label);
    if (!part || !round || !card) return text;
    // One round more, of a line that holds several.
    const single = {
      ...card,
      source: {
        ...card.source,
        text: `R1: ${
          longer
            .split('\n')
            [round.line - 1]?.slice(round.work.label?.span.to ?? 0)
            .trim() ?? ''
        }`,
      },
    };
    longer = duplicateRound(longer, part, single);
  }
  return longer;
}

interface MoreRoundsProps {
  task: RoundTask;
  place: Place;
  text: string;
  happen: (what: Happening) => void;
  onDone: () => void;
}

/** More rounds were worked than the pattern has: what that changes, before it is agreed to. */
export function MoreRounds({ task, place, text, happen, onDone }: MoreRoundsProps) {
  const [more, setMore] = useState(1);
  const { editor, text: pattern } = useToy();
  const longer = withMoreRounds(text, task, more);
  const changes = compareToys(analyseToy(text, { searches: false }), analyseToy(longer, { searches: false }));
  const agree = () => {
    const [before, after] = [tasksOfText(text), tasksOfText(longer)];
    const moved = placeAfterChange(place, before, after);
    happen({
      kind: 'text',
      text: longer,
      why: `Worked round ${task.label} of the ${task.unit.name.toLowerCase()} ${more} ${more === 1 ? 'time' : 'times'} more.`,
      place: moved,
    });
    onDone();
  };
  return (
    <View gap="$3" role="region" aria-label="More rounds like this one">
      <Title render="h2" margin={0} fontSize="$4" lineHeight="$4">
        More rounds like round {task.label}
      </Title>
      <NumberStep
        label="Rounds more"
        unit="rounds"
        value={more}
        step={1}
        least={1}
        most={20}
        onChange={setMore}
      />
      {longer === text ? (
        <Body>This round can’t be worked again by itself. Change it in the pattern.</Body>
      ) : changes.length === 0 ? (
        <Body>Nothing else changes by that.</Body>
      ) : (
        <View gap="$1" role="list" aria-label="What that changes">
          {changes.map(({ part, what, before, after }) => (
            <Body key={`${part} ${what}`} role="listitem">
              {part}, {what}: {before} → {after}
            </Body>
          ))}
        </View>
      )}
      <Press tone="primary" label="For this toy only" disabled={longer === text} onPress={agree} />
      <Press
        label="For the pattern too"
        disabled={longer === text || pattern !== text}
        onPress={() => {
          editor.step(longer);
          agree();
        }}
      />
      {pattern === text ? null : (
        <Quiet>The pattern was changed since this toy was begun, so it is left as it is.</Quiet>
      )}
    </View>
  );
}
