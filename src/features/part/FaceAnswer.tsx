import { t } from '../../core/words/language';
import type { ReactNode } from 'react';
import { View } from '@tamagui/core';
import type { FeaturePlacement } from '../../core/place/resolve/placement';
import type { RelaxedForm } from '../../core/shape/form/relaxForm';
import type { PartAnalysis } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';
import { Quiet } from '../../ui/text';
import { AnswerCard } from './AnswerCard';
import { Arrangements, type Comparing } from './Arrangements';
import { EyeSettings } from './EyeSettings';
import { FeatureCard } from './FeatureCard';
import { FeaturePads } from './FeaturePads';
import { Proportions } from './Proportions';
import { SeatedCheck } from './SeatedCheck';

/** The feature that is chosen and there. */
function featureOf(part: PartAnalysis, chosen: string) {
  return part.features.find((feature) => feature.id === chosen);
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
        <Quiet role="status">{t`One moment …`}</Quiet>
      </>
    );
  if (feature && feature !== part.eyes)
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
  // Where nothing is chosen that is there, the moves are those of the eyes.
  const chosenOne = featureOf(part, chosen);
  const waits = useWaits(chosenOne, chosen);
  const feature = chosenOne ?? (waits ? undefined : (part.eyes ?? undefined));
  if (!feature && !waits) return null;
  return (
    <View padding="$2" borderTopWidth={1} borderColor="$line">
      <FeaturePads part={part} feature={feature} />
    </View>
  );
}
