import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { memo, useMemo, useRef, useState } from 'react';
import { useMedia, View } from '@tamagui/core';
import { isWorkedOn } from '../../core/join/joinToy';
import type { Join, JoinPart } from '../../core/join/joined';
import { firstJoin, type JoinStep } from '../../core/join/move';
import { trunkOf } from '../../core/join/placing';
import { sizeOfToy } from '../../core/join/pose/posed';
import { assembled } from '../../core/toy/assembled';
import { standingOf } from '../../core/toy/standing';
import { setToyHeader } from '../../core/notation/editText';
import type { SeamSchool } from '../../core/notation/pattern';
import { joinPart } from '../../core/toy/joinAll';
import { schoolWords } from '../../core/toy/seams';
import { nameOfToy } from '../../core/keep/toyCard';
import { useToy } from '../../data/useToy';
import { OneOf } from '../../ui/Choice';
import { Guard } from '../../ui/Guard';
import { Fill } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Empty, Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Scroll } from '../../ui/Scroll';
import { Slider } from '../../ui/Slider';
import { Body, Quiet, Title } from '../../ui/text';
import { SaveLine, SaveTrouble } from '../toy/SaveLine';
import { ToyTabs } from '../toy/ToyTabs';
import { UndoButtons } from '../toy/UndoButtons';
import { ChosenUnit } from './ChosenUnit';
import { pairOf, PinnedPair } from './PinnedPair';
import { JoinCard } from './JoinCard';
import { SaveToy } from './SaveToy';
import { ToyInHand } from './ToyInHand';
import { useHand } from './useHand';
import { sizeAfter, sizeWords } from '../../core/words/measures';

/** The sides as they are called when one looks at the front, by how far the toy is turned. */
const sides = [
  ['0', t`Front`],
  ['270', t`Right`],
  ['180', t`Back`],
  ['90', t`Left`],
] as const;
const mostPulledMm = 60;

/** The toy as a whole: every part in its place, and how each is joined. */
export function TogetherScreen() {
  const router = useRouter();
  const { wide } = useMedia();
  const { analysis } = useToy();
  const name = nameOfToy(analysis);
  const worked = analysis.parts.filter(({ fabric }) => fabric.rounds > 0);
  const views = (
    <Guard what={t`The drawing`} resetKeys={[analysis]}>
      <Turned />
    </Guard>
  );
  return (
    <Fill>
      <Page
        title={t`Together`}
        aside={<SaveLine name={name} />}
        back={{ name: t`Back to the shelf`, go: () => router.replace('/') }}
        actions={<UndoButtons />}
        scrolls={false}
      >
        <SaveTrouble />
        {worked.length === 0 ? (
          <Empty>{t`No rounds yet. Write a part first, then put the parts together here.`}</Empty>
        ) : wide ? (
          <Fill flexDirection="row">
            <Fill>
              <Scroll label={t`The toy put together`}>{views}</Scroll>
            </Fill>
            <Fill borderLeftWidth={1} borderColor="$line">
              <Scroll label={t`How they are joined`}>
                <Joins />
              </Scroll>
            </Fill>
          </Fill>
        ) : (
          <Scroll label={t`The toy put together`}>
            <View gap="$4">
              {views}
              <Joins />
            </View>
          </Scroll>
        )}
      </Page>
      <ToyTabs chosen="together" />
    </Fill>
  );
}

const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const wholeTurn = 360;
const turnStep = 5;

/** Keys to the left and right, on a part that lies. */
const alongLying: Partial<Record<JoinStep, JoinStep>> = { nearer: 'left', further: 'right' };

/** The drawing, from the four sides or any between, together or pulled apart; a part of it in the hand. */
function Turned() {
  const { wide } = useMedia();
  const { analysis } = useToy();
  const [turned, setTurned] = useState(0);
  const [pulled, setPulled] = useState(0);
  const hand = useHand();
  const stage = useRef<HTMLElement | null>(null);
  const degrees = (Math.round(turned / turnStep) * turnStep) % wholeTurn;
  const { widthMm, heightMm, depthMm } = useMemo(() => sizeOfToy(assembled(analysis)), [analysis]);
  const yaw = radians(degrees);
  return (
    <View gap="$3">
      <View {...({ ref: stage } as object)}>
        <ToyInHand
          toy={hand.toy}
          name={nameOfToy(analysis)}
          yaw={yaw}
          pulled={pulled}
          height={wide ? 400 : 300}
          chosen={hand.chosen}
          grip={hand.gripFrom(yaw)}
          onTurn={(by) =>
            setTurned((now) => (now + (by * wholeTurn) / (2 * Math.PI) + wholeTurn) % wholeTurn)
          }
          onChoose={hand.choose}
          onDrag={(by) => hand.drag(by, yaw)}
          onDrop={hand.drop}
          onStep={(step) => hand.move?.go(hand.move.lying ? (alongLying[step] ?? step) : step)}
        />
      </View>
      <ChosenUnit
        toy={hand.toy}
        units={hand.units}
        chosen={hand.chosen}
        move={hand.move}
        stance={hand.stance}
        onChoose={hand.choose}
      />
      <Body>{t`About ${sizeWords(heightMm)} high, ${sizeAfter(widthMm)} wide, ${sizeAfter(depthMm)} deep, arms as they stand.`}</Body>
      <Stands />
      <Looking turned={degrees} onTurn={setTurned} pulled={pulled} onPull={setPulled} />
      <SaveToy toy={analysis} name={nameOfToy(analysis)} stage={stage} />
    </View>
  );
}

