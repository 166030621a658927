import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { useEffect, useState, type ReactNode } from 'react';
import { View } from '@tamagui/core';
import { limits } from '../../core/notation/limits';
import { bringing } from '../../data/bring';
import { demoToys, wantsDemo, type DemoToy } from '../../data/demoToys';
import { reading } from '../../data/reading';
import { onChangeElsewhere } from '../../data/otherTabs';
import { loadReading, shelf, type RemovedToy } from '../../data/shelf';
import { useShelf, useShelfActions } from '../../data/useShelf';
import { openFile } from '../../ui/files';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Title } from '../../ui/text';
import { ToyList } from './ToyList';
import { whenIdle } from '../../ui/whenIdle';
import { KeepAll, ShelfFileNotice, useWholeShelf } from './WholeShelf';

/** So long after the shelf is shown what a toy is read with is loaded: a tap comes first. */
const loadAfterMs = 1200;

/** The maker's toys, and the ways to begin one. */
export function ShelfScreen() {
  const router = useRouter();
  const { data: toys, error, refetch, isPending } = useShelf();
  const { create, addFile, addDemo, restore } = useShelfActions();
  const [said, setSaid] = useState<string | null>(null);
  const [removed, setRemoved] = useState<{ toy: RemovedToy; name: string } | null>(null);
  const whole = useWholeShelf(refetch);
  const seeding = useSeeding(toys?.length === 0, refetch);
  const isShown = toys !== undefined && toys.length > 0;
  useEffect(() => {
    if (!isShown) return;
    const soon = setTimeout(() => whenIdle(loadReading), loadAfterMs);
    return () => clearTimeout(soon);
  }, [isShown]);
  useEffect(() => onChangeElsewhere(() => void refetch()), [refetch]);

  const attempt = async (act: () => Promise<void>) => {
    setSaid(null);
    try {
      await act();
    } catch (reason) {
      setSaid(reason instanceof Error && reason.message ? reason.message : t`That did not work. Try again.`);
    }
  };
  const open = (id: string) => router.push(`/toy/${id}`);
  const bring = (text: string) => {
    bringing.write(text);
    router.push('/new');
  };
  const importFile = () =>
    attempt(async () => {
      const file = await openFile();
      if (!file) return;
      if ('packed' in file) {
        await whole.bring(file.packed);
        return;
      }
      if (file.name.endsWith('.json') || file.text.trimStart().startsWith('{')) {
        open((await addFile.mutateAsync(file.text)).id);
        return;
      }
      if (file.text.length > limits.textSigns)
        throw new Error(
          t`This file has ${Math.ceil(file.text.length / 1000)} thousand signs: too long for one toy (up to ${limits.textSigns / 1000}). Divide it and open one toy at a time.`,
        );
      bring(file.text);
    });
  const blank = () => attempt(async () => open((await create.mutateAsync('Toy: New toy\n\nHead\n')).id));
  const invent = () =>
    attempt(async () => router.push(`/toy/${(await create.mutateAsync('Toy: New toy\n')).id}/write`));
  const demo = () => attempt(async () => addDemo.mutateAsync());
  // What was taken off stays in hand until it is back: the browser may refuse it the first time.
  const putBack = () =>
    attempt(async () => {
      if (!removed) return;
      try {
        await restore.mutateAsync(removed.toy);
      } catch {
        throw new Error(
          t`The browser would not take ${removed.name} back. It is not lost while this page stays open: try again.`,
        );
      }
      setRemoved(null);
    });
  const ways = (
    <View gap="$2">
      <Press tone="primary" label={t`Paste a pattern`} onPress={() => router.push('/new')} />
      <View flexDirection="row" gap="$2">
        <Press
          grow
          tight
          label={t`A shape`}
          name={t`Start from a shape`}
          onPress={() => router.push('/shape')}
        />
        <Press grow tight label={t`As I go`} name={t`Write as I go`} onPress={() => void invent()} />
        <Press grow tight label={t`Blank`} name={t`Start a blank part`} onPress={() => void blank()} />
        <Press grow tight label={t`A file`} name={t`Open a file`} onPress={() => void importFile()} />
      </View>
    </View>
  );
  const empty = toys?.length === 0;

  return (
    <Page
      title="Hoppla"
      aside={t`Your shelf`}
      actions={
        <View flexDirection="row" gap="$2">
          <Press tight label={t`Hands`} name={t`My hands and tools`} onPress={() => router.push('/hands')} />
          <Press tight label={t`Yarns`} name={t`Yarn shelf`} onPress={() => router.push('/yarns')} />
          <Press tight label={t`To buy`} onPress={() => router.push('/buy')} />
        </View>
      }
      foot={(toys && !empty) || error ? ways : undefined}
      broad
    >
      {error ? (
        <Notice
          tone="wrong"
          live
          actions={<Press label={t`Try again`} onPress={() => void refetch()} />}
        >{t`The shelf could not be read from this browser. Nothing was changed.`}</Notice>
      ) : null}
      {seeding.failed ? (
        <Notice
          tone="wrong"
          live
          actions={<Press label={t`Try again`} onPress={seeding.retry} />}
        >{t`The demo toys could not be put on the shelf. None of them is there yet.`}</Notice>
      ) : null}
      {said ? (
        <Notice tone="wrong" live>
          {said}
        </Notice>
      ) : null}
      {removed ? (
        <Notice tone="plain" live actions={<Press label={t`Put it back`} onPress={() => void putBack()} />}>
          {t`${removed.name} is off the shelf.`}
        </Notice>
      ) : null}
      <ShelfFileNotice shelf={whole} attempt={attempt} />
      {isPending ? <Body color="$quiet">{t`Looking at the shelf …`}</Body> : null}
      {empty ? <EmptyShelf ways={ways} onDemo={() => void demo()} /> : null}
      <ToyList
        toys={toys ?? []}
        onOpen={open}
        onRemoved={(toy, name) => setRemoved({ toy, name })}
        onTrouble={setSaid}
      />
      {toys && !empty ? <KeepAll onSave={() => void attempt(whole.save)} /> : null}
    </Page>
  );
}

