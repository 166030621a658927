import { t } from '../../core/words/language';
import { useEffect, useMemo, useRef, useState } from 'react';
import { AccessibilityInfo } from 'react-native';
import { View } from '@tamagui/core';
import { Fill } from '../../ui/layout';
import { arrangementWords, type Arrangement } from '../../core/edit/arrangements';
import type { RelaxedForm } from '../../core/shape/form/relaxForm';
import type { PartAnalysis } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';
import { Press } from '../../ui/Press';
import { Body } from '../../ui/text';
import { canDraw } from './canDraw';
import { drawnForm } from './drawnForm';
import { FormCanvas, type FormCanvasHandle } from './FormCanvas';
import { FormDrawing, sideAngles } from './FormDrawing';

const most = 3;

/** Where the form was turned to, and by which of them. */
interface SharedView {
  from: [number, number, number];
  by: number;
}

interface CompareFormsProps {
  part: PartAnalysis;
  form: RelaxedForm;
  /** the other arrangements; the part's own stands first */
  others: readonly Arrangement[];
  onKeep: (arrangement: Arrangement) => void;
  onClose: () => void;
}

/** What an arrangement is, and by how much it misses. */
function Caption({ words, off }: { words: string; off: string }) {
  return (
    <>
      <Body fontWeight="700" textAlign="center">
        {words}
      </Body>
      <Body textAlign="center" fontSize="$2">
        {off}
      </Body>
    </>
  );
}

/** Up to three arrangements of a face on the form, side by side. Turning one turns all. */
export function CompareForms({ part, form, others, onKeep, onClose }: CompareFormsProps) {
  const [still, setStill] = useState<boolean | null>(null);
  const [drawable, setDrawable] = useState(canDraw);
  const [angles, setAngles] = useState(sideAngles.front);
  const [view, setView] = useState<SharedView | null>(null);
  useEffect(() => {
    void AccessibilityInfo.isReduceMotionEnabled().then(setStill);
  }, []);
  const faces: { part: PartAnalysis; arrangement: Arrangement | null }[] = [
    { part, arrangement: null },
    ...others.map((arrangement) => ({ part: arrangement.part, arrangement })),
  ].slice(0, most);
  return (
    <Fill backgroundColor="$mat" role="group" aria-label={t`Faces side by side`}>
      <View flexDirection="row" flexGrow={1} flexShrink={1} minHeight={0}>
        {faces.map(({ part: shown, arrangement }, i) => {
          const { words, off } = shown.eyes ? arrangementWords(shown, shown.eyes) : { words: '', off: '' };
          return (
            <View
              key={words}
              flexGrow={1}
              flexBasis={0}
              minWidth={0}
              borderLeftWidth={i === 0 ? 0 : 1}
              borderColor="$line"
            >
              <Fill position="relative">
                {still === null ? null : (
                  <Face
                    part={shown}
                    form={form}
                    drawable={drawable}
                    still={still}
                    view={view !== null && view.by !== i ? view : null}
                    label={t`${words}, ${off}. Turning one turns all.`}
                    angles={angles}
                    onAngles={setAngles}
                    onTurn={(from) => setView({ from, by: i })}
                    onFail={() => setDrawable(false)}
                  />
                )}
              </Fill>
              <View padding="$2" gap="$1" backgroundColor="$sheet" alignItems="stretch">
                <Caption words={words} off={off} />
                <Press
                  tight
                  label={arrangement ? t`Keep this` : t`As it is`}
                  name={arrangement ? t`Keep ${words}` : t`Keep ${words}, as it is`}
                  onPress={() => (arrangement ? onKeep(arrangement) : onClose())}
                />
              </View>
            </View>
          );
        })}
      </View>
    </Fill>
  );
}

interface FaceProps {
  part: PartAnalysis;
  form: RelaxedForm;
  drawable: boolean;
  still: boolean;
  /** where another one is looked at from, to look from there too */
  view: SharedView | null;
  label: string;
  angles: { around: number; over: number };
  onAngles: (angles: { around: number; over: number }) => void;
  onTurn: (from: [number, number, number]) => void;
  onFail: () => void;
}

function Face({ part, form, drawable, still, view, label, angles, onAngles, onTurn, onFail }: FaceProps) {
  const { analysis } = useToy();
  const handle = useRef<FormCanvasHandle | null>(null);
  useEffect(() => {
    if (view) handle.current?.follow(view.from);
  }, [view]);
  const drawn = useMemo(
    () => drawnForm(part, form, analysis.pattern.header),
    [part, form, analysis.pattern.header],
  );
  return drawable ? (
    <FormCanvas
      label={label}
      drawn={drawn}
      cut={false}
      still={still}
      handleRef={handle}
      onPick={() => undefined}
      onTurn={onTurn}
      onFail={onFail}
    />
  ) : (
    <FormDrawing label={label} drawn={drawn} angles={angles} onTurn={onAngles} onPick={() => undefined} />
  );
}
