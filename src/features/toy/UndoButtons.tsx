import { useToyText } from '../../data/useToy';
import { Icon } from '../../ui/Icon';
import { Press } from '../../ui/Press';

export function UndoButtons() {
  const { editor, canUndo, canRedo } = useToyText();
  return (
    <>
      <Press
        tone="quiet"
        name="Undo"
        icon={<Icon name="undo" />}
        disabled={!canUndo}
        onPress={() => editor.undo()}
      />
      <Press
        tone="quiet"
        name="Redo"
        icon={<Icon name="redo" />}
        disabled={!canRedo}
        onPress={() => editor.redo()}
      />
    </>
  );
}
