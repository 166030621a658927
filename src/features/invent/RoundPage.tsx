import { t } from '../../core/words/language';
import { useMedia, View } from '@tamagui/core';
import { useDeferredValue, useMemo } from 'react';
import { tapWords, type Tap } from '../../core/invent/taps';
import { waysOn } from '../../core/invent/waysOn';
import { partPicture } from '../../core/keep/toyCard';
import type { PartAnalysis } from '../../core/toy/analyse';
import { sizeOfPart } from '../../core/toy/stuffedPart';
import { plural } from '../../core/words/counted';
import { useToy } from '../../data/useToy';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet } from '../../ui/text';
import { ToyPicture } from '../../ui/ToyPicture';
import { RoundRing } from '../make/RoundRing';
import { SaveLine, SaveTrouble } from '../toy/SaveLine';
import { UndoButtons } from '../toy/UndoButtons';
import { RoundManner } from './RoundManner';
import { TapPad } from './TapPad';
import { useRoundInHand, type RoundInHand } from './useRoundInHand';
import { WaysOnList } from './WaysOnList';
import { sizeWords } from '../../core/words/measures';

interface RoundPageProps {
  part: PartAnalysis;
  onDone: () => void;
}

/** The round that is being worked, to be tapped along; between two rounds, ways to go on. */
export function RoundPage({ part, onDone }: RoundPageProps) {
  const { wide } = useMedia();
  const round = useRoundInHand(part);
  const { name, rounds } = part.source;
  const page = {
    title: name,
    aside: <SaveLine name={t`Tap what you work`} />,
    actions: <UndoButtons />,
    back: { name: t`Back to ${name}`, go: onDone },
  };
  const isMixed = rounds.some(({ row }) => row) && rounds.some(({ row }) => !row);
  if (isMixed)
    return (
      <Page {...page}>
        <Notice tone="plain">{t`this piece goes from rows to rounds: write what comes next in its text or under Rounds.`}</Notice>
      </Page>
    );
  const pad = <TapPad round={round} />;
  const isBetween = round.taps.length === 0 && !round.inRing;
  return (
    <Page {...page} broad={wide} foot={wide ? undefined : pad}>
      <SaveTrouble />
      <View flexDirection={wide ? 'row' : 'column'} gap="$4">
        <View width={wide ? 420 : undefined} gap="$3">
          <SoFar part={part} />
          <RoundDrawn round={round} />
          <RoundManner round={round} />
          {wide ? pad : null}
        </View>
        {isBetween ? <Between part={part} round={round} onDone={onDone} /> : null}
      </View>
    </Page>
  );
}

/** What there is of the piece: its picture, its rounds, how wide it has become. */
function SoFar({ part }: { part: PartAnalysis }) {
  const { analysis } = useToy();
  const { checks, source } = part;
  if (checks.length === 0) return null;
  const { widthMm } = sizeOfPart(part);
  const isRows = source.rounds.some(({ row }) => row);
  return (
    <View flexDirection="row" gap="$3" alignItems="center">
      <ToyPicture picture={partPicture(part, analysis.pattern.header)} name={source.name} size={72} />
      <View flexShrink={1}>
        <Body>
          {t`${plural(checks.length, isRows ? 'row' : 'round')}, ${checks.at(-1)?.worked} stitches in the last`}
        </Body>
        <Quiet>{t`about ${sizeWords(widthMm)} wide`}</Quiet>
      </View>
    </View>
  );
}

/** The ring of the round in hand: what is tapped, then a stroke for each stitch still to work into. */
function ringMoves(taps: readonly Tap[], left: number) {
  const words = { plain: 'sc', more: 'inc', fewer: 'dec' };
  const runs = [
    ...taps.map((tap) => ({ words: words[tap], times: 1, makes: tap === 'more' ? 2 : 1 })),
    ...(left > 0 ? [{ words: 'sc', times: left, makes: 1 }] : []),
  ];
  const moves = taps.length + left;
  return { repeats: [{ runs, moves, stitches: moves }], moves, stitches: moves };
}

/** What the round has come to, in words under its number. */
function leftWords({ inRing, left, called, manner }: RoundInHand): string {
  if (inRing) return manner.rows ? t`stitches along the chain so far` : t`stitches in the ring so far`;
  if (left === 0) return t`stitches, and the ${called.toLowerCase()} is full`;
  return left === 1 ? t`so far, 1 stitch left to work into` : t`so far, ${left} stitches left to work into`;
}

/** The round in hand as a ring around its count, and in words. */
function RoundDrawn({ round }: { round: RoundInHand }) {
  const { number, taps, left, inRing, made, word, called } = round;
  const middle = { position: 'absolute', top: 0, left: 0, right: 0, bottom: 0 } as const;
  return (
    <View role="status" aria-label={`${called} ${number}`} gap="$1" alignItems="center">
      <Body fontWeight="700">
        {called} {number}
      </Body>
      <View position="relative">
        <RoundRing moves={ringMoves(taps, inRing ? 1 : left)} done={taps.length} />
        <View {...middle} alignItems="center" justifyContent="center">
          <Answer fontSize={60} lineHeight={64} letterSpacing={-2}>
            {made}
          </Answer>
        </View>
      </View>
      <Quiet>{leftWords(round)}</Quiet>
      <Body textAlign="center">{taps.length > 0 ? tapWords(taps).replace(/\bsc\b/g, word) : ' '}</Body>
    </View>
  );
}

interface BetweenProps extends RoundPageProps {
  round: RoundInHand;
}

/** Between two rounds: how the piece may go on. Worked out after the tap is answered. */
function Between({ part, round, onDone }: BetweenProps) {
  const { analysis } = useToy();
  const settled = useDeferredValue(part);
  const toy = useDeferredValue(analysis);
  const ways = useMemo(
    () => (toy.parts.includes(settled) && !round.manner.rows ? waysOn(toy, settled) : []),
    [toy, settled, round.manner.rows],
  );
  const isWrong = part.checks.some(({ ok }) => !ok);
  return (
    <View gap="$3" flexGrow={1} flexShrink={1}>
      {isWrong ? (
        <Notice tone="look">{t`a round does not add up yet: mend it under Rounds before Hoppla says how to go on.`}</Notice>
      ) : null}
      <WaysOnList ways={ways} word={round.word} onWrite={round.write} />
      <Press label={t`This piece is finished`} onPress={onDone} />
    </View>
  );
}
