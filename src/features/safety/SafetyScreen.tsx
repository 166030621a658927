import { useRouter } from 'expo-router';
import { View } from '@tamagui/core';
import { applyEdits } from '../../core/notation/applyEdits';
import { audiences, audienceWords, type Audience } from '../../core/safety/audience';
import { generalCaution } from '../../core/safety/cautions';
import type { Finding } from '../../core/safety/findings';
import { reinforceJoin } from '../../core/safety/reinforce';
import { setToyHeader } from '../../core/notation/editText';
import { safetyOf } from '../../core/toy/safetyOf';
import { nameOfToy } from '../../core/keep/toyCard';
import { useRules } from '../../data/rules';
import { useToy } from '../../data/useToy';
import { OneOf } from '../../ui/Choice';
import { Card, Fill } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet, Title } from '../../ui/text';
import { SaveLine, SaveTrouble } from '../toy/SaveLine';
import { UndoButtons } from '../toy/UndoButtons';
import { RuleFigures } from './RuleFigures';

const names: Record<Audience, string> = {
  'under-3': 'Under 3',
  '3-and-over': '3 and over',
  keepsake: 'Keepsake',
  pet: 'A pet',
};

const signs: Record<Finding['severity'], { word: string; colour: '$danger' | '$marker' | '$edge' }> = {
  error: { word: 'Stop', colour: '$danger' },
  warning: { word: 'Look', colour: '$marker' },
  info: { word: 'Note', colour: '$edge' },
};

/** Findings of one kind, as they are told together. */
interface Told {
  first: Finding;
  messages: string[];
}

/** Those of one kind and one weight that are mended in the same way, together. */
function together(findings: readonly Finding[]): Told[] {
  const told: Told[] = [];
  for (const finding of findings) {
    const same = told.find(
      ({ first }) =>
        first.code === finding.code &&
        first.severity === finding.severity &&
        first.remedy.words === finding.remedy.words &&
        first.remedy.edits === null &&
        finding.remedy.edits === null,
    );
    if (same) same.messages.push(finding.message);
    else told.push({ first: finding, messages: [finding.message] });
  }
  return told;
}

/** What was found, why it matters, and what to do about it. */
function FindingCard({ told, onApply }: { told: Told; onApply: () => void }) {
  const { severity, why, remedy, source } = told.first;
  const [message, ...more] = told.messages;
  const { word, colour } = signs[severity];
  return (
    <View render="li" style={{ listStyleType: 'none' }}>
      <Card gap="$2" borderLeftWidth={6} borderLeftColor={colour}>
        <Body fontSize="$4" fontWeight="700">
          {word}: {message}
        </Body>
        {more.map((one) => (
          <Body key={one} fontWeight="700">
            {one}
          </Body>
        ))}
        <Body>{why}</Body>
        <Body>{remedy.words}</Body>
        {remedy.edits ? (
          <Press
            label={told.first.feature === 'eyes' ? 'Embroider them instead' : 'Embroider it instead'}
            onPress={onApply}
          />
        ) : null}
        <Quiet>{source}</Quiet>
      </Card>
    </View>
  );
}

/** How every join is made to hold. */
function Holding({ audience }: { audience: Audience | null }) {
  const { analysis } = useToy();
  const { book } = useRules();
  const { joins } = analysis.joined;
  if (joins.length === 0) return null;
  const ways = new Map<string, { names: string[]; test: string }>();
  for (const { unit, path, kind } of joins) {
    const { how, test } = reinforceJoin(
      { stitches: path?.length ?? 0, noSew: kind === 'no-sew' },
      audience,
      book,
    );
    const same = ways.get(how);
    if (same) same.names.push(unit.name);
    else ways.set(how, { names: [unit.name], test });
  }
  return (
    <Card gap="$3">
      <Title render="h2" margin={0}>
        What holds the parts
      </Title>
      {[...ways].map(([how, { names: units, test }]) => (
        <View key={how} gap="$1">
          <Body fontWeight="700">{units.join(', ')}</Body>
          <Body>{how}</Body>
          <Body>{test}</Body>
        </View>
      ))}
    </Card>
  );
}

/** For whom the toy is, what screening found, what holds the parts, and the figures it all goes by. */
export function SafetyScreen() {
  const router = useRouter();
  const { analysis, editor, text } = useToy();
  const { book } = useRules();
  const { audience, findings } = safetyOf(analysis, book);
  const stops = findings.filter(({ severity }) => severity === 'error').length;
  const looks = findings.filter(({ severity }) => severity === 'warning').length;
  return (
    <Fill>
      <Page
        title="Child-safe"
        aside={<SaveLine name={nameOfToy(analysis)} />}
        back={{ name: 'Back to the parts', go: () => router.replace(`/toy/${editor.id}`) }}
        actions={<UndoButtons />}
      >
        <SaveTrouble />
        <OneOf
          wraps
          label="For whom is it?"
          options={audiences.map((who) => [who, names[who]] as const)}
          chosen={audience}
          onChoose={(who) => editor.step(setToyHeader(text, 'For', audienceWords[who]))}
        />
        <View role="status">
          <Answer>
            {stops > 0
              ? `${stops === 1 ? 'One thing stops' : `${stops} things stop`} it`
              : looks > 0
                ? `${looks === 1 ? 'One thing' : `${looks} things`} to look at`
                : 'Nothing found'}
          </Answer>
          <Body>
            Hoppla looks at what the pattern says: sizes, openings, seams, hardware, cords. It can’t see your
            yarn, your knots or your seams.
          </Body>
        </View>
        <View render="ul" margin={0} padding={0} gap="$3" aria-label="What was found">
          {together(findings).map((told) => (
            <FindingCard
              key={`${told.first.code} ${told.messages.join()}`}
              told={told}
              onApply={() => editor.step(applyEdits(text, told.first.remedy.edits ?? []))}
            />
          ))}
        </View>
        <Holding audience={audience} />
        <Press
          role="link"
          label="Try it, and write it down"
          onPress={() => router.push(`/toy/${editor.id}/record`)}
        />
        <RuleFigures />
        <Quiet>{generalCaution} Watch a child with any toy.</Quiet>
      </Page>
    </Fill>
  );
}
