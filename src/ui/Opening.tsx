import { t } from '../core/words/language';
import { View } from '@tamagui/core';
import { Body } from './text';

/** What stands on a page while it is loaded. */
export function Opening() {
  return (
    <View flex={1} padding="$5">
      <Body color="$quiet" role="status">{t`Opening …`}</Body>
    </View>
  );
}
