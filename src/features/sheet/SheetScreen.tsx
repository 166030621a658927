import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { Fill } from '../../ui/layout';
import { buildSheet } from '../../core/toy/sheet/buildSheet';
import { sheetBody } from '../../core/toy/sheet/sheetHtml';
import { sheetMarkdown } from '../../core/toy/sheet/sheetMarkdown';
import { useRules } from '../../data/rules';
import { useToy } from '../../data/useToy';
import { fileName } from '../../core/words/fileName';
import { saveFile } from '../../ui/files';
import { Icon } from '../../ui/Icon';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { SaveLine } from '../toy/SaveLine';
import { ToyTabs } from '../toy/ToyTabs';
import { BesideToy, Paper, PaperFoot } from './Paper';

/** The maker's sheet, as it will be printed. */
export function SheetScreen() {
  const router = useRouter();
  const { analysis, editor } = useToy();
  const { book } = useRules();
  const sheet = useMemo(() => buildSheet(analysis, book), [analysis, book]);
  const html = useMemo(() => sheetBody(sheet), [sheet]);
  return (
    <Fill>
      <Page
        title={t`Sheet`}
        aside={<SaveLine name={sheet.title} />}
        back={{ name: t`Back to the shelf`, go: () => router.replace('/') }}
        scrolls={false}
      >
        <BesideToy>
          <Paper label={t`The sheet`} html={html} />
        </BesideToy>
        <PaperFoot>
          <Press grow tone="primary" label={t`Print`} icon={null} onPress={() => window.print()} />
          <Press
            tight
            label={t`Save`}
            name={t`Download as Markdown`}
            icon={<Icon name="download" />}
            onPress={() => saveFile(`${fileName(sheet.title)}.md`, sheetMarkdown(sheet), 'text/markdown')}
          />
          <Press
            tight
            label={t`For others`}
            name={t`The pattern for others`}
            onPress={() => router.push(`/toy/${editor.id}/pattern`)}
          />
          <Press
            tight
            label={t`To cut`}
            name={t`Templates to cut`}
            onPress={() => router.push(`/toy/${editor.id}/templates`)}
          />
        </PaperFoot>
      </Page>
      <ToyTabs chosen="sheet" key={editor.id} />
    </Fill>
  );
}
