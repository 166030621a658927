import { t } from '../src/core/words/language';
import { useRouter } from 'expo-router';
import { Notice } from '../src/ui/Notice';
import { Page } from '../src/ui/Page';
import { Press } from '../src/ui/Press';

export default function NotFound() {
  const router = useRouter();
  return (
    <Page title={t`Nothing here`}>
      <Notice
        tone="look"
        actions={<Press label={t`To the shelf`} onPress={() => router.replace('/')} />}
      >{t`There is no page at this address. Your toys are on the shelf.`}</Notice>
    </Page>
  );
}
