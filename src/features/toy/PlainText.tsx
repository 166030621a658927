import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import { Row } from '../../ui/layout';
import { useToyText } from '../../data/useToy';
import { Field } from '../../ui/Field';
import { saveFile } from '../../ui/files';
import { Press } from '../../ui/Press';
import { SaveTrouble } from './SaveLine';
import { UndoButtons } from './UndoButtons';

/** The text of the open toy and nothing that is computed of it: it can be read, changed, undone and saved to a file whatever else is broken. */
export function PlainText() {
  const { editor, text } = useToyText();
  return (
    <View gap="$2" flexGrow={1} flexShrink={1} minHeight={0}>
      <SaveTrouble />
      <Row>
        <UndoButtons />
        <Press
          label={t`Save the text to a file`}
          onPress={() => saveFile('pattern.txt', text, 'text/plain')}
        />
      </Row>
      <Field label={t`Pattern text`} multiline value={text} onChange={editor.setText} />
    </View>
  );
}
