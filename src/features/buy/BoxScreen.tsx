import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { listLimits, type MakingList } from '../../core/supplies/makingList';
import { boxKey, boxOf, boxPieces, type BoxItem, type BoxThing } from '../../core/toy/supplies/box';
import { pieceName } from '../../core/toy/supplies/suppliesOf';
import { amountWords, needsOf } from '../../core/toy/supplies/toBuy';
import { unitOfKey } from '../../core/toy/supplies/needKey';
import { toolKinds, toolName, type ToolKind } from '../../core/toy/supplies/tools';
import { useMakingList, useToMake } from '../../data/useMakingList';
import { OneOf } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Card, cardGrid } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { MeasureStep } from '../../ui/MeasureStep';
import { NumberStep } from '../../ui/NumberStep';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';
import { stepIn } from './NeedRow';

const figure = (amount: number): number => Math.round(amount * 10) / 10;

/** What a maker has: yarn, eyes and all else, what of it is spoken for, and what is free. */
export function BoxScreen() {
  const router = useRouter();
  const { list, error, retry, failed, keepAgain, change } = useMakingList();
  return (
    <Page
      title={t`My box`}
      aside={t`Yarn, eyes and what else is there`}
      back={{ name: t`Back to the list`, go: () => router.replace('/buy') }}
      broad
    >
      {error ? (
        <Notice
          tone="wrong"
          live
          actions={<Press label={t`Try again`} onPress={retry} />}
        >{t`The box could not be read. Nothing was changed.`}</Notice>
      ) : null}
      {failed ? (
        <Notice
          tone="wrong"
          live
          actions={<Press label={t`Try again`} onPress={keepAgain} />}
        >{t`The browser would not keep it. It holds while this page stays open.`}</Notice>
      ) : null}
      {list ? <Box list={list} change={change} /> : <Body color="$quiet">{t`Looking into the box …`}</Body>}
    </Page>
  );
}

interface BoxProps {
  list: MakingList;
  change: (some: Partial<MakingList>) => void;
}

function Box({ list, change }: BoxProps) {
  const { toMake } = useToMake(list.toys);
  const items = useMemo(() => boxOf(list, needsOf(toMake, list)), [toMake, list]);
  const put = (key: string, amount: number) => change({ there: { ...list.there, [key]: amount } });
  return (
    <View gap="$3" style={cardGrid} alignItems="flex-start">
      <Card gap="$3">
        <Title render="h2" margin={0}>{t`In it`}</Title>
        {items.length === 0 ? (
          <Quiet>{t`Nothing yet. Put in what lies in your drawer: a toy takes it from here before you buy.`}</Quiet>
        ) : null}
        <View render="ul" margin={0} padding={0} gap="$4" aria-label={t`In the box`}>
          {items.map((item) => (
            <Item key={item.key} item={item} onChange={(amount) => put(item.key, amount)} />
          ))}
        </View>
      </Card>
      <PutIn onPut={(key, amount) => put(key, figure((list.there[key] ?? 0) + amount))} />
    </View>
  );
}

/** How much of it is spoken for: `10 of them for toys you mean to make, 2 free`. */
function reservedWords({ unit, reserved, free }: BoxItem): string {
  if (reserved <= 0) return t`None of it is spoken for.`;
  const taken = t`${amountWords(figure(reserved), unit)} for what you mean to make`;
  return free >= 0
    ? t`${taken}; ${amountWords(figure(free), unit)} free.`
    : t`${taken}: ${amountWords(figure(-free), unit)} too few.`;
}

function Item({ item, onChange }: { item: BoxItem; onChange: (amount: number) => void }) {
  const { words, unit, there, free } = item;
  return (
    <View render="li" style={{ listStyleType: 'none' }} gap="$1">
      <MeasureStep
        label={words}
        unit={unit}
        value={there}
        step={stepIn[unit]}
        least={0}
        most={listLimits.amount}
        onChange={onChange}
      />
      <Quiet color={free < 0 ? '$danger' : '$quiet'}>{reservedWords(item)}</Quiet>
    </View>
  );
}

type Kind = BoxThing['kind'];
const kinds: readonly (readonly [Kind, string])[] = [
  ['yarn', t`Yarn`],
  ['piece', t`By the piece`],
  ['felt', t`Felt`],
  ['stuffing', t`Stuffing`],
  ['thread', t`Thread`],
  ['tool', t`Tools`],
];
/** A ball, a pair, a sheet of 20 × 30 cm, a bag, a skein, one. */
const usual: Readonly<Record<Kind, number>> = {
  yarn: 50,
  piece: 2,
  felt: 600,
  stuffing: 100,
  thread: 10,
  tool: 1,
};
/** What has a size of its own by which toys ask for it. */
const sized: ReadonlySet<string> = new Set(
  boxPieces.filter((name) => name !== 'rattle' && name !== 'squeaker'),
);

