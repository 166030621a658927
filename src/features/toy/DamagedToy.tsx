import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { View } from '@tamagui/core';
import { salvagedText } from '../../core/keep/salvage';
import { bringing } from '../../data/bring';
import { DamagedError } from '../../data/storedToy';
import { saveFile } from '../../ui/files';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';

/** A toy that could not be opened: why, and what can be done. One whose document is damaged is shown as it is kept. */
export function DamagedToy({ reason, retry }: { reason: Error; retry: () => void }) {
  const router = useRouter();
  const toShelf = <Press label={t`To the shelf`} onPress={() => router.replace('/')} />;
  const kept = reason instanceof DamagedError ? reason.kept : null;
  const back = { name: t`Back to the shelf`, go: () => router.replace('/') };
  if (kept === null) {
    return (
      <Page title={t`Not readable`} back={back}>
        <Notice
          tone="wrong"
          live
          actions={
            <>
              <Press label={t`Try again`} onPress={retry} />
              {toShelf}
            </>
          }
        >{t`This toy could not be read from the browser just now. Nothing was changed.`}</Notice>
      </Page>
    );
  }
  const salvaged = salvagedText(kept);
  const mend = () => {
    bringing.write(salvaged);
    router.push('/new');
  };
  return (
    <Page title={t`Can’t be read`} aside={t`It stays on the shelf`} back={back}>
      <Notice
        tone="wrong"
        live
        actions={
          <>
            <Press tone="primary" label={t`Mend it`} onPress={mend} />
            <Press
              label={t`Save it as it is`}
              onPress={() => saveFile('toy.as-kept.json', kept, 'application/json')}
            />
          </>
        }
      >
        {reason.message}
      </Notice>
      <Body>{t`Mending takes the text below to a page where you can look it over and put it on the shelf as a new toy. This one stays as it is until you delete it.`}</Body>
      <Title render="h2" margin={0}>{t`What is there of its text`}</Title>
      <View backgroundColor="$sheet" borderWidth={1} borderColor="$line" borderRadius="$2" padding="$3">
        <Quiet style={{ whiteSpace: 'pre-wrap' } as object}>
          {salvaged.slice(0, 4000) || t`Nothing that can be read.`}
        </Quiet>
      </View>
    </Page>
  );
}