/** What stands where no toy is yet: what Hoppla is for, and how to begin. */
function EmptyShelf({ ways, onDemo }: { ways: ReactNode; onDemo: () => void }) {
  return (
    <View gap="$4" paddingVertical="$5">
      <View gap="$2">
        <Title render="h2" margin={0} fontSize="$6" lineHeight="$6">{t`Bring a pattern`}</Title>
        <Body>{t`Paste the rounds of a head or a body. Hoppla counts them, finds the front, and tells you between which rounds and in which holes the eyes go, and when to stop for them.`}</Body>
      </View>
      {ways}
      <Press label={t`Look at the Pondside demo toys`} onPress={onDemo} />
    </View>
  );
}

/** Begins what the demo has half made. Without it the toys are as good: what can't be loaded now is only missing. */
async function beginMakings(toys: readonly DemoToy[], ids: readonly string[]): Promise<void> {
  const { beginDemo } = await reading().catch(() => ({ beginDemo: null }));
  await beginDemo?.(toys, ids);
}

/** A new shelf on the demo server begins with the demo toys, once: all of them or none. */
function useSeeding(
  empty: boolean,
  readAgain: () => Promise<unknown>,
): { failed: boolean; retry: () => void } {
  const [failed, setFailed] = useState(false);
  const [tries, setTries] = useState(0);
  useEffect(() => {
    if (!empty) return;
    void (async () => {
      try {
        const [wasSeeded, isWanted] = await Promise.all([shelf.wasSeeded(), wantsDemo()]);
        if (wasSeeded || !isWanted) return;
        const toys = await demoToys();
        const ids = await shelf.seed(toys);
        setFailed(false);
        await readAgain();
        // The shelf shows itself first; what is half made is seen when a toy is opened.
        setTimeout(() => whenIdle(() => void beginMakings(toys, ids)), loadAfterMs);
      } catch {
        setFailed(true);
      }
    })();
  }, [empty, readAgain, tries]);
  return { failed, retry: () => setTries((before) => before + 1) };
}
