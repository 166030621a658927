import { t } from '../core/words/language';
import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { View } from '@tamagui/core';
import { failureOf } from '../core/notation/failure';
import { Notice } from './Notice';
import { Press } from './Press';
import { Quiet } from './text';

interface GuardProps {
  /** what stands inside, as it begins a sentence: `The map` */
  what: string;
  /** what can be done instead, beside trying again */
  actions?: ReactNode;
  /** what else can be shown in its place, under the message */
  instead?: ReactNode;
  /** it is tried again by itself when one of these changes */
  resetKeys?: unknown[];
  children: ReactNode;
}

interface BrokenProps extends Pick<GuardProps, 'what' | 'actions' | 'instead'> {
  error: unknown;
  retry: () => void;
}

/** What stands in the place of something that broke: that nothing is lost, and what can be done. */
export function Broken({ what, actions, instead, error, retry }: BrokenProps) {
  return (
    <View padding="$3" gap="$3" flexGrow={1} flexShrink={1} minHeight={0} backgroundColor="$background">
      <View role="alert">
        <Notice
          tone="wrong"
          actions={
            <>
              <Press label={t`Try again`} onPress={retry} />
              {actions}
            </>
          }
        >
          {t`${what} could not be shown. Nothing is lost: your text is kept as it was.`}
        </Notice>
      </View>
      <Quiet>{t`For a report: ${failureOf(error)}`}</Quiet>
      {instead}
    </View>
  );
}

/** Keeps what goes wrong inside to itself: everything around it stays, and says what can be done. */
export function Guard({ resetKeys, children, ...broken }: GuardProps) {
  return (
    <ErrorBoundary
      resetKeys={resetKeys}
      fallbackRender={({ error, resetErrorBoundary }) => (
        <Broken {...broken} error={error} retry={resetErrorBoundary} />
      )}
    >
      {children}
    </ErrorBoundary>
  );
}
