import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import type { Problem } from '../../core/notation/problem';
import { Notice } from '../../ui/Notice';
import { Body } from '../../ui/text';

interface LookAtTheseProps {
  /** sentences that name a stitch by its number, which now lies elsewhere */
  sentences: readonly string[];
  /** what is open then and was not before */
  open: readonly Problem[];
}

/** What a stretched piece asks of its maker. */
export function LookAtThese({ sentences, open }: LookAtTheseProps) {
  return (
    <>
      {open.length > 0 ? (
        <Notice tone="look">
          {t`then to be settled:`}
          <View gap="$1" paddingTop="$1" role="list" aria-label={t`Then to be settled`}>
            {open.map(({ code, part, message }, i) => (
              <Body key={`${code}${i}`} role="listitem">
                {part ? `${part}: ` : ''}
                {message}
              </Body>
            ))}
          </View>
        </Notice>
      ) : null}
      {sentences.length > 0 ? (
        <Notice tone="look">
          {t`${sentences.length === 1 ? t`this sentence names` : t`these sentences name`} a stitch by its number, and that stitch now lies elsewhere. Look where it should be:`}
          <View gap="$1" paddingTop="$1">
            {sentences.map((sentence) => (
              <Body key={sentence}>“{sentence}”</Body>
            ))}
          </View>
        </Notice>
      ) : null}
    </>
  );
}
