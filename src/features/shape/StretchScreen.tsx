import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { compareToys, newlyOpen } from '../../core/edit/compareToys';
import { isStretched, notStretchedWords, type StretchedPart } from '../../core/edit/stretch';
import { sizeAlongAxis, stretchToSize, type WantedSize } from '../../core/edit/stretchTo';
import { analyseToy, type PartAnalysis } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';
import { Card, halfWide } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { MeasureStep } from '../../ui/MeasureStep';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Slider } from '../../ui/Slider';
import { Answer, Body, Quiet, Title } from '../../ui/text';
import { UndoButtons } from '../toy/UndoButtons';
import { Changes } from '../yarns/Changes';
import { LookAtThese } from './LookAtThese';
import { OutlineDrawing } from './OutlineDrawing';
import { StretchToy } from './StretchToy';
import { sizesWords } from '../../core/words/measures';

const stepMm = 2;
const smallestMm = 8;
const largestMm = 400;

const within = (mm: number): number => Math.max(smallestMm, Math.min(largestMm, Math.round(mm)));

interface StretchScreenProps {
  /** the part by its lasting id; the whole toy where there is none */
  id: string | undefined;
}

/** A part made rounder, longer or wider, or the whole toy another size. */
export function StretchScreen({ id }: StretchScreenProps) {
  const { analysis, idOf } = useToy();
  const part = id === undefined ? undefined : analysis.parts.find((one) => idOf(one) === id);
  return part ? <StretchOnePart key={id} part={part} /> : <StretchToy />;
}

/** What is asked of a part, and what it comes to. */
function useStretch(part: PartAnalysis) {
  const { analysis, text } = useToy();
  const own = useMemo(() => sizeAlongAxis(part), [part]);
  const [wanted, setWanted] = useState<WantedSize>({
    acrossMm: within(own.acrossMm),
    alongMm: within(own.alongMm),
  });
  const [round, setRound] = useState(0);
  const found = useMemo(
    () => stretchToSize(text, analysis, part.source.id, { wanted, round }),
    [text, analysis, part, wanted, round],
  );
  const next = useMemo(() => (isStretched(found) ? analyseToy(found.text) : null), [found]);
  return {
    own,
    wanted,
    round,
    setRound,
    want: ({ acrossMm, alongMm }: WantedSize) =>
      setWanted({ acrossMm: within(acrossMm), alongMm: within(alongMm) }),
    found,
    after: next?.parts.find(({ source }) => source.id === part.source.id),
    changes: useMemo(() => (next ? compareToys(analysis, next) : []), [analysis, next]),
    open: useMemo(() => (next ? newlyOpen(analysis, next) : []), [analysis, next]),
    isSame: isStretched(found) && found.text === text,
  };
}

type Stretching = ReturnType<typeof useStretch>;

function StretchOnePart({ part }: { part: PartAnalysis }) {
  const router = useRouter();
  const { editor, idOf } = useToy();
  const stretching = useStretch(part);
  const { found, after, isSame, changes } = stretching;
  const back = () => router.replace(`/toy/${editor.id}/${idOf(part)}?view=rounds`);
  return (
    <Page
      title={t`Stretch`}
      aside={part.source.name}
      back={{ name: t`Back to ${part.source.name}`, go: back }}
      actions={<UndoButtons />}
      broad
      foot={
        <Press
          tone="primary"
          label={isSame ? t`Draw at the corner, or choose a size` : t`Work it so`}
          disabled={!isStretched(found) || isSame}
          onPress={() => {
            if (!isStretched(found)) return;
            editor.step(found.text);
            back();
          }}
        />
      }
    >
      <View gap="$4" $wide={{ flexDirection: 'row', gap: '$5' }}>
        <View gap="$3" $wide={halfWide}>
          <OutlineDrawing
            name={part.source.name}
            before={part}
            after={after ?? part}
            wanted={stretching.wanted}
            onWant={stretching.want}
            step={stepMm}
          />
          {isStretched(found) && after ? (
            <ComesTo found={found} after={after} own={stretching.own} />
          ) : (
            <NotSo part={part} stretching={stretching} />
          )}
          <Asked part={part} stretching={stretching} />
        </View>
        <View gap="$3" $wide={halfWide}>
          {isStretched(found) && !isSame ? (
            <>
              <Title render="h2" margin={0}>{t`What would change`}</Title>
              <LookAtThese sentences={found.toLookAt} open={stretching.open} />
              <Changes changes={changes} countsStay={false} />
            </>
          ) : null}
          {after ? <RoundsOf part={after} /> : null}
        </View>
      </View>
    </Page>
  );
}

/** The answer: rounds, stitches and size. */
function ComesTo({ found, after, own }: { found: StretchedPart; after: PartAnalysis; own: WantedSize }) {
  const is = sizeAlongAxis(after);
  const size = ({ acrossMm, alongMm }: WantedSize) => sizesWords([acrossMm, alongMm]);
  return (
    <View role="status" gap="$1">
      <Answer>{t`${found.counts.length} rounds, ${Math.max(...found.counts)} at the widest`}</Answer>
      <Body>{t`about ${size(is)}, stuffed; now ${size(own)}`}</Body>
      <Quiet>{t`So near as whole stitches come. What was plain or one repeat stays so.`}</Quiet>
    </View>
  );
}

function NotSo({ part, stretching: { found } }: { part: PartAnalysis; stretching: Stretching }) {
  return isStretched(found) ? null : (
    <Notice tone="look" live>
      {notStretchedWords(part.source.name, found)}
    </Notice>
  );
}

/** Width, length and roundness by number. */
function Asked({ part, stretching }: { part: PartAnalysis; stretching: Stretching }) {
  const { wanted, want, round, setRound } = stretching;
  const { lying } = part.source;
  const isClosed = part.stops.closing?.how === 'gather';
  const roundWords =
    round === 0 ? t`as it is` : round === 1 ? t`a ball or an egg` : `${Math.round(round * 100)} %`;
  return (
    <>
      <MeasureStep
        label={lying ? t`Across` : t`Width`}
        unit={t`mm`}
        value={wanted.acrossMm}
        step={stepMm}
        least={smallestMm}
        most={largestMm}
        onChange={(acrossMm) => want({ ...wanted, acrossMm })}
      />
      <MeasureStep
        label={lying ? t`Length` : t`Height`}
        unit={t`mm`}
        value={wanted.alongMm}
        step={stepMm}
        least={smallestMm}
        most={largestMm}
        onChange={(alongMm) => want({ ...wanted, alongMm })}
      />
      {isClosed ? (
        <Slider
          label={t`Rounder`}
          words={roundWords}
          value={round}
          least={0}
          most={1}
          step={0.25}
          ticks={[0, 0.25, 0.5, 0.75, 1]}
          onChange={setRound}
        />
      ) : null}
    </>
  );
}

/** The rounds as they would stand in the text. */
function RoundsOf({ part: { source } }: { part: PartAnalysis }) {
  const lines = [...new Map(source.rounds.map(({ line, text }) => [line, text])).values()];
  return (
    <Card aria-label={t`The rounds`} role="region" gap="$1">
      {lines.map((line, index) => (
        <Body key={index}>{line}</Body>
      ))}
    </Card>
  );
}
