import { t } from '../../core/words/language';
import { useMemo } from 'react';
import { View } from '@tamagui/core';
import { addressOf, addressWords, fromFrontWords } from '../../core/place/frame/address';
import { formAzimuths } from '../../core/shape/form/azimuths';
import { measureForm } from '../../core/shape/form/measures';
import type { RelaxedForm } from '../../core/shape/form/relaxForm';
import { facingWords, hiddenBy, outwardAt } from '../../core/shape/form/sight';
import { standing } from '../../core/shape/form/stand';
import type { PartAnalysis } from '../../core/toy/analyse';
import { standOf } from '../../core/toy/formOfPart';
import { Answer, Body } from '../../ui/text';
import { sizeWords } from '../../core/words/measures';

/** The stitch that was tapped, on the form or on the map. */
export function ChosenStitch({
  part,
  form,
  stitch,
}: {
  part: PartAnalysis;
  form: RelaxedForm;
  stitch: number;
}) {
  const { fabric, map } = part;
  const stand = useMemo(() => standOf(part), [part]);
  const placed = useMemo(() => standing(form, stand, fabric.row[0] === 1), [form, stand, fabric]);
  const { rounds } = useMemo(() => measureForm(fabric, form, stand), [fabric, form, stand]);
  const azimuths = useMemo(() => formAzimuths(fabric, form, part.starts), [fabric, form, part.starts]);
  const address = addressOf(fabric, stitch, azimuths[stitch] ?? 0, map);
  const hidden = hiddenBy(fabric, { nodes: form.nodes, placed }, stitch, 'front');
  const flat = fabric.row[0] === 1;
  const around = rounds[form.nodes.round[stitch] ?? 0]?.circumferenceMm ?? 0;
  return (
    <View
      backgroundColor="$sheet"
      borderRadius="$3"
      borderWidth={2}
      borderColor="$marker"
      padding="$3"
      gap="$1"
      role="status"
    >
      <Answer fontSize="$5" lineHeight="$5">
        {addressWords(address)}
      </Answer>
      {flat ? null : (
        <Body>
          {t`${fromFrontWords(address)}, facing ${facingWords(outwardAt({ nodes: form.nodes, placed, stand }, stitch))}. This round is ${sizeWords(around)} around.`}
        </Body>
      )}
      {!flat && hidden.length > 0 ? (
        <Body>{t`From the front it is hidden behind round ${hidden
          .slice(0, 3)
          .map((round) => fabric.label[round - 1])
          .join(', ')}.`}</Body>
      ) : null}
    </View>
  );
}
