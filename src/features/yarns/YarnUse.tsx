import { useState } from 'react';
import { View } from '@tamagui/core';
import { yarnUseOf } from '../../core/supplies/yarnUse';
import type { PartAnalysis } from '../../core/toy/analysis';
import { gramsOfPart } from '../../core/toy/supplies/yarnOfPart';
import { useToy } from '../../data/useToy';
import { useYarnUse } from '../../data/yarnUse';
import { OneOf } from '../../ui/Choice';
import { Card } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';

/** A kitchen scale tells half a gram at best: a lighter piece says nothing. */
const leastG = 3;

/** How a maker's hands differ from the formula. */
function ownUse(use: number): string {
  const percent = Math.round((use - 1) * 100);
  if (percent === 0) return 'Your hands take what the formula says.';
  return `Your hands take ${Math.abs(percent)} % ${percent > 0 ? 'more' : 'less'} yarn than the formula says. Every toy counts with that.`;
}

/** Weighing a finished piece makes the yarn of every toy what these hands really take. */
export function YarnUse() {
  const { analysis } = useToy();
  const { yarnUse, failed, change } = useYarnUse();
  const parts = analysis.parts.filter((part) => {
    const { stitchesG, tailsG } = gramsOfPart(part, analysis);
    return part.fabric.rounds > 0 && stitchesG + tailsG >= leastG;
  });
  const [isWeighing, setWeighing] = useState(false);
  return (
    <Card gap="$3">
      <Title render="h2" margin={0}>
        Your own use of yarn
      </Title>
      <Body>
        {yarnUse === 1 ? 'Worked out by a formula; loose hands take more, tight ones less.' : ownUse(yarnUse)}
      </Body>
      {failed ? (
        <Notice tone="wrong" actions={<Press label="Try again" onPress={() => change(yarnUse)} />}>
          The browser would not keep it. It holds until the page is closed.
        </Notice>
      ) : null}
      {parts.length === 0 ? <Quiet>No piece of this toy is heavy enough for a kitchen scale.</Quiet> : null}
      {isWeighing ? (
        <Weighed parts={parts} onDone={() => setWeighing(false)} />
      ) : (
        <View flexDirection="row" flexWrap="wrap" gap="$2">
          {parts.length > 0 ? <Press label="I weighed a piece" onPress={() => setWeighing(true)} /> : null}
          {yarnUse === 1 ? null : <Press label="Back to the formula" onPress={() => change(1)} />}
        </View>
      )}
    </Card>
  );
}

function Weighed({ parts, onDone }: { parts: readonly PartAnalysis[]; onDone: () => void }) {
  const { analysis } = useToy();
  const { yarnUse, change } = useYarnUse();
  const [id, setId] = useState<string | null>(null);
  const [written, setWritten] = useState<number | null>(null);
  const part = parts.find(({ source }) => source.id === id) ?? parts[0];
  if (!part) return null;
  const { stitchesG, tailsG } = gramsOfPart(part, analysis);
  const expected = Math.round((stitchesG * yarnUse + tailsG) * 2) / 2;
  const own = written === null ? null : yarnUseOf(written, stitchesG, tailsG);
  return (
    <View gap="$3">
      <OneOf
        wraps
        label="Which piece"
        options={parts.map(({ source }) => [source.id, source.name])}
        chosen={part.source.id}
        onChoose={(chosen) => {
          setId(chosen);
          setWritten(null);
        }}
      />
      <Quiet>One of it, with its tails, before stuffing, eyes and sewing. Worked out: {expected} g.</Quiet>
      <NumberStep
        label="The scale says"
        unit="g"
        value={written ?? expected}
        step={0.5}
        least={0.5}
        most={2000}
        onChange={setWritten}
      />
      {written !== null && own === null ? (
        <Notice tone="look">
          No hands differ so much. Is it this piece, empty, and is the gauge of this toy your own?
        </Notice>
      ) : null}
      {own === null ? null : <Body>{ownUse(own)}</Body>}
      <View flexDirection="row" gap="$2">
        <Press
          grow
          tone="primary"
          label="Count with this"
          disabled={own === null}
          onPress={() => {
            if (own !== null) change(own);
            onDone();
          }}
        />
        <Press grow label="Leave it" onPress={onDone} />
      </View>
    </View>
  );
}
