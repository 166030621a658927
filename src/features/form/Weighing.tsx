import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { weighedDensities } from '../../core/supplies/stuffing';
import { useStuffing } from '../../data/useYarns';
import { Notice } from '../../ui/Notice';
import { MeasureStep } from '../../ui/MeasureStep';
import { Press } from '../../ui/Press';
import { Quiet } from '../../ui/text';

interface WeighingProps {
  volumeMl: number;
  firmness: 'light' | 'medium' | 'firm';
  grams: number;
  weighed: boolean;
}

/** Weighing what really went in makes the stuffing figures the maker's own. */
export function Weighing({ volumeMl, firmness, grams, weighed }: WeighingProps) {
  const { weigh } = useStuffing();
  const [written, setWritten] = useState<number | null>(null);
  const own = written === null ? null : weighedDensities(volumeMl, firmness, written);
  return (
    <View gap="$2">
      <Quiet>
        {weighed
          ? t`Stuffing by your own weighing.`
          : t`Stuffing by usual figures for fibre; yours may be lighter or heavier.`}
      </Quiet>
      {written === null ? (
        <View flexDirection="row" gap="$2">
          <Press
            grow
            label={t`I weighed what went in`}
            onPress={() => setWritten(Math.max(1, Math.round(grams)))}
          />
          {weighed ? <Press grow label={t`Usual figures`} onPress={() => weigh.mutate(null)} /> : null}
        </View>
      ) : (
        <View gap="$2">
          <MeasureStep
            label={t`Stuffing in this part`}
            unit={t`g`}
            value={written}
            step={1}
            least={0.5}
            most={5000}
            onChange={setWritten}
          />
          {own ? null : (
            <Notice tone="look">{t`That is far from anything ${Math.round(volumeMl)} ml can hold. Weigh again, or measure the stitch first.`}</Notice>
          )}
          <View flexDirection="row" gap="$2">
            <Press
              grow
              tone="primary"
              label={t`Count with this`}
              disabled={!own}
              onPress={() => {
                if (own) weigh.mutate(own);
                setWritten(null);
              }}
            />
            <Press grow label={t`Leave it`} onPress={() => setWritten(null)} />
          </View>
        </View>
      )}
    </View>
  );
}
