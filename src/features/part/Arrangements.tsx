import { t } from '../../core/words/language';
import { useMemo } from 'react';
import { Pressable } from 'react-native';
import { View } from '@tamagui/core';
import {
  arrangementIn,
  arrangementWords,
  nearestArrangements,
  type Arrangement,
} from '../../core/edit/arrangements';
import { partPicture } from '../../core/keep/toyCard';
import type { PartAnalysis } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';
import { Options } from '../../ui/Choice';
import { Press } from '../../ui/Press';
import { ToyPicture } from '../../ui/ToyPicture';
import { Body, Quiet, Title } from '../../ui/text';
import { usePartEdits } from './usePartEdits';

/** What is put beside the face: texts the maker remembered, by the part they are about. */
export interface Comparing {
  remembered: readonly string[];
  /** the forms stand side by side */
  open: boolean;
}

/** The two arrangements that stand beside the face: those remembered, then the nearest that are as true to the mirror. */
export function useOthers(part: PartAnalysis | undefined, remembered: readonly string[]): Arrangement[] {
  const { text } = useToy();
  return useMemo(() => {
    if (!part?.eyes) return [];
    const now = arrangementWords(part, part.eyes).words;
    const kept = remembered.flatMap((one) => (one === text ? [] : (arrangementIn(one, part) ?? [])));
    const all = [...kept, ...nearestArrangements(text, part, 2)];
    const words = all.map(({ eyes }) => arrangementWords(part, eyes).words);
    // A remembered face may differ in its mouth alone; of the others one of each is enough.
    return all
      .filter((one, i) => i < kept.length || (words[i] !== now && words.indexOf(words[i] ?? '') === i))
      .slice(0, 2);
  }, [part, text, remembered]);
}

/** The face as it is beside two other arrangements, as pictures; a tap keeps one. */
export function Arrangements({
  part,
  comparing,
  onComparing,
}: {
  part: PartAnalysis;
  comparing: Comparing;
  onComparing: (next: Comparing) => void;
}) {
  const { text, analysis } = useToy();
  const edits = usePartEdits(part);
  const others = useOthers(part, comparing.remembered);
  if (!part.eyes || others.length === 0) return null;
  const cards = [
    { text: null, picture: partPicture(part, analysis.pattern.header), eyes: part.eyes },
    ...others.map((one) => ({
      text: one.text,
      picture: partPicture(one.part, one.toy.pattern.header),
      eyes: one.eyes,
    })),
  ];
  const known = comparing.remembered.includes(text);
  return (
    <View gap="$2">
      <Title render="h3" margin={0} fontSize="$4" lineHeight="$4">{t`Side by side`}</Title>
      <Quiet>{t`Tap one to keep it.`}</Quiet>
      {/* Keeping another face changes the text: it waits for Enter. */}
      <Options follow={false} label={t`Arrangements`} flexDirection="row" gap="$2">
        {cards.map((card, i) => {
          const { words, off } = arrangementWords(part, card.eyes);
          const own = card.text === null;
          return (
            <Pressable
              key={`${i}${words}`}
              style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0 }}
              role="radio"
              aria-checked={own}
              aria-label={`${words}, ${off}${own ? t`, as it is` : ''}`}
              onPress={() => {
                if (card.text !== null) edits.take(card.text);
              }}
            >
              <View
                alignItems="center"
                gap="$1"
                padding="$1"
                borderRadius="$3"
                borderWidth={2}
                borderColor={own ? '$color' : '$line'}
              >
                <ToyPicture picture={card.picture} name={words} size={96} />
                <Body fontSize="$2" lineHeight="$2" fontWeight="700">
                  {words}
                </Body>
                <Quiet>{off}</Quiet>
              </View>
            </Pressable>
          );
        })}
      </Options>
      <View flexDirection="row" flexWrap="wrap" gap="$2">
        <Press
          grow
          label={t`On the form`}
          name={t`Compare them on the form`}
          onPress={() => onComparing({ ...comparing, open: true })}
        />
        <Press
          grow
          label={known ? t`Remembered` : t`Remember`}
          name={known ? t`Remembered` : t`Remember this arrangement`}
          disabled={known}
          onPress={() =>
            onComparing({ ...comparing, remembered: [text, ...comparing.remembered].slice(0, 2) })
          }
        />
      </View>
    </View>
  );
}
