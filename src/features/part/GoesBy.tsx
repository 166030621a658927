import { t } from '../../core/words/language';
import { sayTerm } from '../../core/words/said';
import {
  countedFrom,
  heightChoices,
  saidBy,
  sideChoices,
  type HeightChoice,
  type SideChoice,
} from '../../core/place/move/choices';
import type { FeaturePlacement } from '../../core/place/resolve/placement';
import { frameOfPart, type PartAnalysis } from '../../core/toy/analyse';
import { OneOf, type OneOfProps } from '../../ui/Choice';
import { usePartEdits } from './usePartEdits';

const fromName = (from: HeightChoice['from']) =>
  from === null
    ? t`Round numbers`
    : from === 'edge'
      ? t`The last round`
      : from === 'front'
        ? t`The front line`
        : t`The ${sayTerm(from)}`;

/** The ways to say one thing; where there is but one there is nothing to choose. */
function Ways<T extends string>(ways: Omit<OneOfProps<T>, 'wraps'>) {
  return ways.options.length < 2 ? null : <OneOf wraps {...ways} />;
}

/** What a feature goes by: it stays where it is, and from then on follows that. */
export function FeatureGoesBy({ part, feature }: { part: PartAnalysis; feature: FeaturePlacement }) {
  const edits = usePartEdits(part);
  const { lying } = part.map;
  const { vertical } = feature.rule;
  if (vertical?.by === 'start') return null;
  const heights = (of: PartAnalysis, placed: FeaturePlacement) =>
    heightChoices(frameOfPart(of), placed, of.features);
  const sides = (of: PartAnalysis, placed: FeaturePlacement) =>
    sideChoices(frameOfPart(of), placed, of.features);
  const now = countedFrom(vertical);
  const pair = feature.apart !== null;
  const wayName: Record<SideChoice['way'], string> = pair
    ? {
        stitches: t`So many apart`,
        outward: t`Outside the eyes`,
        inner: t`In line, inner edge`,
        middle: t`In line, middle`,
        outer: t`In line, outer edge`,
      }
    : {
        stitches: t`So many wide`,
        outward: '',
        inner: t`As the eyes, inner edge`,
        middle: t`As the eyes, middle`,
        outer: t`As the eyes, outer edge`,
      };
  return (
    <>
      <Ways
        label={t`Counted up and down from`}
        chosen={lying && now === null ? null : fromName(now)}
        options={heights(part, feature).map(({ from }) => [fromName(from), fromName(from)])}
        onChoose={(wanted) =>
          edits.putFeature(feature.id, (placed, of) => {
            const choice = heights(of, placed).find(({ from }) => fromName(from) === wanted);
            return choice ? { ...placed.rule, vertical: choice.vertical } : null;
          })
        }
      />
      <Ways
        label={pair ? t`How far out` : t`How wide`}
        chosen={saidBy(feature.rule.sideways)}
        options={sides(part, feature).map(({ way }) => [way, wayName[way]])}
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
