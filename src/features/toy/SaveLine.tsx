import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { useToyText } from '../../data/useToy';
import { Notice } from '../../ui/Notice';
import { Press } from '../../ui/Press';
import { Quiet } from '../../ui/text';

const words = {
  saved: t`saved`,
  saving: t`saving`,
  failed: t`not saved`,
  refused: t`not saved`,
  conflict: t`not saved`,
  gone: t`off the shelf`,
} as const;

/** `Otter · saved`, quietly beside the title. */
export function SaveLine({ name }: { name: string }) {
  const { save } = useToyText();
  return (
    <Quiet numberOfLines={1}>
      {name} · <Quiet role="status">{words[save.kind]}</Quiet>
    </Quiet>
  );
}

/** What went wrong with the saving, where something did, and what can be done. */
export function SaveTrouble() {
  const { editor, save } = useToyText();
  const [refused, setRefused] = useState(false);
  const attempt = (act: () => Promise<void>) => {
    setRefused(false);
    act().catch(() => setRefused(true));
  };
  if (save.kind === 'saved' || save.kind === 'saving') return null;
  return (
    <View padding="$2" gap="$2">
      {save.kind === 'failed' ? (
        <Notice
          tone="wrong"
          live
          actions={<Press label={t`Try again now`} onPress={() => void editor.flush()} />}
        >
          {save.message}
        </Notice>
      ) : null}
      {save.kind === 'refused' ? (
        <Notice tone="wrong" live>
          {t`${save.message} Until then the toy stays as it was last saved.`}
        </Notice>
      ) : null}
      {save.kind === 'conflict' ? (
        <Notice
          tone="wrong"
          live
          actions={
            <>
              <Press label={t`Keep both`} onPress={() => attempt(editor.keepBoth)} />
              <Press label={t`Use the other tab’s`} onPress={() => editor.takeTheirs()} />
            </>
          }
        >{t`This toy was changed in another tab meanwhile. Keep both, and what you have here becomes a toy of its own.`}</Notice>
      ) : null}
      {save.kind === 'gone' ? (
        <Notice
          tone="wrong"
          live
          actions={<Press label={t`Put it back`} onPress={() => attempt(editor.putBack)} />}
        >{t`This toy was deleted in another tab. What you have here is not on the shelf until you put it back.`}</Notice>
      ) : null}
      {refused ? <Notice tone="wrong" live>{t`The browser would not save this. Try again.`}</Notice> : null}
    </View>
  );
}
