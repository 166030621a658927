import { t } from '../../core/words/language';
import { sayTerm } from '../../core/words/said';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from '@tamagui/core';
import { Card, cardGrid, Fill } from '../../ui/layout';
import { gaugeFromTable, yarnsByThickness, type YarnWeightKey } from '../../core/shape/yarnWeights';
import { leanOfSpiral } from '../../core/shape/gauge';
import { analyseToy } from '../../core/toy/analyse';
import { suppliesOf } from '../../core/toy/supplies/suppliesOf';
import { plannedForHands } from '../../core/toy/planToy';
import { useHands } from '../../data/hands';
import { compareToys } from '../../core/edit/compareToys';
import { setToyHeader } from '../../core/notation/editText';
import { scaleEyes } from '../../core/edit/inYarn';
import { putYarn } from '../../core/edit/yarnInText';
import { useToy } from '../../data/useToy';
import { useYarns } from '../../data/useYarns';
import { Notice } from '../../ui/Notice';
import { Choice, OneOf } from '../../ui/Choice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet, Title } from '../../ui/text';
import { SaveLine } from '../toy/SaveLine';
import { ToyTabs } from '../toy/ToyTabs';
import { UndoButtons } from '../toy/UndoButtons';
import { Changes } from './Changes';
import { yarnLine } from './YarnsScreen';
import { BallLasts } from './BallLasts';
import { WhatItTakes } from './WhatItTakes';
import { YarnUse } from './YarnUse';

type Chosen = { kind: 'yarn'; id: string } | { kind: 'weight'; key: YarnWeightKey };

/** Which yarn a toy is worked in, and what another one would make of it. */
export function ToyYarnScreen() {
  const router = useRouter();
  const { analysis, editor, text } = useToy();
  const { hands } = useHands();
  const { data: yarns } = useYarns();
  const [choice, setChoice] = useState<Chosen | null>(null);
  const { gauge, pattern } = analysis;
  const said = pattern.header.gauge;

  const next = useMemo(() => {
    if (!choice) return null;
    let changed: string;
    if (choice.kind === 'yarn') {
      const yarn = yarns?.find((candidate) => candidate.id === choice.id);
      if (!yarn) return null;
      changed = putYarn(text, yarn);
    } else {
      const weight = yarnsByThickness.find(({ key }) => key === choice.key);
      if (!weight) return null;
      const { widthMm, heightMm } = gaugeFromTable(weight.key, weight.hookMm);
      changed = setToyHeader(
        setToyHeader(text, 'Hook', `${weight.hookMm} mm`),
        'Gauge',
        `${widthMm} mm x ${heightMm} mm, assumed`,
      );
    }
    const ratio = analyseToy(changed).gauge.widthMm / gauge.widthMm;
    return scaleEyes(changed, ratio);
  }, [choice, yarns, text, gauge.widthMm]);
  const supplies = useMemo(() => suppliesOf(analysis), [analysis]);
  const changes = useMemo(
    () => (next === null ? [] : compareToys(analysis, plannedForHands(analyseToy(next), hands))),
    [next, analysis, hands],
  );

  return (
    <Fill>
      <Page
        title={pattern.header.name ?? t`Toy`}
        aside={<SaveLine name={t`Yarn`} />}
        back={{ name: t`Back to the shelf`, go: () => router.replace('/') }}
        actions={<UndoButtons />}
        broad
      >
        <View gap="$3" style={cardGrid} alignItems="flex-start">
          <View gap="$3">
            <Card padding="$4" gap="$1">
              <Answer>{t`${gauge.widthMm} × ${gauge.heightMm} mm a stitch`}</Answer>
              <Body>
                {said?.yarn ? `${said.yarn}, ` : ''}
                {gauge.assumed ? t`assumed: measure your own` : t`measured`}
                {pattern.header.hook ? t`, hook ${pattern.header.hook}` : ''}
              </Body>
              <Quiet>{t`Leans ${analysis.lean ?? leanOfSpiral} of a stitch a round${analysis.lean === null ? t`, assumed` : ''}. Every length, opening, stop and hole of this toy follows from these.`}</Quiet>
            </Card>
            <YarnUse />
          </View>
          <WhatItTakes />
          <BallLasts yarns={supplies.yarns} />
        </View>

        <View gap="$4" style={cardGrid} alignItems="flex-start">
          <View gap="$3">
            <Title render="h2" margin={0}>{t`From your yarn shelf`}</Title>
            <Choice column unlabelled label={t`Your yarns`}>
              {(yarns ?? []).map((yarn) => (
                <View key={yarn.id} gap="$1">
                  <Press
                    role="radio"
                    label={yarn.name}
                    chosen={choice?.kind === 'yarn' && choice.id === yarn.id}
                    onPress={() => setChoice({ kind: 'yarn', id: yarn.id })}
                  />
                  <Quiet>{yarnLine(yarn)}</Quiet>
                </View>
              ))}
              {yarns?.length === 0 ? (
                <Quiet>{t`No yarn is kept yet. Ten stitches and a ruler make one.`}</Quiet>
              ) : null}
            </Choice>
            <Press
              label={t`Add or measure a yarn`}
              onPress={() => router.push(`/yarns/new?toy=${editor.id}`)}
            />
          </View>
          <View gap="$3">
            <Title render="h2" margin={0}>{t`This toy in another yarn`}</Title>
            <OneOf
              wraps
              unlabelled
              label={t`Another thickness`}
              options={yarnsByThickness.map(({ key, name }) => [key, sayTerm(name)])}
              chosen={choice?.kind === 'weight' ? choice.key : null}
              onChoose={(key) => setChoice({ kind: 'weight', key })}
            />
          </View>
          {next !== null ? (
            <View gap="$3" role="region" aria-label={t`What would change`}>
              <Title render="h2" margin={0}>{t`What would change`}</Title>
              <Changes changes={changes} />
              {choice?.kind === 'weight' ? (
                <Notice tone="plain">{t`Sizes by the table are assumptions. Measure your stitch before you buy eyes.`}</Notice>
              ) : null}
              <View flexDirection="row" gap="$2">
                <Press
                  grow
                  tone="primary"
                  label={t`Work it in this`}
                  onPress={() => {
                    editor.step(next);
                    setChoice(null);
                  }}
                />
                <Press grow label={t`Leave it`} onPress={() => setChoice(null)} />
              </View>
            </View>
          ) : null}
        </View>
      </Page>
      <ToyTabs chosen="yarn" />
    </Fill>
  );
}
