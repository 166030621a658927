import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { setToyHeader } from '../../core/notation/editText';
import { explainMeasured, type Explained, type PieceSize } from '../../core/shape/measuredPiece';
import { useToy } from '../../data/useToy';
import { MeasureStep } from '../../ui/MeasureStep';
import { Press } from '../../ui/Press';
import { Body, Quiet } from '../../ui/text';

const percent = (share: number, [more, less]: readonly [string, string]): string =>
  `${Math.round(Math.abs(share - 1) * 100)} % ${share > 1 ? more : less}`;

/** What explains the difference, for the maker. */
function words({ kind, wider, higher }: Explained): string {
  const across = percent(wider, ['wider', 'narrower']);
  const up = percent(higher, ['higher', 'lower']);
  switch (kind) {
    case 'same':
      return t`As worked out, as well as a tape tells.`;
    case 'stitch':
      return wider > 1
        ? t`${across} and ${up}: your whole stitch is larger than was taken.`
        : t`${across} and ${up}: your whole stitch is smaller than was taken.`;
    case 'width':
      return t`${across}, and as high as worked out: your stitches are ${wider > 1 ? t`wider` : t`narrower`}. Stuffed harder or softer than the text says, the width gives too.`;
    case 'height':
      return t`${up}, and as wide as worked out: your rounds are ${higher > 1 ? t`higher` : t`lower`}. A piece that is stuffed less sits lower too.`;
    case 'both':
      return t`${across} and ${up}: stitch and round differ each by its own, or it is stuffed otherwise than the text says.`;
    case 'far':
      return t`That is far from this piece. Is it this one, stuffed and closed, and measured across its widest place?`;
  }
}

/** The size of a finished piece, typed in: what explains the difference, and the stitch it was really worked with. */
export function MeasuredPiece({ workedOut, stitch }: { workedOut: PieceSize; stitch: PieceSize }) {
  const { editor, text } = useToy();
  const [measured, setMeasured] = useState<PieceSize | null>(null);
  if (!measured)
    return (
      <Press
        label={t`I measured the finished piece`}
        onPress={() =>
          setMeasured({
            widthMm: Math.round(workedOut.widthMm),
            heightMm: Math.round(workedOut.heightMm),
          })
        }
      />
    );
  const explained = explainMeasured(workedOut, measured, stitch);
  const found = explained.stitch;
  const size = (key: keyof PieceSize, label: string) => (
    <MeasureStep
      label={label}
      unit={t`mm`}
      value={measured[key]}
      step={1}
      least={1}
      most={2000}
      onChange={(value) => setMeasured({ ...measured, [key]: value })}
    />
  );
  return (
    <View gap="$2" role="group" aria-label={t`The finished piece`}>
      <View flexDirection="row" flexWrap="wrap" gap="$3">
        {size('widthMm', t`Wide, where it is widest`)}
        {size('heightMm', t`High`)}
      </View>
      <Body role="status">{words(explained)}</Body>
      {found ? (
        <Quiet>{t`Counted with ${found.widthMm} × ${found.heightMm} mm a stitch, every part of this toy, its stops and its lists follow. Places said in stitches stay.`}</Quiet>
      ) : null}
      <View flexDirection="row" gap="$2">
        {found ? (
          <Press
            grow
            tone="primary"
            label={t`Count with this`}
            name={t`Count with ${found.widthMm} by ${found.heightMm} mm`}
            onPress={() => {
              editor.step(setToyHeader(text, 'Gauge', `${found.widthMm} mm x ${found.heightMm} mm`));
              setMeasured(null);
            }}
          />
        ) : null}
        <Press grow label={t`Leave it`} onPress={() => setMeasured(null)} />
      </View>
    </View>
  );
}
