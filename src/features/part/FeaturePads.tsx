import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import { raised, widened } from '../../core/place/move/step';
import type { FeaturePlacement } from '../../core/place/resolve/placement';
import { frameOfPart, type PartAnalysis } from '../../core/toy/analyse';
import { Icon } from '../../ui/Icon';
import { Press } from '../../ui/Press';
import { usePartEdits } from './usePartEdits';

/** The four moves of a feature, under the thumb. They wait, faint, for one that was put on just now. */
export function FeaturePads({
  part,
  feature,
}: {
  part: PartAnalysis;
  feature: FeaturePlacement | undefined;
}) {
  const edits = usePartEdits(part);
  const frame = frameOfPart(part);
  const rules = feature
    ? [
        raised(frame, feature, 1),
        raised(frame, feature, -1),
        widened(frame, feature, -1),
        widened(frame, feature, 1),
      ]
    : [];
  const [up = null, down = null, closer = null, wider = null] = rules;
  const pair = feature !== undefined && feature.rule.sides !== 'middle';
  const id = feature?.id ?? '';
  const [step, spread] = part.map.lying ? [t`stitch`, t`round`] : [t`round`, t`stitch`];
  return (
    <View flexDirection="row" gap="$2">
      <Press
        grow
        stacked
        name={t`One ${step} up`}
        label={t`Up`}
        icon={<Icon name="up" />}
        disabled={!up}
        onPress={() => edits.putFeature(id, (placed, of) => raised(frameOfPart(of), placed, 1))}
      />
      <Press
        grow
        stacked
        name={t`One ${step} down`}
        label={t`Down`}
        icon={<Icon name="down" />}
        disabled={!down}
        onPress={() => edits.putFeature(id, (placed, of) => raised(frameOfPart(of), placed, -1))}
      />
      <Press
        grow
        stacked
        name={pair ? t`One ${spread} closer` : t`One ${spread} narrower`}
        label={pair ? t`Closer` : t`Narrower`}
        icon={<Icon name="closer" />}
        disabled={!closer}
        onPress={() => edits.putFeature(id, (placed, of) => widened(frameOfPart(of), placed, -1))}
      />
      <Press
        grow
        stacked
        name={t`One ${spread} wider`}
        label={t`Wider`}
        icon={<Icon name="wider" />}
        disabled={!wider}
        onPress={() => edits.putFeature(id, (placed, of) => widened(frameOfPart(of), placed, 1))}
      />
    </View>
  );
}
