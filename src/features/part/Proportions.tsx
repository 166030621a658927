import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import {
  pairForProportion,
  proportionOf,
  proportionSteps,
  shareWords,
  type Proportion,
} from '../../core/place/move/proportion';
import { ruleSentence } from '../../core/place/rule/writeRule';
import type { FeatureRule } from '../../core/place/rule/rule';
import { frameOfPart, type PartAnalysis } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';
import { Slider } from '../../ui/Slider';
import { Quiet, Title } from '../../ui/text';
import { usePartEdits } from './usePartEdits';

const percent = (share: number) => Math.round(share * 100);
const names: Record<keyof Proportion, { label: string; of: string }> = {
  down: { label: t`How far down`, of: t`of the head` },
  apart: { label: t`How far apart`, of: t`of its width` },
};

/** The eyes by proportion: how far down the head and how far apart, snapped to whole rounds and stitches, with what that costs. */
export function Proportions({ part }: { part: PartAnalysis }) {
  const edits = usePartEdits(part);
  const { analysis, text } = useToy();
  const [wish, setWish] = useState<Proportion | null>(null);
  const { eyes } = part;
  if (!eyes) return null;
  const frame = frameOfPart(part);
  const real = proportionOf(frame, eyes);
  const steps = proportionSteps(frame, eyes);
  // A wish holds until the eyes are moved in some other way.
  const snapped = wish && pairForProportion(frame, wish, eyes).rule;
  const catchingUp = analysis.text !== text;
  const same = (rule: FeatureRule | null, other: FeatureRule | undefined) =>
    rule !== null && other !== undefined && ruleSentence(rule) === ruleSentence(other);
  const kept = catchingUp || same(snapped, eyes.rule) ? wish : null;
  const whole = part.map.lying
    ? { down: t`stitches`, apart: t`rounds` }
    : { down: t`rounds`, apart: t`stitches` };
  const wanted = kept ?? real;
  const ask = (next: Partial<Proportion>, first: boolean) => {
    const wishes = { ...wanted, ...next };
    setWish(wishes);
    const { rule } = pairForProportion(frame, wishes, eyes);
    if (!same(rule, edits.now().eyes?.rule)) edits.putFeature(eyes.id, () => rule, !first);
  };
  return (
    <View gap="$2" role="group" aria-label={t`By proportion`}>
      <Title render="h3" margin={0} fontSize="$4" lineHeight="$4">{t`By proportion`}</Title>
      {(['down', 'apart'] as const).map((key) => (
        <View key={key}>
          <Slider
            label={names[key].label}
            words={`${percent(real[key])}% ${names[key].of}${shareWords(real[key])}`}
            value={percent(wanted[key])}
            least={2}
            most={98}
            step={1}
            ticks={steps[key].map((share) => share * 100)}
            onChange={(value, first) => ask({ [key]: value / 100 }, first)}
          />
          {percent(wanted[key]) !== percent(real[key]) ? (
            <Quiet role="status">{t`${percent(wanted[key])}% wanted; whole ${whole[key]} give ${percent(real[key])}%, ${Math.abs(percent(wanted[key]) - percent(real[key]))} ${percent(real[key]) > percent(wanted[key]) ? t`more` : t`less`}.`}</Quiet>
          ) : null}
        </View>
      ))}
    </View>
  );
}
