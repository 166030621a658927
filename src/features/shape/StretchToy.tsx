import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { compareToys, newlyOpen } from '../../core/edit/compareToys';
import { notStretchedWords } from '../../core/edit/stretch';
import { heightOfToy, stretchToyTo } from '../../core/edit/stretchTo';
import { nameOfToy } from '../../core/keep/toyCard';
import { analyseToy } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';
import { halfWide } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { MeasureStep } from '../../ui/MeasureStep';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet, Title } from '../../ui/text';
import { AssembledDrawing } from '../together/AssembledDrawing';
import { UndoButtons } from '../toy/UndoButtons';
import { Changes } from '../yarns/Changes';
import { LookAtThese } from './LookAtThese';
import { sizeAfter, sizeWords } from '../../core/words/measures';

const stepMm = 5;
const smallestMm = 20;
const largestMm = 800;

/** A height that is asked for, and what the toy comes to. */
function useToyStretch() {
  const { analysis, text } = useToy();
  const was = useMemo(() => heightOfToy(analysis), [analysis]);
  const [wanted, setWanted] = useState(was);
  const found = useMemo(
    () => (wanted === was ? null : stretchToyTo(text, analysis, wanted)),
    [text, analysis, wanted, was],
  );
  const next = useMemo(() => (found ? analyseToy(found.text) : analysis), [found, analysis]);
  return { was, wanted, setWanted, found, next };
}

type Stretching = ReturnType<typeof useToyStretch>;

/** The whole toy to a height: every part by the same share, and what had to give. */
export function StretchToy() {
  const router = useRouter();
  const { analysis, editor } = useToy();
  const stretching = useToyStretch();
  const { found } = stretching;
  const back = () => router.replace(`/toy/${editor.id}`);
  const isNothing = !found || found.left.length === analysis.parts.length;
  return (
    <Page
      title={t`Another size`}
      aside={nameOfToy(analysis)}
      back={{ name: t`Back to the toy`, go: back }}
      actions={<UndoButtons />}
      broad
      foot={
        <Press
          tone="primary"
          label={isNothing ? t`Choose a height` : t`Work it so`}
          disabled={isNothing}
          onPress={() => {
            if (!found) return;
            editor.step(found.text);
            back();
          }}
        />
      }
    >
      <View gap="$4" $wide={{ flexDirection: 'row', gap: '$5' }}>
        <View gap="$3" $wide={halfWide}>
          <ComesTo stretching={stretching} />
        </View>
        <View gap="$3" $wide={halfWide}>
          <HadToGive stretching={stretching} />
        </View>
      </View>
    </Page>
  );
}

/** The toy as it would be, and how high. */
function ComesTo({ stretching: { was, wanted, setWanted, next } }: { stretching: Stretching }) {
  const is = useMemo(() => heightOfToy(next), [next]);
  const words =
    wanted === was
      ? t`As it is.`
      : t`Now ${sizeWords(was)}. Asked for ${sizeAfter(wanted)}: so near as whole stitches and rounds come.`;
  return (
    <>
      <AssembledDrawing toy={next} name={nameOfToy(next)} yaw={0} pulled={0} height={300} />
      <View role="status" gap="$1">
        <Answer>{t`about ${sizeWords(is)} high`}</Answer>
        <Body>{words}</Body>
        <Quiet>{t`Another yarn makes a toy larger or smaller too, without any round changed: see Yarn.`}</Quiet>
      </View>
      <MeasureStep
        label={t`Height of the toy`}
        unit={t`mm`}
        value={wanted}
        step={stepMm}
        least={Math.min(smallestMm, was)}
        most={Math.max(largestMm, was)}
        onChange={setWanted}
      />
    </>
  );
}

/** What stays as it is, what is to be looked at, and what changes. */
function HadToGive({ stretching: { found, next } }: { stretching: Stretching }) {
  const { analysis } = useToy();
  const changes = useMemo(() => compareToys(analysis, next), [analysis, next]);
  const open = useMemo(() => newlyOpen(analysis, next), [analysis, next]);
  if (!found) return null;
  const { left, toLookAt } = found;
  return (
    <>
      {left.length > 0 ? (
        <Notice tone="look">
          {left.length === 1 ? t`one part stays as it is.` : t`${left.length} parts stay as they are.`}
          <View gap="$1" paddingTop="$1" role="list" aria-label={t`Parts that stay as they are`}>
            {left.map(({ part, because }) => (
              <Body key={part} role="listitem">
                {notStretchedWords(part, because)}
              </Body>
            ))}
          </View>
        </Notice>
      ) : null}
      <LookAtThese sentences={toLookAt} open={open} />
      <Title render="h2" margin={0}>{t`What would change`}</Title>
      <Changes changes={changes} countsStay={false} />
    </>
  );
}
