import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Fill } from '../../ui/layout';
import { useShelfActions } from '../../data/useShelf';
import { Notice } from '../../ui/Notice';
import { ShapeScreen } from './ShapeScreen';

/** A new toy that begins with a shape. */
export function NewShapeScreen() {
  const router = useRouter();
  const { create } = useShelfActions();
  const [failed, setFailed] = useState(false);
  const take = async (text: string) => {
    try {
      const toy = await create.mutateAsync(`Toy: New toy\n\n${text}`);
      router.replace(`/toy/${toy.id}/${toy.document.parts[0]?.id ?? ''}`);
    } catch {
      setFailed(true);
    }
  };
  return (
    <Fill>
      {failed ? <Notice tone="wrong" live>{t`The browser would not save the toy. Try again.`}</Notice> : null}
      <ShapeScreen
        back={{ name: t`Back to the shelf`, go: () => router.replace('/') }}
        onTake={(text) => void take(text)}
      />
    </Fill>
  );
}
