import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from '@tamagui/core';
import { templateCss, templatePages, type PaperName } from '../../core/toy/sheet/templatesSvg';
import { templatesOf } from '../../core/toy/templates';
import { nameOfToy } from '../../core/keep/toyCard';
import { fileName } from '../../core/words/fileName';
import { useToy } from '../../data/useToy';
import { OneOf } from '../../ui/Choice';
import { saveFile } from '../../ui/files';
import { Icon } from '../../ui/Icon';
import { Fill } from '../../ui/layout';
import { Empty, Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { SaveLine } from '../toy/SaveLine';
import { OffPaper, Paper, PaperFoot } from './Paper';

const sheets: readonly (readonly [PaperName, string])[] = [
  ['A4', 'A4'],
  ['Letter', t`Letter`],
];

/** Pieces of felt at their real size, to print, cut out and lay on. */
export function TemplatesScreen() {
  const router = useRouter();
  const { analysis, editor } = useToy();
  const [paper, setPaper] = useState<PaperName>('A4');
  const templates = useMemo(() => templatesOf(analysis), [analysis]);
  const pages = useMemo(() => templatePages(templates, paper), [templates, paper]);
  const title = nameOfToy(analysis);
  const html = `<style>${templateCss(paper)}</style>${pages.join('')}`;
  const save = () =>
    pages.forEach((page, i) =>
      saveFile(`${fileName(title)}-templates-${paper.toLowerCase()}-${i + 1}.svg`, page, 'image/svg+xml'),
    );
  return (
    <Fill>
      <Page
        title={t`Templates`}
        aside={<SaveLine name={title} />}
        back={{ name: t`Back to the sheet`, go: () => router.replace(`/toy/${editor.id}/sheet`) }}
        scrolls={false}
      >
        {templates.length === 0 ? (
          <Empty>{t`Nothing of this toy is cut. A felt nose, cheeks, a patch, felt behind the eyes or ears that are laid flat have their outline here.`}</Empty>
        ) : (
          <>
            <OffPaper>
              <View paddingHorizontal="$4" paddingBottom="$3">
                <OneOf label={t`Paper`} options={sheets} chosen={paper} onChoose={setPaper} />
              </View>
            </OffPaper>
            <Paper label={t`Templates at their real size`} html={html} />
            <PaperFoot>
              <Press grow tone="primary" label={t`Print`} onPress={() => window.print()} />
              <Press
                grow
                label={t`Drawing`}
                name={t`Save the drawings`}
                icon={<Icon name="download" />}
                onPress={save}
              />
            </PaperFoot>
          </>
        )}
      </Page>
    </Fill>
  );
}
