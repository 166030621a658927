import { useRouter, type ErrorBoundaryProps } from 'expo-router';
import { Broken } from '../ui/Guard';
import { Press } from '../ui/Press';

/** What stands in the place of a page that broke. */
export function BrokenPage({ error, retry }: ErrorBoundaryProps) {
  const router = useRouter();
  return (
    <Broken
      what="This page"
      error={error}
      retry={() => void retry()}
      actions={<Press label="To the shelf" onPress={() => router.replace('/')} />}
    />
  );
}
