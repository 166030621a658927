import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from '@tamagui/core';
import { analyseToy } from '../../core/toy/analyse';
import { readDocument } from '../../core/toy/document';
import { demoNames, demoText, wantsDemo } from '../../data/demoToys';
import { onChangeElsewhere } from '../../data/otherTabs';
import { shelf, type StoredToy } from '../../data/shelf';
import { useShelf, useShelfActions } from '../../data/useShelf';
import { openFile } from '../../ui/files';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Title } from '../../ui/text';
import { ToyCard } from './ToyCard';

/** The maker's toys, and the ways to begin one. */
export function ShelfScreen() {
  const router = useRouter();
  const { data: toys, error, refetch, isPending } = useShelf();
  const { create, add, restore } = useShelfActions();
  const [said, setSaid] = useState<{ tone: 'wrong' | 'good'; words: string } | null>(null);
  const [removed, setRemoved] = useState<{ toy: StoredToy; name: string } | null>(null);
  useSeeding(toys, refetch);
  useEffect(() => onChangeElsewhere(() => void refetch()), [refetch]);

  const attempt = async (act: () => Promise<void>) => {
    setSaid(null);
    try {
      await act();
    } catch (reason) {
      setSaid({ tone: 'wrong', words: reason instanceof Error && reason.message ? reason.message : 'That did not work. Try again.' });
    }
  };
  const open = (toy: StoredToy) => router.push(`/toy/${toy.id}`);
  const importFile = () => attempt(async () => {
    const file = await openFile();
    if (!file) return;
    if (file.name.endsWith('.json') || file.text.trimStart().startsWith('{')) {
      const read = readDocument(file.text);
      if (!read.ok) throw new Error(read.message);
      open(await add.mutateAsync(read.document));
      return;
    }
    router.push({ pathname: '/new', params: { text: file.text.slice(0, 200_000) } });
  });
  const blank = () => attempt(async () => open(await create.mutateAsync('Toy: New toy\n\nHead\n')));
  const demo = () => attempt(async () => {
    const made: StoredToy[] = [];
    for (const name of demoNames) made.push(await create.mutateAsync(await demoText(name)));
    const otter = made[0];
    if (otter) open(otter);
  });
  const ways = (
    <View gap="$2">
      <Press tone="primary" label="Paste a pattern" onPress={() => router.push('/new')} />
      <View flexDirection="row" gap="$2">
        <Press grow label="A shape" name="Start from a shape" onPress={() => router.push('/shape')} />
        <Press grow label="Blank" name="Start a blank part" onPress={() => void blank()} />
        <Press grow label="A file" name="Open a file" onPress={() => void importFile()} />
      </View>
    </View>
  );
  const empty = toys?.length === 0;

  return (
    <Page title="Hoppla" aside="Your shelf" actions={<Press tight label="Yarns" name="Yarn shelf" onPress={() => router.push('/yarns')} />} foot={(toys && !empty) || error ? ways : undefined}>
      {error ? <Notice tone="wrong" live actions={<Press label="Try again" onPress={() => void refetch()} />}>The shelf could not be read from this browser.</Notice> : null}
      {said ? <Notice tone={said.tone} live>{said.words}</Notice> : null}
      {removed ? (
        <Notice tone="plain" live actions={<Press label="Put it back" onPress={() => { void restore.mutateAsync(removed.toy); setRemoved(null); }} />}>{removed.name} is off the shelf.</Notice>
      ) : null}
      {isPending ? <Body color="$quiet">Looking at the shelf …</Body> : null}
      {empty ? (
        <View gap="$4" paddingVertical="$5">
          <View gap="$2">
            <Title render="h2" margin={0} fontSize="$6" lineHeight="$6">Bring a pattern</Title>
            <Body>Paste the rounds of a head or a body. Hoppla counts them, finds the front, and tells you between which rounds and in which holes the eyes go, and when to stop for them.</Body>
          </View>
          {ways}
          <Press label="Look at the Pondside demo toys" onPress={() => void demo()} />
        </View>
      ) : null}
      <View render="ul" margin={0} padding={0} gap="$3" aria-label="Toys">
        {toys?.map((toy) => (
          <ToyCard
            key={toy.id}
            toy={toy}
            analysis={analyseToy(toy.document.text)}
            onOpen={() => open(toy)}
            onRemoved={(name) => setRemoved({ toy, name })}
            onTrouble={(words) => setSaid({ tone: 'wrong', words })}
          />
        ))}
      </View>
    </Page>
  );
}

/** A new shelf on the demo server begins with the demo toys, once. */
function useSeeding(toys: StoredToy[] | undefined, readAgain: () => Promise<unknown>): void {
  const empty = toys?.length === 0;
  useEffect(() => {
    if (!empty) return;
    void (async () => {
      if ((await shelf.wasSeeded()) || !(await wantsDemo())) return;
      await shelf.markSeeded();
      for (const name of [...demoNames].reverse()) await shelf.create(await demoText(name));
      await readAgain();
    })();
  }, [empty, readAgain]);
}
