import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { View } from '@tamagui/core';
import { fairBody, fairCsv, fairCss, fairToysOf } from '../../core/toy/sheet/fair';
import { useMakingList, useToMake } from '../../data/useMakingList';
import { useRecordsOf } from '../../data/useRecord';
import { useRules } from '../../data/rules';
import { saveFile } from '../../ui/files';
import { Icon } from '../../ui/Icon';
import { Fill } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Empty, Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { emptyList } from '../../core/supplies/makingList';
import { OffPaper, Paper, PaperFoot } from '../sheet/Paper';

/** Labels for what is made, and a table of it, as they will be printed. */
export function FairScreen() {
  const router = useRouter();
  const { list, error: unread, retry: readAgain } = useMakingList();
  const { book } = useRules();
  const { toMake, isReading } = useToMake((list ?? emptyList).toys);
  const { records, error, retry } = useRecordsOf(toMake.map(({ id }) => id));
  const toys = useMemo(
    () => (list && records ? fairToysOf(toMake, { list, records, book }) : []),
    [toMake, list, records, book],
  );
  const html = `<style>${fairCss}</style>${fairBody(toys)}`;
  const isEmpty = list !== null && list.toys.length === 0;
  return (
    <Fill>
      <Page
        title={t`For the fair`}
        aside={t`Labels and a table`}
        back={{ name: t`Back to the list`, go: () => router.replace('/buy') }}
        scrolls={false}
      >
        {unread || error ? (
          <OffPaper>
            <Notice
              tone="wrong"
              live
              actions={<Press label={t`Try again`} onPress={unread ? readAgain : retry} />}
            >{t`What was written down could not be read. Nothing was changed.`}</Notice>
          </OffPaper>
        ) : null}
        {isEmpty ? (
          <View padding="$4" gap="$3">
            <Empty>{t`No toy is on the list yet. Say there which you make, and how many.`}</Empty>
            <Press tone="primary" label={t`To the list`} onPress={() => router.replace('/buy')} />
          </View>
        ) : null}
        {!isEmpty && toys.length === 0 && isReading ? <Empty>{t`Working it out …`}</Empty> : null}
        {toys.length > 0 ? (
          <>
            <Paper label={t`Labels and a table`} html={html} />
            <PaperFoot>
              <Press grow tone="primary" label={t`Print`} onPress={() => window.print()} />
              <Press
                grow
                label={t`Spreadsheet`}
                name={t`Save the table for a spreadsheet`}
                icon={<Icon name="download" />}
                onPress={() => saveFile('fair.csv', fairCsv(toys), 'text/csv')}
              />
            </PaperFoot>
          </>
        ) : null}
      </Page>
    </Fill>
  );
}
