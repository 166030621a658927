import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { nameOfToy } from '../../core/keep/toyCard';
import { packParcel } from '../../core/keep/parcel';
import { fileName } from '../../core/words/fileName';
import { shelf } from '../../data/shelf';
import { useToy } from '../../data/useToy';
import { saveFile } from '../../ui/files';
import { Card, fewCards, Fill } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Opening } from '../../ui/Opening';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { canShare, copy, share } from '../../ui/share';
import { Body, Quiet, Title } from '../../ui/text';
import { View } from '@tamagui/core';
import { CodesInTurn } from './CodesInTurn';

/** What came of handing it on, in words. */
type Said = { tone: 'good' | 'wrong'; words: string } | null;

/** The ways that need no other phone beside this one. */
function OtherWays({ file, name }: { file: string; name: string }) {
  const { text } = useToy();
  const [said, setSaid] = useState<Said>(null);
  const shared = { title: name, fileName: `${fileName(name)}.hoppla.json`, text: file };
  const attempt = async (act: () => Promise<string | null>, failed: string) => {
    try {
      const words = await act();
      setSaid(words === null ? null : { tone: 'good', words });
    } catch {
      setSaid({ tone: 'wrong', words: failed });
    }
  };
  const copyPattern = () =>
    attempt(
      () => copy(text).then(() => t`the pattern is copied: paste it into a message.`),
      t`this browser does not let the pattern be copied. Save the file instead.`,
    );
  const send = () =>
    attempt(
      () => share(shared).then((done) => (done ? t`it is on its way.` : null)),
      t`it could not be shared. Save the file and send that.`,
    );
  return (
    <Card gap="$3">
      <Title render="h2" margin={0}>{t`To a friend far away`}</Title>
      <Body>{t`The file is the whole toy, with what was tried on it. The pattern is its text, for anybody who reads patterns.`}</Body>
      {canShare(shared) ? (
        <Press tone="primary" label={t`Share the file`} onPress={() => void send()} />
      ) : null}
      <Press label={t`Save the file`} onPress={() => saveFile(shared.fileName, file, 'application/json')} />
      <Press label={t`Copy the pattern`} onPress={() => void copyPattern()} />
      {said ? (
        <Notice tone={said.tone} live>
          {said.words}
        </Notice>
      ) : null}
    </Card>
  );
}

/** The toy as codes, once that is asked for. */
function OnThisScreen({ file, name }: { file: string; name: string }) {
  const [isShown, setShown] = useState(false);
  const codes = useMemo(() => (isShown ? packParcel(file) : []), [isShown, file]);
  return (
    <Card gap="$3">
      <Title render="h2" margin={0}>{t`To a phone beside this one`}</Title>
      {isShown ? null : (
        <>
          <Body>{t`The toy is shown as a code, which the camera of the other phone reads. It needs no network.`}</Body>
          <Press tone="primary" label={t`Show the code`} onPress={() => setShown(true)} />
        </>
      )}
      {isShown && codes === null ? (
        <Notice tone="look">{t`this toy is too large for codes on a screen. Share or save the file instead.`}</Notice>
      ) : null}
      {isShown && codes ? <CodesInTurn codes={codes} name={name} /> : null}
    </Card>
  );
}

/** A toy handed on: by a code on the screen, by what the phone shares with, as a file or as its pattern. */
export function HandOnScreen() {
  const router = useRouter();
  const { analysis, editor, text } = useToy();
  const name = nameOfToy(analysis);
  const {
    data: file,
    isError,
    refetch,
  } = useQuery({
    queryKey: ['hand-on', editor.id, text],
    queryFn: async () => {
      await editor.flush();
      const stored = await shelf.read(editor.id);
      if (!stored) throw new Error('gone');
      // Without the space that makes a file good to read: each sign is one more square of a code.
      return JSON.stringify(JSON.parse(await shelf.exportText(stored)));
    },
    staleTime: 0,
  });
  return (
    <Fill>
      <Page
        title={t`Hand it on`}
        aside={name}
        back={{ name: t`Back to the toy`, go: () => router.replace(`/toy/${editor.id}`) }}
        broad
      >
        {isError ? (
          <Notice
            tone="wrong"
            live
            actions={<Press label={t`Try again`} onPress={() => void refetch()} />}
          >{t`the browser would not read the toy just now.`}</Notice>
        ) : null}
        {file === undefined && !isError ? <Opening /> : null}
        {file === undefined ? null : (
          <View gap="$3" style={fewCards} alignItems="flex-start">
            <OnThisScreen file={file} name={name} />
            <OtherWays file={file} name={name} />
          </View>
        )}
        <Quiet>{t`What you made is yours to hand on. A pattern that is somebody else’s is theirs: ask first.`}</Quiet>
      </Page>
    </Fill>
  );
}
