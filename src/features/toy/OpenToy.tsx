import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import type { OpenedToy } from '../../data/toyContext';
import { ToyOpener } from '../../data/useToy';
import { Notice } from '../../ui/Notice';
import { Opening } from '../../ui/Opening';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { DamagedToy } from './DamagedToy';

/** Opens a toy for its pages; until it is open, or where it can't be, this says so in their place. */
export function OpenToy({ id, onOpen }: { id: string; onOpen: (open: OpenedToy | null) => void }) {
  const router = useRouter();
  const toShelf = <Press label={t`To the shelf`} onPress={() => router.replace('/')} />;
  return (
    <ToyOpener
      id={id}
      onOpen={onOpen}
      missing={
        <Page title={t`Not here`}>
          <Notice
            tone="look"
            actions={toShelf}
          >{t`This toy is not on the shelf of this browser. Perhaps it was deleted, or it lives in another browser: export it there and open the file here.`}</Notice>
        </Page>
      }
      opening={<Opening />}
      failed={(reason, retry) => <DamagedToy reason={reason} retry={retry} />}
    />
  );
}
