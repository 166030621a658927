import { t } from '../../core/words/language';
import { useEffect, useMemo, useState } from 'react';
import { View as Box } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import Svg from 'react-native-svg';
import { View } from '@tamagui/core';
import type { PagePoint } from '../../core/join/pose/drag';
import type { UnitRef } from '../../core/join/joined';
import type { JoinStep } from '../../core/join/move';
import { drawAssembled, shapeOnPage, unitDrawnAt, type ToyDrawing } from '../../core/toy/assembled';
import type { ToyAnalysis } from '../../core/toy/analyse';
import { Handle } from '../../ui/Handle';
import { DrawnUnits, marginMm, segments, turningDetail } from './AssembledDrawing';

interface ToyInHandProps {
  toy: ToyAnalysis;
  name: string;
  /** radians around the toy, to the right */
  yaw: number;
  /** how far it is pulled apart, in mm */
  pulled: number;
  height: number;
  chosen: UnitRef | null;
  /** what the chosen unit is called where it can be taken hold of and drawn elsewhere; null where it can't */
  grip: string | null;
  /** turned under the thumb, by radians */
  onTurn: (by: number) => void;
  onChoose: (unit: UnitRef | null) => void;
  /** the chosen unit is drawn over the page, in mm from where it was */
  onDrag: (by: PagePoint) => void;
  onDrop: () => void;
  onStep: (step: JoinStep) => void;
}

/** A swipe over the whole width turns the toy halfway round. */
const swipe = Math.PI;
const knobPx = 10;

const stepOfKey: Record<'up' | 'down' | 'left' | 'right', JoinStep> = {
  up: 'up',
  down: 'down',
  left: 'nearer',
  right: 'further',
};

/** A swipe to the side turns; up and down the page goes on scrolling. */
function turnOrTap({ onSwipe, onTap }: { onSwipe: (px: number) => void; onTap: (at: PagePoint) => void }) {
  return Gesture.Exclusive(
    Gesture.Pan()
      .runOnJS(true)
      .activeOffsetX([-6, 6])
      .failOffsetY([-12, 12])
      .onChange(({ changeX }) => onSwipe(changeX)),
    Gesture.Tap().runOnJS(true).onEnd(onTap),
  );
}

interface GripProps extends Pick<ToyInHandProps, 'onChoose' | 'onStep' | 'onDrag' | 'onDrop'> {
  grip: string;
  /** the middle of the unit as it is drawn now */
  at: PagePoint;
  page: ReturnType<typeof fitted>;
  onHold: () => void;
  onLetGo: () => void;
}

/** What the thumb takes hold of. It goes by where the unit was when it was taken up: the unit jumps from stitch to stitch. */
function Grip({ grip, at, page, onHold, onLetGo, onChoose, onStep, onDrag, onDrop }: GripProps) {
  const [from, setFrom] = useState<PagePoint | null>(null);
  const here = page.toPx(at);
  return (
    <Handle
      name={grip}
      x={here.x}
      y={here.y}
      onTap={() => onChoose(null)}
      onKey={(key) => onStep(stepOfKey[key])}
      onDrag={(x, y) => {
        const began = from ?? here;
        if (!from) {
          setFrom(here);
          onHold();
        }
        onDrag({ x: (x - began.x) / page.perMm, y: (y - began.y) / page.perMm });
        return true;
      }}
      onDrop={() => {
        setFrom(null);
        onLetGo();
        onDrop();
      }}
    />
  );
}

/** From mm of the page to px of the drawing, all of a box in the middle of it. */
function fitted({ left, top, width, height }: ToyDrawing['box'], size: { width: number; height: number }) {
  const perMm = Math.min(size.width / (width + 2 * marginMm), size.height / (height + 2 * marginMm));
  const origin = {
    x: left + width / 2 - size.width / perMm / 2,
    y: top + height / 2 - size.height / perMm / 2,
  };
  return {
    perMm,
    viewBox: [origin.x, origin.y, size.width / perMm, size.height / perMm].join(' '),
    toPx: ({ x, y }: PagePoint) => ({ x: (x - origin.x) * perMm, y: (y - origin.y) * perMm }),
    toMm: (x: number, y: number) => ({ x: x / perMm + origin.x, y: y / perMm + origin.y }),
  };
}

/** So long after it was turned last a toy is drawn finely again. */
const settledMs = 160;

/** Whether a toy is being turned. */
function useTurning(yaw: number): boolean {
  const [settled, setSettled] = useState(yaw);
  useEffect(() => {
    const soon = setTimeout(() => setSettled(yaw), settledMs);
    return () => clearTimeout(soon);
  }, [yaw]);
  return settled !== yaw;
}

/** The toy put together, on the mat: a swipe turns it, a tap chooses a part, and the knob on that draws it over its wall. */
export function ToyInHand(props: ToyInHandProps) {
  const { toy, name, yaw, pulled, height, chosen, grip } = props;
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [held, setHeld] = useState<ToyDrawing['box'] | null>(null);
  const isTurning = useTurning(yaw);
  const drawing = useMemo(() => {
    const detail = isTurning ? turningDetail(toy) : { segments };
    return drawAssembled(toy, { yaw, pulled, ...detail });
  }, [toy, yaw, pulled, isTurning]);
  // While a part is drawn the page stays as large as it was: the toy must not shrink away under the thumb.
  const page = fitted(held ?? drawing.box, size);
  const index = drawing.units.findIndex(({ part, unit }) => part === chosen?.part && unit === chosen.unit);
  const shape = index < 0 ? null : shapeOnPage(drawing, index);
  const marked = shape && {
    index,
    outline: shape.d,
    knob: grip ? { x: shape.x, y: shape.y, radius: knobPx / page.perMm } : null,
  };
  const gesture = turnOrTap({
    onSwipe: (px) => props.onTurn((px / Math.max(1, size.width)) * swipe),
    onTap: (at) => {
      const { x, y } = page.toMm(at.x, at.y);
      props.onChoose(unitDrawnAt(drawing, x, y));
    },
  });
  return (
    <View backgroundColor="$mat" borderRadius="$3" overflow="hidden" position="relative">
      <GestureDetector gesture={gesture} touchAction="pan-y">
        <Box
          style={{ height }}
          onLayout={({ nativeEvent: { layout } }) => setSize({ width: layout.width, height: layout.height })}
        >
          {size.width > 0 ? (
            <Svg
              width={size.width}
              height={size.height}
              viewBox={page.viewBox}
              role="img"
              aria-label={t`${name}, put together`}
            >
              <DrawnUnits drawing={drawing} marked={marked} />
            </Svg>
          ) : null}
        </Box>
      </GestureDetector>
      {grip && shape ? (
        <Grip
          {...props}
          grip={grip}
          at={shape}
          page={page}
          onHold={() => setHeld(drawing.box)}
          onLetGo={() => setHeld(null)}
        />
      ) : null}
    </View>
  );
}
