import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { GestureHandlerRootView } from 'react-native-gesture-handler';
import { useState, type ReactNode } from 'react';
import { useMedia, View } from '@tamagui/core';
import { useForm } from '../../data/useForm';
import { useToy } from '../../data/useToy';
import { Empty, Page } from '../../ui/Page';
import { Fill } from '../../ui/layout';
import { Scroll } from '../../ui/Scroll';
import { Tabs } from '../../ui/Tabs';
import { Guard } from '../../ui/Guard';
import { Press } from '../../ui/Press';
import { Title } from '../../ui/text';
import { SaveLine, SaveTrouble } from '../toy/SaveLine';
import { PlainText } from '../toy/PlainText';
import { UndoButtons } from '../toy/UndoButtons';
import { FaceAnswer, FacePads } from './FaceAnswer';
import { FaceBar } from './FaceBar';
import { CompareForms } from '../form/CompareForms';
import { ChosenStitch } from '../form/ChosenStitch';
import { FormFacts } from '../form/FormFacts';
import { FormPanel } from '../form/FormPanel';
import { useOthers, type Comparing } from './Arrangements';
import { MapPanel } from './MapPanel';
import { RoundsPanel } from './RoundsPanel';
import { StopsPanel } from './StopsPanel';
import { TextPanel } from './TextPanel';
import type { PartAnalysis } from '../../core/toy/analyse';
import { nameOfToy } from '../../core/keep/toyCard';
import { besideFace, toSettle } from '../../core/toy/toSettle';

const views = [
  { key: 'text', label: t`Text` },
  { key: 'rounds', label: t`Rounds` },
  { key: 'map', label: t`Map` },
  { key: 'form', label: t`Form` },
  { key: 'stops', label: t`Stops` },
] as const;
type ViewKey = (typeof views)[number]['key'];

const isView = (name: string | undefined): name is ViewKey => views.some(({ key }) => key === name);

/** A part with nothing in it yet begins with the writing. */
const beginning = (part: PartAnalysis): ViewKey => (part.checks.length > 0 ? 'rounds' : 'text');

/** A part that is open, with what is chosen on it. */
interface OpenPart {
  part: PartAnalysis;
  form3d: ReturnType<typeof useForm>;
  feature: string;
  setFeature: (id: string) => void;
  selected: number | null;
  setSelected: (stitch: number | null) => void;
  comparing: Comparing;
  setComparing: (comparing: Comparing) => void;
}

interface PartScreenProps {
  /** the lasting id of the part */
  id: string;
  /** the view to begin with */
  first?: string;
}

/** One part: its text, its rounds, the map with the eyes, the stops. Tabs on a phone; side by side where there is room. */
export function PartScreen({ id, first }: PartScreenProps) {
  const router = useRouter();
  const { wide } = useMedia();
  const { analysis, editor, idOf } = useToy();
  const part = analysis.parts.find((one) => idOf(one) === id);
  const [chosen, setView] = useState<ViewKey | null>(isView(first) ? first : null);
  // A part just added is there a moment later: how it begins is settled once it is.
  if (chosen === null && part) setView(beginning(part));
  const view = chosen ?? 'text';
  const form3d = useForm(wide || view === 'form' || view === 'map' ? part : undefined);
  const [feature, setFeature] = useState('eyes');
  const [comparing, setComparing] = useState<Comparing>({ remembered: [], open: false });
  const [selected, setSelected] = useState<number | null>(null);
  const open: OpenPart | null = part
    ? { part, form3d, feature, setFeature, selected, setSelected, comparing, setComparing }
    : null;
  const toyName = nameOfToy(analysis);
  const choose = (next: ViewKey) => {
    setView(next);
    router.setParams({ view: next });
  };
  // Not tried again by itself: that would take the plain text away from under the typing.
  const text = (
    <Guard what={t`The marked text`} instead={<PlainText />}>
      <TextPanel
        from={part && part !== analysis.parts[0] ? part.source.firstLine : 1}
        onLook={wide ? undefined : () => choose('rounds')}
      />
    </Guard>
  );
  return (
    // Only this page is dragged on, so only it brings what that takes.
    <GestureHandlerRootView style={{ flex: 1 }}>
      <Fill>
        <Page
          title={part?.source.name ?? t`Part`}
          aside={<SaveLine name={toyName} />}
          back={{ name: t`Back to ${toyName}`, go: () => router.replace(`/toy/${editor.id}`) }}
          actions={<UndoButtons />}
          scrolls={false}
        >
          <SaveTrouble />
          {wide ? (
            <SideBySide open={open} text={text} />
          ) : (
            <OneView view={view} open={open} text={text} toText={() => choose('text')} />
          )}
        </Page>
        {wide ? null : (
          <Tabs
            label={t`Views of this part`}
            tabs={views.map((tab) => ({ ...tab, mark: part && markOf(part, tab.key) }))}
            chosen={view}
            onChoose={choose}
          />
        )}
      </Fill>
    </GestureHandlerRootView>
  );
}

