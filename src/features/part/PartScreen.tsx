import { useRouter } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { useMedia, View } from '@tamagui/core';
import { useForm } from '../../data/useForm';
import { useToy } from '../../data/useToy';
import { Empty, Page } from '../../ui/Page';
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
import { besideFace, toSettle } from '../../core/toy/toSettle';

const views = [
  { key: 'text', label: 'Text' },
  { key: 'rounds', label: 'Rounds' },
  { key: 'map', label: 'Map' },
  { key: 'form', label: 'Form' },
  { key: 'stops', label: 'Stops' },
] as const;
type ViewKey = (typeof views)[number]['key'];

const isView = (name: string | undefined): name is ViewKey => views.some(({ key }) => key === name);

/** A part with nothing in it yet begins with the writing. */
const beginning = (part: PartAnalysis): ViewKey => (part.checks.length > 0 ? 'rounds' : 'text');

const fill = { flexGrow: 1, flexShrink: 1, flexBasis: 0, minHeight: 0, minWidth: 0 } as const;

/** One part: its text, its rounds, the map with the eyes, the stops. Tabs on a phone; side by side where there is room. */
export function PartScreen({ index, first }: { index: number; first?: string }) {
  const router = useRouter();
  const { wide } = useMedia();
  const { analysis, editor } = useToy();
  const part = analysis.parts[index];
  const [chosen, setView] = useState<ViewKey | null>(isView(first) ? first : null);
  // A part just added is there a moment later: how it begins is settled once it is.
  if (chosen === null && part) setView(beginning(part));
  const view = chosen ?? 'text';
  const form3d = useForm(wide || view === 'form' || view === 'map' ? part : undefined);
  const [feature, setFeature] = useState('eyes');
  const [comparing, setComparing] = useState<Comparing>({ remembered: [], open: false });
  const others = useOthers(comparing.open ? part : undefined, comparing.remembered);
  const [selected, setSelected] = useState<number | null>(null);
  const toyName = analysis.pattern.header.name ?? analysis.parts[0]?.source.name ?? 'Toy';
  const back = { name: `Back to ${toyName}`, go: () => router.replace(`/toy/${editor.id}`) };
  const choose = (next: ViewKey) => {
    setView(next);
    router.setParams({ view: next });
  };
  const compare =
    comparing.open && part && form3d.form && others.length > 0 ? (
      <CompareForms
        part={part}
        form={form3d.form}
        others={others}
        onClose={() => setComparing({ ...comparing, open: false })}
        onKeep={({ text }) => {
          editor.step(text);
          setComparing({ ...comparing, open: false });
        }}
      />
    ) : null;
  const wrong = part ? besideFace(part).filter(({ severity }) => severity === 'error').length : 0;
  const open = part ? toSettle(part).size : 0;
  const marks: Partial<Record<ViewKey, { count: number; word: string }>> = {
    ...(wrong > 0 ? { rounds: { count: wrong, word: 'wrong' } } : {}),
    ...(open > 0 ? { map: { count: open, word: 'to settle' } } : {}),
  };
  // A panel that breaks leaves the others as they are; from it the text is a tap away.
  const toText = wide ? undefined : <Press label="To the text" onPress={() => choose('text')} />;
  const guarded = (what: string, panel: ReactNode) => (
    <Guard what={what} actions={toText} resetKeys={[part]}>
      {panel}
    </Guard>
  );
  // Not tried again by itself: that would take the plain text away from under the typing.
  const textPanel = (
    <Guard what="The marked text" instead={<PlainText />}>
      <TextPanel onLook={wide ? undefined : () => choose('rounds')} />
    </Guard>
  );
  const missing = <Empty>This part has no rounds yet. Write them in the text.</Empty>;
  if (wide) {
    return (
      <Page
        title={part?.source.name ?? 'Part'}
        aside={<SaveLine name={toyName} />}
        back={back}
        actions={<UndoButtons />}
        scrolls={false}
      >
        <SaveTrouble />
        <View {...fill} flexDirection="row">
          <View {...fill} borderRightWidth={1} borderColor="$line">
            <View {...fill} padding="$3">
              {textPanel}
            </View>
            <View {...fill} borderTopWidth={1} borderColor="$line">
              <Scroll label="Rounds">
                {part ? guarded('The rounds', <RoundsPanel part={part} index={index} />) : missing}
              </Scroll>
            </View>
          </View>
          <View {...fill} flexGrow={1.2}>
            {guarded(
              'The map',
              compare ??
                (part && part.fabric.rounds > 0 ? (
                  <MapPanel
                    part={part}
                    form={form3d.form}
                    selected={selected}
                    onSelect={setSelected}
                    feature={feature}
                    onFeature={setFeature}
                  />
                ) : (
                  <View {...fill} backgroundColor="$mat" />
                )),
            )}
          </View>
          <View {...fill} borderLeftWidth={1} borderColor="$line">
            <View {...fill} flexGrow={1}>
              {part && part.fabric.rounds > 0 ? (
                guarded(
                  'The form',
                  <FormPanel part={part} form3d={form3d} selected={selected} onSelect={setSelected} />,
                )
              ) : (
                <View {...fill} backgroundColor="$mat" />
              )}
            </View>
            <View {...fill} flexGrow={1.1}>
              <Scroll label="Eyes and stops">
                {part
                  ? guarded(
                      'The answer',
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
                        <Title render="h2" margin={0}>
                          Stops
                        </Title>
                        <StopsPanel part={part} />
                        <Title render="h2" margin={0}>
                          Form
                        </Title>
                        <FormFacts part={part} form3d={form3d} selected={selected} />
                      </View>,
                    )
                  : missing}
              </Scroll>
            </View>
          </View>
        </View>
      </Page>
    );
  }
  return (
    <View {...fill}>
      <Page
        title={part?.source.name ?? 'Part'}
        aside={<SaveLine name={toyName} />}
        back={back}
        actions={<UndoButtons />}
        scrolls={false}
      >
        <SaveTrouble />
        {view === 'text' ? (
          <View {...fill} padding="$3">
            {textPanel}
          </View>
        ) : null}
        {view !== 'text' && !part ? missing : null}
        {view === 'rounds' && part ? (
          <Scroll label="Rounds">{guarded('The rounds', <RoundsPanel part={part} index={index} />)}</Scroll>
        ) : null}
        {view === 'stops' && part ? (
          <Scroll label="Stops">{guarded('The stops', <StopsPanel part={part} />)}</Scroll>
        ) : null}
        {view === 'form' && part ? (
          part.fabric.rounds > 0 ? (
            <>
              <View {...fill} flexGrow={1.7}>
                {guarded(
                  'The form',
                  <FormPanel part={part} form3d={form3d} selected={selected} onSelect={setSelected} />,
                )}
              </View>
              <View {...fill}>
                <Scroll label="Size and stuffing">
                  {guarded(
                    'Size and stuffing',
                    <FormFacts part={part} form3d={form3d} selected={selected} />,
                  )}
                </Scroll>
              </View>
            </>
          ) : (
            missing
          )
        ) : null}
        {view === 'map' && part ? (
          part.fabric.rounds > 0 ? (
            <>
              <View {...fill} flexGrow={1.15}>
                {guarded(
                  'The map',
                  compare ?? (
                    <MapPanel
                      part={part}
                      form={form3d.form}
                      selected={selected}
                      onSelect={setSelected}
                      feature={feature}
                      onFeature={setFeature}
                    />
                  ),
                )}
              </View>
              {guarded(
                'The line of features',
                <FaceBar part={part} chosen={feature} onChoose={setFeature} />,
              )}
              <View {...fill} flexGrow={1}>
                <Scroll key={feature} label="Eyes">
                  {guarded(
                    'The answer',
                    <View gap="$4">
                      {selected !== null && form3d.form && selected < form3d.form.nodes.stitches ? (
                        <ChosenStitch part={part} form={form3d.form} stitch={selected} />
                      ) : null}
                      <FaceAnswer
                        part={part}
                        form={form3d.form}
                        chosen={feature}
                        comparing={comparing}
                        onComparing={setComparing}
                      />
                    </View>,
                  )}
                </Scroll>
              </View>
              {guarded('The pads', <FacePads part={part} chosen={feature} />)}
            </>
          ) : (
            missing
          )
        ) : null}
      </Page>
      <Tabs
        label="Views of this part"
        tabs={views.map((tab) => ({ ...tab, mark: marks[tab.key] }))}
        chosen={view}
        onChoose={choose}
      />
    </View>
  );
}
