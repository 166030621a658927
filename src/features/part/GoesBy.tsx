import { View } from '@tamagui/core';
import type { FeaturePlacement } from '../../core/place/features/featurePlacement';
import type { Vertical } from '../../core/place/features/featureRule';
import { countedFrom, heightChoices, type HeightChoice } from '../../core/place/features/heightChoices';
import { saidBy, sideChoices, type SideChoice } from '../../core/place/features/sideChoices';
import { lyingCountedFrom, lyingHeightChoices, lyingSideChoices } from '../../core/place/lying/lyingChoices';
import type { PartAnalysis } from '../../core/toy/analyse';
import { Press } from '../../ui/Press';
import { Quiet } from '../../ui/text';
import { usePartEdits } from './usePartEdits';

const fromName = (from: HeightChoice['from'] | 'front') =>
  from === null
    ? 'Round numbers'
    : from === 'edge'
      ? 'The last round'
      : from === 'front'
        ? 'The front line'
        : `The ${from}`;

/** A line of choices of which one holds. */
function Ways<T extends string>({
  label,
  ways,
  chosen,
  onChoose,
}: {
  label: string;
  ways: readonly { key: T; name: string }[];
  chosen: T | null;
  onChoose: (key: T) => void;
}) {
  if (ways.length < 2) return null;
  return (
    <View gap="$1" role="radiogroup" aria-label={label}>
      <Quiet>{label}</Quiet>
      <View flexDirection="row" flexWrap="wrap" gap="$2">
        {ways.map(({ key, name }) => (
          <Press
            key={key}
            tight
            role="radio"
            label={name}
            chosen={chosen === key}
            onPress={() => onChoose(key)}
          />
        ))}
      </View>
    </View>
  );
}

/** What the eyes are counted from, up and down. */
export function EyesGoBy({ part }: { part: PartAnalysis }) {
  const edits = usePartEdits(part);
  if (!part.eyes || part.map.lying) return null;
  const choices = (of: PartAnalysis) =>
    of.eyes ? heightChoices(of.form, 'eyes', of.eyes.round, of.eyes, of.features) : [];
  const key = ({ from }: HeightChoice) => fromName(from);
  return (
    <Ways
      label="Counted up and down from"
      chosen={fromName(countedFrom(part.eyes.rule.vertical))}
      ways={choices(part).map((choice) => ({ key: key(choice), name: key(choice) }))}
      onChoose={(wanted) =>
        edits.putEyes(({ rule }, of) => {
          const choice = choices(of).find((one) => key(one) === wanted);
          return choice ? { ...rule, vertical: choice.from === null ? undefined : choice.vertical } : null;
        })
      }
    />
  );
}

/** What a feature goes by: it stays where it is, and from then on follows that. */
export function FeatureGoesBy({ part, feature }: { part: PartAnalysis; feature: FeaturePlacement }) {
  const edits = usePartEdits(part);
  const { lying } = part.map;
  const { vertical } = feature.rule;
  if (vertical?.by === 'start') return null;
  const heights = (
    of: PartAnalysis,
    placed: FeaturePlacement,
  ): { from: HeightChoice['from'] | 'front'; vertical: Vertical }[] =>
    lying
      ? lyingHeightChoices(of.form, of.map.front, placed, of.eyes, of.features)
      : heightChoices(of.form, placed.id, placed.line, of.eyes, of.features);
  const sides = (of: PartAnalysis, placed: FeaturePlacement) =>
    lying
      ? lyingSideChoices(of.form, of.map.front, placed, of.eyes)
      : sideChoices(of.form, placed, of.eyes, of.features, of.map.front);
  const now = lying ? lyingCountedFrom(vertical) : countedFrom(vertical);
  const pair = feature.apart !== null;
  const wayName: Record<SideChoice['way'], string> = pair
    ? {
        stitches: 'So many apart',
        outward: 'Outside the eyes',
        inner: 'In line, inner edge',
        middle: 'In line, middle',
        outer: 'In line, outer edge',
      }
    : {
        stitches: 'So many wide',
        outward: '',
        inner: 'As the eyes, inner edge',
        middle: 'As the eyes, middle',
        outer: 'As the eyes, outer edge',
      };
  return (
    <>
      <Ways
        label="Counted up and down from"
        chosen={lying && now === null ? null : fromName(now)}
        ways={heights(part, feature).map(({ from }) => ({ key: fromName(from), name: fromName(from) }))}
        onChoose={(wanted) =>
          edits.putFeature(feature.id, (placed, of) => {
            const choice = heights(of, placed).find(({ from }) => fromName(from) === wanted);
            return choice ? { ...placed.rule, vertical: choice.vertical } : null;
          })
        }
      />
      <Ways
        label={pair ? 'How far out' : 'How wide'}
        chosen={saidBy(feature.rule.sideways)}
        ways={sides(part, feature).map(({ way }) => ({ key: way, name: wayName[way] }))}
        onChoose={(wanted) =>
          edits.putFeature(feature.id, (placed, of) => {
            const choice = sides(of, placed).find(({ way }) => way === wanted);
            return choice ? { ...placed.rule, sideways: choice.sideways } : null;
          })
        }
      />
    </>
  );
}
