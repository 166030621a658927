import { View } from '@tamagui/core';
import { featureName } from '../../core/place/features/featureSteps';
import type { PartAnalysis } from '../../core/toy/analyse';
import { Press } from '../../ui/Press';

/** The features that have something to settle; a tap goes to what it is. */
export function ConflictList({ part, ids, onFeature }: { part: PartAnalysis; ids: readonly string[]; onFeature: (id: string) => void }) {
  return (
    <View position="absolute" left={44} top={8} gap="$1" alignItems="flex-start" role="group" aria-label="To settle">
      {ids.slice(0, 3).map((id) => {
        const kind = part.features.find((one) => one.id === id)?.kind ?? 'eyes';
        return <Press key={id} tight tone="danger" label={`! ${featureName(id, kind)}`} name={`To settle: ${featureName(id, kind)}`} onPress={() => onFeature(id)} />;
      })}
    </View>
  );
}
