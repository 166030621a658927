import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { withHalf } from '../../core/join/directions';
import type { Join, JoinPart, Side } from '../../core/join/joined';
import { checkPinned, type PinnedCheck, type PinnedUnit } from '../../core/join/pinned';
import { pinWord, topPin } from '../../core/join/pins';
import type { PartAnalysis } from '../../core/toy/analyse';
import { joinPart } from '../../core/toy/joinAll';
import { leastInchesMm, sizeWords } from '../../core/words/measures';
import { useToy } from '../../data/useToy';
import { Card } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Body, Title } from '../../ui/text';

type Pair = Record<Side, Join>;

/** The left and the right one of a pair on one wall; null where a join is not the right one of such a pair. */
export function pairOf(join: Join, joins: readonly Join[]): Pair | null {
  if (join.unit.side !== 'right' || join.stitch === null) return null;
  const left = joins.find(
    ({ unit, on, stitch, kind }) =>
      unit.part === join.unit.part &&
      unit.side === 'left' &&
      on.part === join.on.part &&
      stitch !== null &&
      kind === join.kind,
  );
  return left && join.kind !== 'no-sew' ? { left, right: join } : null;
}

/** As it is planned: its middle, and the pin at its top; of a flat edge that lies along its round, the one at its outer end. */
function planned(wall: JoinPart, { round, stitch, pins, unit }: Join): PinnedUnit {
  const outer = pins?.find(({ at }) => pinWord(wall, at) === unit.side);
  const top = topPin(wall, pins ?? []) ?? outer;
  return {
    middle: { round: round ?? 1, stitch: stitch ?? 1 },
    top: top ? { round: top.round, stitch: top.stitch } : null,
  };
}

interface CountProps {
  name: string;
  pinned: PinnedUnit;
  counted: 'middle' | 'top';
  /** what the second of them is called */
  second: string;
  onChange: (pinned: PinnedUnit) => void;
}

/** Round and stitch of a place on the real piece. */
function Count({ name, pinned, counted, second, onChange }: CountProps) {
  const spot = pinned[counted];
  if (!spot) return null;
  const what = t`${counted === 'middle' ? t`Middle` : second} of the ${name}`;
  return (
    <View flexDirection="row" flexWrap="wrap" gap="$3">
      <NumberStep
        label={t`${what}: round`}
        unit=""
        value={spot.round}
        step={counted === 'middle' ? 0.5 : 1}
        least={1}
        most={9999}
        onChange={(round) => onChange({ ...pinned, [counted]: { ...spot, round } })}
      />
      <NumberStep
        label={t`${what}: stitch`}
        unit=""
        value={spot.stitch}
        step={0.5}
        least={0.5}
        most={9999}
        onChange={(stitch) => onChange({ ...pinned, [counted]: { ...spot, stitch } })}
      />
    </View>
  );
}

/** To half a mm, as near as one sees it. */
function apart(value: number): string {
  const mm = Math.round(Math.abs(value) * 2) / 2;
  return mm < leastInchesMm ? `${withHalf(mm)} mm` : sizeWords(mm);
}

/** What the counts say, in a maker's words. */
function words(check: PinnedCheck, { left, right }: Pair): string[] {
  const { level, lower, levelMm, even, leftFurtherMm, turned, leftLeansMoreDeg, moves } = check;
  const [further, lean] = [leftFurtherMm > 0 ? left : right, leftLeansMoreDeg > 0 ? left : right];
  return [
    ...(level ? [] : [t`The ${(lower === 'left' ? left : right).unit.name} is ${apart(levelMm)} lower.`]),
    ...(even ? [] : [t`The ${further.unit.name} is ${apart(leftFurtherMm)} further from the front.`]),
    ...moves,
    ...(turned === false
      ? [
          t`The ${lean.unit.name} leans ${Math.round(Math.abs(leftLeansMoreDeg))} degrees more away from the front: turn it about its middle.`,
        ]
      : []),
  ];
}

/** What was counted, and how the two stand to each other. */
function Counting({ pair, part, onDone }: { pair: Pair; part: PartAnalysis; onDone: () => void }) {
  const { analysis } = useToy();
  const wall = joinPart(part);
  const plan = { left: planned(wall, pair.left), right: planned(wall, pair.right) };
  const isTop = topPin(wall, pair.left.pins ?? []) !== null;
  const second = isTop ? t`Top pin` : t`Outer pin`;
  const [pinned, setPinned] = useState<Record<Side, PinnedUnit>>({
    left: { ...plan.left, top: null },
    right: { ...plan.right, top: null },
  });
  const canCountTops = plan.left.top !== null && plan.right.top !== null && pinned.left.top === null;
  const front = analysis.joined.fronts.get(pair.left.on.part) ?? wall.front;
  const names = { left: pair.left.unit.name, right: pair.right.unit.name };
  const check = checkPinned(wall, front, names, pinned);
  return (
    <>
      <Body>{t`Count on the ${part.source.name.toLowerCase()}, from its marker. The numbers below are the plan: change those that are not so on your piece.`}</Body>
      {(['left', 'right'] as const).map((side) => (
        <View key={side} gap="$2">
          {(['middle', 'top'] as const).map((counted) => (
            <Count
              key={counted}
              name={names[side]}
              pinned={pinned[side]}
              counted={counted}
              second={second}
              onChange={(next) => setPinned({ ...pinned, [side]: next })}
            />
          ))}
        </View>
      ))}
      <Outcome told={check ? words(check, pair) : null} turned={check?.turned === true} />
      {canCountTops ? (
        <Press
          label={isTop ? t`Count the top pins too` : t`Count the outer pins too`}
          onPress={() =>
            setPinned({
              left: { ...pinned.left, top: plan.left.top },
              right: { ...pinned.right, top: plan.right.top },
            })
          }
        />
      ) : null}
      <Press label={t`Done`} onPress={onDone} />
    </>
  );
}

/** What the counts come to; null where they can't be. */
function Outcome({ told, turned }: { told: readonly string[] | null; turned: boolean }) {
  if (told === null)
    return (
      <Notice
        tone="look"
        live
      >{t`there is no such round, or the round has no such stitch. Count once more.`}</Notice>
    );
  if (told.length > 0)
    return (
      <Notice tone="look" live>
        {told.join(' ')}
      </Notice>
    );
  return (
    <Notice tone="good" live>
      {turned
        ? t`they are level, as far from the front and turned alike. Sew them on.`
        : t`they are level and as far from the front.`}
    </Notice>
  );
}

/** After pinning or sewing a pair: she counts on the real piece, and hears whether the two match. */
export function PinnedPair({ pair }: { pair: Pair }) {
  const { analysis } = useToy();
  const [counting, setCounting] = useState(false);
  const part = analysis.parts.find(({ source }) => source.id === pair.left.on.part);
  if (!part) return null;
  const title = t`${pair.left.unit.name} and ${pair.right.unit.name}`;
  if (!counting)
    return (
      <Press
        label={t`Pinned? Check both sides`}
        name={t`Check both sides: ${title}`}
        onPress={() => setCounting(true)}
      />
    );
  return (
    <Card gap="$3" role="region" aria-label={t`Both sides: ${title}`}>
      <Title render="h3" margin={0} fontSize="$4" lineHeight="$4">{t`Before you sew`}</Title>
      <Counting pair={pair} part={part} onDone={() => setCounting(false)} />
    </Card>
  );
}