/** How it comes to rest when it is set down, and what is in the way. */
const Stands = memo(function Stands() {
  const { analysis } = useToy();
  const { balance, trouble } = standingOf(analysis);
  return (
    <View gap="$2">
      {balance ? <Body>{balance}</Body> : null}
      {trouble.map((words) => (
        <Notice key={words} tone="look">
          {words}
        </Notice>
      ))}
    </View>
  );
});

interface LookingProps {
  /** degrees */
  turned: number;
  onTurn: (degrees: number) => void;
  /** mm */
  pulled: number;
  onPull: (mm: number) => void;
}

/** From where the toy is looked at, and how far it is pulled apart. */
function Looking({ turned, onTurn, pulled, onPull }: LookingProps) {
  const side = sides.find(([at]) => Number(at) === turned)?.[0] ?? null;
  return (
    <View gap="$3">
      <OneOf
        label={t`Seen from`}
        unlabelled
        options={sides}
        chosen={side}
        onChoose={(at) => onTurn(Number(at))}
      />
      <Slider
        label={t`Turned`}
        words={`${turned}°`}
        value={turned}
        least={0}
        most={wholeTurn - turnStep}
        step={turnStep}
        ticks={[0, 90, 180, 270]}
        onChange={onTurn}
      />
      <Slider
        label={t`Pulled apart`}
        words={pulled === 0 ? t`together` : sizeWords(pulled)}
        value={pulled}
        least={0}
        most={mostPulledMm}
        step={5}
        ticks={[]}
        onChange={onPull}
      />
    </View>
  );
}

/** A join as a card; after the second of a pair what she counts of both. */
function JoinItem({ join, joins }: { join: Join; joins: readonly Join[] }) {
  const { analysis } = useToy();
  const wall = analysis.parts.find(({ source }) => source.id === join.on.part);
  // What is on both sides of a part that lies is on two of its rounds: there is no front line between them to count from.
  // Nor is there one on a flat part.
  const isAcross = wall === undefined || wall.form.orientation.lying || wall.fabric.row[0] === 1;
  const pair = isAcross ? null : pairOf(join, joins);
  return (
    <View render="li" gap="$2" style={{ listStyleType: 'none' }}>
      <JoinCard join={join} />
      {pair ? <PinnedPair pair={pair} /> : null}
    </View>
  );
}

/** Every join as a card, then what has no place yet. */
function Joins() {
  const { analysis } = useToy();
  const { joins, workedOn } = analysis.joined;
  const all = [...workedOn, ...joins];
  return (
    <View gap="$3">
      {all.length > 0 ? (
        <View render="ul" margin={0} padding={0} gap="$3" aria-label={t`How the parts are joined`}>
          {all.map((join) => (
            <JoinItem
              key={`${join.kind === 'worked-on' ? 'on ' : ''}${join.unit.part}/${join.unit.unit}`}
              join={join}
              joins={joins}
            />
          ))}
        </View>
      ) : (
        <Quiet>{t`No sentence joins anything yet.`}</Quiet>
      )}
      <SewnBy />
      <Loose />
    </View>
  );
}

const schools: readonly (readonly [SeamSchool, string])[] = [
  ['ladder', t`Ladder stitch`],
  ['whip', t`Whip stitch`],
  ['back', t`Backstitch`],
  ['top-loop', t`Top loop only`],
];
/** As the header of the text says it. */
const seamHeader: Readonly<Record<SeamSchool, string>> = {
  ladder: 'ladder',
  whip: 'whip',
  back: 'back',
  'top-loop': 'top loop',
};

/** In which way parts are sewn on where their sentences don’t say. */
function SewnBy() {
  const { analysis, editor, text } = useToy();
  if (!analysis.joined.joins.some((join) => schoolWords(join, analysis) !== null)) return null;
  return (
    <OneOf
      column
      label={t`Sew them on with`}
      options={schools}
      chosen={analysis.pattern.header.seam}
      onChoose={(school) => editor.step(setToyHeader(text, 'Seam', seamHeader[school]))}
    />
  );
}

/** Parts that no sentence puts anywhere: a tap gives them a place to start from. */
function Loose() {
  const { analysis, editor, text } = useToy();
  const parts = analysis.parts.map((part) => joinPart(part));
  const trunk = trunkOf(parts);
  const loose = parts.filter(({ part }) => analysis.joined.loose.some((unit) => unit.part === part.id));
  const isBeside = ({ part }: JoinPart) =>
    assembled(analysis).some(({ loose: lies, unit }) => lies && unit.part === part.id);
  const names = parts.filter((part) => part !== trunk && isWorkedOn(part) && isBeside(part));
  const beside =
    names.length > 0 ? (
      <Quiet>
        {t`${names.map(({ part }) => part.name).join(', ')}: worked on, not sewn. The drawing lays that beside the toy.`}
      </Quiet>
    ) : null;
  if (loose.length === 0 || !trunk) return beside;
  const place = (written: string) => {
    const lines = text.replace(/\s*$/, '');
    const heading = /^\s*(?:#+\s*)?assembly:?\s*$/im.test(text) ? '' : '\nAssembly\n';
    editor.step(`${lines}\n${heading}${written}\n`);
  };
  return (
    <View gap="$2">
      <Title render="h2" margin={0}>{t`No place yet`}</Title>
      <Quiet>{t`They lie beside the toy. Give each a place, then move it.`}</Quiet>
      {beside}
      {loose.map((piece) => (
        <Press
          key={piece.part.id}
          label={t`Place the ${piece.part.name.toLowerCase()} on the ${trunk.part.name.toLowerCase()}`}
          onPress={() => place(firstJoin(piece, trunk))}
        />
      ))}
    </View>
  );
}
