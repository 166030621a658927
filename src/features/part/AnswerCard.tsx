import { t } from '../../core/words/language';
import { sayTerm } from '../../core/words/said';
import { useMemo } from 'react';
import { View } from '@tamagui/core';
import { eyeColourCheck } from '../../core/place/words/colourSteps';
import { eyesOnForm, type EyesOnForm } from '../../core/place/check/onForm';
import type { RelaxedForm } from '../../core/shape/form/relaxForm';
import { standOf } from '../../core/toy/formOfPart';
import { eyeDirections, eyePlaces, seatWord } from '../../core/place/words/directions';
import type { PartAnalysis } from '../../core/toy/analyse';
import { eyeCaution } from '../../core/safety/cautions';
import { hurtsOf } from '../../core/safety/hurts';
import { hasPost } from '../../core/place/rule/rule';
import { landmarkSentences } from '../../core/place/words/fromThere';
import { useApartHabit } from '../../data/habits';
import { useToy } from '../../data/useToy';
import { Figure } from '../../ui/Figure';
import { Card } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet } from '../../ui/text';
import { Problems } from './Problems';
import { usePartEdits } from './usePartEdits';
import { sizeWords, tenthWords } from '../../core/words/measures';

/** The answer in words a maker can act on, and what is not right yet with its remedies. */
export function AnswerCard({ part, form }: { part: PartAnalysis; form: RelaxedForm | null }) {
  const edits = usePartEdits(part);
  const { analysis } = useToy();
  const { habit } = useApartHabit();
  const { eyes } = part;
  const seen = useMemo(
    () =>
      eyes && form?.resting && form.nodes.stitches === (part.fabric.offset[part.fabric.rounds] ?? 0)
        ? eyesOnForm(part.form, eyes, form, standOf(part))
        : null,
    [eyes, form, part],
  );
  if (!eyes) return <NoEyes part={part} />;
  const lying = eyes.rule.lying === true;
  const words = eyeDirections(part.form, eyes);
  const colours = eyeColourCheck(part.form, eyes);
  // Both readings of “apart” stand here always; the maker's own comes first.
  const between = hasPost(eyes.rule) ? t`post to post` : t`middle to middle`;
  const posts = <Figure key="posts" value={String(eyes.apart)} words={between} />;
  const showing = (
    <Figure
      key="showing"
      value={String(eyes.showing)}
      words={eyes.showing === 1 ? t`shows between` : t`show between`}
    />
  );
  const reading = analysis.problems.filter(
    (problem) => problem.code === 'apart-reading' && problem.partId === part.source.id,
  );
  return (
    <View gap="$3">
      <Card padding="$4" gap="$3">
        {lying ? (
          <View role="status">
            {eyes.units.map((post) => (
              <Answer key={post.side}>
                {post.side === 'left' ? t`Left` : t`Right`} {part.fabric.label[post.fromLine - 1]}
                <Answer color="$marker" aria-hidden>
                  |
                </Answer>
                {part.fabric.label[post.fromLine]}, {seatWord(eyes.seat, false)} {post.from}
              </Answer>
            ))}
          </View>
        ) : (
          <Answer role="status">
            {t`Round ${eyes.gap[0]}`}
            <Answer color="$marker" aria-hidden>
              |
            </Answer>
            {eyes.gap[1]}, {eyePlaces(part.form, eyes)[0]?.holes}
          </Answer>
        )}
        <View flexDirection="row" flexWrap="wrap" columnGap="$4" rowGap="$2">
          {lying ? (
            <Figure value={String(eyes.apart)} words={eyes.apart === 1 ? t`round apart` : t`rounds apart`} />
          ) : habit === 'showing' ? (
            [showing, posts]
          ) : (
            [posts, showing]
          )}
          <Figure value={sizeWords(eyes.surfaceMm)} words={t`around the face`} />
          <Figure
            value={sizeWords(eyes.straightMm)}
            words={t`straight, ${Math.round(eyes.shareOfWidth * 100)}% of the width`}
          />
        </View>
        <Body>{words.sides}</Body>
      </Card>
      {seen ? <OnForm seen={seen} onFront={edits.front} /> : null}
      <Problems problems={[...reading, ...eyes.problems]} onApply={edits.apply} />
      {eyes.problems.every((problem) => problem.severity === 'info') ? (
        <Notice tone="good">{t`centred on the front, within ${tenthWords(eyes.missMm)}.`}</Notice>
      ) : null}
      <View gap="$2">
        <Body>{words.markers}</Body>
        {landmarkSentences(part.form, eyes).map((line) => (
          <Body key={line}>{line}</Body>
        ))}
        <Body>{words.check}</Body>
        {colours ? <Body>{colours}</Body> : null}
        {eyes.lower && !lying ? (
          <Quiet>{t`A spiral climbs: the ${sayTerm(eyes.lower)} eye sits ${tenthWords(eyes.levelMm)} lower. Tilt the piece by that when you join it.`}</Quiet>
        ) : null}
        {part.form.lean === null && part.map.fabric.joined[eyes.line] !== 1 ? (
          <Quiet>{t`Counted with a lean of 0.25 stitch a round, the usual for V-shaped stitches. Write “Lean: 0.1” in the text for X-shaped ones.`}</Quiet>
        ) : null}
        <Quiet>{hasPost(eyes.rule) ? eyeCaution : hurtsOf(eyes.rule)}</Quiet>
      </View>
    </View>
  );
}