/** What the tab of a view counts: what is wrong in the rounds, what is open on the map. */
function markOf(part: PartAnalysis, view: ViewKey): { count: number; word: string } | undefined {
  const wrong = besideFace(part).filter(({ severity }) => severity === 'error').length;
  const open = toSettle(part).size;
  if (view === 'rounds' && wrong > 0) return { count: wrong, word: t`wrong` };
  if (view === 'map' && open > 0) return { count: open, word: t`to settle` };
  return undefined;
}

const NothingYet = () => <Empty>{t`This part has no rounds yet. Write them in the text.`}</Empty>;
const EmptyMat = () => <Fill backgroundColor="$mat" />;

/** Everything at once, where there is room. */
function SideBySide({ open, text }: { open: OpenPart | null; text: ReactNode }) {
  const worked = open !== null && open.part.fabric.rounds > 0;
  return (
    <Fill flexDirection="row">
      <Fill borderRightWidth={1} borderColor="$line">
        <Fill padding="$3">{text}</Fill>
        <Fill borderTopWidth={1} borderColor="$line">
          <Scroll label={t`Rounds`}>
            {open ? (
              <Guarded what={t`The rounds`} part={open.part}>
                <RoundsPanel part={open.part} />
              </Guarded>
            ) : (
              <NothingYet />
            )}
          </Scroll>
        </Fill>
      </Fill>
      <Fill flexGrow={1.2}>{worked ? <MapOrComparison open={open} /> : <EmptyMat />}</Fill>
      <Fill borderLeftWidth={1} borderColor="$line">
        <Fill>{worked ? <TurnedForm open={open} /> : <EmptyMat />}</Fill>
        <Fill flexGrow={1.1}>
          <Scroll label={t`Eyes and stops`}>{open ? <Answers open={open} /> : <NothingYet />}</Scroll>
        </Fill>
      </Fill>
    </Fill>
  );
}

/** The answer, the stops and the sizes, one below the other. */
function Answers({ open }: { open: OpenPart }) {
  const { part, form3d, feature, setFeature, selected, comparing, setComparing } = open;
  return (
    <Guarded what={t`The answer`} part={part}>
      <View gap="$4">
        <FaceBar part={part} chosen={feature} onChoose={setFeature} />
        <FaceAnswer
          part={part}
          form={form3d.form}
          chosen={feature}
          comparing={comparing}
          onComparing={setComparing}
          pads={<FacePads part={part} chosen={feature} />}
        />
        <Title render="h2" margin={0}>{t`Stops`}</Title>
        <StopsPanel part={part} />
        <Title render="h2" margin={0}>{t`Form`}</Title>
        <FormFacts part={part} form3d={form3d} selected={selected} />
      </View>
    </Guarded>
  );
}

interface OneViewProps {
  view: ViewKey;
  open: OpenPart | null;
  text: ReactNode;
  toText: () => void;
}

