import { t } from '../../core/words/language';
import { sayTerm } from '../../core/words/said';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from '@tamagui/core';
import { gaugeFromTable, yarnsByThickness } from '../../core/shape/yarnWeights';
import { yarnLimits, type Yarn } from '../../core/supplies/yarn';
import { analyseToy } from '../../core/toy/analyse';
import { plannedForHands } from '../../core/toy/planToy';
import { useHands } from '../../data/hands';
import { compareToys } from '../../core/edit/compareToys';
import { putYarn } from '../../core/edit/yarnInText';
import { nameOfToy } from '../../core/keep/toyCard';
import { useToysIn, useYarnActions, useYarns } from '../../data/useYarns';
import { newYarn } from '../../data/yarns';
import { OneOf } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { NumberStep } from '../../ui/NumberStep';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';
import { Changes } from './Changes';
import { LeanDrawing, SwatchDrawing } from './SwatchDrawing';

/** One yarn with its hook: what it is, what ten stitches measure, how far it leans. */
export function YarnScreen() {
  const { yarn: id, toy } = useLocalSearchParams<{ yarn: string; toy?: string }>();
  const router = useRouter();
  const { data: yarns, isPending } = useYarns();
  const kept = yarns?.find((yarn) => yarn.id === id);
  const back = toy
    ? { name: t`Back to the toy`, go: () => router.replace(`/toy/${toy}/yarn`) }
    : { name: t`Back to the yarns`, go: () => router.replace('/yarns') };
  if (isPending)
    return (
      <Page title={t`Yarn`} back={back}>
        {null}
      </Page>
    );
  if (!kept && id !== 'new')
    return (
      <Page title={t`Yarn`} back={back}>
        <Notice tone="look">{t`This yarn is not on the shelf of this browser.`}</Notice>
      </Page>
    );
  return <YarnForm key={kept?.id ?? 'new'} kept={kept ?? null} back={back} />;
}

