import { t } from '../../core/words/language';
import { createElement, useMemo, type ReactNode } from 'react';
import { useMedia, View } from '@tamagui/core';
import { sheetCss } from '../../core/toy/sheet/sheetHtml';
import { assembled } from '../../core/toy/assembled';
import { sizeOfToy } from '../../core/join/pose/posed';
import { nameOfToy } from '../../core/keep/toyCard';
import { useToy } from '../../data/useToy';
import { Fill } from '../../ui/layout';
import { Scroll } from '../../ui/Scroll';
import { Body } from '../../ui/text';
import { AssembledDrawing } from '../together/AssembledDrawing';
import { sizeAfter, sizeWords } from '../../core/words/measures';

// On paper only the sheet stands: everything around it goes, and what scrolls on screen runs on.
const printCss = `@media print{header,[role=tablist],.off-paper{display:none!important}body,#root,#root *{overflow:visible!important;height:auto!important;max-height:none!important;position:static!important}[data-beside]{display:block!important}body,#root div{background:#fff!important}}`;

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

/** Where there is room, the toy stands beside its paper on the screen. */
export function BesideToy({ children }: { children: ReactNode }) {
  const { wide } = useMedia();
  const { analysis } = useToy();
  const isWorked = analysis.parts.some(({ checks }) => checks.length > 0);
  if (!wide || !isWorked) return <>{children}</>;
  return (
    <Fill flexDirection="row" {...{ 'data-beside': 'yes' }}>
      <OffPaper>
        <ToyBeside />
      </OffPaper>
      <Fill>{children}</Fill>
    </Fill>
  );
}

/** The toy put together, and how large it becomes. */
function ToyBeside() {
  const { analysis } = useToy();
  const { widthMm, heightMm, depthMm } = sizeOfToy(assembled(analysis));
  return (
    <View width={420} padding="$4" gap="$3">
      <AssembledDrawing toy={analysis} name={nameOfToy(analysis)} yaw={0} pulled={0} height={420} />
      <Body>{t`About ${sizeWords(heightMm)} high, ${sizeAfter(widthMm)} wide, ${sizeAfter(depthMm)} deep.`}</Body>
    </View>
  );
}
