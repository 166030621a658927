import { View } from '@tamagui/core';
import { featureWords } from '../../core/place/features/featureWords';
import { featureLibrary } from '../../core/place/features/library';
import type { FeaturePlacement } from '../../core/place/features/featurePlacement';
import type { FeatureStyle } from '../../core/notation/step';
import type { PartAnalysis } from '../../core/toy/analyse';
import { Notice } from '../../ui/Notice';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet, Title } from '../../ui/text';
import { Problems } from './Problems';
import { usePartEdits } from './usePartEdits';

const styleNames: Record<FeatureStyle, string> = {
  satin: 'Satin stitch', triangle: 'Triangle', smile: 'Smile', row: 'Short stitches', lips: 'Two lips', sleeping: 'Sleeping', felt: 'Felt', crochet: 'Crocheted', oval: 'Oval', ring: 'With rings',
};
const stitchedStyles: ReadonlySet<FeatureStyle> = new Set(['satin', 'triangle', 'smile', 'row', 'lips', 'sleeping']);

/** Where a feature goes, what is not right, how the needle runs, and how it is made. */
export function FeatureCard({ part, feature }: { part: PartAnalysis; feature: FeaturePlacement }) {
  const edits = usePartEdits(part);
  const entry = featureLibrary[feature.kind];
  const words = featureWords(feature);
  const { rule, gap, units } = feature;
  const where = units.map(({ from, to }) => (from === to ? `${from}` : `${from}–${to}`)).join(' and ');
  const make = (style: FeatureStyle) => edits.putFeature(feature.id, {
    ...rule, style, embroidered: stitchedStyles.has(style), sizeMm: stitchedStyles.has(style) ? null : (rule.sizeMm ?? Math.round(Math.min(rule.wide, 2) * part.form.gauge.widthMm)),
  });
  return (
    <View gap="$3">
      <View backgroundColor="$sheet" borderRadius="$3" borderWidth={1} borderColor="$line" padding="$4" gap="$2">
        <Answer role="status">{entry.name}: round {gap[0]}<Answer color="$marker" aria-hidden>|</Answer>{gap[1]}, holes {where}</Answer>
        <Body>{words.count}</Body>
        <Body>{words.markers}</Body>
        <Body>{words.check}</Body>
      </View>
      <Problems problems={feature.problems} onApply={edits.apply} />
      {feature.problems.every((problem) => problem.severity === 'info') ? <Notice tone="good">in the middle of the front, within {(Math.round(feature.missMm * 10) / 10).toFixed(1)} mm.</Notice> : null}
      {entry.styles.length > 1 ? (
        <View gap="$1" role="radiogroup" aria-label="How it is made">
          <Quiet>How it is made</Quiet>
          <View flexDirection="row" flexWrap="wrap" gap="$2">{entry.styles.map((style) => <Press key={style} tight role="radio" label={styleNames[style]} chosen={rule.style === style} onPress={() => make(style)} />)}</View>
        </View>
      ) : null}
      {rule.sizeMm !== null && !rule.embroidered ? <NumberStep label="Across" unit="mm" value={rule.sizeMm} step={1} least={3} most={80} onChange={(sizeMm) => edits.putFeature(feature.id, { ...rule, sizeMm })} /> : null}
      {entry.pair && rule.embroidered ? <NumberStep label="Each wide" unit="stitches" value={rule.wide} step={1} least={1} most={12} onChange={(wide) => edits.putFeature(feature.id, { ...rule, wide })} /> : null}
      {rule.embroidered && entry.high > 1 ? <NumberStep label="High" unit="rounds" value={rule.high} step={1} least={1} most={8} onChange={(high) => edits.putFeature(feature.id, { ...rule, high })} /> : null}
      {words.needle.length > 0 ? (
        <View gap="$1">
          <Title render="h3" margin={0} fontSize="$4" lineHeight="$4">The needle’s way</Title>
          {words.needle.map((line) => <Body key={line}>{line}</Body>)}
        </View>
      ) : null}
      <Quiet>Inside stays {entry.inside}. It is worked from the {entry.from}.{entry.hurts ? ` ${entry.hurts}` : ''}</Quiet>
      <Press tone="danger" label={`Take the ${feature.kind} off`} onPress={() => edits.dropFeature(feature.id)} />
    </View>
  );
}
