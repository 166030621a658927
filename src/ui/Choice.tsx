import { createFocusManager } from '@react-aria/focus';
import { useLayoutEffect, useRef, type KeyboardEvent, type ReactNode } from 'react';
import { View, type ViewProps } from '@tamagui/core';
import { Press } from './Press';
import { Quiet } from './text';

const steps: Record<string, 'focusNext' | 'focusPrevious' | 'focusFirst' | 'focusLast'> = {
  ArrowRight: 'focusNext',
  ArrowDown: 'focusNext',
  ArrowLeft: 'focusPrevious',
  ArrowUp: 'focusPrevious',
  Home: 'focusFirst',
  End: 'focusLast',
};

const isOption = (node: Element) => node.role === 'radio' || node.role === 'tab';
const isChosen = (node: Element) =>
  node.getAttribute('aria-checked') === 'true' || node.getAttribute('aria-selected') === 'true';

interface OptionsProps extends Omit<ViewProps, 'role' | 'ref' | 'onKeyDown'> {
  role?: 'radiogroup' | 'tablist';
  label: string;
  /** the option an arrow reaches is chosen at once; where a choice is a larger step it waits for Enter */
  follow?: boolean;
}

/** Holds options of which one is chosen. Only that one is a stop of the Tab key; arrows go from one to the next. */
export function Options({ role = 'radiogroup', label, follow = true, ...view }: OptionsProps) {
  const ref = useRef<HTMLElement | null>(null);
  useLayoutEffect(() => {
    const options = [...(ref.current?.querySelectorAll<HTMLElement>('[role=radio],[role=tab]') ?? [])];
    const stop = options.find(isChosen) ?? options[0];
    for (const option of options) option.tabIndex = option === stop ? 0 : -1;
  });
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const step = steps[event.key];
    const isHere = event.target instanceof Element && isOption(event.target);
    if (!step || !isHere || event.altKey || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    const reached = createFocusManager(ref)[step]({ wrap: true, accept: isOption });
    if (follow && reached instanceof HTMLElement) reached.click();
  };
  return <View {...view} role={role} aria-label={label} {...({ ref, onKeyDown } as object)} />;
}

interface ChoiceProps {
  label: string;
  /** the options stand in as many lines as they need */
  wraps?: boolean;
  /** the label is said, and not shown */
  unlabelled?: boolean;
  /** one below the other */
  column?: boolean;
  children: ReactNode;
}

/** Several options of which one holds, under their label. */
export function Choice({ label, wraps = false, unlabelled = false, column = false, children }: ChoiceProps) {
  return (
    <Options label={label} gap="$1">
      {unlabelled ? null : <Quiet>{label}</Quiet>}
      <View flexDirection={column ? 'column' : 'row'} flexWrap={wraps ? 'wrap' : 'nowrap'} gap="$2">
        {children}
      </View>
    </Options>
  );
}

export interface OneOfProps<Value extends string> extends Omit<ChoiceProps, 'children'> {
  options: readonly (readonly [value: Value, name: string])[];
  chosen: Value | null;
  onChoose: (value: Value) => void;
}

/** One of a few, each a button. */
export function OneOf<Value extends string>({ options, chosen, onChoose, ...of }: OneOfProps<Value>) {
  const loose = of.wraps || of.column;
  return (
    <Choice {...of}>
      {options.map(([value, name]) => (
        <Press
          key={value}
          grow={!loose}
          tight={of.wraps}
          role="radio"
          label={name}
          chosen={chosen === value}
          onPress={() => onChoose(value)}
        />
      ))}
    </Choice>
  );
}
