import { t } from '../../core/words/language';
import { ScrollView } from 'react-native-gesture-handler';
import { View } from '@tamagui/core';
import { featureLibrary } from '../../core/place/rule/library';
import { featureName, kindName } from '../../core/place/rule/ruleSteps';
import type { FeatureKind } from '../../core/notation/sentence/said';
import type { PartAnalysis } from '../../core/toy/analyse';
import { Options } from '../../ui/Choice';
import { Press } from '../../ui/Press';
import { Body } from '../../ui/text';
import { toSettle } from '../../core/toy/toSettle';
import { usePartEdits } from './usePartEdits';

const order: FeatureKind[] = [
  'eyes',
  'nose',
  'mouth',
  'cheeks',
  'brows',
  'lashes',
  'whiskers',
  'spots',
  'patch',
  'button',
  'bow',
  'hair',
  'sculpting',
  'key ring',
];

/** Beside what has something to settle. */
const look = (
  <View
    width={20}
    height={20}
    borderRadius={10}
    backgroundColor="$danger"
    alignItems="center"
    justifyContent="center"
  >
    <Body color="$sheet" fontWeight="700" lineHeight={20}>
      !
    </Body>
  </View>
);

/** The features of a face in a line: those that are there, then those a tap puts there. Of some a part may carry several. */
export function FaceBar({
  part,
  chosen,
  onChoose,
}: {
  part: PartAnalysis;
  chosen: string;
  onChoose: (id: string) => void;
}) {
  const edits = usePartEdits(part);
  if (part.fabric.rounds < 2) return null;
  const there = [...part.features].sort((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind));
  const open = toSettle(part);
  const missing = order.filter(
    (kind) => featureLibrary[kind].many || !there.some((feature) => feature.kind === kind),
  );
  const add = (kind: FeatureKind) => {
    edits.addFeature(kind);
    const same = there.filter((feature) => feature.kind === kind).length;
    onChoose(same === 0 ? kind : `${kind} ${same + 1}`);
  };
  return (
    <ScrollView
      horizontal
      showsHorizontalScrollIndicator={false}
      style={{ flexGrow: 0 }}
      contentContainerStyle={{ gap: 6, paddingHorizontal: 8, paddingVertical: 6 }}
      role="group"
      aria-label={t`Features`}
    >
      <Options label={t`Features there`} flexDirection="row" gap={6}>
        {there.map(({ id, kind }) => (
          <Press
            key={id}
            tight
            label={featureName(id, kind)}
            {...(open.has(id) ? { icon: look, name: t`${featureName(id, kind)}, to settle` } : {})}
            role="radio"
            chosen={chosen === id}
            onPress={() => onChoose(id)}
          />
        ))}
      </Options>
      {missing.map((kind) => (
        <Press
          key={`+${kind}`}
          tight
          label={`+ ${kindName(kind)}`}
          name={t`Add ${kindName(kind).toLowerCase()}`}
          onPress={() => add(kind)}
        />
      ))}
    </ScrollView>
  );
}
