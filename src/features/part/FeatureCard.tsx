import { t } from '../../core/words/language';
import { sayTerm } from '../../core/words/said';
import { useMemo } from 'react';
import { View } from '@tamagui/core';
import { featureName } from '../../core/place/rule/ruleSteps';
import { featureWords, holePlaces, unitWords } from '../../core/place/words/directions';
import { isAtBack, isStitchedStyle, type FeatureRule } from '../../core/place/rule/rule';
import { hurtsOf } from '../../core/safety/hurts';
import { careOf, featureLibrary } from '../../core/place/rule/library';
import type { FeaturePlacement } from '../../core/place/resolve/placement';
import type { FeatureStyle } from '../../core/notation/sentence/said';
import { featureOnForm } from '../../core/place/check/onForm';
import type { RelaxedForm } from '../../core/shape/form/relaxForm';
import { standOf } from '../../core/toy/formOfPart';
import { frameOfPart, type PartAnalysis } from '../../core/toy/analyse';
import { OneOf } from '../../ui/Choice';
import { Card } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet, Title } from '../../ui/text';
import { FeatureGoesBy } from './GoesBy';
import { Problems } from './Problems';
import { usePartEdits } from './usePartEdits';
import { tenthWords } from '../../core/words/measures';

const styleNames: Record<FeatureStyle, string> = {
  satin: t`Satin stitch`,
  triangle: t`Triangle`,
  smile: t`Smile`,
  line: t`Straight line`,
  row: t`Short stitches`,
  lips: t`Two lips`,
  sleeping: t`Sleeping`,
  felt: t`Felt`,
  crochet: t`Crocheted`,
  button: t`Button`,
  oval: t`Oval`,
};
const sideNames: Record<FeatureRule['sides'], string> = {
  middle: t`Middle`,
  both: t`Both sides`,
  left: t`Left only`,
  right: t`Right only`,
};

const sides = ['middle', 'both', 'left', 'right'] as const;

