import { useMemo } from 'react';
import { View } from '@tamagui/core';
import { addressOf, addressWords, fromFrontWords } from '../../core/place/address';
import { formAzimuths } from '../../core/shape/form/azimuths';
import { finishOf } from '../../core/shape/form/finish';
import { measureForm } from '../../core/shape/form/measures';
import type { RelaxedForm } from '../../core/shape/form/relaxForm';
import { coverOfStrand, showThrough } from '../../core/shape/form/showThrough';
import { facingWords, hiddenBy, outwardAt } from '../../core/shape/form/sight';
import { standing } from '../../core/shape/form/stand';
import { stuffingGrams } from '../../core/supplies/stuffing';
import type { PartAnalysis } from '../../core/toy/analyse';
import { standOf } from '../../core/toy/formOfPart';
import { yarnOf } from '../../core/toy/yarnOf';
import { useToy } from '../../data/useToy';
import { Notice } from '../../ui/Notice';
import { Answer, Body, Quiet } from '../../ui/text';

function Figure({ value, words }: { value: string; words: string }) {
  return (
    <View flexShrink={1} minWidth={84}>
      <Answer fontSize="$5" lineHeight="$5">{value}</Answer>
      <Quiet>{words}</Quiet>
    </View>
  );
}

/** What the form measures, what fills it, and where the chosen stitch is. */
export function FormFacts({ part, form, selected }: { part: PartAnalysis; form: RelaxedForm | null; selected: number | null }) {
  const { analysis } = useToy();
  const measures = useMemo(() => (form ? measureForm(part.fabric, form, standOf(part)) : null), [form, part]);
  if (!form || !measures) return <Quiet>The form is being worked out.</Quiet>;
  const { firmness } = finishOf(part.source, part.fabric, part.profile, part.map.front);
  const grams = stuffingGrams(measures.volumeMl, firmness);
  const weight = yarnOf(analysis);
  const shows = firmness === 'none' ? null : showThrough(part.fabric, form, part.form.gauge.widthMm, weight.thicknessMm);
  const mm = (value: number) => `${Math.round(value)} mm`;
  return (
    <View gap="$3">
      {selected !== null && selected < form.nodes.stitches ? <Chosen part={part} form={form} stitch={selected} circumferences={measures.rounds.map((round) => round.circumferenceMm)} /> : null}
      <View backgroundColor="$sheet" borderRadius="$3" borderWidth={1} borderColor="$line" padding="$4" flexDirection="row" flexWrap="wrap" columnGap="$4" rowGap="$2">
        <Figure value={mm(measures.widthMm)} words="wide" />
        <Figure value={mm(measures.heightMm)} words="high" />
        {measures.depthMm > 1 ? <Figure value={mm(measures.depthMm)} words="deep" /> : null}
        {grams > 0 ? <Figure value={`${grams < 10 ? grams.toFixed(1) : Math.round(grams)} g`} words={`stuffing, ${firmness}`} /> : null}
        {measures.volumeMl > 0 ? <Figure value={`${Math.round(measures.volumeMl)} ml`} words="inside" /> : null}
      </View>
      {shows && shows.rounds.length > 0 ? (
        <Notice tone="look">
          {`Stuffing will show ${shows.share > 0.8 ? 'all over' : `in round ${shows.rounds.slice(0, 8).join(', ')}${shows.rounds.length > 8 ? ' …' : ''}`}: the stitches are ${part.form.gauge.widthMm} mm wide, ${weight.name.toLowerCase()} yarn covers about ${(coverOfStrand * weight.thicknessMm).toFixed(1)}. Take a smaller hook, stuff less firmly, or line the part.`}
        </Notice>
      ) : null}
      <Quiet>{part.form.gauge.assumed ? 'Counted with an assumed stitch of 5 × 4.8 mm. Measure yours under Yarn and gauge.' : `Counted with stitches of ${part.form.gauge.widthMm} × ${part.form.gauge.heightMm} mm, at the middle of the fabric.`}</Quiet>
    </View>
  );
}

/** The stitch that was tapped, on the form or on the map. */
function Chosen({ part, form, stitch, circumferences }: { part: PartAnalysis; form: RelaxedForm; stitch: number; circumferences: readonly number[] }) {
  const { fabric, map } = part;
  const stand = standOf(part);
  const placed = useMemo(() => standing(form, stand, fabric.row[0] === 1), [form, stand, fabric]);
  const azimuths = useMemo(() => formAzimuths(fabric, form, part.starts), [fabric, form, part.starts]);
  const address = addressOf(fabric, stitch, azimuths[stitch] ?? 0, map.front, map.dir);
  const hidden = hiddenBy(fabric, form.nodes, placed, stitch, 'front');
  const flat = fabric.row[0] === 1;
  const around = circumferences[form.nodes.round[stitch] ?? 0] ?? 0;
  return (
    <View backgroundColor="$sheet" borderRadius="$3" borderWidth={2} borderColor="$marker" padding="$3" gap="$1" role="status">
      <Answer fontSize="$5" lineHeight="$5">{addressWords(address)}</Answer>
      {flat ? null : <Body>{fromFrontWords(address)}, facing {facingWords(outwardAt(form.nodes, placed, stand, stitch))}. This round is {Math.round(around)} mm around.</Body>}
      {!flat && hidden.length > 0 ? <Body>From the front it is hidden behind round {hidden.slice(0, 3).map((round) => fabric.label[round - 1]).join(', ')}.</Body> : null}
    </View>
  );
}
