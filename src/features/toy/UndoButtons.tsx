import { t } from '../../core/words/language';
import { useToyText } from '../../data/useToy';
import { Icon } from '../../ui/Icon';
import { Press } from '../../ui/Press';

export function UndoButtons() {
  const { editor, canUndo, canRedo } = useToyText();
  return (
    <>
      <Press
        tone="quiet"
        name={t`Undo`}
        icon={<Icon name="undo" />}
        disabled={!canUndo}
        onPress={() => editor.undo()}
      />
      <Press
        tone="quiet"
        name={t`Redo`}
        icon={<Icon name="redo" />}
        disabled={!canRedo}
        onPress={() => editor.redo()}
      />
    </>
  );
}
