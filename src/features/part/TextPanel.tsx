import { useToy } from '../../data/useToy';
import { Field } from '../../ui/Field';

/** The pattern as the maker writes it. Everything else follows from it. */
export function TextPanel() {
  const { editor, text } = useToy();
  return <Field label="Pattern text" hideLabel multiline value={text} onChange={editor.setText} placeholder={'Head\nR1: 6 sc in magic ring [6]\nR2: inc x 6 [12]'} />;
}
