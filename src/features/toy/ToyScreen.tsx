import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { sizeOfPart } from '../../core/toy/stuffedPart';
import { Pressable } from 'react-native';
import { useMedia, View } from '@tamagui/core';
import { Card, cardGrid, Fill } from '../../ui/layout';
import { eyeAddress } from '../../core/place/words/directions';
import type { PartAnalysis } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';
import { Empty, Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';
import { ToyPicture } from '../../ui/ToyPicture';
import { nameOfToy, partPicture } from '../../core/keep/toyCard';
import { applyEdits } from '../../core/notation/applyEdits';
import { Guard } from '../../ui/Guard';
import { Problems } from '../part/Problems';
import { AssembledDrawing } from '../together/AssembledDrawing';
import { PlainText } from './PlainText';
import { besideFace, toSettle } from '../../core/toy/toSettle';
import { SaveLine, SaveTrouble } from './SaveLine';
import { SafetyLink } from './SafetyLink';
import { ToyTabs } from './ToyTabs';
import { UndoButtons } from './UndoButtons';
import { sizeWords } from '../../core/words/measures';

/** What stands next about a part: what is wrong, what is to be settled, or where it is stopped first. */
function NextOf({ part }: { part: PartAnalysis }) {
  const wrong = new Set(
    besideFace(part)
      .filter(({ severity }) => severity === 'error')
      .map(({ line }) => line),
  ).size;
  const open = toSettle(part).size;
  const [stop] = part.stops.stops;
  if (wrong > 0)
    return (
      <Body color="$danger">
        {wrong === 1 ? t`One line does not add up` : t`${wrong} lines do not add up`}
      </Body>
    );
  if (open > 0)
    return (
      <Body>{open === 1 ? t`One thing to settle on the map` : t`${open} things to settle on the map`}</Body>
    );
  return stop ? <Quiet>{t`First stop after round ${stop.after}`}</Quiet> : null;
}

/** A part as it is known at a glance. */
function PartCard({ part, onOpen }: { part: PartAnalysis; onOpen: () => void }) {
  const { analysis } = useToy();
  const { source, checks, eyes } = part;
  const size =
    checks.length === 0
      ? t`No rounds yet`
      : t`${checks.length} rounds, ${sizeWords(sizeOfPart(part).widthMm)} wide`;
  const gap = eyes ? t`, eyes ${eyeAddress(part.form, eyes).gap.replaceAll(/rounds? /g, '')}` : '';
  return (
    <Pressable role="link" aria-label={t`Open ${source.name}`} onPress={onOpen}>
      <Card flexDirection="row" gap="$3" alignItems="center">
        <ToyPicture picture={partPicture(part, analysis.pattern.header)} name={source.name} size={72} />
        <View flexGrow={1} flexShrink={1} flexBasis={0} minWidth={0}>
          <Title render="h2" margin={0}>
            {source.name}
            {source.make > 1 ? ` × ${source.make}` : ''}
          </Title>
          <Body>
            {size}
            {gap}
          </Body>
          <NextOf part={part} />
        </View>
      </Card>
    </Pressable>
  );
}

/** The toy put together, beside its parts where there is room. */
function Whole() {
  const { wide } = useMedia();
  const { analysis } = useToy();
  const isWhole = analysis.joined.joins.length > 0;
  if (!wide || !isWhole) return null;
  return (
    <View width={460} flexShrink={0}>
      <Guard what={t`The drawing`} resetKeys={[analysis]}>
        <AssembledDrawing toy={analysis} name={nameOfToy(analysis)} yaw={0} pulled={0} height={460} />
      </Guard>
    </View>
  );
}

/** More parts, by their rounds, by a shape or as the hands find them; and the whole toy larger or smaller. */
function WaysOn() {
  const router = useRouter();
  const { analysis, editor } = useToy();
  const goTo = (page: string) => () => router.push(`/toy/${editor.id}/${page}`);
  const addPart = () => {
    const id = editor.addPart(`Part ${analysis.parts.length + 1}:\nR1: 6 sc in magic ring [6]\n`);
    router.push(`/toy/${editor.id}/${id}?view=text`);
  };
  return (
    <View flexDirection="row" gap="$2">
      <Press grow tight label={t`A part`} name={t`Add a part`} onPress={addPart} />
      <Press grow tight label={t`A shape`} name={t`Add a shape`} onPress={goTo('shape')} />
      <Press grow tight label={t`As I go`} name={t`Write a part as I go`} onPress={goTo('write')} />
      {analysis.parts.length > 0 ? (
        <Press grow tight label={t`Size`} name={t`Make the toy another size`} onPress={goTo('stretch')} />
      ) : null}
    </View>
  );
}

/** A toy: its parts, each a tap away. */
export function ToyScreen() {
  const router = useRouter();
  const { analysis, editor, text, idOf } = useToy();
  const name = nameOfToy(analysis);
  const openPart = (part: PartAnalysis) => router.push(`/toy/${editor.id}/${idOf(part)}`);
  return (
    <Fill>
      <Page
        title={name}
        aside={<SaveLine name={t`Parts`} />}
        back={{ name: t`Back to the shelf`, go: () => router.replace('/') }}
        actions={<UndoButtons />}
        broad
      >
        <SaveTrouble />
        <Problems
          problems={analysis.problems.filter(
            ({ part, severity }) => part === undefined && severity === 'error',
          )}
          onApply={({ edits }) => editor.step(applyEdits(text, edits))}
          showLine
        />
        {analysis.parts.length === 0 ? (
          <>
            <Empty>{t`No parts yet. Add one and write its rounds, or look at the text.`}</Empty>
            <PlainText />
          </>
        ) : null}
        <View flexDirection="row" gap="$4" alignItems="flex-start">
          <Whole />
          <View
            render="ul"
            flexGrow={1}
            flexShrink={1}
            margin={0}
            padding={0}
            gap="$3"
            style={cardGrid}
            aria-label={t`Parts`}
          >
            {analysis.parts.map((part) => (
              <View render="li" key={idOf(part)} style={{ listStyleType: 'none' }}>
                <Guard
                  what={t`The card of ${part.source.name}`}
                  actions={<Press label={t`Open it`} onPress={() => openPart(part)} />}
                  resetKeys={[part]}
                >
                  <PartCard part={part} onOpen={() => openPart(part)} />
                </Guard>
              </View>
            ))}
          </View>
        </View>
        {analysis.parts.length > 0 ? <SafetyLink /> : null}
        <WaysOn />
      </Page>
      <ToyTabs chosen="parts" />
    </Fill>
  );
}
