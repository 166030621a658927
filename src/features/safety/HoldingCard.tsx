import { View } from '@tamagui/core';
import type { LineEdit } from '../../core/notation/problem';
import type { Audience } from '../../core/safety/audience';
import { basisOfHolding, type HoldingWay } from '../../core/safety/reinforce';
import { holdingsOf, type Holding } from '../../core/toy/holding';
import { useRules } from '../../data/rules';
import { useToy } from '../../data/useToy';
import { OneOf } from '../../ui/Choice';
import { Card } from '../../ui/layout';
import { Body, Quiet, Title } from '../../ui/text';

type Way = HoldingWay['key'];

/** Things that hold in the same way, with the same ways open to them. */
interface HeldAlike {
  first: Holding;
  titles: string[];
}

/** Seams that can be changed one at a time stay apart; what has one way only is told together. */
function alike(holdings: readonly Holding[]): HeldAlike[] {
  const groups: HeldAlike[] = [];
  for (const holding of holdings) {
    const same = groups.find(
      ({ first }) =>
        first.edits.size === 0 && holding.edits.size === 0 && first.taken.how === holding.taken.how,
    );
    if (same) same.titles.push(holding.title);
    else groups.push({ first: holding, titles: [holding.title] });
  }
  return groups;
}

interface HeldProps {
  held: HeldAlike;
  onTake: (edits: LineEdit[]) => void;
}

/** One thing: the ways it may be made to hold, compared, and how it is tried. */
function Held({ held: { first, titles }, onTake }: HeldProps) {
  const { ways, taken, advised, test, edits } = first;
  const title = titles.join(', ');
  const take = (key: Way) => {
    const changes = edits.get(key);
    if (changes) onTake(changes);
  };
  return (
    <View gap="$1">
      <Body fontWeight="700">{title}</Body>
      {edits.size > 0 ? (
        <OneOf
          wraps
          label={`How it is held: ${title}`}
          options={ways.map(({ key, name }) => [key, name] as const)}
          chosen={taken.key}
          onChoose={take}
        />
      ) : null}
      <Body>
        {taken.how} {taken.carries}
      </Body>
      {advised.key === taken.key ? null : (
        <Body>
          Better here: {advised.name.toLowerCase()}. {advised.carries}
        </Body>
      )}
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
      <Title render="h2" margin={0}>
        What holds it
      </Title>
      {held.map((one) => (
        <Held key={one.first.id} held={one} onTake={onTake} />
      ))}
      <Quiet>{basisOfHolding}</Quiet>
    </Card>
  );
}
