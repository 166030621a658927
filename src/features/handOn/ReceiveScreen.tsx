import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { useRef, useState } from 'react';
import { View } from '@tamagui/core';
import { takePiece, type Parcel } from '../../core/keep/parcel';
import { bringing } from '../../data/bring';
import { useShelfActions } from '../../data/useShelf';
import { Field } from '../../ui/Field';
import { Card, fewCards, Fill } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Title } from '../../ui/text';
import { CameraView } from './CameraView';

type Said = 'damaged' | 'other' | null;

/** How far it has come. */
function Progress({ parcel, said }: { parcel: Parcel | null; said: Said }) {
  if (said === 'damaged')
    return (
      <Notice
        tone="look"
        live
      >{t`what came is not what was sent. Hold the camera steady; it begins again by itself.`}</Notice>
    );
  if (parcel) {
    const missing = Array.from({ length: parcel.of }, (_, i) => i + 1).filter(
      (one) => !parcel.pieces.has(one),
    );
    return (
      <Notice tone="plain" live>
        {t`${parcel.pieces.size} of ${parcel.of} read. Still to come: ${missing.join(', ')}.`}
      </Notice>
    );
  }
  return said === 'other' ? <Notice tone="look" live>{t`that code is not a toy of Hoppla’s.`}</Notice> : null;
}

/** Puts what came onto the shelf, once, and opens it. */
function useKeeping() {
  const router = useRouter();
  const { addFile } = useShelfActions();
  const [failed, setFailed] = useState<string | null>(null);
  // A code may be seen again before the toy is on the shelf.
  const isTaken = useRef(false);
  const keep = async (text: string) => {
    if (isTaken.current) return;
    isTaken.current = true;
    setFailed(null);
    try {
      const { id } = await addFile.mutateAsync(text);
      router.replace(`/toy/${id}`);
    } catch (reason) {
      isTaken.current = false;
      setFailed(
        reason instanceof Error && reason.message ? reason.message : t`That did not work. Try again.`,
      );
    }
  };
  return { failed, keep: (text: string) => void keep(text) };
}

/** A toy read from the codes another phone shows in turn. */
function ByCamera({ onWhole }: { onWhole: (text: string) => void }) {
  const [parcel, setParcel] = useState<Parcel | null>(null);
  const [said, setSaid] = useState<Said>(null);
  const [isOn, setOn] = useState(false);
  const take = (code: string) => {
    const taken = takePiece(parcel, code);
    if (taken.kind === 'whole') setOn(false);
    if (taken.kind !== 'other') setParcel(taken.kind === 'more' ? taken.parcel : null);
    setSaid(taken.kind === 'damaged' || taken.kind === 'other' ? taken.kind : null);
    if (taken.kind === 'whole') onWhole(taken.text);
  };
  return (
    <Card gap="$3">
      <Title render="h2" margin={0}>{t`With the camera`}</Title>
      {isOn ? (
        <CameraView onCode={take} />
      ) : (
        <>
          <Body>{t`On the other phone: the toy’s card, More, Hand it on, Show the code.`}</Body>
          <Press tone="primary" label={t`Use the camera`} onPress={() => setOn(true)} />
        </>
      )}
      <Progress parcel={parcel} said={said} />
      {isOn ? <Press label={t`Put the camera away`} onPress={() => setOn(false)} /> : null}
    </Card>
  );
}

/** What was pasted: a toy as it is exchanged, or a pattern. */
const isFile = (text: string): boolean => text.trimStart().startsWith('{');

/** A toy pasted as a file, or a pattern, which goes the way of every pattern that is brought. */
function ByPasting({ onFile }: { onFile: (text: string) => void }) {
  const router = useRouter();
  const [pasted, setPasted] = useState('');
  const take = () => {
    if (isFile(pasted)) {
      onFile(pasted);
      return;
    }
    bringing.write(pasted);
    router.replace('/new');
  };
  return (
    <Card gap="$3">
      <Title render="h2" margin={0}>{t`By pasting`}</Title>
      <Field
        label={t`What you were sent: a pattern, or all of a file`}
        multiline
        value={pasted}
        onChange={setPasted}
      />
      <Press label={t`Take it`} disabled={!pasted.trim()} onPress={take} />
    </Card>
  );
}

/** A toy from another phone. */
export function ReceiveScreen() {
  const router = useRouter();
  const { failed, keep } = useKeeping();
  return (
    <Fill>
      <Page
        title={t`From another phone`}
        back={{ name: t`Back to the shelf`, go: () => router.replace('/') }}
        broad
      >
        {failed === null ? null : (
          <Notice tone="wrong" live>
            {failed}
          </Notice>
        )}
        <View gap="$3" style={fewCards} alignItems="flex-start">
          <ByCamera onWhole={keep} />
          <ByPasting onFile={keep} />
        </View>
      </Page>
    </Fill>
  );
}
