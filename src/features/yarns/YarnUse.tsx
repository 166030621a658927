import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { yarnUseOf } from '../../core/supplies/yarnUse';
import type { PartAnalysis, ToyAnalysis } from '../../core/toy/analysis';
import { amountWords } from '../../core/toy/supplies/toBuy';
import { gramsOfPart, metresOfPart } from '../../core/toy/supplies/yarnOfPart';
import { useToy } from '../../data/useToy';
import { useYarnUse } from '../../data/yarnUse';
import { OneOf } from '../../ui/Choice';
import { Card } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { MeasureStep } from '../../ui/MeasureStep';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';

/** How it is found out: the whole piece on a scale, or its yarn along a tape. */
type How = 'weighed' | 'unravelled';

/** A kitchen scale tells half a gram at best: a lighter piece says nothing. A tape is truer. */
const leastG = 3;
const leastM = 1;

/** What is asked of a piece, and what the formula says of it; in grams or metres. */
function askedOf(how: How, part: PartAnalysis, toy: ToyAnalysis) {
  if (how === 'weighed') {
    const { stitchesG, tailsG } = gramsOfPart(part, toy);
    return { stitches: stitchesG, tails: tailsG, unit: 'g' as const, step: 0.5, label: t`The scale says` };
  }
  const { stitchesM, tailsM } = metresOfPart(part, toy);
  return { stitches: stitchesM, tails: tailsM, unit: 'm' as const, step: 0.1, label: t`The tape says` };
}

/** Whether a piece is large enough to tell. */
function tells(how: How, part: PartAnalysis, toy: ToyAnalysis): boolean {
  const { stitches, tails } = askedOf(how, part, toy);
  return part.fabric.rounds > 0 && stitches + tails >= (how === 'weighed' ? leastG : leastM);
}

const taken: Readonly<Record<How, string>> = {
  weighed: t`One of it, with its tails, before stuffing, eyes and sewing.`,
  unravelled: t`One of it, pulled undone, its tails too, laid along a tape without stretching.`,
};

/** How a maker's hands differ from the formula. */
function ownUse(use: number): string {
  const percent = Math.round((use - 1) * 100);
  if (percent === 0) return t`Your hands take what the formula says.`;
  return t`Your hands take ${Math.abs(percent)} % ${percent > 0 ? t`more` : t`less`} yarn than the formula says. Every toy counts with that.`;
}

/** Weighing a finished piece makes the yarn of every toy what these hands really take. */
export function YarnUse() {
  const { analysis } = useToy();
  const { yarnUse, failed, change } = useYarnUse();
  const partsFor = (how: How) => analysis.parts.filter((part) => tells(how, part, analysis));
  const [how, setHow] = useState<How | null>(null);
  const canWeigh = partsFor('weighed').length > 0;
  const canUnravel = partsFor('unravelled').length > 0;
  return (
    <Card gap="$3">
      <Title render="h2" margin={0}>{t`Your own use of yarn`}</Title>
      <Body>
        {yarnUse === 1
          ? t`Worked out by a formula; loose hands take more, tight ones less.`
          : ownUse(yarnUse)}
      </Body>
      {failed ? (
        <Notice
          tone="wrong"
          actions={<Press label={t`Try again`} onPress={() => change(yarnUse)} />}
        >{t`The browser would not keep it. It holds until the page is closed.`}</Notice>
      ) : null}
      {canWeigh ? null : <Quiet>{t`No piece of this toy is heavy enough for a kitchen scale.`}</Quiet>}
      {how ? (
        <Known how={how} parts={partsFor(how)} onDone={() => setHow(null)} />
      ) : (
        <View flexDirection="row" flexWrap="wrap" gap="$2">
          {canWeigh ? <Press label={t`I weighed a piece`} onPress={() => setHow('weighed')} /> : null}
          {canUnravel ? <Press label={t`I unravelled one`} onPress={() => setHow('unravelled')} /> : null}
          {yarnUse === 1 ? null : <Press label={t`Back to the formula`} onPress={() => change(1)} />}
        </View>
      )}
    </Card>
  );
}

interface KnownProps {
  how: How;
  parts: readonly PartAnalysis[];
  onDone: () => void;
}

/** What one piece really took, and what that makes of every list. */
function Known({ how, parts, onDone }: KnownProps) {
  const { analysis } = useToy();
  const { yarnUse, change } = useYarnUse();
  const [id, setId] = useState<string | null>(null);
  const [written, setWritten] = useState<number | null>(null);
  const part = parts.find(({ source }) => source.id === id) ?? parts[0];
  if (!part) return null;
  const { stitches, tails, unit, step, label } = askedOf(how, part, analysis);
  const expected = Math.round((stitches * yarnUse + tails) / step) * step;
  const own = written === null ? null : yarnUseOf(written, stitches, tails);
  return (
    <View gap="$3">
      <OneOf
        wraps
        label={t`Which piece`}
        options={parts.map(({ source }) => [source.id, source.name])}
        chosen={part.source.id}
        onChoose={(chosen) => {
          setId(chosen);
          setWritten(null);
        }}
      />
      <Quiet>{t`${taken[how]} Worked out: ${amountWords(expected, unit)}.`}</Quiet>
      <MeasureStep
        label={label}
        unit={unit}
        value={written ?? expected}
        step={step}
        least={step}
        most={2000}
        onChange={setWritten}
      />
      {written !== null && own === null ? (
        <Notice tone="look">{t`No hands differ so much. Is it this piece, empty, and is the gauge of this toy your own?`}</Notice>
      ) : null}
      {own === null ? null : <Body>{ownUse(own)}</Body>}
      <View flexDirection="row" gap="$2">
        <Press
          grow
          tone="primary"
          label={t`Count with this`}
          disabled={own === null}
          onPress={() => {
            if (own !== null) change(own);
            onDone();
          }}
        />
        <Press grow label={t`Leave it`} onPress={onDone} />
      </View>
    </View>
  );
}
