import { t } from '../../core/words/language';
import { sayTerm } from '../../core/words/said';
import { useState } from 'react';
import { View } from '@tamagui/core';
import {
  checkSeated,
  plannedAfter,
  plannedCount,
  type SeatedCount,
} from '../../core/place/seated/uprightCount';
import {
  checkSidewaysSeated,
  plannedSidewaysCount,
  type SidewaysCount,
} from '../../core/place/seated/sidewaysCount';
import type { PartAnalysis } from '../../core/toy/analyse';
import { Notice } from '../../ui/Notice';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { hasPost } from '../../core/place/rule/rule';
import { Body, Title } from '../../ui/text';
import { usePartEdits } from './usePartEdits';
import { tenthWords } from '../../core/words/measures';

/** After seating, before pressing: count on the real piece, and hear whether the eyes are level and centred. */
export function SeatedCheck({ part }: { part: PartAnalysis }) {
  // What is sewn on is counted and moved with a pin: nothing has been pressed that could not be taken off.
  if (part.eyes && !hasPost(part.eyes.rule)) return null;
  return part.eyes?.rule.lying ? <LyingCheck part={part} /> : <UprightCheck part={part} />;
}

/** The same where each eye has a round of its own. */
function LyingCheck({ part }: { part: PartAnalysis }) {
  const edits = usePartEdits(part);
  const [count, setCount] = useState<SidewaysCount | null>(null);
  const { eyes, form } = part;
  if (!eyes) return null;
  if (!count)
    return (
      <Press
        label={t`Check what you did`}
        onPress={() => {
          const now = edits.now();
          if (now.eyes?.rule.lying) setCount(plannedSidewaysCount(now.eyes, now.fabric.label));
        }}
      />
    );
  const check = checkSidewaysSeated(form, eyes, count);
  return (
    <View gap="$3" role="region" aria-label={t`Check what you did`}>
      <Title render="h3" margin={0} fontSize="$4" lineHeight="$4">{t`Before you press the washers`}</Title>
      {(['left', 'right'] as const).map((side) => {
        const put = (next: Partial<SidewaysCount['left']>) =>
          setCount({ ...count, [side]: { ...count[side], ...next } });
        return (
          <View key={side} gap="$2">
            <NumberStep
              label={t`Rounds from the start to the ${sayTerm(side)} eye`}
              unit={t`rounds`}
              value={count[side].round}
              step={1}
              least={1}
              most={999}
              onChange={(round) => put({ round })}
            />
            <NumberStep
              label={t`Stitches from that round’s marker to the ${sayTerm(side)} eye`}
              unit={t`stitches`}
              value={count[side].before}
              step={1}
              least={0}
              most={999}
              onChange={(before) => put({ before })}
            />
          </View>
        );
      })}
      {check.moves.length === 0 ? (
        <Notice
          tone="good"
          live
        >{t`they are level and centred as planned. Press the washers to the last click.`}</Notice>
      ) : (
        <Notice tone="look" live>
          {check.centred
            ? ''
            : check.offMm > 0
              ? t`The middle lies ${tenthWords(Math.abs(check.offMm))} to the right. `
              : t`The middle lies ${tenthWords(Math.abs(check.offMm))} to the left. `}
          {check.level
            ? ''
            : check.rightHigherMm > 0
              ? t`The right eye is ${tenthWords(Math.abs(check.rightHigherMm))} higher. `
              : t`The right eye is ${tenthWords(Math.abs(check.rightHigherMm))} lower. `}
          {check.moves.join(' ')}
        </Notice>
      )}
      <Press label={t`Done`} onPress={() => setCount(null)} />
    </View>
  );
}

/** Where both eyes are on one line of holes. */
function UprightCheck({ part }: { part: PartAnalysis }) {
  const edits = usePartEdits(part);
  const [count, setCount] = useState<SeatedCount | null>(null);
  const { eyes, form } = part;
  if (!eyes) return null;
  if (!count)
    return (
      <Press
        label={t`Check what you did`}
        onPress={() => {
          const now = edits.now();
          if (now.eyes && !now.eyes.rule.lying) setCount(plannedCount(now.eyes, now.fabric.label));
        }}
      />
    );
  const [first, second] = part.map.dir === 1 ? ['left', 'right'] : ['right', 'left'];
  const check = checkSeated(form, eyes, count);
  const change = (next: Partial<SeatedCount>) => setCount({ ...count, ...next });
  const most = eyes.units[0]?.of ?? 0;
  return (
    <View gap="$3" role="region" aria-label={t`Check what you did`}>
      <Title render="h3" margin={0} fontSize="$4" lineHeight="$4">{t`Before you press the washers`}</Title>
      <Body>{t`Count on the piece, along round ${eyes.gap[1]}, beginning at its marker.`}</Body>
      <NumberStep
        label={t`Stitches from the marker to the ${first} eye`}
        unit={t`stitches`}
        value={count.before}
        step={1}
        least={0}
        most={most}
        onChange={(before) => change({ before })}
      />
      <NumberStep
        label={t`Stitches showing between the eyes`}
        unit={t`stitches`}
        value={count.between}
        step={1}
        least={0}
        most={most}
        onChange={(between) => change({ between })}
      />
      {count.after === null ? (
        <Press label={t`Count on to the marker too`} onPress={() => change({ after: plannedAfter(eyes) })} />
      ) : (
        <NumberStep
          label={t`Stitches from the ${second} eye on to the marker`}
          unit={t`stitches`}
          value={count.after}
          step={1}
          least={0}
          most={most}
          onChange={(after) => change({ after })}
        />
      )}
      {(
        [
          ['firstRound', first],
          ['secondRound', second],
        ] as const
      ).map(([field, eye]) => (
        <NumberStep
          key={field}
          label={t`Rounds from the start to the ${eye} eye`}
          unit={t`rounds`}
          value={count[field]}
          step={1}
          least={1}
          most={999}
          onChange={(rounds) => change({ [field]: rounds })}
        />
      ))}
      {check.uncounted !== 0 ? (
        <Notice
          tone="look"
          live
        >{t`The round has ${most} stitches, and what you counted comes to ${most - check.uncounted}${eyes.seat === 'foot' ? t`, with the two over the holes` : ''}. Count once more before you move anything.`}</Notice>
      ) : check.moves.length === 0 ? (
        <Notice
          tone="good"
          live
        >{t`they are level and centred. Press the washers to the last click.`}</Notice>
      ) : (
        <Notice tone="look" live>
          {check.centred
            ? ''
            : t`The middle lies ${tenthWords(check.missMm)} to the ${sayTerm(check.missSide)}. `}
          {check.level ? '' : t`They are not level. `}
          {check.moves.join(' ')}
        </Notice>
      )}
      <Press label={t`Done`} onPress={() => setCount(null)} />
    </View>
  );
}
