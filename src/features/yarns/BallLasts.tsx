import { t } from '../../core/words/language';
import { useMemo, useState } from 'react';
import { View } from '@tamagui/core';
import { ballLasts } from '../../core/toy/supplies/ballLasts';
import { inOtherColour, type OtherColour } from '../../core/toy/supplies/otherColour';
import type { YarnNeed } from '../../core/toy/supplies/suppliesOf';
import { useToy } from '../../data/useToy';
import { OneOf } from '../../ui/Choice';
import { Card } from '../../ui/layout';
import { MeasureStep } from '../../ui/MeasureStep';
import { Answer, Body, Quiet, Title } from '../../ui/text';
import { some } from '../../core/words/counted';
import { weightWords } from '../../core/words/measures';

/** An unopened ball of most yarns, where the text does not say what one weighs. */
const usualBallG = 50;

/** Grams of a ball by its band in the text: `50 g, 85 m`. */
const ballG = (kind: string | null): number =>
  Number(/(\d+(?:\.\d+)?)\s*g\b/i.exec(kind ?? '')?.[1] ?? usualBallG);

/** Grams as a scale shows them, never more than there are. */
const whole = (grams: number): string => weightWords(grams, 0, Math.floor);

/** Whether what is there of each yarn goes round, what is left after each piece, and where it would end. */
export function BallLasts({ yarns }: { yarns: readonly YarnNeed[] }) {
  const [named, setNamed] = useState<string | null>(null);
  const [grams, setGrams] = useState<Readonly<Record<string, number>>>({});
  const yarn = yarns.find(({ name }) => name === named) ?? yarns[0];
  if (!yarn || yarn.grams <= 0) return null;
  const { name, kind } = yarn;
  const there = grams[name] ?? ballG(kind);
  return (
    <Card gap="$3">
      <Title render="h2" margin={0}>{t`Will it be enough?`}</Title>
      {yarns.length > 1 ? (
        <OneOf
          wraps
          unlabelled
          label={t`Which yarn`}
          options={yarns.map((one) => [one.name, one.kind ? `${one.name}, ${one.kind}` : one.name])}
          chosen={name}
          onChoose={setNamed}
        />
      ) : null}
      <MeasureStep
        label={t`What is there of ${name}`}
        unit={t`g`}
        value={there}
        step={5}
        least={1}
        most={5000}
        onChange={(value) => setGrams({ ...grams, [name]: value })}
      />
      <HowFar yarn={yarn} there={there} />
      <Quiet>{t`In the order of the plan, without anything to spare. Weigh the ball after the first piece: what it says then counts.`}</Quiet>
    </Card>
  );
}

function HowFar({ yarn, there }: { yarn: YarnNeed; there: number }) {
  const { analysis } = useToy();
  const metresPerGram = yarn.metres / yarn.grams;
  const { steps, ends, leftM } = ballLasts(analysis, yarn.name, there * metresPerGram);
  const missing = Math.max(1, Math.ceil(yarn.grams - there));
  return (
    <>
      <View gap="$1" role="status">
        {ends ? (
          <>
            <Answer>{t`It ends at the ${ends.unit.toLowerCase()}`}</Answer>
            <Body>
              {t`${
                ends.round === null
                  ? t`Its rounds are done, and what comes after them falls short.`
                  : t`Round ${ends.round} can’t be finished.`
              } At least ${weightWords(missing, 0, Math.ceil)} more are needed, without anything to spare.`}
            </Body>
          </>
        ) : (
          <>
            <Answer>{t`Enough for one toy`}</Answer>
            <Body>{t`${whole(leftM / metresPerGram)} are left in the end.`}</Body>
          </>
        )}
      </View>
      {steps.length > 0 ? (
        <View gap="$1" role="list" aria-label={t`What is left of ${yarn.name}`}>
          {steps.map(({ unit, leftM: left }) => (
            <Body
              key={unit}
              role="listitem"
            >{t`After the ${unit.toLowerCase()}: ${whole(left / metresPerGram)} left`}</Body>
          ))}
        </View>
      ) : null}
      {ends ? <InOtherColour yarn={yarn} metres={there * metresPerGram} /> : null}
    </>
  );
}

const leftWords = (grams: number): string =>
  grams < 1 ? t`this is just enough` : t`${whole(grams)} of this are left`;

/** `the ears`, `the left ear and the right ear` */
const partsWords = (parts: OtherColour['parts']): string =>
  parts.map(({ name, make }) => t`the ${some(name, make)}`).join(t` and `);

/** What of it would be in another colour: all of some pieces, or some rounds of one. */
function wayWords(yarn: string, { parts, rounds, isRows }: OtherColour): string {
  const where = partsWords(parts);
  if (rounds === null) return t`All ${yarn} of ${where}`;
  const [first, last] = rounds;
  if (first === last) return isRows ? t`Row ${first} of ${where}` : t`Round ${first} of ${where}`;
  return isRows ? t`Rows ${first} to ${last} of ${where}` : t`Rounds ${first} to ${last} of ${where}`;
}

/** What could be worked in another colour, so that this yarn is enough. */
function InOtherColour({ yarn, metres }: { yarn: YarnNeed; metres: number }) {
  const { analysis } = useToy();
  const ways = useMemo(() => inOtherColour(analysis, yarn.name, metres), [analysis, yarn.name, metres]);
  const gramsOf = (length: number) => (length * yarn.grams) / yarn.metres;
  return (
    <View gap="$2">
      <Title render="h3" margin={0}>{t`In another colour instead`}</Title>
      {ways.length === 0 ? (
        <Body>{t`It is too little for any piece of it: all would be in another colour.`}</Body>
      ) : (
        <View gap="$2" role="list" aria-label={t`What could be in another colour`}>
          {ways.map((way) => (
            <View key={wayWords(yarn.name, way)} role="listitem">
              <Body fontWeight="600">{wayWords(yarn.name, way)}</Body>
              <Quiet>
                {t`takes ${weightWords(gramsOf(way.otherM), 0, Math.ceil)} of the other, as thick as this; ${leftWords(gramsOf(way.leftM))}`}
              </Quiet>
            </View>
          ))}
        </View>
      )}
    </View>
  );
}
