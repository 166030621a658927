import { Slot, useLocalSearchParams, useRouter } from 'expo-router';
import { ToyProvider } from '../../data/useToy';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { DamagedToy } from './DamagedToy';
import { OpeningToy } from './OpeningToy';

/** The toy of the address, open for the pages inside. */
export function OpenToy() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const toShelf = <Press label="To the shelf" onPress={() => router.replace('/')} />;
  return (
    <ToyProvider
      id={id}
      missing={
        <Page title="Not here">
          <Notice tone="look" actions={toShelf}>
            This toy is not on the shelf of this browser. Perhaps it was deleted, or it lives in another
            browser: export it there and open the file here.
          </Notice>
        </Page>
      }
      opening={<OpeningToy />}
      failed={(reason, retry) => (
        <OpeningToy>
          <DamagedToy reason={reason} retry={retry} />
        </OpeningToy>
      )}
    >
      <Slot />
    </ToyProvider>
  );
}
