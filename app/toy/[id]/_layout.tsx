import { Slot, useLocalSearchParams, useRouter } from 'expo-router';
import { ToyProvider } from '../../../src/data/useToy';
import { DamagedToy } from '../../../src/features/toy/DamagedToy';
import { Notice } from '../../../src/ui/Notice';
import { Opening } from '../../../src/ui/Opening';
import { Page } from '../../../src/ui/Page';
import { Press } from '../../../src/ui/Press';

export default function ToyLayout() {
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
      opening={<Opening />}
      failed={(reason, retry) => <DamagedToy reason={reason} retry={retry} />}
    >
      <Slot />
    </ToyProvider>
  );
}
