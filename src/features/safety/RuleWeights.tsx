import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { audienceSaid, type Audience } from '../../core/safety/audience';
import { changedRules, shippedRules, type RuleCode, type Weight } from '../../core/safety/ruleBook';
import { useRules } from '../../data/rules';
import { OneOf } from '../../ui/Choice';
import { cardGrid } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Body, Quiet } from '../../ui/text';

const weightWords: Readonly<Record<Weight, string>> = {
  stop: t`Stop`,
  look: t`Look`,
  note: t`Note`,
  none: t`Nothing`,
};
const weights = (Object.keys(weightWords) as Weight[]).map(
  (weight) => [weight, weightWords[weight]] as const,
);

/** One rule: what it is about, who says so, and how much it weighs for those the toy is for. */
function RuleRow({ code, audience }: { code: RuleCode; audience: Audience }) {
  const { book, keep } = useRules();
  const rule = book.rules[code];
  const shipped = shippedRules.rules[code];
  const isChanged = changedRules(book).includes(`rules.${code}.weights.${audience}`);
  const put = (weight: Weight) =>
    keep({
      ...book,
      rules: { ...book.rules, [code]: { ...rule, weights: { ...rule.weights, [audience]: weight } } },
    });
  return (
    <View gap="$1">
      <OneOf wraps label={rule.name} options={weights} chosen={rule.weights[audience]} onChoose={put} />
      <Quiet>{rule.source}</Quiet>
      {isChanged ? <Quiet>{t`Changed; it came as ${weightWords[shipped.weights[audience]]}.`}</Quiet> : null}
    </View>
  );
}

/** How much each rule weighs, for whom the toy is: hers to change. */
export function RuleWeights({ audience }: { audience: Audience | null }) {
  const { book } = useRules();
  const [open, setOpen] = useState(false);
  const who = audience ?? '3-and-over';
  if (!open) return <Press label={t`How much each rule weighs`} onPress={() => setOpen(true)} />;
  return (
    <View gap="$4">
      <Body>{t`For ${audienceSaid[who]}. “Stop” stops the toy, “Look” is to be looked at, “Note” is told.`}</Body>
      <View gap="$4" style={cardGrid}>
        {(Object.keys(book.rules) as RuleCode[]).map((code) => (
          <RuleRow key={code} code={code} audience={who} />
        ))}
      </View>
      <Press label={t`Close the rules`} onPress={() => setOpen(false)} />
    </View>
  );
}
