import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import type { Change } from '../../core/edit/compareToys';
import { Body, Quiet } from '../../ui/text';

interface ChangesProps {
  changes: readonly Change[];
  of?: string;
  /** no round is written anew */
  countsStay?: boolean;
}

/** Which numbers change, and how. */
export function Changes({ changes, of, countsStay = true }: ChangesProps) {
  if (changes.length === 0) return <Quiet>{t`${of ? `${of}: ` : ''}No number of it changes.`}</Quiet>;
  const parts = [...new Set(changes.map((change) => change.part))];
  return (
    <View gap="$2" role="list" aria-label={of ? t`What changes in ${of}` : t`What changes`}>
      {of ? <Body fontWeight="700">{of}</Body> : null}
      {parts.map((part) => (
        <View
          key={part}
          role="listitem"
          backgroundColor="$sheet"
          borderRadius="$2"
          borderWidth={1}
          borderColor="$line"
          padding="$3"
          gap="$1"
        >
          <Body fontWeight="700">{part}</Body>
          {changes
            .filter((change) => change.part === part)
            .map(({ what, before, after }) => (
              <View key={what} flexDirection="row" justifyContent="space-between" gap="$3">
                <Quiet flexShrink={1}>{what}</Quiet>
                <Body flexShrink={0}>
                  {before} → <Body fontWeight="700">{after}</Body>
                </Body>
              </View>
            ))}
        </View>
      ))}
      {countsStay ? <Quiet>{t`Rounds and stitch counts stay as they are.`}</Quiet> : null}
    </View>
  );
}
