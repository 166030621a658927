import { t } from '../../core/words/language';
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
import { isEnglishOnly, useLanguage } from '../../data/language';
import { useMeasures } from '../../data/measures';
import { OneOf } from '../../ui/Choice';
import { cardGrid } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { MeasureStep } from '../../ui/MeasureStep';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';

const sizes: readonly [HandSize, string][] = [
  ['small', t`Small`],
  ['usual', t`Usual`],
  ['large', t`Large`],
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
    label: t`Washers go on easily`,
    step: 1,
    how: t`The opening at which both thumbs press without hurry. Stops are put while it is at least this wide.`,
  },
  {
    key: 'washersTight',
    label: t`Washers just go on`,
    step: 1,
    how: t`The narrowest you still manage. After it Hoppla says it is too late.`,
  },
  {
    key: 'stuffFingers',
    label: t`Two fingers stuff`,
    step: 1,
    how: t`Wide enough for two fingers with fibre between.`,
  },
  {
    key: 'wholeHand',
    label: t`The whole hand goes in`,
    step: 1,
    how: t`Across your knuckles, thumb tucked in.`,
  },
];
const reaches: readonly Asked[] = [
  {
    key: 'fingerReach',
    label: t`Fingers reach`,
    step: 5,
    how: t`From the edge down along the wall, the hand outside.`,
  },
  {
    key: 'handReach',
    label: t`The hand reaches`,
    step: 5,
    how: t`The same with the hand inside, up to the wrist.`,
  },
];
const tools: readonly Asked[] = [
  {
    key: 'stuffTool',
    label: t`Stuffing stick, opening it wants`,
    step: 1,
    how: t`Its thickness and the fibre beside it.`,
  },
  { key: 'toolReach', label: t`Stuffing stick, how long`, step: 10, how: t`From your grip to its tip.` },
  {
    key: 'needle',
    label: t`Longest needle`,
    step: 5,
    how: t`For what is pulled through a body, strung, or drawn in across a face.`,
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
            unit={t`mm`}
            value={hands[key]}
            step={step}
            least={handLimits[key][0]}
            most={handLimits[key][1]}
            onChange={(value) => change({ ...hands, [key]: value })}
          />
          <Quiet>
            {how}
            {across
              ? t` ${sizeWords(hands[key])} across is ${stitchesRound(hands[key])} stitches of ${usualStitchMm} mm.`
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
      title={t`My hands and tools`}
      aside={t`Every stop of every toy goes by them`}
      broad
      back={{ name: isFromToy ? t`Back to the stops` : t`Back to the toys`, go: goBack }}
    >
      {failed ? (
        <Notice
          tone="wrong"
          live
        >{t`This could not be kept: the browser’s storage is full or shut. It holds until the page is closed.`}</Notice>
      ) : null}
      <Body>{t`How late can eyes still be pressed, and when does stuffing get hard? Take a size, or find out on any round opening: how many stitches did it have when it was still easy?`}</Body>
      {isRead ? <Sizes hands={hands} change={change} /> : <Body color="$quiet">{t`Looking at them …`}</Body>}
      <Quiet>{t`Figures to begin with are our own. What is being made keeps those it was begun with.`}</Quiet>
      <View gap="$4" style={cardGrid}>
        <HowMeasured />
        {isEnglishOnly() ? null : <WhichLanguage />}
      </View>
    </Page>
  );
}

const lengths: readonly [LengthUnit, string][] = [
  ['mm', t`Millimetres`],
  ['inches', t`Inches, yards`],
];
const weights: readonly [WeightUnit, string][] = [
  ['grams', t`Grams`],
  ['ounces', t`Ounces`],
];

/** What was chosen could not be written down. */
const NotKept = ({ again }: { again: () => void }) => (
  <Notice
    tone="wrong"
    live
    actions={<Press label={t`Try again`} onPress={again} />}
  >{t`This could not be kept: the browser’s storage is full or shut. It stays as it was.`}</Notice>
);

/** In what sizes and weights are said and asked for, in every toy. */
function HowMeasured() {
  const { own, failed, change } = useMeasures();
  return (
    <View gap="$3" role="group" aria-label={t`How you measure`}>
      <Title render="h2" margin={0} marginTop={12}>{t`How you measure`}</Title>
      {failed ? <NotKept again={() => change(failed)} /> : null}
      <OneOf
        label={t`Lengths`}
        options={lengths}
        chosen={own.length}
        onChoose={(length) => change({ ...own, length })}
      />
      <OneOf
        label={t`Weights`}
        options={weights}
        chosen={own.weight}
        onChoose={(weight) => change({ ...own, weight })}
      />
      <Quiet>
        {own.length === 'inches'
          ? t`Eyes, hooks, stitches, safety figures and all under ${leastInchesMm} mm stay in millimetres, as they are sold and measured. What you write in a pattern stays as you write it.`
          : t`What you write in a pattern stays as you write it.`}
      </Quiet>
    </View>
  );
}

/** A language as it calls itself. */
const ownName = (tag: string): string => new Intl.DisplayNames([tag], { type: 'language' }).of(tag) ?? tag;

/** What Hoppla’s own words are said in; patterns keep theirs. */
function WhichLanguage() {
  const { spoken, there, failed, change } = useLanguage();
  return (
    <View gap="$3" role="group" aria-label={t`Language`}>
      <Title render="h2" margin={0} marginTop={12}>{t`Language`}</Title>
      {failed ? <NotKept again={() => change(failed)} /> : null}
      <OneOf
        wraps
        unlabelled
        label={t`Language`}
        options={there.map((tag) => [tag, ownName(tag)] as const)}
        chosen={spoken}
        onChoose={change}
      />
      <Quiet>{t`What you write in a pattern is read in English, as US or UK patterns are.`}</Quiet>
    </View>
  );
}

/** A size, or every figure by itself. */
function Sizes({ hands, change }: { hands: Hands; change: (hands: Hands) => void }) {
  return (
    <>
      <OneOf
        label={t`My hands are`}
        options={sizes}
        chosen={sizeOfHands(hands)}
        onChoose={(size) => change(handsBySize[size])}
      />
      {sizeOfHands(hands) === null ? <Quiet>{t`These are figures of your own.`}</Quiet> : null}
      <View gap="$4" style={cardGrid}>
        <Figures title={t`Openings, across`} across asked={openings} hands={hands} change={change} />
        <Figures title={t`How deep`} asked={reaches} hands={hands} change={change} />
        <Figures title={t`Tools`} asked={tools} hands={hands} change={change} />
      </View>
    </>
  );
}