function YarnForm({ kept, back }: { kept: Yarn | null; back: { name: string; go: () => void } }) {
  const [yarn, setYarn] = useState<Yarn>(() => kept ?? newYarn());
  const [trouble, setTrouble] = useState<string | null>(null);
  const { save, remove } = useYarnActions();
  const { data: toys } = useToysIn(kept?.name ?? '');
  const { hands } = useHands();
  const change = (next: Partial<Yarn>) => setYarn((now) => ({ ...now, ...next }));
  const table = gaugeFromTable(yarn.weight, yarn.hookMm);
  const { swatch, wandered } = yarn;
  const effects = useMemo(
    () =>
      (toys ?? []).map(({ document: { text } }) => {
        const [now, next] = [text, putYarn(text, yarn)].map((one) => plannedForHands(analyseToy(one), hands));
        return { name: now ? nameOfToy(now) : '', changes: now && next ? compareToys(now, next) : [] };
      }),
    [toys, yarn, hands],
  );
  const keep = async () => {
    setTrouble(null);
    try {
      await save.mutateAsync({ yarn: { ...yarn, name: yarn.name.trim() }, before: kept?.name ?? '' });
      back.go();
    } catch (reason) {
      setTrouble(
        reason instanceof Error && reason.message
          ? reason.message
          : t`The yarn could not be kept. Try again.`,
      );
    }
  };
  const drop = async () => {
    if (kept) await remove.mutateAsync(kept.id);
    back.go();
  };
  return (
    <Page
      title={kept ? kept.name : t`A new yarn`}
      aside={t`Yarn shelf`}
      back={back}
      foot={
        <View gap="$2">
          {trouble ? <Notice tone="wrong">{trouble}</Notice> : null}
          <Press tone="primary" label={t`Keep this yarn`} onPress={() => void keep()} />
        </View>
      }
    >
      <Field
        label={t`What you call it`}
        value={yarn.name}
        onChange={(name) => change({ name })}
        placeholder={t`River cotton, chestnut`}
      />
      <OneOf
        wraps
        label={t`How thick it is`}
        options={yarnsByThickness.map(({ key, name }) => [key, sayTerm(name)])}
        chosen={yarn.weight}
        onChoose={(weight) => change({ weight })}
      />
      <NumberStep
        label={t`Hook`}
        unit={t`mm`}
        value={yarn.hookMm}
        step={0.25}
        least={yarnLimits.hookMm[0]}
        most={yarnLimits.hookMm[1]}
        onChange={(hookMm) => change({ hookMm })}
      />

      <Title render="h2" margin={0} marginTop={12}>{t`Your stitch`}</Title>
      {swatch ? (
        <View gap="$3">
          <Body>{t`1. With this hook, work a tube of 24 stitches for 14 rounds, or use any plain stretch of a toy. Do not stuff it.`}</Body>
          <Body>{t`2. Lay it flat without pulling. Put the ruler in the middle, away from the edges, as framed here.`}</Body>
          <SwatchDrawing />
          <Body>{t`3. Write down what ten of them measure.`}</Body>
          <NumberStep
            label={t`Ten stitches across`}
            unit={t`mm`}
            value={swatch.tenStitchesMm}
            step={1}
            least={yarnLimits.tenMm[0]}
            most={yarnLimits.tenMm[1]}
            onChange={(tenStitchesMm) => change({ swatch: { ...swatch, tenStitchesMm } })}
          />
          <NumberStep
            label={t`Ten rounds up`}
            unit={t`mm`}
            value={swatch.tenRoundsMm}
            step={1}
            least={yarnLimits.tenMm[0]}
            most={yarnLimits.tenMm[1]}
            onChange={(tenRoundsMm) => change({ swatch: { ...swatch, tenRoundsMm } })}
          />
          <Press label={t`Go back to the table`} onPress={() => change({ swatch: null })} />
        </View>
      ) : (
        <View gap="$2">
          <Notice tone="plain">{t`By the table, a stitch of this yarn with this hook is about ${table.widthMm} × ${table.heightMm} mm. That is an assumption; hands differ by a fifth.`}</Notice>
          <Press
            label={t`Measure mine`}
            onPress={() =>
              change({
                swatch: {
                  tenStitchesMm: Math.round(table.widthMm * 10),
                  tenRoundsMm: Math.round(table.heightMm * 10),
                },
              })
            }
          />
        </View>
      )}

      <Title render="h2" margin={0} marginTop={12}>{t`Your lean`}</Title>
      {wandered === null ? (
        <View gap="$2">
          <Notice tone="plain">{t`Stitches of a spiral stand a little beside the ones below: a quarter of a stitch a round for most makers who bring the yarn over, a tenth for those who bring it under.`}</Notice>
          <Press label={t`Count mine`} onPress={() => change({ wandered: 2.5 })} />
        </View>
      ) : (
        <View gap="$3">
          <Body>{t`Put a marker into the first stitch of a round and work ten plain rounds. Count straight up from the marker, then along to where the new round begins: that many stitches it has wandered.`}</Body>
          <LeanDrawing wandered={wandered} />
          <NumberStep
            label={t`Stitches wandered in ten rounds`}
            unit={t`stitches`}
            value={wandered}
            step={0.5}
            least={yarnLimits.wandered[0]}
            most={yarnLimits.wandered[1]}
            onChange={(next) => change({ wandered: next })}
          />
          <Press label={t`Take the usual lean`} onPress={() => change({ wandered: null })} />
        </View>
      )}

      {effects.length > 0 ? (
        <View gap="$3">
          <Title render="h2" margin={0} marginTop={12}>{t`Toys in this yarn`}</Title>
          {effects.map(({ name, changes }) => (
            <Changes key={name} of={name} changes={changes} />
          ))}
        </View>
      ) : null}
      {kept ? <Press tone="danger" label={t`Take it off the shelf`} onPress={() => void drop()} /> : null}
      {kept ? <Quiet>{t`Toys keep the figures they have.`}</Quiet> : null}
    </Page>
  );
}
