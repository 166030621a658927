import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import { joinDirections } from '../../core/join/directions';
import type { Unit } from '../../core/join/joined';
import { pointingWords } from '../../core/join/pose/pointing';
import { canTilt } from '../../core/join/stance';
import type { ToyAnalysis } from '../../core/toy/analyse';
import { assembled } from '../../core/toy/assembled';
import { joinPart } from '../../core/toy/joinAll';
import { Icon } from '../../ui/Icon';
import { Card, Row } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';
import { MovePads, StancePads } from './MovePads';
import { joinOf, workedOnOf, type Move, type Stance } from './useMove';

interface ChosenUnitProps {
  /** as it is drawn now, also while a thumb draws it elsewhere */
  toy: ToyAnalysis;
  /** all that is drawn, in the order one steps through them */
  units: readonly Unit[];
  chosen: Unit | null;
  move: Move | null;
  stance: Stance | null;
  onChoose: (unit: Unit) => void;
}

/** The part that is chosen on the drawing: where it is, and the pads that move it, within reach of the picture. */
export function ChosenUnit({ toy, units, chosen, move, stance, onChoose }: ChosenUnitProps) {
  const at = units.findIndex(({ part, unit }) => part === chosen?.part && unit === chosen.unit);
  const step = (by: number) => {
    const next = units[(at + by + units.length) % units.length];
    if (next) onChoose(next);
  };
  const parts = toy.parts.map((part) => joinPart(part));
  const join = chosen && (joinOf(toy, chosen) ?? workedOnOf(toy, chosen));
  const directions = join && joinDirections(join, toy.joined, parts);
  const posed = chosen && assembled(toy).find(({ unit }) => unit === chosen);
  const points = join && posed && canTilt(join) ? t`Points ${pointingWords(posed)}.` : null;
  const name = chosen ? chosen.name.charAt(0).toUpperCase() + chosen.name.slice(1) : null;
  return (
    <Card gap="$2" role="group" aria-label={t`The part in your hand`}>
      <Row>
        <Press icon={<Icon name="back" />} name={t`The part before`} onPress={() => step(at < 0 ? 0 : -1)} />
        <View flexGrow={1} flexShrink={1} flexBasis={0} role="status" alignItems="center">
          {name ? (
            <Title render="h2" margin={0} textAlign="center">
              {name}
            </Title>
          ) : (
            <Body textAlign="center">{t`Tap a part to move it. Swipe to turn the toy.`}</Body>
          )}
          {directions ? <Body textAlign="center">{directions.address}</Body> : null}
          {points ? <Quiet textAlign="center">{points}</Quiet> : null}
        </View>
        <Press icon={<Icon name="next" />} name={t`The next part`} onPress={() => step(1)} />
      </Row>
      {name && move ? <MovePads move={move} of={t`${name} in your hand`} /> : null}
      {name && stance ? <StancePads key={name} stance={stance} of={t`${name} in your hand`} /> : null}
      {name && !move ? <Quiet>{whyFixed(join !== null && join !== undefined)}</Quiet> : null}
    </Card>
  );
}

const whyFixed = (isJoined: boolean): string =>
  isJoined
    ? t`It stays where it is: an edge, an end or a round you wrote holds it.`
    : t`Nothing joins it to another part: the others hang on it, or it has no place yet.`;
