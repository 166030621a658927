import { t } from '../../core/words/language';
import { sayTerm } from '../../core/words/said';
import { useMemo } from 'react';
import { View } from '@tamagui/core';
import { measureForm } from '../../core/shape/form/measures';
import { coverOfStrand, showThrough } from '../../core/shape/form/showThrough';
import { stuffingGrams } from '../../core/supplies/stuffing';
import type { PartAnalysis } from '../../core/toy/analyse';
import { finishOfPart, standOf } from '../../core/toy/formOfPart';
import { yarnOf } from '../../core/toy/yarnOf';
import type { PartForm3d } from '../../data/useForm';
import { useStuffing } from '../../data/useYarns';
import { useToy } from '../../data/useToy';
import { Figure } from '../../ui/Figure';
import { Card } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { ChosenStitch } from './ChosenStitch';
import { MeasuredPiece } from './MeasuredPiece';
import { Weighing } from './Weighing';
import { Quiet } from '../../ui/text';
import { sizeWords, weightWords } from '../../core/words/measures';

/** What the form measures, what fills it, and where the chosen stitch is. */
export function FormFacts({
  part,
  form3d: { form, trouble },
  selected,
}: {
  part: PartAnalysis;
  form3d: PartForm3d;
  selected: number | null;
}) {
  const { analysis } = useToy();
  const { densities, weighed } = useStuffing();
  const measures = useMemo(() => (form ? measureForm(part.fabric, form, standOf(part)) : null), [form, part]);
  if (!form || !measures)
    return (
      <Quiet>{trouble ? t`Sizes and stuffing come with the form.` : t`The form is being worked out.`}</Quiet>
    );
  const { firmness } = finishOfPart(part);
  const grams = stuffingGrams(measures.volumeMl, firmness, densities);
  // Lying on its side, width and height are not those of stitch and round.
  const stands = !part.source.lying;
  const weight = yarnOf(analysis);
  const shows =
    firmness === 'none' ? null : showThrough(part.fabric, form, part.form.gauge.widthMm, weight.thicknessMm);
  return (
    <View gap="$3">
      {selected !== null && selected < form.nodes.stitches ? (
        <ChosenStitch part={part} form={form} stitch={selected} />
      ) : null}
      <Card padding="$4" flexDirection="row" flexWrap="wrap" columnGap="$4" rowGap="$2">
        <Figure value={sizeWords(measures.widthMm)} words={t`wide`} />
        <Figure value={sizeWords(measures.heightMm)} words={t`high`} />
        {measures.depthMm > 1 ? <Figure value={sizeWords(measures.depthMm)} words={t`deep`} /> : null}
        {grams > 0 ? (
          <Figure value={weightWords(grams, grams < 10 ? 1 : 0)} words={t`stuffing, ${sayTerm(firmness)}`} />
        ) : null}
        {measures.volumeMl > 0 ? (
          <Figure value={t`${Math.round(measures.volumeMl)} ml`} words={t`inside`} />
        ) : null}
      </Card>
      {shows && shows.rounds.length > 0 ? (
        <Notice tone="look">
          {t`Stuffing will show ${shows.share > 0.8 ? t`all over` : t`in round ${shows.rounds.slice(0, 8).join(', ')}${shows.rounds.length > 8 ? ' …' : ''}`}: the stitches are ${part.form.gauge.widthMm} mm wide, ${weight.name.toLowerCase()} yarn covers about ${(coverOfStrand * weight.thicknessMm).toFixed(1)}. Take a smaller hook, stuff less firmly, or line the part.`}
        </Notice>
      ) : null}
      {firmness !== 'none' && measures.volumeMl > 0 ? (
        <Weighing volumeMl={measures.volumeMl} firmness={firmness} grams={grams} weighed={weighed} />
      ) : null}
      {stands && part.fabric.row[0] !== 1 ? (
        <MeasuredPiece workedOut={measures} stitch={part.form.gauge} />
      ) : null}
      <Quiet>
        {part.form.gauge.assumed
          ? t`Counted with an assumed stitch. Measure yours on the toy’s Yarn page.`
          : t`Counted with stitches of ${part.form.gauge.widthMm} × ${part.form.gauge.heightMm} mm, at the middle of the fabric.`}
      </Quiet>
    </View>
  );
}
