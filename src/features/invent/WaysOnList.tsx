import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import type { NextRound, WayOn } from '../../core/invent/waysOn';
import { Card } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';
import { sizeWords } from '../../core/words/measures';

/** What a way to go on is called. */
function titleOf({ kind, rounds, part }: WayOn): string {
  const [first] = rounds;
  switch (kind) {
    case 'again':
      return t`The same step again: ${first?.count ?? ''}`;
    case 'plain':
      return t`A plain round`;
    case 'ball':
      return t`Close it as round as a ball`;
    case 'back':
      return t`Back in the way you came out`;
    case 'edge':
      return t`To meet the edge of the ${(part ?? '').toLowerCase()}: ${rounds.at(-1)?.count ?? ''}`;
  }
}

/** `4 plain rounds, then 18, 12, 6`; one round in the words it is written with. */
function roundsInWords(rounds: readonly NextRound[], word: string): string {
  const [only, ...more] = rounds;
  if (only && more.length === 0) return only.body.replace(/\bsc\b/g, word);
  const plain = rounds.findIndex(({ body }) => body !== 'sc around');
  const before = plain < 0 ? rounds.length : plain;
  const counts = rounds.slice(before).map(({ count }) => count);
  const straight = before === 0 ? '' : before === 1 ? t`1 plain round` : t`${before} plain rounds`;
  const then = counts.length === 0 ? '' : `${straight ? t`, then ` : ''}${counts.join(', ')}`;
  return straight + then;
}

interface WaysOnListProps {
  ways: readonly WayOn[];
  /** the maker's word for a plain stitch */
  word: string;
  onWrite: (rounds: readonly NextRound[]) => void;
}

/** Ways to go on, each with the rounds it writes and the size it comes to. */
export function WaysOnList({ ways, word, onWrite }: WaysOnListProps) {
  if (ways.length === 0) return null;
  return (
    <View gap="$2">
      <Title render="h2" margin={0}>{t`Or let it be written`}</Title>
      {ways.map((way) => {
        const title = titleOf(way);
        const { widthMm, heightMm } = way.size;
        return (
          <Card key={`${way.kind} ${way.part ?? ''}`} flexDirection="row" gap="$3" alignItems="center">
            <View flexGrow={1} flexShrink={1} flexBasis={0} minWidth={0}>
              <Body fontWeight="700">{title}</Body>
              <Body>{roundsInWords(way.rounds, word)}</Body>
              <Quiet>{t`then ${sizeWords(widthMm)} wide, ${sizeWords(heightMm)} high`}</Quiet>
            </View>
            <Press
              label={way.rounds.length === 1 ? t`Write it` : t`Write ${way.rounds.length}`}
              name={t`Write: ${title}`}
              onPress={() => onWrite(way.rounds)}
            />
          </Card>
        );
      })}
    </View>
  );
}
