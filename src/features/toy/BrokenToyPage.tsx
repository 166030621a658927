import { useRouter, type ErrorBoundaryProps } from 'expo-router';
import { Broken } from '../../ui/Guard';
import { Press } from '../../ui/Press';
import { PlainText } from './PlainText';

/** What stands in the place of a page of an open toy that broke: its text can still be read, changed and saved. */
export function BrokenToyPage({ error, retry }: ErrorBoundaryProps) {
  const router = useRouter();
  return (
    <Broken
      what="This page"
      error={error}
      retry={() => void retry()}
      actions={<Press label="To the shelf" onPress={() => router.replace('/')} />}
      instead={<PlainText />}
    />
  );
}
