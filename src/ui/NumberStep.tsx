import { t } from '../core/words/language';
import { useState } from 'react';
import { TextInput } from 'react-native';
import { useTheme, View } from '@tamagui/core';
import { Row } from './layout';
import { Icon } from './Icon';
import { Press } from './Press';
import { Body } from './text';

interface NumberStepProps {
  label: string;
  unit: string;
  value: number;
  step: number;
  /** values to step through instead, in order; others can be written */
  steps?: readonly number[];
  least: number;
  most: number;
  onChange: (value: number) => void;
}

const rounded = (value: number) => Math.round(value * 100) / 100;

/** A number to set by thumb in steps, or to write. What is no number, or out of range, stays out. */
export function NumberStep({ label, unit, value, step, steps = [], least, most, onChange }: NumberStepProps) {
  const theme = useTheme();
  const [written, setWritten] = useState<string | null>(null);
  const put = (next: number) => onChange(Math.max(least, Math.min(most, rounded(next))));
  const take = (text: string) => {
    setWritten(text);
    const number = Number.parseFloat(text.replace(',', '.'));
    if (number >= least && number <= most) onChange(rounded(number));
  };
  const less = [...steps].reverse().find((one) => one < value) ?? value - step;
  const more = steps.find((one) => one > value) ?? value + step;
  return (
    <View gap="$1" role="group" aria-label={label}>
      <Body fontWeight="700">{label}</Body>
      <Row>
        <Press
          name={t`${label}: less`}
          icon={<Icon name="minus" />}
          disabled={value <= least}
          onPress={() => {
            setWritten(null);
            put(less);
          }}
        />
        <TextInput
          aria-label={t`${label}, in ${unit}`}
          inputMode="decimal"
          value={written ?? String(rounded(value))}
          onChangeText={take}
          onBlur={() => setWritten(null)}
          style={{
            width: 84,
            minHeight: 48,
            textAlign: 'center',
            fontFamily: 'BricolageGrotesque_700Bold',
            fontSize: 22,
            color: theme.color.val,
            backgroundColor: theme.sheet.val,
            borderColor: theme.edge.val,
            borderWidth: 1,
            borderRadius: 10,
          }}
        />
        <Body>{unit}</Body>
        <Press
          name={t`${label}: more`}
          icon={<Icon name="plus" />}
          disabled={value >= most}
          onPress={() => {
            setWritten(null);
            put(more);
          }}
        />
      </Row>
    </View>
  );
}
