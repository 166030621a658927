import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { useToy } from '../../data/useToy';
import { ShapeScreen } from './ShapeScreen';

/** One more part for a toy, from a shape, in the toy's own gauge and terms. */
export function PartShapeScreen() {
  const router = useRouter();
  const { analysis, editor } = useToy();
  const take = (part: string) => router.replace(`/toy/${editor.id}/${editor.addPart(part)}`);
  return (
    <ShapeScreen
      gauge={analysis.gauge}
      terms={analysis.pattern.terms.value}
      back={{ name: t`Back to the toy`, go: () => router.replace(`/toy/${editor.id}`) }}
      onTake={take}
    />
  );
}
