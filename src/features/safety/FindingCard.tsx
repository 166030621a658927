import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import type { Finding, ToldTogether } from '../../core/safety/findings';
import type { Remedy } from '../../core/safety/remedies';
import { Card, Row } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Body, Quiet } from '../../ui/text';

const signs: Record<Finding['severity'], { word: string; colour: '$danger' | '$marker' | '$edge' }> = {
  error: { word: t`Stop`, colour: '$danger' },
  warning: { word: t`Look`, colour: '$marker' },
  info: { word: t`Note`, colour: '$edge' },
};

interface FindingCardProps {
  told: ToldTogether;
  onApply: (edits: NonNullable<Remedy['edits']>) => void;
}

/** What was found, why it matters, and what to do about it: by a tap where the plan can. */
export function FindingCard({ told: { first, messages, remedies }, onApply }: FindingCardProps) {
  const [message, ...more] = messages;
  const { word, colour } = signs[first.severity];
  const taps = remedies.flatMap(({ tap, edits }) => (tap && edits ? [{ tap, edits }] : []));
  return (
    <View render="li" style={{ listStyleType: 'none' }}>
      <Card gap="$2" borderLeftWidth={6} borderLeftColor={colour}>
        <Body fontSize="$4" fontWeight="700">
          {word}: {message}
        </Body>
        {more.map((one) => (
          <Body key={one} fontWeight="700">
            {one}
          </Body>
        ))}
        <Body>{first.why}</Body>
        {remedies.map(({ words }) => (
          <Body key={words}>{words}</Body>
        ))}
        {taps.length > 0 ? (
          <Row flexWrap="wrap">
            {taps.map(({ tap, edits }) => (
              <Press key={tap} label={tap} name={`${tap}: ${message ?? ''}`} onPress={() => onApply(edits)} />
            ))}
          </Row>
        ) : null}
        <Quiet>{first.source}</Quiet>
      </Card>
    </View>
  );
}