/** One view at a time, for a phone. */
function OneView({ view, open, text, toText }: OneViewProps) {
  if (view === 'text') return <Fill padding="$3">{text}</Fill>;
  const needsRounds = view === 'map' || view === 'form';
  if (!open || (needsRounds && open.part.fabric.rounds === 0)) return <NothingYet />;
  const { part } = open;
  if (view === 'map') return <MapView open={open} toText={toText} />;
  if (view === 'form') return <FormView open={open} toText={toText} />;
  const isRounds = view === 'rounds';
  return (
    <Scroll label={isRounds ? t`Rounds` : t`Stops`}>
      <Guarded what={isRounds ? t`The rounds` : t`The stops`} part={part} toText={toText}>
        {isRounds ? <RoundsPanel part={part} /> : <StopsPanel part={part} />}
      </Guarded>
    </Scroll>
  );
}

interface ViewProps {
  open: OpenPart;
  toText: () => void;
}

function FormView({ open, toText }: ViewProps) {
  const { part, form3d, selected } = open;
  return (
    <>
      <Fill flexGrow={1.7}>
        <TurnedForm open={open} toText={toText} />
      </Fill>
      <Fill>
        <Scroll label={t`Size and stuffing`}>
          <Guarded what={t`Size and stuffing`} part={part} toText={toText}>
            <FormFacts part={part} form3d={form3d} selected={selected} />
          </Guarded>
        </Scroll>
      </Fill>
    </>
  );
}

function MapView({ open, toText }: ViewProps) {
  const { part, form3d, feature, setFeature, selected, comparing, setComparing } = open;
  const { form } = form3d;
  return (
    <>
      <Fill flexGrow={1.15}>
        <MapOrComparison open={open} toText={toText} />
      </Fill>
      <Guarded what={t`The line of features`} part={part} toText={toText}>
        <FaceBar part={part} chosen={feature} onChoose={setFeature} />
      </Guarded>
      <Fill>
        <Scroll key={feature} label={t`Eyes`}>
          <Guarded what={t`The answer`} part={part} toText={toText}>
            <View gap="$4">
              {selected !== null && form && selected < form.nodes.stitches ? (
                <ChosenStitch part={part} form={form} stitch={selected} />
              ) : null}
              <FaceAnswer
                part={part}
                form={form}
                chosen={feature}
                comparing={comparing}
                onComparing={setComparing}
              />
            </View>
          </Guarded>
        </Scroll>
      </Fill>
      <Guarded what={t`The pads`} part={part} toText={toText}>
        <FacePads part={part} chosen={feature} />
      </Guarded>
    </>
  );
}

/** The map, or in its place the arrangements of the face side by side. */
function MapOrComparison({ open, toText }: { open: OpenPart; toText?: () => void }) {
  const { part, form3d, feature, setFeature, selected, setSelected, comparing, setComparing } = open;
  const { editor } = useToy();
  const { form } = form3d;
  const others = useOthers(comparing.open ? part : undefined, comparing.remembered);
  const compares = comparing.open && form !== null && others.length > 0;
  const close = () => setComparing({ ...comparing, open: false });
  return (
    <Guarded what={t`The map`} part={part} toText={toText}>
      {compares ? (
        <CompareForms
          part={part}
          form={form}
          others={others}
          onClose={close}
          onKeep={({ text }) => {
            editor.step(text);
            close();
          }}
        />
      ) : (
        <MapPanel
          part={part}
          form={form}
          selected={selected}
          onSelect={setSelected}
          feature={feature}
          onFeature={setFeature}
        />
      )}
    </Guarded>
  );
}

function TurnedForm({ open, toText }: { open: OpenPart; toText?: () => void }) {
  const { part, form3d, selected, setSelected } = open;
  return (
    <Guarded what={t`The form`} part={part} toText={toText}>
      <FormPanel part={part} form3d={form3d} selected={selected} onSelect={setSelected} />
    </Guarded>
  );
}

interface GuardedProps {
  what: string;
  part: PartAnalysis;
  toText?: () => void;
  children: ReactNode;
}

/** A panel that breaks leaves the others as they are; from it the text is a tap away. */
function Guarded({ what, part, toText, children }: GuardedProps) {
  return (
    <Guard
      what={what}
      actions={toText && <Press label={t`To the text`} onPress={toText} />}
      resetKeys={[part]}
    >
      {children}
    </Guard>
  );
}
