import { t } from '../../core/words/language';
import { encodeQR } from 'qr';
import { useEffect, useMemo, useState } from 'react';
import Svg, { Path, Rect } from 'react-native-svg';
import { View } from '@tamagui/core';
import { Press } from '../../ui/Press';
import { palette } from '../../ui/palette';
import { Body, Quiet } from '../../ui/text';

/** Long enough for a camera to find each of them. */
const shownMs = 1400;

/** Light squares around it, without which a camera does not find it. */
const border = 4;

/** A little over one, so that no light line shows between two dark squares. */
const side = 1.04;

/** One code as a drawing: dark on light in the dark too. */
function Code({ text, label }: { text: string; label: string }) {
  const squares = useMemo(
    () => encodeQR(text, 'raw', { ecc: 'low', border, encoding: 'alphanumeric' }),
    [text],
  );
  const dark = squares
    .flatMap((row, y) => row.flatMap((isDark, x) => (isDark ? [`M${x} ${y}h${side}v${side}h-${side}z`] : [])))
    .join('');
  return (
    <View role="img" aria-label={label} width="100%" maxWidth={480} alignSelf="center">
      <Svg width="100%" viewBox={`0 0 ${squares.length} ${squares.length}`} aria-hidden>
        <Rect width={squares.length} height={squares.length} fill={palette.paper} />
        <Path d={dark} fill={palette.ink} />
      </Svg>
    </View>
  );
}

/** The codes of a toy, one after the other for as long as they are looked at. */
export function CodesInTurn({ codes, name }: { codes: readonly string[]; name: string }) {
  const [at, setAt] = useState(0);
  const [isHeld, setHeld] = useState(false);
  const count = codes.length;
  useEffect(() => {
    if (isHeld || count < 2) return;
    const turn = setInterval(() => setAt((before) => (before + 1) % count), shownMs);
    return () => clearInterval(turn);
  }, [isHeld, count]);
  const step = (by: number) => {
    setHeld(true);
    setAt((before) => (before + by + count) % count);
  };
  const which = count === 1 ? t`The code of ${name}` : t`Code ${at + 1} of ${count} of ${name}`;
  return (
    <View gap="$2" role="group" aria-label={t`The toy as a code`}>
      <Code text={codes[at] ?? ''} label={which} />
      {count > 1 ? (
        <>
          <Body textAlign="center" fontWeight="700">
            {t`${at + 1} of ${count}`}
          </Body>
          <View flexDirection="row" gap="$2">
            <Press grow tight label={t`Before`} name={t`The code before`} onPress={() => step(-1)} />
            <Press grow tight label={isHeld ? t`Go on` : t`Hold`} onPress={() => setHeld(!isHeld)} />
            <Press grow tight label={t`Next`} name={t`The next code`} onPress={() => step(1)} />
          </View>
        </>
      ) : null}
      <Quiet>{t`On the other phone: Hoppla, Paste a pattern, From another phone. Hold its camera over this screen${count > 1 ? t` until all ${count} have been seen, in any order` : ''}.`}</Quiet>
    </View>
  );
}