/** Where a feature goes, what is not right, how the needle runs, and how it is made. */
export function FeatureCard({
  part,
  form,
  feature,
}: {
  part: PartAnalysis;
  form: RelaxedForm | null;
  feature: FeaturePlacement;
}) {
  const edits = usePartEdits(part);
  const entry = featureLibrary[feature.kind];
  const words = featureWords(feature, frameOfPart(part), part.eyes);
  const care = careOf(feature.rule);
  const seen = useMemo(
    () =>
      form?.resting && form.nodes.stitches === (part.fabric.offset[part.fabric.rounds] ?? 0)
        ? featureOnForm(part.form, feature, form, standOf(part))
        : null,
    [feature, form, part],
  );
  const { rule, gap, units, seat } = feature;
  const name = featureName(feature.id, feature.kind);
  const where =
    units.every(({ from, to }) => from === to) && seat === 'foot'
      ? `${units.length > 1 ? t`holes` : t`hole`} ${units.map(({ from }) => from).join(t` and `)}`
      : seat === 'foot'
        ? t`holes ${units.map(({ from, to }) => `${from}–${to}`).join(t` and `)}`
        : units.map((unit) => unitWords(unit, seat)).join(t` and `);
  const make = (style: FeatureStyle | null) => {
    const embroidered =
      style === null
        ? entry.stitched && feature.kind !== 'nose' && feature.kind !== 'eyes'
        : isStitchedStyle(style);
    edits.putFeature(feature.id, ({ rule: was }) => ({
      ...was,
      style,
      embroidered,
      sizeMm: embroidered ? null : (was.sizeMm ?? entry.usualMm),
      wide: embroidered ? was.wide : entry.wide,
      high: embroidered ? was.high : entry.high,
    }));
  };
  const stand = (sides: FeatureRule['sides']) =>
    edits.putFeature(feature.id, ({ rule: was, units: [unit] }) => ({
      ...was,
      sides,
      sideways:
        sides === 'middle'
          ? { by: 'front' }
          : was.sides === 'middle' || isAtBack(was.sideways)
            ? {
                by: 'apart',
                apart: Math.max(
                  2,
                  Math.round(part.map.lying ? part.fabric.rounds / 3 : (unit?.of ?? 12) / 5),
                ),
              }
            : was.sideways,
    }));
  const toBack = () =>
    edits.putFeature(feature.id, ({ rule: was, apart }) =>
      was.sides === 'both' && apart !== null
        ? { ...was, sideways: { by: 'back', apart } }
        : { ...was, sides: 'middle', sideways: { by: 'back' } },
    );
  return (
    <View gap="$3">
      <Card padding="$4" gap="$2">
        {rule.vertical?.by === 'start' ? (
          <Answer role="status">{t`${name}: through the start`}</Answer>
        ) : part.map.lying ? (
          <Answer role="status">
            {name}:{' '}
            {holePlaces(part.form, units).map(({ gap: between, stitch }, i) => (
              <Answer key={`${between[0]}/${stitch}`}>
                {i > 0 ? ', ' : ''}
                {between[0]}
                <Answer color="$marker" aria-hidden>
                  |
                </Answer>
                {between[1]} {seat === 'foot' ? t`hole` : t`after`} {stitch}
              </Answer>
            ))}
          </Answer>
        ) : (
          <Answer role="status">
            {t`${name}: round ${gap[0]}`}
            <Answer color="$marker" aria-hidden>
              |
            </Answer>
            {gap[1]}, {where}
          </Answer>
        )}
        {[words.count, words.there, words.markers, words.check].filter(Boolean).map((line) => (
          <Body key={line}>{line}</Body>
        ))}
      </Card>
      {seen ? (
        <Quiet>{t`On the stuffed form its middle lies ${Math.abs(seen.offMm) < 0.3 ? t`on the front` : seen.offMm > 0 ? t`${tenthWords(Math.abs(seen.offMm))} to the right` : t`${tenthWords(Math.abs(seen.offMm))} to the left`}${seen.rightHigherMm === null ? '' : Math.abs(seen.rightHigherMm) < 0.3 ? t`, and the two are level` : seen.rightHigherMm > 0 ? t`, and the right one is ${tenthWords(Math.abs(seen.rightHigherMm))} higher` : t`, and the right one is ${tenthWords(Math.abs(seen.rightHigherMm))} lower`}.`}</Quiet>
      ) : null}
      <Problems problems={feature.problems} onApply={edits.apply} />
      {feature.problems.every((problem) => problem.severity === 'info') ? (
        <Notice tone="good">{t`in the middle of the front, within ${tenthWords(feature.missMm)}.`}</Notice>
      ) : null}
      {words.needle.length > 0 ? (
        <View gap="$1">
          <Title render="h3" margin={0} fontSize="$4" lineHeight="$4">{t`The needle’s way`}</Title>
          {words.needle.map((line) => (
            <Body key={line}>{line}</Body>
          ))}
        </View>
      ) : null}
      {entry.styles.length > 1 ? (
        <OneOf
          wraps
          label={t`How it is made`}
          options={[
            ...(feature.kind === 'nose' || feature.kind === 'eyes'
              ? [['pressed', t`Pressed in`] as const]
              : []),
            ...entry.styles.map((style) => [style, styleNames[style]] as const),
          ]}
          chosen={rule.style ?? 'pressed'}
          onChoose={(style) => make(style === 'pressed' ? null : style)}
        />
      ) : null}
      {feature.kind !== 'sculpting' ? (
        <OneOf
          wraps
          label={t`Where on the face`}
          options={[
            ...sides.map((side) => [side, sideNames[side]] as const),
            ['back', t`At the back`] as const,
          ]}
          chosen={isAtBack(rule.sideways) ? 'back' : rule.sides}
          onChoose={(side) => (side === 'back' ? toBack() : stand(side))}
        />
      ) : null}
      <FeatureGoesBy part={part} feature={feature} />
      {rule.sizeMm !== null && !rule.embroidered ? (
        <NumberStep
          label={t`Across`}
          unit={t`mm`}
          value={rule.sizeMm}
          step={1}
          steps={entry.sizesMm}
          least={3}
          most={80}
          onChange={(sizeMm) => edits.putFeature(feature.id, ({ rule: was }) => ({ ...was, sizeMm }))}
        />
      ) : null}
      {rule.sides !== 'middle' && rule.embroidered ? (
        <NumberStep
          label={t`Each wide`}
          unit={part.map.lying ? t`rounds` : t`stitches`}
          value={rule.wide}
          step={1}
          least={1}
          most={12}
          onChange={(wide) => edits.putFeature(feature.id, ({ rule: was }) => ({ ...was, wide }))}
        />
      ) : null}
      {rule.embroidered && entry.high > 1 ? (
        <NumberStep
          label={t`High`}
          unit={part.map.lying ? t`stitches` : t`rounds`}
          value={rule.high}
          step={1}
          least={1}
          most={8}
          onChange={(high) => edits.putFeature(feature.id, ({ rule: was }) => ({ ...was, high }))}
        />
      ) : null}
      <Quiet>
        {t`Inside stays ${sayTerm(care.inside)}. It is worked from the ${sayTerm(care.from)}. ${hurtsOf(feature.rule)}`}
      </Quiet>
      <Press
        tone="danger"
        label={t`Take the ${feature.id} off`}
        onPress={() => edits.dropFeature(feature.id)}
      />
    </View>
  );
}
