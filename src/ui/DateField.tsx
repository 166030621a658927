import { createElement, useId } from 'react';
import { useColorScheme } from 'react-native';
import { useTheme, View } from '@tamagui/core';
import { Body } from './text';

interface DateFieldProps {
  label: string;
  /** as `2026-12-05` */
  value: string;
  onChange: (date: string) => void;
}

/** A day, by the browser's own calendar. */
export function DateField({ label, value, onChange }: DateFieldProps) {
  const id = useId();
  const theme = useTheme();
  const scheme = useColorScheme();
  return (
    <View gap="$1">
      {createElement('label', { htmlFor: id }, <Body fontWeight="700">{label}</Body>)}
      {createElement('input', {
        id,
        type: 'date',
        value,
        onChange: ({ target }: { target: HTMLInputElement }) => onChange(target.value),
        style: {
          fontFamily: 'AtkinsonHyperlegibleNext_400Regular',
          fontSize: 17,
          color: theme.color.val,
          backgroundColor: theme.sheet.val,
          border: `1px solid ${theme.edge.val}`,
          borderRadius: 10,
          padding: '0 12px',
          minHeight: 48,
          alignSelf: 'flex-start',
          colorScheme: scheme ?? 'light',
        },
      })}
    </View>
  );
}
