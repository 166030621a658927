import { View } from '@tamagui/core';
import { useToy } from '../../data/useToy';
import { Notice } from '../../ui/Notice';
import { Press } from '../../ui/Press';
import { Quiet } from '../../ui/text';

/** `Otter · saved`, quietly beside the title. */
export function SaveLine({ name }: { name: string }) {
  const { save } = useToy();
  const words = { saved: 'saved', saving: 'saving', failed: 'not saved', conflict: 'not saved' }[save.kind];
  return <Quiet numberOfLines={1}>{name} · <Quiet role="status">{words}</Quiet></Quiet>;
}

/** What went wrong with the saving, where something did. */
export function SaveTrouble() {
  const { editor, save } = useToy();
  if (save.kind === 'failed') {
    return <View padding="$2"><Notice tone="wrong" live actions={<Press label="Try again now" onPress={() => void editor.flush()} />}>{save.message}</Notice></View>;
  }
  if (save.kind === 'conflict') {
    return (
      <View padding="$2">
        <Notice
          tone="wrong"
          live
          actions={<><Press label="Keep both" onPress={() => void editor.keepBoth()} /><Press label="Use the other tab’s" onPress={() => editor.takeTheirs()} /></>}
        >
          This toy was changed in another tab meanwhile. Keep both, and what you have here becomes a toy of its own.
        </Notice>
      </View>
    );
  }
  return null;
}
