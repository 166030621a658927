import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import type { JoinStep } from '../../core/join/move';
import type { StanceStep } from '../../core/join/stance';
import { Icon } from '../../ui/Icon';
import { Row } from '../../ui/layout';
import { Press } from '../../ui/Press';
import type { Move, Stance } from './useMove';

interface MovePad {
  step: JoinStep;
  icon: 'up' | 'down' | 'closer' | 'wider' | 'back' | 'next';
  name: string;
  pairs: boolean;
}

const steps: readonly MovePad[] = [
  { step: 'up', icon: 'up', name: t`One round up`, pairs: false },
  { step: 'down', icon: 'down', name: t`One round down`, pairs: false },
  { step: 'nearer', icon: 'closer', name: t`One stitch nearer to the front`, pairs: true },
  { step: 'further', icon: 'wider', name: t`One stitch further from the front`, pairs: true },
];

/** On a part that lies on its side its rounds go from left to right. */
const lyingSteps: readonly MovePad[] = [
  { step: 'up', icon: 'up', name: t`One stitch up`, pairs: false },
  { step: 'down', icon: 'down', name: t`One stitch down`, pairs: false },
  { step: 'left', icon: 'back', name: t`One round to the left`, pairs: false },
  { step: 'right', icon: 'next', name: t`One round to the right`, pairs: false },
];

/** Pads that move a unit by whole rounds and stitches. `of`: the unit, as it is said aloud. */
export function MovePads({ move, of }: { move: Move; of: string }) {
  return (
    <Row>
      {(move.lying ? lyingSteps : steps)
        .filter(({ pairs }) => !pairs || move.paired)
        .map(({ step, icon, name }) => (
          <Press
            key={step}
            grow
            name={`${of}: ${name.toLowerCase()}`}
            icon={<Icon name={icon} />}
            disabled={!move.can(step)}
            onPress={() => move.go(step)}
          />
        ))}
    </Row>
  );
}

interface StancePad {
  step: StanceStep;
  icon: 'turn-left' | 'turn-right' | 'droop' | 'raise' | 'to-you' | 'from-you';
  label: string;
  name: string;
}

const turns: readonly StancePad[] = [
  { step: 'turn-left', icon: 'turn-left', label: t`Turn`, name: t`turn it anticlockwise` },
  { step: 'turn-right', icon: 'turn-right', label: t`Turn`, name: t`turn it clockwise` },
];
const tilts: readonly StancePad[] = [
  { step: 'droop', icon: 'droop', label: t`Lower`, name: t`its end lower` },
  { step: 'raise', icon: 'raise', label: t`Higher`, name: t`its end higher` },
  { step: 'forward', icon: 'to-you', label: t`Forward`, name: t`its end further to the front` },
  { step: 'backward', icon: 'from-you', label: t`Back`, name: t`its end further to the back` },
];

/** Pads that turn a unit where it stands and move its far end, behind a button of their own. `of`: the unit, as it is said aloud. */
export function StancePads({ stance, of }: { stance: Stance; of: string }) {
  const [open, setOpen] = useState(false);
  const pads = (row: readonly StancePad[]) => (
    <Row>
      {row.map(({ step, icon, label, name }) => (
        <Press
          key={step}
          grow
          stacked
          tight
          label={label}
          name={`${of}: ${name}`}
          icon={<Icon name={icon} />}
          onPress={() => stance.go(step)}
        />
      ))}
    </Row>
  );
  return (
    <View gap="$2">
      <Press
        tone="quiet"
        label={open ? t`Done turning` : stance.turns ? t`Turn it or tilt it` : t`Tilt it`}
        name={`${of}: ${open ? t`close the pads that turn it` : t`turn it or tilt it`}`}
        onPress={() => setOpen(!open)}
      />
      {open && stance.turns ? pads(turns) : null}
      {open ? pads(tilts) : null}
    </View>
  );
}
