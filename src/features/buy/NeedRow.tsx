import { t } from '../../core/words/language';
import { Pressable } from 'react-native';
import { View } from '@tamagui/core';
import { listLimits, type Price } from '../../core/supplies/makingList';
import { amountWords, buyAmount, type BuyNeed } from '../../core/toy/supplies/toBuy';
import type { Unit } from '../../core/toy/supplies/needKey';
import { Row } from '../../ui/layout';
import { MeasureStep } from '../../ui/MeasureStep';
import { NumberStep } from '../../ui/NumberStep';
import { Answer, Body, Quiet } from '../../ui/text';

/** What a ball, a bag, a pack usually holds: where a price begins. */
const usualPack: Readonly<Record<Unit, number>> = { g: 50, m: 10, cm2: 600, pieces: 1 };
/** A step of the thumb in each unit. */
export const stepIn: Readonly<Record<Unit, number>> = { g: 5, m: 1, cm2: 50, pieces: 1 };

interface NeedRowProps {
  need: BuyNeed;
  price: Price | undefined;
  isOpen: boolean;
  onOpen: () => void;
  onThere: (amount: number) => void;
  onPrice: (price: Price) => void;
}

/** One thing the toys take: how much to buy of it, large; what is there and what it costs a tap away. */
export function NeedRow({ need, price, isOpen, onOpen, onThere, onPrice }: NeedRowProps) {
  const { words, unit, amount, there, buy, isTool } = need;
  const buying = buy === 0 ? t`All there` : buyAmount(need);
  const left = there - amount;
  // What is bought stands beside it with its unit.
  const figure = (of: number) => amountWords(of, unit).replace(/ \S+$/, '');
  const asked = isTool ? t`in use at once ${figure(amount)}` : t`takes ${figure(amount)}`;
  const rest = buy === 0 && left >= 1 ? t`, ${figure(left)} left then` : '';
  return (
    <View
      render="li"
      style={{ listStyleType: 'none' }}
      borderTopWidth={1}
      borderColor="$line"
      paddingVertical="$2"
      gap="$3"
    >
      <Pressable
        role="button"
        aria-expanded={isOpen}
        aria-label={t`${buying}, ${words}: what is there, and the price`}
        onPress={onOpen}
        style={{ minHeight: 44 }}
      >
        <Row alignItems="flex-start" gap="$3">
          <View width={96} flexShrink={0}>
            <Answer textAlign="left" color={buy === 0 ? '$quiet' : '$color'}>
              {buying}
            </Answer>
          </View>
          <View flexGrow={1} flexShrink={1} flexBasis={0} minWidth={0}>
            <Body textAlign="left">{words}</Body>
            <Quiet textAlign="left">
              {t`${asked}, there ${figure(there)}${rest}${price ? t`; ${price.price} for ${amountWords(price.per, unit)}` : ''}`}
            </Quiet>
          </View>
        </Row>
      </Pressable>
      {isOpen ? <NeedSettings need={need} price={price} onThere={onThere} onPrice={onPrice} /> : null}
    </View>
  );
}

function NeedSettings({
  need: { words, unit, there },
  price,
  onThere,
  onPrice,
}: Pick<NeedRowProps, 'need' | 'price' | 'onThere' | 'onPrice'>) {
  const shown: Price = price ?? { price: 0, per: usualPack[unit] };
  const inWords = unit === 'pieces' ? 'pieces' : unit;
  return (
    <View role="group" aria-label={words} flexDirection="row" flexWrap="wrap" gap="$4" paddingBottom="$2">
      <MeasureStep
        label={t`There already`}
        unit={inWords}
        value={there}
        step={stepIn[unit]}
        least={0}
        most={listLimits.amount}
        onChange={onThere}
      />
      <NumberStep
        label={t`Price`}
        unit={t`for ${amountWords(shown.per, unit).replace(' ×', '')}`}
        value={shown.price}
        step={0.5}
        least={0}
        most={listLimits.price}
        onChange={(next) => onPrice({ ...shown, price: next })}
      />
      <MeasureStep
        label={t`So much for that price`}
        unit={inWords}
        value={shown.per}
        step={stepIn[unit]}
        least={1}
        most={listLimits.amount}
        onChange={(per) => onPrice({ ...shown, per })}
      />
    </View>
  );
}
