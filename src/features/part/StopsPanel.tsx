import { t } from '../../core/words/language';
import { usePathname, useRouter } from 'expo-router';
import { View } from '@tamagui/core';
import { sizeOfHands } from '../../core/plan/hands';
import type { PartAnalysis } from '../../core/toy/analyse';
import { actTitle, bulksOf } from '../../core/toy/sheet/stopWords';
import { eyeCaution } from '../../core/safety/cautions';
import { useHands } from '../../data/hands';
import { Notice } from '../../ui/Notice';
import { Empty } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet } from '../../ui/text';
import { SurfaceLines } from './SurfaceLines';
import { StopsTimeline } from './StopsTimeline';
import { cutWords, sizeWords } from '../../core/words/measures';

const handWords = { small: t`small hands`, usual: t`usual hands`, large: t`large hands` };

/** For whose hands these moments are, and the way to change that. */
function ForWhoseHands() {
  const router = useRouter();
  const path = usePathname();
  const { hands } = useHands();
  const open = () => router.push({ pathname: '/hands', params: { back: t`${path}?view=stops` } });
  const size = sizeOfHands(hands);
  return (
    <View flexDirection="row" alignItems="center" justifyContent="space-between" gap="$3">
      <Quiet
        flex={1}
      >{t`These moments are for ${size ? handWords[size] : t`your hands as you gave them`}.`}</Quiet>
      <Press tight label={t`My hands`} name={t`My hands and tools`} onPress={open} />
    </View>
  );
}

/** How the last round ends, and how much yarn that takes. */
function TheEnd({ plan: { closing } }: { plan: PartAnalysis['stops'] }) {
  if (!closing) return null;
  const isDrawnTogether = closing.how !== 'open' && closing.how !== 'flat';
  return (
    <View gap="$1">
      <Body fontWeight="700">{isDrawnTogether ? t`The tail` : t`The edge`}</Body>
      <Body>
        {t`${isDrawnTogether ? '' : `${closing.words} `}Leave ${cutWords(closing.tailMm)} of yarn.`}
      </Body>
    </View>
  );
}

/** When to pause, what to do there, and until when it can still be done. */
export function StopsPanel({ part }: { part: PartAnalysis }) {
  const { stops, impossible } = part.stops;
  if (stops.length === 0 && impossible.length === 0)
    return <Empty>{t`No stops yet: write some rounds first.`}</Empty>;
  const bulks = bulksOf(part.stops);
  return (
    <View gap="$3">
      {impossible.map(({ message }) => (
        <Notice key={message} tone="look">
          {message}
        </Notice>
      ))}
      <StopsTimeline part={part} />
      {stops.map((stop) => {
        const closes = stop.acts.some(({ act }) => act === 'close' || act === 'cut');
        return (
          <View
            key={stop.row}
            backgroundColor="$sheet"
            borderRadius="$3"
            borderWidth={1}
            borderColor="$line"
            padding="$4"
            gap="$3"
          >
            <View>
              <Answer>{t`After round ${stop.after}`}</Answer>
              <Quiet>
                {t`Opening ${sizeWords(stop.openingMm)}. ${
                  closes
                    ? t`The last round.`
                    : stop.latest > stop.after
                      ? t`Last call after round ${stop.latest}: ${sizeWords(stop.latestOpeningMm)}.`
                      : t`This is the last call.`
                }${stop.earliest < stop.after ? t` Possible from round ${stop.earliest} on.` : ''}`}
              </Quiet>
            </View>
            {stop.acts.map((act) => (
              <View key={`${act.act} ${act.feature} ${act.part}`} gap="$1">
                <Body fontWeight="700">{actTitle(act, bulks)}</Body>
                <Body>{act.why}</Body>
                {act.act === 'seat-eyes' || act.act === 'seat-nose' ? <Quiet>{eyeCaution}</Quiet> : null}
              </View>
            ))}
          </View>
        );
      })}
      <ForWhoseHands />
      <TheEnd plan={part.stops} />
      <SurfaceLines part={part} />
    </View>
  );
}
