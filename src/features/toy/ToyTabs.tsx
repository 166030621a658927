import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import type { Problem } from '../../core/notation/problem';
import { useToy } from '../../data/useToy';
import { Tabs } from '../../ui/Tabs';

/** What is only told, and holds as it is, needs no settling. */
const isToSettle = ({ severity }: Problem) => severity !== 'info';

/** The pages of a toy. */
export function ToyTabs({ chosen }: { chosen: 'parts' | 'together' | 'make' | 'yarn' | 'sheet' }) {
  const router = useRouter();
  const { editor, analysis } = useToy();
  const asked = analysis.joined.joins.filter(({ problems }) => problems.some(isToSettle)).length;
  const mark = asked > 0 ? { count: asked, word: t`to settle` } : undefined;
  return (
    <Tabs
      label={t`Pages of this toy`}
      tabs={
        [
          { key: 'parts', label: t`Parts` },
          { key: 'together', label: t`Together`, mark },
          { key: 'make', label: t`Make` },
          { key: 'yarn', label: t`Yarn` },
          { key: 'sheet', label: t`Sheet` },
        ] as const
      }
      chosen={chosen}
      onChoose={(key) => router.replace(key === 'parts' ? `/toy/${editor.id}` : `/toy/${editor.id}/${key}`)}
    />
  );
}
