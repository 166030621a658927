import type { ReactNode } from 'react';
import { View } from '@tamagui/core';
import type { FeaturePlacement } from '../../core/place/features/featurePlacement';
import type { RelaxedForm } from '../../core/shape/form/relaxForm';
import type { PartAnalysis } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';
import { Quiet } from '../../ui/text';
import { AnswerCard } from './AnswerCard';
import { Arrangements, type Comparing } from './Arrangements';
import { EyePads, EyeSettings } from './EyePads';
import { FeatureCard } from './FeatureCard';
import { FeaturePads } from './FeaturePads';
import { Proportions } from './Proportions';
import { SeatedCheck } from './SeatedCheck';

/** The feature that is chosen and there; stitched eyes are a feature like the others. */
function featureOf(part: PartAnalysis, chosen: string) {
  return chosen === 'eyes' && part.eyes ? undefined : part.features.find((feature) => feature.id === chosen);
}

/** Put on just now, and not worked out yet: all of it waits rather than change something else. */
function useWaits(feature: FeaturePlacement | undefined, chosen: string): boolean {
  const { analysis, text } = useToy();
  return !feature && chosen !== 'eyes' && analysis.text !== text;
}

/** The answer for the chosen feature; for the eyes where nothing else is chosen. */
export function FaceAnswer({
  part,
  form,
  chosen,
  comparing,
  onComparing,
  pads,
}: {
  part: PartAnalysis;
  form: RelaxedForm | null;
  chosen: string;
  comparing: Comparing;
  onComparing: (next: Comparing) => void;
  pads?: ReactNode;
}) {
  const feature = featureOf(part, chosen);
  const waits = useWaits(feature, chosen);
  if (waits)
    return (
      <>
        {pads}
        <Quiet role="status">One moment …</Quiet>
      </>
    );
  if (feature)
    return (
      <>
        {pads}
        <FeatureCard part={part} form={form} feature={feature} />
      </>
    );
  return (
    <View gap="$4">
      <AnswerCard part={part} form={form} />
      {pads}
      <Arrangements part={part} comparing={comparing} onComparing={onComparing} />
      <Proportions part={part} />
      <SeatedCheck part={part} />
      <EyeSettings part={part} />
    </View>
  );
}

/** The moves of the chosen feature. */
export function FacePads({ part, chosen }: { part: PartAnalysis; chosen: string }) {
  const feature = featureOf(part, chosen);
  const waits = useWaits(feature, chosen);
  if (!feature && !waits && !part.eyes) return null;
  return (
    <View padding="$2" borderTopWidth={1} borderColor="$line">
      {feature || waits ? <FeaturePads part={part} feature={feature} /> : <EyePads part={part} />}
    </View>
  );
}
