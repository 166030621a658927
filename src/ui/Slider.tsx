import { useTheme, View } from '@tamagui/core';
import { Body } from './text';

interface SliderProps {
  label: string;
  /** the value in words, as it is read out and shown */
  words: string;
  value: number;
  least: number;
  most: number;
  step: number;
  /** where real rounds or stitches lie between least and most */
  ticks: readonly number[];
  /** `first` for the first change of a drag */
  onChange: (value: number, first: boolean) => void;
}

/** A share to set by thumb or by the arrow keys, with a mark under it at every place there really is. */
export function Slider({ label, words, value, least, most, step, ticks, onChange }: SliderProps) {
  const theme = useTheme();
  const share = (at: number) => `${(100 * (at - least)) / (most - least)}%` as const;
  return (
    <View gap="$1">
      <View flexDirection="row" justifyContent="space-between" gap="$2" flexWrap="wrap">
        <Body fontWeight="700">{label}</Body>
        <Body>{words}</Body>
      </View>
      <SliderInput
        label={label}
        words={words}
        value={value}
        least={least}
        most={most}
        step={step}
        colour={theme.primary.val}
        onChange={onChange}
      />
      <View height={8} marginHorizontal={12} position="relative" aria-hidden>
        {ticks
          .filter((at) => at >= least && at <= most)
          .map((at) => (
            <View
              key={at}
              position="absolute"
              left={share(at)}
              width={1}
              height={8}
              backgroundColor="$quiet"
            />
          ))}
      </View>
    </View>
  );
}

function SliderInput({
  label,
  words,
  value,
  least,
  most,
  step,
  colour,
  onChange,
}: Omit<SliderProps, 'ticks'> & { colour: string }) {
  return (
    <input
      type="range"
      aria-label={label}
      aria-valuetext={words}
      min={least}
      max={most}
      step={step}
      value={value}
      data-held="no"
      style={{ width: '100%', height: 48, margin: 0, accentColor: colour, touchAction: 'pan-y' }}
      onPointerDown={(event) => {
        event.currentTarget.dataset.held = 'first';
      }}
      onPointerUp={(event) => {
        event.currentTarget.dataset.held = 'no';
      }}
      onChange={(event) => {
        const { dataset } = event.currentTarget;
        onChange(Number(event.currentTarget.value), dataset.held !== 'held');
        if (dataset.held === 'first') dataset.held = 'held';
      }}
    />
  );
}
