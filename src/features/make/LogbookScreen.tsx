import { t } from '../../core/words/language';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { nameOfToy } from '../../core/keep/toyCard';
import { entriesWith, logbookOf, type Logbook, type Session } from '../../core/make/logbook';
import { usualHands } from '../../core/plan/hands';
import { analyseToy } from '../../core/toy/analyse';
import { plannedForHands } from '../../core/toy/planToy';
import { asMadeMarkdown } from '../../core/toy/sheet/asMade';
import { fileName } from '../../core/words/fileName';
import { timeWords } from '../../core/words/time';
import { runs } from '../../data/runs';
import { packToy } from '../../data/shelfFile';
import { tasksOfText } from '../../data/useMaking';
import { useToy } from '../../data/useToy';
import { Field } from '../../ui/Field';
import { saveBlob, saveFile } from '../../ui/files';
import { Icon } from '../../ui/Icon';
import { Card, fewCards, Fill } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Opening } from '../../ui/Opening';
import { Empty, Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';
import { LogEntries } from './LogEntries';
import { PaceCard } from './PaceCard';

/** Every making of a toy, looked back on, the newest first. */
async function logbooksOf(toy: string): Promise<Logbook[]> {
  const kept = await Promise.all((await runs.of(toy)).map(({ id }) => runs.read(id)));
  return kept.flatMap((one) =>
    one ? [logbookOf(one.run, one.events, (text) => tasksOfText(text, one.run.hands))] : [],
  );
}

/** `Sunday 1 March, 18:01`, as she writes dates. */
const whenWords = (at: number) =>
  new Date(at).toLocaleString(undefined, {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    hour: '2-digit',
    minute: '2-digit',
  });

/** When she was at it, the last time first. */
function Sessions({ books }: { books: readonly Logbook[] }) {
  const sessions = books.flatMap((book): readonly Session[] => book.sessions);
  if (sessions.length === 0) return null;
  return (
    <Card gap="$2">
      <Title render="h2" margin={0}>{t`Sessions`}</Title>
      <View render="ul" margin={0} padding={0} gap="$2" aria-label={t`Sessions`}>
        {sessions
          .sort((a, b) => b.from - a.from)
          .map(({ from, minutes, stitches }) => (
            <View key={from} render="li" style={{ listStyleType: 'none' }}>
              <Body>{whenWords(from)}</Body>
              <Quiet>
                {t`${minutes < 1 ? t`A moment` : timeWords(minutes)}, about ${Math.round(stitches)} stitches`}
              </Quiet>
            </View>
          ))}
      </View>
    </Card>
  );
}

/** How it stands with one making: `Two toys, not finished yet, 3 hours by the taps.` */
function standsWords({ run, sessions, finished }: Logbook): string {
  const minutes = sessions.reduce((sum, session) => sum + session.minutes, 0);
  const words = [
    finished ? t`Finished` : t`Not finished yet`,
    run.copies > 1 ? t`${run.copies} toys` : '',
    minutes >= 1 ? t`${timeWords(minutes)} by the taps` : '',
  ];
  return `${words.filter(Boolean).join(', ')}.`;
}

/** The sheet of one making, with what was changed on the way. */
const sheetAsMade = (book: Logbook): string =>
  asMadeMarkdown(
    plannedForHands(analyseToy(book.text, { searches: false }), book.run.hands ?? usualHands),
    book,
    (at) => new Date(at).toLocaleDateString(),
  );

/** One making of the toy. */
function Made({ book, wanted }: { book: Logbook; wanted: string }) {
  const { run, entries } = book;
  const found = entriesWith(entries, wanted);
  return (
    <Card gap="$3">
      <Title render="h2" margin={0}>
        {t`Begun ${new Date(run.started).toLocaleDateString()}`}
      </Title>
      <Body>{standsWords(book)}</Body>
      {found.length > 0 ? <LogEntries entries={found} copies={run.copies} /> : null}
      {found.length === 0 && entries.length > 0 ? <Quiet>{t`Nothing in it says that.`}</Quiet> : null}
      {entries.length === 0 ? <Quiet>{t`Nothing was written down.`}</Quiet> : null}
      <Press
        label={t`Save its sheet as it was made`}
        icon={<Icon name="download" />}
        onPress={() => saveFile(`${fileName(run.name)}-as-made.md`, sheetAsMade(book), 'text/markdown')}
      />
    </Card>
  );
}

/** Saves the toy with everything that was written down while it was made. */
function SaveAll({ id, name }: { id: string; name: string }) {
  const [failed, setFailed] = useState(false);
  const save = async () => {
    setFailed(false);
    try {
      const bytes = await packToy(id);
      if (!bytes) throw new Error('gone');
      saveBlob(`${fileName(name)}.hoppla.zip`, new Blob([bytes], { type: 'application/zip' }));
    } catch {
      setFailed(true);
    }
  };
  return (
    <View gap="$2">
      <Press label={t`Save the toy with its logbook`} onPress={() => void save()} />
      {failed ? (
        <Notice tone="wrong" live>{t`the browser would not read it just now. Try again.`}</Notice>
      ) : null}
    </View>
  );
}

/** What happened while a toy was made, each time it was. */
export function LogbookScreen() {
  const router = useRouter();
  const { analysis, editor } = useToy();
  const [wanted, setWanted] = useState('');
  const {
    data: books,
    isError,
    refetch,
  } = useQuery({
    queryKey: ['logbook', editor.id],
    queryFn: () => logbooksOf(editor.id),
    staleTime: 0,
    gcTime: 0,
  });
  const hasEntries = (books ?? []).some(({ entries }) => entries.length > 0);
  return (
    <Fill>
      <Page
        title={t`Logbook`}
        aside={nameOfToy(analysis)}
        back={{ name: t`Back to the making`, go: () => router.replace(`/toy/${editor.id}/make`) }}
        broad
      >
        {isError ? (
          <Notice
            tone="wrong"
            live
            actions={<Press label={t`Try again`} onPress={() => void refetch()} />}
          >{t`what was made can’t be read: this browser’s storage is full or shut.`}</Notice>
        ) : null}
        {books === undefined && !isError ? <Opening /> : null}
        {books?.length === 0 ? (
          <Empty>{t`Nothing yet. What you write down while making, photos and sessions stand here.`}</Empty>
        ) : null}
        {hasEntries ? <Field label={t`Search the logbook`} value={wanted} onChange={setWanted} /> : null}
        <View gap="$3" style={fewCards} alignItems="flex-start">
          {(books ?? []).map((book) => (
            <Made key={book.run.id} book={book} wanted={wanted.trim()} />
          ))}
          {books && wanted === '' ? <Sessions books={books} /> : null}
          {books ? <PaceCard books={books} /> : null}
        </View>
        {books && books.length > 0 ? <SaveAll id={editor.id} name={nameOfToy(analysis)} /> : null}
      </Page>
    </Fill>
  );
}
