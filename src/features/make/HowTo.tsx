import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import type { Technique } from '../../core/make/techniques';
import type { ToyHeader } from '../../core/notation/pattern';
import { OneOf } from '../../ui/Choice';
import { Row } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet } from '../../ui/text';
import { TechniqueDrawing } from './TechniqueDrawing';

interface HowToProps {
  techniques: readonly Technique[];
  header: ToyHeader;
  /** shown without being asked for */
  isOpen?: boolean;
}

/** How what a round asks for is done, drawn on its own stitches, step by step. */
export function HowTo({ techniques, header, isOpen = false }: HowToProps) {
  const [open, setOpen] = useState(isOpen);
  const [chosen, setChosen] = useState<string | null>(null);
  const [first] = techniques;
  if (!first) return null;
  const technique = techniques.find(({ kind }) => kind === chosen) ?? first;
  return (
    <View gap="$3">
      <Press label={open ? t`Close the drawing` : t`How is this done?`} onPress={() => setOpen(!open)} />
      {open ? (
        <View gap="$3" role="region" aria-label={technique.title}>
          {techniques.length > 1 ? (
            <OneOf
              column
              label={t`What of it?`}
              options={techniques.map(({ kind, title }) => [kind, title] as const)}
              chosen={technique.kind}
              onChoose={setChosen}
            />
          ) : (
            <Answer fontSize="$6" lineHeight="$6">
              {technique.title}
            </Answer>
          )}
          {technique.steps.map((step, i) => (
            <View key={step.words} gap="$2">
              <View borderRadius="$3" overflow="hidden" backgroundColor="$mat">
                <TechniqueDrawing technique={technique} step={step} hand={header.hand} header={header} />
              </View>
              <Body fontSize="$4">
                {i + 1}. {step.words}
              </Body>
            </View>
          ))}
          <Quiet>{t`Drawn as the work lies in your hands: the live edge up, the outside towards you.`}</Quiet>
          <Practice key={technique.kind} />
        </View>
      ) : null}
    </View>
  );
}

/** A counter for trying it on a scrap: it moves nothing in the toy. */
function Practice() {
  const [count, setCount] = useState(0);
  return (
    <Row gap="$3" alignItems="center">
      <Press
        grow
        label={t`One more tried`}
        name={t`Practice on a scrap: one more`}
        onPress={() => setCount(count + 1)}
      />
      <Answer role="status" aria-label={t`${count} tried`}>
        {count}
      </Answer>
      <Press
        label={t`From 0`}
        name={t`Practice: count from 0`}
        disabled={count === 0}
        onPress={() => setCount(0)}
      />
    </Row>
  );
}
