import { t } from '../../core/words/language';
import { Image } from 'react-native';
import { View } from '@tamagui/core';
import type { LogEntry } from '../../core/make/run';
import { Body, Quiet } from '../../ui/text';

const day = (at: number) => new Date(at).toLocaleDateString();

/** What was written down, the newest first. */
export function LogEntries({ entries, copies }: { entries: readonly LogEntry[]; copies: number }) {
  return (
    <View gap="$3" role="list" aria-label={t`Log`}>
      {[...entries].reverse().map(({ at, text, task, copy, picture }, i) => (
        <View key={`${at} ${i}`} role="listitem" gap="$1">
          {text ? <Body>{text}</Body> : null}
          {picture ? (
            <Image
              source={{ uri: picture }}
              accessibilityLabel={text ? t`Photo: ${text}` : t`Photo of ${day(at)}, ${task}`}
              resizeMode="contain"
              style={{ width: '100%', aspectRatio: 4 / 3, borderRadius: 8 }}
            />
          ) : null}
          <Quiet>
            {day(at)} · {task}
            {copies > 1 ? t` · toy ${copy + 1}` : ''}
          </Quiet>
        </View>
      ))}
    </View>
  );
}
