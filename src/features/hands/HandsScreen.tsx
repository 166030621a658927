import { useLocalSearchParams, useRouter } from 'expo-router';
import { View } from '@tamagui/core';
import {
  handLimits,
  handsBySize,
  sizeOfHands,
  type HandFigure,
  type Hands,
  type HandSize,
} from '../../core/plan/hands';
import { leastInchesMm, sizeWords, type LengthUnit, type WeightUnit } from '../../core/words/measures';
import { useHands } from '../../data/hands';
import { useMeasures } from '../../data/measures';
import { OneOf } from '../../ui/Choice';
import { cardGrid } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { MeasureStep } from '../../ui/MeasureStep';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';

const sizes: readonly [HandSize, string][] = [
  ['small', 'Small'],
  ['usual', 'Usual'],
  ['large', 'Large'],
];

interface Asked {
  key: HandFigure;
  label: string;
  step: number;
  /** how it is found, and what it is for */
  how: string;
}

const openings: readonly Asked[] = [
  {
    key: 'washersEasy',
    label: 'Washers go on easily',
    step: 1,
    how: 'The opening at which both thumbs press without hurry. Stops are put while it is at least this wide.',
  },
  {
    key: 'washersTight',
    label: 'Washers just go on',
    step: 1,
    how: 'The narrowest you still manage. After it Hoppla says it is too late.',
  },
  {
    key: 'stuffFingers',
    label: 'Two fingers stuff',
    step: 1,
    how: 'Wide enough for two fingers with fibre between.',
  },
  {
    key: 'wholeHand',
    label: 'The whole hand goes in',
    step: 1,
    how: 'Across your knuckles, thumb tucked in.',
  },
];
const reaches: readonly Asked[] = [
  {
    key: 'fingerReach',
    label: 'Fingers reach',
    step: 5,
    how: 'From the edge down along the wall, the hand outside.',
  },
  {
    key: 'handReach',
    label: 'The hand reaches',
    step: 5,
    how: 'The same with the hand inside, up to the wrist.',
  },
];
const tools: readonly Asked[] = [
  {
    key: 'stuffTool',
    label: 'Stuffing stick, opening it wants',
    step: 1,
    how: 'Its thickness and the fibre beside it.',
  },
  { key: 'toolReach', label: 'Stuffing stick, how long', step: 10, how: 'From your grip to its tip.' },
  {
    key: 'needle',
    label: 'Longest needle',
    step: 5,
    how: 'For what is pulled through a body, strung, or drawn in across a face.',
  },
];

/** A stitch of double knitting yarn, to say an opening in stitches. */
const usualStitchMm = 5;
const stitchesRound = (mm: number): number => Math.round((Math.PI * mm) / usualStitchMm);

interface FiguresProps {
  title: string;
  asked: readonly Asked[];
  /** they are openings, which can be said in stitches too */
  across?: boolean;
  hands: Hands;
  change: (hands: Hands) => void;
}

function Figures({ title, asked, across = false, hands, change }: FiguresProps) {
  return (
    <View gap="$3">
      <Title render="h2" margin={0} marginTop={12}>
        {title}
      </Title>
      {asked.map(({ key, label, step, how }) => (
        <View key={key} gap="$1">
          <MeasureStep
            label={label}
            unit="mm"
            value={hands[key]}
            step={step}
            least={handLimits[key][0]}
            most={handLimits[key][1]}
            onChange={(value) => change({ ...hands, [key]: value })}
          />
          <Quiet>
            {how}
            {across
              ? ` ${sizeWords(hands[key])} across is ${stitchesRound(hands[key])} stitches of ${usualStitchMm} mm.`
              : ''}
          </Quiet>
        </View>
      ))}
    </View>
  );
}

/** What a maker's hands and tools get through: every stop of every toy goes by it. */
export function HandsScreen() {
  const router = useRouter();
  const { hands, isRead, failed, change } = useHands();
  const { back } = useLocalSearchParams<{ back?: string }>();
  const isFromToy = back?.startsWith('/toy/') === true;
  const goBack = () => router.replace((isFromToy ? back : '/') as '/');
  return (
    <Page
      title="My hands and tools"
      aside="Every stop of every toy goes by them"
      broad
      back={{ name: isFromToy ? 'Back to the stops' : 'Back to the toys', go: goBack }}
    >
      {failed ? (
        <Notice tone="wrong" live>
          This could not be kept: the browser’s storage is full or shut. It holds until the page is closed.
        </Notice>
      ) : null}
      <Body>
        How late can eyes still be pressed, and when does stuffing get hard? Take a size, or find out on any
        round opening: how many stitches did it have when it was still easy?
      </Body>
      {isRead ? <Sizes hands={hands} change={change} /> : <Body color="$quiet">Looking at them …</Body>}
      <Quiet>Figures to begin with are our own. What is being made keeps those it was begun with.</Quiet>
      <HowMeasured />
    </Page>
  );
}

const lengths: readonly [LengthUnit, string][] = [
  ['mm', 'Millimetres'],
  ['inches', 'Inches, yards'],
];
const weights: readonly [WeightUnit, string][] = [
  ['grams', 'Grams'],
  ['ounces', 'Ounces'],
];

/** In what sizes and weights are said and asked for, in every toy. */
function HowMeasured() {
  const { own, failed, change } = useMeasures();
  return (
    <View gap="$3" role="group" aria-label="How you measure">
      <Title render="h2" margin={0} marginTop={12}>
        How you measure
      </Title>
      {failed ? (
        <Notice tone="wrong" live actions={<Press label="Try again" onPress={() => change(failed)} />}>
          This could not be kept: the browser’s storage is full or shut. It stays as it was.
        </Notice>
      ) : null}
      <OneOf
        label="Lengths"
        options={lengths}
        chosen={own.length}
        onChoose={(length) => change({ ...own, length })}
      />
      <OneOf
        label="Weights"
        options={weights}
        chosen={own.weight}
        onChoose={(weight) => change({ ...own, weight })}
      />
      <Quiet>
        {own.length === 'inches'
          ? `Eyes, hooks, stitches, safety figures and all under ${leastInchesMm} mm stay in millimetres, as they are sold and measured. What you write in a pattern stays as you write it.`
          : 'What you write in a pattern stays as you write it.'}
      </Quiet>
    </View>
  );
}

/** A size, or every figure by itself. */
function Sizes({ hands, change }: { hands: Hands; change: (hands: Hands) => void }) {
  return (
    <>
      <OneOf
        label="My hands are"
        options={sizes}
        chosen={sizeOfHands(hands)}
        onChoose={(size) => change(handsBySize[size])}
      />
      {sizeOfHands(hands) === null ? <Quiet>These are figures of your own.</Quiet> : null}
      <View gap="$4" style={cardGrid}>
        <Figures title="Openings, across" across asked={openings} hands={hands} change={change} />
        <Figures title="How deep" asked={reaches} hands={hands} change={change} />
        <Figures title="Tools" asked={tools} hands={hands} change={change} />
      </View>
    </>
  );
}
