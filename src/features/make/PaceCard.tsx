import { t } from '../../core/words/language';
import { plural } from '../../core/words/counted';
import { View } from '@tamagui/core';
import { actsPaceOf, paceOf, type Logbook } from '../../core/make/logbook';
import { usualPace, type OwnPace, type TimedAct } from '../../core/plan/time';
import { stopTitle } from '../../core/toy/sheet/stopWords';
import { usePace } from '../../data/pace';
import { Card } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';

/** What is done on a finished piece, and what a stop calls otherwise. Beside stitches a minute, a stitch is no act. */
const paceTitles: Partial<Record<TimedAct, string>> = {
  embroider: t`Embroider`,
  attach: t`Sew on a feature`,
  sculpt: t`Sculpt`,
  check: t`Check the whole toy`,
  place: t`Find its place`,
};
const actName = (act: TimedAct): string => ({ ...stopTitle, ...paceTitles })[act] ?? act;
const minutesWords = (minutes: number): string => plural(minutes, 'minute');

/** What her taps tell of her pace; null where that is nothing. */
function paceTold(books: readonly Logbook[]): OwnPace | null {
  const stitchesPerMinute = paceOf(books);
  const { acts, sewnPerMinute } = actsPaceOf(books);
  const isNothing = stitchesPerMinute === null && sewnPerMinute === null && Object.keys(acts).length === 0;
  return isNothing ? null : { stitchesPerMinute, sewnPerMinute, acts };
}

/** A pace with what is told now in the place of what was known. */
const paceAfter = (own: OwnPace | null, told: OwnPace): OwnPace => ({
  stitchesPerMinute: told.stitchesPerMinute ?? own?.stitchesPerMinute ?? null,
  sewnPerMinute: told.sewnPerMinute ?? own?.sewnPerMinute ?? null,
  acts: { ...own?.acts, ...told.acts },
});

/** A pace in lines, beside what is usual. */
function PaceLines({ pace }: { pace: OwnPace }) {
  const { stitchesPerMinute, sewnPerMinute, acts } = pace;
  const timed = Object.entries(acts) as [TimedAct, number][];
  return (
    <View gap="$1">
      {stitchesPerMinute === null ? null : (
        <Body>
          {t`${stitchesPerMinute} stitches a minute, pauses and stops left out. Usual is ${usualPace.stitchesPerMinute}.`}
        </Body>
      )}
      {sewnPerMinute === null ? null : (
        <Body>{t`Sewing: ${sewnPerMinute} stitches a minute. Usual is ${usualPace.sewnPerMinute}.`}</Body>
      )}
      {timed.map(([act, minutes]) => (
        <Body key={act}>
          {t`${actName(act)}: ${minutesWords(minutes)}. Usual is ${usualPace.acts[act]}.`}
        </Body>
      ))}
    </View>
  );
}

/** Her own pace, and whether times are counted by it. */
export function PaceCard({ books }: { books: readonly Logbook[] }) {
  const { own, failed, change } = usePace();
  const told = paceTold(books);
  if (told === null && own === null) return null;
  const next = told && paceAfter(own, told);
  const isTaken = JSON.stringify(next) === JSON.stringify(own);
  return (
    <Card gap="$2">
      <Title render="h2" margin={0}>{t`Your pace`}</Title>
      {told === null ? null : <Quiet>{t`By the taps of this toy:`}</Quiet>}
      {told === null ? null : <PaceLines pace={told} />}
      {own === null || isTaken ? null : <Quiet>{t`Times are counted by:`}</Quiet>}
      {own === null || isTaken ? null : <PaceLines pace={own} />}
      {own !== null && isTaken ? <Body>{t`Times are counted by it.`}</Body> : null}
      <View flexDirection="row" flexWrap="wrap" gap="$2">
        {next === null || isTaken ? null : (
          <Press label={t`Count times by it`} onPress={() => change(next)} />
        )}
        {own === null ? null : <Press label={t`By the usual pace again`} onPress={() => change(null)} />}
      </View>
      {failed ? <Notice tone="wrong" live>{t`the browser would not keep that. Try again.`}</Notice> : null}
    </Card>
  );
}
