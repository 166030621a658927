import { ScrollView } from 'react-native-gesture-handler';
import { featureLibrary } from '../../core/place/features/library';
import type { FeatureKind } from '../../core/notation/step';
import type { PartAnalysis } from '../../core/toy/analyse';
import { Press } from '../../ui/Press';
import { usePartEdits } from './usePartEdits';

const order: FeatureKind[] = ['eyes', 'nose', 'mouth', 'cheeks', 'brows', 'lashes', 'whiskers', 'spots', 'patch', 'button', 'hair', 'sculpting', 'key ring'];

/** Whether a part carries a feature. */
export function carries(part: PartAnalysis, kind: FeatureKind): boolean {
  return (kind === 'eyes' && part.eyes !== null) || part.features.some((feature) => feature.kind === kind);
}

/** The features of a face in a line: those that are there, and those a tap puts there. */
export function FaceBar({ part, chosen, onChoose }: { part: PartAnalysis; chosen: FeatureKind; onChoose: (kind: FeatureKind) => void }) {
  const edits = usePartEdits(part);
  if (part.fabric.rounds < 2) return null;
  const choose = (kind: FeatureKind) => {
    if (!carries(part, kind)) {
      if (kind === 'eyes') edits.seat();
      else edits.addFeature(kind);
    }
    onChoose(kind);
  };
  return (
    <ScrollView horizontal showsHorizontalScrollIndicator={false} style={{ flexGrow: 0 }} contentContainerStyle={{ gap: 6, paddingHorizontal: 8, paddingVertical: 6 }} role="group" aria-label="Features">
      {order.map((kind) => {
        const there = carries(part, kind);
        const { name } = featureLibrary[kind];
        return <Press key={kind} tight label={there ? name : `+ ${name}`} name={there ? name : `Add ${name.toLowerCase()}`} role={there ? 'radio' : 'button'} chosen={there && chosen === kind} onPress={() => choose(kind)} />;
      })}
    </ScrollView>
  );
}
