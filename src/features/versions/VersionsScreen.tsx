import { t } from '../../core/words/language';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from '@tamagui/core';
import { compareVersions, type Difference } from '../../core/edit/compareVersions';
import { nameOfToy } from '../../core/keep/toyCard';
import { analyseToy, type ToyAnalysis } from '../../core/toy/analyse';
import { plannedForHands } from '../../core/toy/planToy';
import { useHands } from '../../data/hands';
import { shelf, type ShelfToy } from '../../data/shelf';
import { useShelf } from '../../data/useShelf';
import { useToy } from '../../data/useToy';
import { Field } from '../../ui/Field';
import { Card, cardGrid, Fill } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';
import { calledSo } from '../shelf/ToyList';

/** From so many toys on a name is found faster than in a row of buttons. */
const manyToys = 12;
/** So many differences of one kind are shown at once. */
const atOnce = 30;

type KeptToy = Extract<ShelfToy, { kind: 'kept' }>;

/** Which toy this one is laid beside. */
function ChooseOther({ others, onChoose }: { others: readonly KeptToy[]; onChoose: (id: string) => void }) {
  const [wanted, setWanted] = useState('');
  const named = new Set(calledSo(others, wanted).map(({ id }) => id));
  const found = others.filter(({ id }) => named.has(id)).slice(0, manyToys);
  if (others.length === 0)
    return (
      <Notice tone="plain">{t`there is no other toy on the shelf. Duplicate this one there, change the copy, and compare them here.`}</Notice>
    );
  return (
    <Card gap="$3">
      <Body fontWeight="700">{t`Beside which toy?`}</Body>
      {others.length > manyToys ? <Field label={t`Its name`} value={wanted} onChange={setWanted} /> : null}
      <View flexDirection="row" flexWrap="wrap" gap="$2">
        {found.map(({ id, card }) => (
          <Press
            key={id}
            label={card.name}
            name={t`Compare with ${card.name}`}
            onPress={() => onChoose(id)}
          />
        ))}
      </View>
    </Card>
  );
}

const headings: Readonly<Record<Difference['about'], string>> = {
  whole: t`As a whole`,
  parts: t`Parts`,
  rounds: t`Rounds`,
  places: t`Sizes and places`,
  joins: t`Where parts are joined`,
  takes: t`What it takes`,
};

/** Differences of one kind, what one says beside what the other does. */
function Differences({ of, names }: { of: Difference; names: readonly [string, string] }) {
  const [shown, setShown] = useState(atOnce);
  const parts = [...new Set(of.changes.map(({ part }) => part))];
  const saysPart = of.about === 'rounds' || of.about === 'places';
  return (
    <Card gap="$3" role="region" aria-label={headings[of.about]}>
      <Title render="h2" margin={0}>
        {headings[of.about]}
      </Title>
      <View flexDirection="row" gap="$3" aria-hidden>
        <Quiet flex={1} flexBasis={0}>
          {names[0]}
        </Quiet>
        <Quiet flex={1} flexBasis={0} fontWeight="700">
          {names[1]}
        </Quiet>
      </View>
      {parts.map((part) => (
        <View key={part} gap="$2" role="list" aria-label={part}>
          {saysPart ? <Body fontWeight="700">{part}</Body> : null}
          {of.changes
            .filter((change) => change.part === part)
            .slice(0, shown)
            .map(({ what, before, after }) => (
              <View
                key={what}
                role="listitem"
                aria-label={`${what}: ${names[0]} ${before}, ${names[1]} ${after}`}
                borderTopWidth={1}
                borderColor="$line"
                paddingTop="$2"
              >
                <Quiet>{what}</Quiet>
                <View flexDirection="row" gap="$3">
                  <Body flex={1} flexBasis={0}>
                    {before}
                  </Body>
                  <Body flex={1} flexBasis={0} fontWeight="700">
                    {after}
                  </Body>
                </View>
              </View>
            ))}
        </View>
      ))}
      {of.changes.length > shown ? (
        <Press label={t`Show more`} onPress={() => setShown(shown + atOnce)} />
      ) : null}
    </Card>
  );
}

interface SideBySideProps {
  /** the toy that was chosen, as it was */
  before: ToyAnalysis;
  /** the toy this page is of */
  after: ToyAnalysis;
}

/** Two toys, and all that differs. */
function SideBySide({ before, after }: SideBySideProps) {
  const differences = useMemo(() => compareVersions(before, after), [before, after]);
  const names = [nameOfToy(before), nameOfToy(after)] as const;
  const inOtherTerms = before.pattern.terms.value !== after.pattern.terms.value;
  return (
    <View gap="$3">
      {inOtherTerms ? (
        <Notice tone="look">{t`one of them is written in US terms and the other in UK terms, so the same stitch has two words.`}</Notice>
      ) : null}
      {differences.length === 0 ? (
        <Notice tone="good">{t`no number of them differs: rounds, places, joins, sizes and yarn are the same.`}</Notice>
      ) : (
        <View gap="$3" style={cardGrid} alignItems="flex-start">
          {differences.map((of) => (
            <Differences key={of.about} of={of} names={names} />
          ))}
        </View>
      )}
    </View>
  );
}

/**
 * Two versions of a toy side by side.
 *
 * @param other the id of the toy it is compared with; none where that is chosen first
 */
export function VersionsScreen({ other }: { other?: string }) {
  const router = useRouter();
  const { analysis, editor } = useToy();
  const { hands } = useHands();
  const { data: toys } = useShelf();
  const { data: stored, isError } = useQuery({
    queryKey: ['version', other],
    queryFn: () => shelf.read(other ?? ''),
    enabled: other !== undefined,
    refetchOnMount: 'always',
  });
  const before = useMemo(
    () => (stored ? plannedForHands(analyseToy(stored.document.text), hands) : null),
    [stored, hands],
  );
  const others = (toys ?? []).filter(
    (toy): toy is KeptToy => toy.kind === 'kept' && toy.id !== editor.id && toy.id !== other,
  );
  const isGone = other !== undefined && (stored === null || isError);
  return (
    <Fill>
      <Page
        title={t`Side by side`}
        aside={nameOfToy(analysis)}
        back={{ name: t`Back to the shelf`, go: () => router.replace('/') }}
        broad
      >
        {isGone ? (
          <Notice
            tone="wrong"
            live
          >{t`that toy is not on the shelf any more, or can’t be read. Choose another.`}</Notice>
        ) : null}
        {before ? <SideBySide before={before} after={analysis} /> : null}
        <ChooseOther others={others} onChoose={(id) => router.setParams({ with: id })} />
      </Page>
    </Fill>
  );
}
