import { t } from '../core/words/language';
import { useRouter, type ErrorBoundaryProps } from 'expo-router';
import type { ReactNode } from 'react';
import { Broken } from '../ui/Guard';
import { Press } from '../ui/Press';

/**
 * What stands in the place of a page that broke.
 *
 * @param instead what can still be done there
 */
export function BrokenPage({ error, retry, instead }: ErrorBoundaryProps & { instead?: ReactNode }) {
  const router = useRouter();
  return (
    <Broken
      what={t`This page`}
      error={error}
      retry={() => void retry()}
      actions={<Press label={t`To the shelf`} onPress={() => router.replace('/')} />}
      instead={instead}
    />
  );
}
