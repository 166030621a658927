import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { View } from '@tamagui/core';
import { applyEdits } from '../../core/notation/applyEdits';
import { generalCaution } from '../../core/safety/cautions';
import { toldTogether } from '../../core/safety/findings';
import type { LineEdit } from '../../core/notation/problem';
import { safetyOf } from '../../core/toy/safetyOf';
import { nameOfToy } from '../../core/keep/toyCard';
import { useRules } from '../../data/rules';
import { useToy } from '../../data/useToy';
import { CardList, Fill } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet } from '../../ui/text';
import { SaveLine, SaveTrouble } from '../toy/SaveLine';
import { UndoButtons } from '../toy/UndoButtons';
import { ForWhom } from './ForWhom';
import { FindingCard } from './FindingCard';
import { HoldingCard } from './HoldingCard';
import { RuleFigures } from './RuleFigures';

/** For whom the toy is, what screening found, what holds the parts, and the figures it all goes by. */
export function SafetyScreen() {
  const router = useRouter();
  const { analysis, editor, text } = useToy();
  const { book } = useRules();
  const { audience, findings } = safetyOf(analysis, book);
  const apply = (edits: readonly LineEdit[]) => editor.step(applyEdits(text, edits));
  const stops = findings.filter(({ severity }) => severity === 'error').length;
  const looks = findings.filter(({ severity }) => severity === 'warning').length;
  return (
    <Fill>
      <Page
        title={t`Child-safe`}
        broad
        aside={<SaveLine name={nameOfToy(analysis)} />}
        back={{ name: t`Back to the parts`, go: () => router.replace(`/toy/${editor.id}`) }}
        actions={<UndoButtons />}
      >
        <SaveTrouble />
        <ForWhom text={text} audience={audience} onChoose={(next) => editor.step(next)} />
        <View role="status">
          <Answer>
            {stops > 0
              ? stops === 1
                ? t`One thing stops it`
                : t`${stops} things stop it`
              : looks > 0
                ? looks === 1
                  ? t`One thing to look at`
                  : t`${looks} things to look at`
                : t`Nothing found`}
          </Answer>
          <Body>{t`Hoppla looks at what the pattern says: sizes, openings, seams, hardware, cords. It can’t see your yarn, your knots or your seams.`}</Body>
        </View>
        <CardList label={t`What was found`}>
          {toldTogether(findings).map((told) => (
            <FindingCard key={`${told.first.code} ${told.messages.join()}`} told={told} onApply={apply} />
          ))}
        </CardList>
        <HoldingCard audience={audience} onTake={apply} />
        <Press
          role="link"
          label={t`Try it, and write it down`}
          onPress={() => router.push(`/toy/${editor.id}/record`)}
        />
        <RuleFigures audience={audience} />
        <Quiet>{t`${generalCaution} Watch a child with any toy.`}</Quiet>
      </Page>
    </Fill>
  );
}