/** Where a part has no eyes: which has them, or two to put on this one. */
function NoEyes({ part }: { part: PartAnalysis }) {
  const edits = usePartEdits(part);
  const { analysis } = useToy();
  const sighted = analysis.parts.find((other) => other !== part && other.eyes);
  return (
    <View gap="$3">
      <Notice tone="plain">
        {sighted
          ? t`The eyes of this toy are on the ${sighted.source.name.toLowerCase()}.`
          : t`No eyes are placed on this part. Put a pair on the map and move it from there, or write a sentence about them in the text.`}
      </Notice>
      {part.fabric.rounds >= 2 ? (
        <Press
          tone={sighted ? undefined : 'primary'}
          label={sighted ? t`Place two here` : t`Place two eyes`}
          onPress={() => edits.addFeature('eyes')}
        />
      ) : (
        <Quiet>{t`Eyes need at least two rounds to go between.`}</Quiet>
      )}
      <Quiet>{eyeCaution}</Quiet>
    </View>
  );
}

/** What the stuffed form says of the eyes: there bends and clustered increases count. */
function OnForm({ seen, onFront }: { seen: EyesOnForm; onFront: (line: string) => void }) {
  const { offMm, rightHigherMm, better } = seen;
  const words = t`On the stuffed form the middle lies ${Math.abs(offMm) < 0.3 ? t`on the front` : offMm > 0 ? t`${tenthWords(Math.abs(offMm))} to the right` : t`${tenthWords(Math.abs(offMm))} to the left`}, and the ${Math.abs(rightHigherMm) < 0.3 ? t`eyes are level` : rightHigherMm > 0 ? t`right eye is ${tenthWords(Math.abs(rightHigherMm))} higher` : t`right eye is ${tenthWords(Math.abs(rightHigherMm))} lower`}.`;
  if (!better) return <Quiet>{words}</Quiet>;
  return (
    <Notice
      tone="look"
      actions={
        <Press
          label={t`Holes ${Math.min(...better.holes)} and ${Math.max(...better.holes)}`}
          name={t`Move the front to these holes`}
          onPress={() => onFront(better.front)}
        />
      }
    >
      {t`${words} Holes ${better.holes[0]} and ${better.holes[1]} lie nearer to its middle, ${tenthWords(Math.abs(better.offMm))} off.`}
    </Notice>
  );
}
