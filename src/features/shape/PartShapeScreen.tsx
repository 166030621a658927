import { useRouter } from 'expo-router';
import { useToy } from '../../data/useToy';
import { ShapeScreen } from './ShapeScreen';

/** One more part for a toy, from a shape, in the toy's own gauge and terms. */
export function PartShapeScreen() {
  const router = useRouter();
  const { analysis, editor, text } = useToy();
  const take = (part: string) => {
    editor.step(`${text.replace(/\s*$/, '')}\n\n${part}`);
    router.replace(`/toy/${editor.id}/${analysis.parts.length}`);
  };
  return (
    <ShapeScreen
      gauge={analysis.gauge}
      terms={analysis.pattern.terms.value}
      back={{ name: 'Back to the toy', go: () => router.replace(`/toy/${editor.id}`) }}
      onTake={take}
    />
  );
}
