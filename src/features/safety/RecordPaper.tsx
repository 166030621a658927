import { t } from '../../core/words/language';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo } from 'react';
import { recordBody, recordMarkdown, recordSheet, recordText } from '../../core/toy/sheet/recordSheet';
import { fileName } from '../../core/words/fileName';
import { useRules } from '../../data/rules';
import { useRecord } from '../../data/useRecord';
import { useToy } from '../../data/useToy';
import { saveFile } from '../../ui/files';
import { mostToys } from '../../ui/HowMany';
import { Icon } from '../../ui/Icon';
import { Fill } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Paper, PaperFoot } from '../sheet/Paper';
import { SaveLine } from '../toy/SaveLine';

/** Which toy of the batch an address names; the first where it names none. */
function toyIn(said: string | string[] | undefined): number {
  const number = Number(Array.isArray(said) ? said[0] : said);
  return Number.isInteger(number) && number >= 1 && number <= mostToys ? number : 1;
}

/** The record of one toy of the batch, as it will be printed. */
export function RecordPaper() {
  const router = useRouter();
  const { toy: said } = useLocalSearchParams();
  const toy = toyIn(said);
  const { analysis, editor } = useToy();
  const { book } = useRules();
  const { entries, error, retry } = useRecord(editor.id);
  const sheet = useMemo(
    () => recordSheet(analysis, toy, entries ?? [], book),
    [analysis, toy, entries, book],
  );
  const html = useMemo(() => recordBody(sheet), [sheet]);
  const name = fileName(sheet.title);
  return (
    <Fill>
      <Page
        title={t`Record`}
        aside={<SaveLine name={sheet.title} />}
        back={{ name: t`Back to what is tried`, go: () => router.replace(`/toy/${editor.id}/record`) }}
        scrolls={false}
      >
        {error ? (
          <Notice tone="wrong" live actions={<Press label={t`Try again`} onPress={retry} />}>
            {error.message}
          </Notice>
        ) : null}
        <Paper label={t`The record`} html={html} />
        <PaperFoot>
          <Press
            grow
            tone="primary"
            label={t`Print`}
            disabled={entries === null}
            onPress={() => window.print()}
          />
          <Press
            grow
            label={t`Text`}
            name={t`Save the record as text`}
            icon={<Icon name="download" />}
            disabled={entries === null}
            onPress={() => saveFile(`${name}-record.txt`, recordText(sheet), 'text/plain')}
          />
          <Press
            grow
            label={t`Markdown`}
            name={t`Save the record as Markdown`}
            disabled={entries === null}
            onPress={() => saveFile(`${name}-record.md`, recordMarkdown(sheet), 'text/markdown')}
          />
        </PaperFoot>
      </Page>
    </Fill>
  );
}
