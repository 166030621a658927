import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from '@tamagui/core';
import type { MakingList } from '../../core/supplies/makingList';
import { onceMade } from '../../core/toy/supplies/box';
import {
  costsOf,
  leftOutOf,
  needsOf,
  toBuyCsv,
  toBuyText,
  type BuyNeed,
  type ToMake,
} from '../../core/toy/supplies/toBuy';
import { useMakingList, useToMake } from '../../data/useMakingList';
import { useShelf } from '../../data/useShelf';
import { saveFile } from '../../ui/files';
import { Icon } from '../../ui/Icon';
import { Card, cardGrid } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { NumberStep } from '../../ui/NumberStep';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Title, Quiet } from '../../ui/text';
import { NeedRow } from './NeedRow';
import { ToysToMake } from './ToysToMake';
import { WhatItCosts } from './WhatItCosts';

/** What several toys take together, what of it is there, what to buy and what one costs. */
export function BuyScreen() {
  const router = useRouter();
  const { list, error, retry, failed, keepAgain, change } = useMakingList();
  return (
    <Page
      title={t`To buy`}
      aside={t`For all you mean to make`}
      back={{ name: t`Back to the toys`, go: () => router.replace('/') }}
      actions={<Press tight label={t`My box`} onPress={() => router.push('/box')} />}
      broad
    >
      {error ? (
        <Notice
          tone="wrong"
          live
          actions={<Press label={t`Try again`} onPress={retry} />}
        >{t`The list could not be read. Nothing was changed.`}</Notice>
      ) : null}
      {failed ? (
        <Notice
          tone="wrong"
          live
          actions={<Press label={t`Try again`} onPress={keepAgain} />}
        >{t`The browser would not keep the list. It holds while this page stays open.`}</Notice>
      ) : null}
      {list ? <List list={list} change={change} /> : <Body color="$quiet">{t`Looking at the list …`}</Body>}
    </Page>
  );
}

interface ListProps {
  list: MakingList;
  change: (some: Partial<MakingList>) => void;
}

function List({ list, change }: ListProps) {
  const { data: shelf } = useShelf();
  const kept = useMemo(() => (shelf ?? []).filter((toy) => toy.kind === 'kept'), [shelf]);
  const { toMake, isReading, lost } = useToMake(list.toys);
  return (
    <View gap="$3" style={cardGrid} alignItems="flex-start">
      <ToysToMake
        shelf={kept}
        toys={list.toys}
        onChange={(toys) => change({ toys })}
        canBeMade={(toy) => toMake.some(({ id }) => id === toy)}
        onMade={(toy) => change(onceMade(list, needsOf(toMake, list), { toy, count: 1 }))}
      />
      {lost > 0 ? (
        <Notice
          tone="look"
          actions={
            <Press
              label={t`Take it off the list`}
              onPress={() =>
                change({ toys: list.toys.filter(({ id }) => toMake.some((one) => one.id === id)) })
              }
            />
          }
        >
          {t`${lost === 1 ? t`One toy of the list` : t`${lost} toys of the list`} can’t be read, or is on the shelf no more: it is not in these numbers.`}
        </Notice>
      ) : null}
      {isReading && list.toys.length > 0 ? <Body color="$quiet">{t`Working it out …`}</Body> : null}
      {toMake.length > 0 ? <Needs list={list} toMake={toMake} change={change} /> : null}
    </View>
  );
}

/** What takes yarn and is in none of the amounts. */
function LeftOut({ toMake }: { toMake: readonly ToMake[] }) {
  const told = useMemo(() => leftOutOf(toMake), [toMake]);
  return told.map((words) => <Quiet key={words}>{words}</Quiet>);
}

/** Things that are needed, a row each; one of them is open to be set. */
function NeedList({ label, needs, list, change }: ListProps & { label: string; needs: readonly BuyNeed[] }) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <View render="ul" margin={0} padding={0} aria-label={label}>
      {needs.map((need) => (
        <NeedRow
          key={need.key}
          need={need}
          price={list.prices[need.key]}
          isOpen={open === need.key}
          onOpen={() => setOpen(open === need.key ? null : need.key)}
          onThere={(amount) => change({ there: { ...list.there, [need.key]: amount } })}
          onPrice={(price) => change({ prices: { ...list.prices, [need.key]: price } })}
        />
      ))}
    </View>
  );
}

function Needs({ list, toMake, change }: ListProps & { toMake: readonly ToMake[] }) {
  const router = useRouter();
  const needs = useMemo(() => needsOf(toMake, list), [toMake, list]);
  const settings = { list, change };
  const costs = useMemo(() => costsOf(toMake, needs, list), [toMake, needs, list]);
  return (
    <>
      <Card gap="$3">
        <Title render="h2" margin={0}>{t`What they take`}</Title>
        <NeedList label={t`What they take`} needs={needs.filter(({ isTool }) => !isTool)} {...settings} />
        <LeftOut toMake={toMake} />
        <NumberStep
          label={t`Yarn, stuffing and thread to spare`}
          unit="%"
          value={list.spare}
          step={5}
          least={0}
          most={100}
          onChange={(spare) => change({ spare })}
        />
        <Title render="h3" margin={0}>{t`To have at hand`}</Title>
        <Quiet>{t`As many as are in use at once: the same ones serve every toy.`}</Quiet>
        <NeedList label={t`To have at hand`} needs={needs.filter(({ isTool }) => isTool)} {...settings} />
        <View flexDirection="row" flexWrap="wrap" gap="$2">
          <Press
            grow
            tone="primary"
            label={t`Save the list`}
            onPress={() => saveFile('to-buy.txt', toBuyText(toMake, needs), 'text/plain')}
          />
          <Press
            grow
            label={t`Spreadsheet`}
            name={t`Save it for a spreadsheet`}
            icon={<Icon name="download" />}
            onPress={() => saveFile('to-buy.csv', toBuyCsv(needs, list), 'text/csv')}
          />
        </View>
      </Card>
      <WhatItCosts
        costs={costs}
        rate={list.rate}
        onRate={(rate) => change({ rate })}
        asking={list.asking}
        onAsking={(asking) => change({ asking })}
        onFair={() => router.push('/fair')}
      />
    </>
  );
}
