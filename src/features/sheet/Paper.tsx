import { createElement, useMemo, type ReactNode } from 'react';
import { View } from '@tamagui/core';
import { sheetCss } from '../../core/toy/sheet/sheetHtml';
import { Scroll } from '../../ui/Scroll';

// On paper only the sheet stands: everything around it goes, and what scrolls on screen runs on.
const printCss = `@media print{header,[role=tablist],.off-paper{display:none!important}body,#root,#root *{overflow:visible!important;height:auto!important;max-height:none!important;position:static!important}body,#root div{background:#fff!important}}`;

/** What is on the screen and not on the paper. */
export const OffPaper = ({ children }: { children: ReactNode }) =>
  createElement('div', { className: 'off-paper' }, children);

/** The buttons under a page that is printed. */
export const PaperFoot = ({ children }: { children: ReactNode }) => (
  <OffPaper>
    <View
      flexDirection="row"
      gap="$2"
      padding="$2"
      backgroundColor="$sheet"
      borderTopWidth={1}
      borderColor="$line"
    >
      {children}
    </View>
  </OffPaper>
);

/** A page as it will be printed. Its HTML is written by our own core, which escapes all that comes from the maker's text. */
export function Paper({ label, html }: { label: string; html: string }) {
  const body = useMemo(() => ({ __html: html }), [html]);
  return (
    <>
      {createElement('style', null, sheetCss + printCss)}
      <Scroll label={label} paper>
        {createElement('div', { dangerouslySetInnerHTML: body })}
      </Scroll>
    </>
  );
}
