import { t } from '../../core/words/language';
import { sayTerm } from '../../core/words/said';
import { useEffect, useMemo, useRef, useState } from 'react';
import { AccessibilityInfo } from 'react-native';
import { ScrollView } from 'react-native-gesture-handler';
import { View } from '@tamagui/core';
import { palette } from '../../ui/palette';
import { Fill } from '../../ui/layout';
import { sideDirections, type Side } from '../../core/shape/form/sight';
import { layTape } from '../../core/shape/form/tape';
import type { PartAnalysis } from '../../core/toy/analyse';
import type { PartForm3d } from '../../data/useForm';
import { useToy } from '../../data/useToy';
import { Icon } from '../../ui/Icon';
import { Press } from '../../ui/Press';
import { Body } from '../../ui/text';
import { canDraw } from './canDraw';
import { drawnForm } from './drawnForm';
import { FormCanvas, type FormCanvasHandle } from './FormCanvas';
import { FormDrawing, sideAngles } from './FormDrawing';
import { MeasureLine } from './MeasureLine';
import { SaveMenu } from './SaveMenu';

const troubleWords = {
  'not-started': t`The form could not be started on.`,
  broke: t`The form could not be worked out just now.`,
  'too-long': t`The form takes too long to settle; this is how far it came.`,
} as const;

const sideNames: Record<Side, string> = {
  front: t`Front`,
  left: t`Left`,
  right: t`Right`,
  back: t`Back`,
  top: t`Top`,
  underneath: t`Under`,
};

interface FormPanelProps {
  part: PartAnalysis;
  form3d: PartForm3d;
  selected: number | null;
  onSelect: (stitch: number | null) => void;
}

/** The part in three dimensions on the mat: turn it, look from a side, cut it open, lay a tape on it. */
export function FormPanel({ part, form3d, selected, onSelect }: FormPanelProps) {
  const { analysis } = useToy();
  const { form, settling, trouble, retry } = form3d;
  const [cut, setCut] = useState(false);
  const [measuring, setMeasuring] = useState(false);
  const [ends, setEnds] = useState<number[]>([]);
  const [drawable, setDrawable] = useState(canDraw);
  const [lost, setLost] = useState(false);
  const [still, setStill] = useState<boolean | null>(null);
  const [angles, setAngles] = useState(sideAngles.front);
  const handle = useRef<FormCanvasHandle | null>(null);
  useEffect(() => {
    void AccessibilityInfo.isReduceMotionEnabled().then(setStill);
  }, []);

  const drawn = useMemo(
    () => (form ? drawnForm(part, form, analysis.pattern.header) : null),
    [part, form, analysis.pattern.header],
  );
  const total = form?.nodes.stitches ?? 0;
  const kept = ends.filter((stitch) => stitch < total);
  const [from, to] = measuring ? kept : [];
  const tape = useMemo(
    () => (form && from !== undefined && to !== undefined ? layTape(form, from, to) : null),
    [form, from, to],
  );
  const shown = useMemo(
    () =>
      drawn
        ? {
            ...drawn,
            selected: selected !== null && selected < total ? selected : null,
            measured: [from, to].filter((end) => end !== undefined),
            tape: tape?.nodes ?? [],
          }
        : null,
    [drawn, selected, total, from, to, tape],
  );
  const pick = (stitch: number | null) => {
    if (measuring && stitch !== null)
      setEnds((before) => (before.length === 1 ? [...before, stitch] : [stitch]));
    if (stitch !== null || !measuring) onSelect(stitch);
  };
  const look = (side: Side) => {
    handle.current?.look(side);
    setAngles(sideAngles[side]);
  };
  const label = t`${part.source.name} in the round, ${part.fabric.rounds} rounds. Arrow keys turn it.`;

  return (
    <Fill position="relative" backgroundColor="$mat" overflow="hidden">
      <Fill position="relative">
        {shown && still !== null ? (
          drawable ? (
            <FormCanvas
              label={label}
              drawn={shown}
              cut={cut}
              still={still}
              handleRef={handle}
              onPick={pick}
              onFail={(isLost) => {
                setDrawable(false);
                setLost(isLost);
              }}
            />
          ) : (
            <FormDrawing label={label} drawn={shown} angles={angles} onTurn={setAngles} onPick={pick} />
          )
        ) : null}
        <View position="absolute" left={8} top={8} pointerEvents="none">
          {settling ? (
            <View backgroundColor="$sheet" borderRadius="$2" paddingHorizontal="$2">
              <Body role="status">{t`Settling …`}</Body>
            </View>
          ) : null}
        </View>
        {trouble ? (
          <View position="absolute" left={8} right={72} top={8} gap="$2" alignItems="flex-start">
            <View backgroundColor="$sheet" borderRadius="$2" padding="$2">
              <Body role="alert">{t`${troubleWords[trouble]} Everything else still counts.`}</Body>
            </View>
            <Press label={t`Try again`} onPress={retry} />
          </View>
        ) : null}
        {lost ? (
          <View position="absolute" left={8} right={72} bottom={8} gap="$2" alignItems="flex-start">
            <View backgroundColor="$sheet" borderRadius="$2" padding="$2">
              <Body role="status">{t`This machine stopped drawing in three dimensions. The same stitches are drawn in strokes.`}</Body>
            </View>
            <Press
              label={t`Try again`}
              onPress={() => {
                setLost(false);
                setDrawable(canDraw());
              }}
            />
          </View>
        ) : null}
        <View
          position="absolute"
          right={8}
          top={8}
          bottom={8}
          gap="$2"
          flexDirection="column"
          flexWrap="wrap-reverse"
          alignContent="flex-start"
          pointerEvents="box-none"
        >
          {drawable ? (
            <Press
              name={t`Cut open`}
              icon={<Icon name="cut" color={cut ? palette.onDark : undefined} />}
              role="switch"
              chosen={cut}
              onPress={() => setCut(!cut)}
            />
          ) : null}
          <Press
            name={t`Measuring tape`}
            icon={<Icon name="tape" color={measuring ? palette.onDark : undefined} />}
            role="switch"
            chosen={measuring}
            onPress={() => {
              setMeasuring(!measuring);
              setEnds([]);
            }}
          />
          {drawable ? (
            <SaveMenu
              name={`${analysis.pattern.header.name ?? 'toy'} ${part.source.name}`}
              handleRef={handle}
            />
          ) : null}
        </View>
        {measuring ? <MeasureLine part={part} ends={kept} tape={tape} /> : null}
      </Fill>
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        style={{ flexGrow: 0 }}
        contentContainerStyle={{ padding: 8, gap: 6, flexGrow: 1, justifyContent: 'center' }}
        role="group"
        aria-label={t`Look from`}
      >
        {(Object.keys(sideDirections) as Side[])
          .sort((a, b) => Object.keys(sideNames).indexOf(a) - Object.keys(sideNames).indexOf(b))
          .map((side) => (
            <Press
              key={side}
              tight
              label={sideNames[side]}
              name={t`Look from ${side === 'underneath' ? t`underneath` : side === 'top' ? t`the top` : t`the ${sayTerm(side)}`}`}
              onPress={() => look(side)}
            />
          ))}
      </ScrollView>
    </Fill>
  );
}
