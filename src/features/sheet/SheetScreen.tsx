import { useRouter } from 'expo-router';
import { createElement, useMemo } from 'react';
import { View } from '@tamagui/core';
import { Fill } from '../../ui/layout';
import { buildSheet } from '../../core/toy/sheet/buildSheet';
import { sheetBody, sheetCss } from '../../core/toy/sheet/sheetHtml';
import { sheetMarkdown } from '../../core/toy/sheet/sheetMarkdown';
import { useToy } from '../../data/useToy';
import { fileName } from '../../core/words/fileName';
import { saveFile } from '../../ui/files';
import { Icon } from '../../ui/Icon';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Scroll } from '../../ui/Scroll';
import { SaveLine } from '../toy/SaveLine';
import { ToyTabs } from '../toy/ToyTabs';
import { printCss } from './paper';

/** The maker's sheet, as it will be printed. */
export function SheetScreen() {
  const router = useRouter();
  const { analysis, editor } = useToy();
  const sheet = useMemo(() => buildSheet(analysis), [analysis]);
  // The sheet is written by our own core, which escapes all that comes from the maker's text.
  const body = useMemo(() => ({ __html: sheetBody(sheet) }), [sheet]);
  return (
    <Fill>
      <Page
        title="Sheet"
        aside={<SaveLine name={sheet.title} />}
        back={{ name: 'Back to the shelf', go: () => router.replace('/') }}
        scrolls={false}
      >
        {createElement('style', null, sheetCss + printCss)}
        <Scroll label="The sheet" paper>
          {createElement('div', { dangerouslySetInnerHTML: body })}
        </Scroll>
        {createElement(
          'div',
          { className: 'sheet-foot' },
          <View
            flexDirection="row"
            gap="$2"
            padding="$2"
            backgroundColor="$sheet"
            borderTopWidth={1}
            borderColor="$line"
          >
            <Press grow tone="primary" label="Print" icon={null} onPress={() => window.print()} />
            <Press
              grow
              label="Save"
              name="Download as Markdown"
              icon={<Icon name="download" />}
              onPress={() => saveFile(`${fileName(sheet.title)}.md`, sheetMarkdown(sheet), 'text/markdown')}
            />
            <Press
              grow
              label="For others"
              name="The pattern for others"
              onPress={() => router.push(`/toy/${editor.id}/pattern`)}
            />
          </View>,
        )}
      </Page>
      <ToyTabs chosen="sheet" key={editor.id} />
    </Fill>
  );
}
