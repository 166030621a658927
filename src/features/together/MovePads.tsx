import type { JoinStep } from '../../core/join/move';
import { Icon } from '../../ui/Icon';
import { Row } from '../../ui/layout';
import { Press } from '../../ui/Press';
import type { Move } from './useMove';

const steps: readonly {
  step: JoinStep;
  icon: 'up' | 'down' | 'closer' | 'wider';
  name: string;
  pairs: boolean;
}[] = [
  { step: 'up', icon: 'up', name: 'One round up', pairs: false },
  { step: 'down', icon: 'down', name: 'One round down', pairs: false },
  { step: 'nearer', icon: 'closer', name: 'One stitch nearer to the front', pairs: true },
  { step: 'further', icon: 'wider', name: 'One stitch further from the front', pairs: true },
];

/** Pads that move a unit by whole rounds and stitches. `of`: the unit, as it is said aloud. */
export function MovePads({ move, of }: { move: Move; of: string }) {
  return (
    <Row>
      {steps
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
