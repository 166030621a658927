import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import { addressOf, addressWords, roundOfStitch } from '../../core/place/frame/address';
import type { Tape } from '../../core/shape/form/tape';
import { stitchAzimuth } from '../../core/shape/azimuth';
import type { PartAnalysis } from '../../core/toy/analyse';
import { Answer, Body } from '../../ui/text';
import { sizeWords } from '../../core/words/measures';

/** What the tape says, or what to tap next. */
export function MeasureLine({
  part,
  ends,
  tape,
}: {
  part: PartAnalysis;
  ends: readonly number[];
  tape: Tape | null;
}) {
  const named = (stitch: number) => {
    const round = roundOfStitch(part.fabric, stitch);
    const number = stitch - (part.fabric.offset[round] ?? 0) + 1;
    return addressWords(
      addressOf(part.fabric, stitch, stitchAzimuth(part.fabric, part.starts, round + 1, number), part.map),
    ).toLowerCase();
  };
  const [from, to] = ends;
  return (
    <View position="absolute" left={8} right={64} bottom={8} pointerEvents="none" alignItems="flex-start">
      <View
        backgroundColor="$sheet"
        borderRadius="$3"
        paddingHorizontal="$3"
        paddingVertical="$2"
        role="status"
      >
        {tape && from !== undefined && to !== undefined ? (
          <>
            <Answer fontSize="$5" lineHeight="$5">
              {t`${sizeWords(tape.surfaceMm)} along`}
            </Answer>
            <Body>{t`${sizeWords(tape.straightMm)} straight, from ${named(from)} to ${named(to)}.`}</Body>
          </>
        ) : (
          <Body>{from === undefined ? t`Tap a stitch to begin the tape.` : t`Tap a second stitch.`}</Body>
        )}
      </View>
    </View>
  );
}
