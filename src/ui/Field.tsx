import { TextInput, useColorScheme } from 'react-native';
import { useTheme, View } from '@tamagui/core';
import { Body } from './text';

interface FieldProps {
  label: string;
  value: string;
  onChange: (text: string) => void;
  multiline?: boolean;
  placeholder?: string;
  hideLabel?: boolean;
  onDone?: () => void;
}

/** A labelled place to write. */
export function Field({
  label,
  value,
  onChange,
  multiline = false,
  placeholder,
  hideLabel = false,
  onDone,
}: FieldProps) {
  const theme = useTheme();
  const scheme = useColorScheme();
  return (
    <View gap="$1" flexGrow={multiline ? 1 : 0} flexShrink={1} minHeight={multiline ? 220 : undefined}>
      {hideLabel ? null : <Body fontWeight="700">{label}</Body>}
      <TextInput
        aria-label={label}
        value={value}
        onChangeText={onChange}
        multiline={multiline}
        placeholder={placeholder}
        placeholderTextColor={theme.quiet.val}
        onSubmitEditing={multiline ? undefined : onDone}
        spellCheck={false}
        autoCorrect={false}
        style={{
          fontFamily: 'AtkinsonHyperlegibleNext_400Regular',
          fontSize: 17,
          lineHeight: 26,
          color: theme.color.val,
          backgroundColor: theme.sheet.val,
          borderColor: theme.edge.val,
          borderWidth: 1,
          borderRadius: 10,
          padding: 12,
          minHeight: 48,
          ...(multiline
            ? { flexGrow: 1, flexShrink: 1, minHeight: 220, textAlignVertical: 'top' as const }
            : {}),
          ...({ colorScheme: scheme ?? 'light' } as object),
        }}
      />
    </View>
  );
}