/** A thing that is described, and how much of it. */
function useThing() {
  const [kind, setKind] = useState<Kind>('yarn');
  const [name, setName] = useState('');
  const [what, setWhat] = useState('');
  const [piece, setPiece] = useState<(typeof boxPieces)[number]>('safety eye');
  const [sizeMm, setSize] = useState(8);
  const [amount, setAmount] = useState<number>(usual.yarn);
  const [colour, setColour] = useState('');
  const [tool, setTool] = useState<ToolKind>('crochet hook');
  const [hookMm, setHook] = useState(3.5);
  const things: Readonly<Record<Kind, BoxThing>> = {
    yarn: { kind: 'yarn', name, what },
    piece: { kind: 'piece', name: piece, sizeMm: sized.has(piece) ? sizeMm : null },
    felt: { kind: 'felt', colour },
    stuffing: { kind: 'stuffing' },
    thread: { kind: 'thread' },
    tool: { kind: 'tool', tool, sizeMm: tool === 'crochet hook' ? hookMm : null },
  };
  const isNamed = kind !== 'yarn' || (name.trim() !== '' && !name.includes(',') && what.trim() !== '');
  return {
    kind,
    choose(chosen: Kind) {
      setKind(chosen);
      setAmount(usual[chosen]);
    },
    yarn: { name, setName, what, setWhat },
    piece: { piece, setPiece, sizeMm, setSize },
    felt: { colour, setColour },
    tool: { tool, setTool, hookMm, setHook },
    amount,
    setAmount,
    key: boxKey(things[kind]),
    isNamed,
    clear() {
      setName('');
      setWhat('');
      setColour('');
    },
  };
}

function WhichYarn({ name, setName, what, setWhat }: ReturnType<typeof useThing>['yarn']) {
  return (
    <>
      <Field
        label={t`Its colour, as your patterns call it`}
        value={name}
        placeholder={t`moss`}
        onChange={setName}
      />
      <Field label={t`What yarn it is`} value={what} placeholder={t`medium, moss green`} onChange={setWhat} />
      <Quiet>{t`As behind the colour in a pattern’s line “Yarn moss: medium, moss green”: so a toy finds it.`}</Quiet>
    </>
  );
}

function WhichPiece({ piece, setPiece, sizeMm, setSize }: ReturnType<typeof useThing>['piece']) {
  return (
    <>
      <OneOf
        wraps
        label={t`Which`}
        unlabelled
        options={boxPieces.map((one) => [one, pieceName(one)] as const)}
        chosen={piece}
        onChoose={setPiece}
      />
      {sized.has(piece) ? (
        <NumberStep
          label={t`Size`}
          unit={t`mm`}
          value={sizeMm}
          step={1}
          least={2}
          most={100}
          onChange={setSize}
        />
      ) : null}
    </>
  );
}

function WhichFelt({ colour, setColour }: ReturnType<typeof useThing>['felt']) {
  return (
    <>
      <Field label={t`Its colour`} value={colour} placeholder={t`pink`} onChange={setColour} />
      <Quiet>{t`As your patterns call it: “pink felt cheeks”. Felt that no pattern names a colour for is kept without one. A sheet of 20 × 30 cm has 600 cm².`}</Quiet>
    </>
  );
}

function WhichTool({ tool, setTool, hookMm, setHook }: ReturnType<typeof useThing>['tool']) {
  return (
    <>
      <OneOf
        wraps
        label={t`Which`}
        unlabelled
        options={toolKinds.map((kind) => [kind, toolName({ kind, sizeMm: null })] as const)}
        chosen={tool}
        onChoose={setTool}
      />
      {tool === 'crochet hook' ? (
        <NumberStep
          label={t`Size`}
          unit={t`mm`}
          value={hookMm}
          step={0.25}
          least={0.5}
          most={30}
          onChange={setHook}
        />
      ) : null}
    </>
  );
}

/** Something more for the box. */
function PutIn({ onPut }: { onPut: (key: string, amount: number) => void }) {
  const thing = useThing();
  const { kind, key, amount } = thing;
  return (
    <Card gap="$3">
      <Title render="h2" margin={0}>{t`Put something in`}</Title>
      <OneOf wraps label={t`What`} unlabelled options={kinds} chosen={kind} onChoose={thing.choose} />
      {kind === 'yarn' ? <WhichYarn {...thing.yarn} /> : null}
      {kind === 'piece' ? <WhichPiece {...thing.piece} /> : null}
      {kind === 'felt' ? <WhichFelt {...thing.felt} /> : null}
      {kind === 'tool' ? <WhichTool {...thing.tool} /> : null}
      <MeasureStep
        label={t`How much`}
        unit={unitOfKey(key)}
        value={amount}
        step={stepIn[unitOfKey(key)]}
        least={1}
        most={listLimits.amount}
        onChange={thing.setAmount}
      />
      <Press
        tone="primary"
        label={t`Put it in`}
        disabled={!thing.isNamed}
        onPress={() => {
          onPut(key, amount);
          thing.clear();
        }}
      />
    </Card>
  );
}
