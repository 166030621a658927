import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { audienceSaid, type Audience } from '../../core/safety/audience';
import {
  changedRules,
  readRuleBook,
  shippedRules,
  writeRuleBook,
  type Figures,
  type RuleCode,
} from '../../core/safety/ruleBook';
import { useRules } from '../../data/rules';
import { openText, saveFile } from '../../ui/files';
import { Icon } from '../../ui/Icon';
import { Card, cardGrid } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Quiet, Title } from '../../ui/text';
import { RuleWeights } from './RuleWeights';

const figures: readonly (readonly [
  key: keyof Figures,
  label: string,
  unit: string,
  step: number,
  most: number,
])[] = [
  ['cylinderWidthMm', t`Small parts: width of the cylinder`, 'mm', 0.1, 200],
  ['cylinderDepthMm', t`Small parts: its depth where it is most`, 'mm', 0.1, 400],
  ['cylinderLeastDepthMm', t`Its depth where it is least`, 'mm', 0.1, 200],
  ['cordMm', t`Longest free cord`, 'mm', 10, 5000],
  ['loopMm', t`Widest loop, all round`, 'mm', 10, 5000],
  ['pullN', t`Pull for a try`, 'N', 5, 1000],
  ['pullSmallN', t`Pull for what is small`, 'N', 5, 1000],
  ['smallMm', t`Small is up to`, 'mm', 1, 100],
  ['seamN', t`Pull for a seam`, 'N', 5, 1000],
  ['pullSeconds', t`For how long`, t`seconds`, 1, 600],
  ['fewStitches', t`A join is thin under`, t`stitches`, 1, 100],
];

/** Rules handed on as a file, taken from one, or set back. */
function RuleFiles() {
  const { book, keep } = useRules();
  const [said, setSaid] = useState<string | null>(null);
  const changed = changedRules(book);
  const bring = async () => {
    try {
      const file = await openText();
      if (!file) return;
      const read = readRuleBook(file.text);
      setSaid(read.ok ? t`These rules hold from now on.` : read.message);
      if (read.ok) keep(read.book);
    } catch (reason) {
      setSaid(reason instanceof Error ? reason.message : t`This file can’t be opened.`);
    }
  };
  return (
    <>
      {said ? (
        <Notice tone="plain" live>
          {said}
        </Notice>
      ) : null}
      <View flexDirection="row" flexWrap="wrap" gap="$2">
        <Press
          label={t`Save as a file`}
          icon={<Icon name="download" />}
          onPress={() => saveFile('hoppla-rules.json', writeRuleBook(book), 'application/json')}
        />
        <Press label={t`Take from a file`} onPress={() => void bring()} />
        <Press label={t`As they came`} disabled={changed.length === 0} onPress={() => keep(null)} />
      </View>
    </>
  );
}

/** What differs, in words: a figure by its label, a rule by its name and for whom. */
function changedWords(changed: readonly string[]): string[] {
  const words = changed.map((path) => {
    const [kind, key = '', what, who] = path.split('.');
    if (kind === 'figures') return figures.find(([figure]) => figure === key)?.[1] ?? key;
    const name = Object.hasOwn(shippedRules.rules, key) ? shippedRules.rules[key as RuleCode].name : key;
    return what === 'weights' ? `${name} (${audienceSaid[who as Audience]})` : t`${name}, its words`;
  });
  return [...new Set(words)];
}

/** The figures that screening goes by: hers to change, to hand on, and to set back. */
export function RuleFigures({ audience }: { audience: Audience | null }) {
  const { book, keep, failed } = useRules();
  const changed = changedRules(book);
  return (
    <Card gap="$4">
      <Title render="h2" margin={0}>{t`The figures`}</Title>
      <Quiet>{t`Taken from ${shippedRules.rules['pressed-part'].source}. Change them where your law says otherwise.`}</Quiet>
      {failed ? (
        <Notice tone="wrong">{t`the change is not kept: this browser’s storage is full or shut.`}</Notice>
      ) : null}
      <View gap="$4" style={cardGrid}>
        {figures.map(([key, label, unit, step, most]) => (
          <View key={key} gap="$1">
            <NumberStep
              label={label}
              unit={unit}
              value={book.figures[key]}
              step={step}
              least={1}
              most={most}
              onChange={(value) =>
                keep({
                  ...book,
                  figures: { ...book.figures, [key]: key === 'fewStitches' ? Math.round(value) : value },
                })
              }
            />
            {changed.includes(`figures.${key}`) ? (
              <Quiet>{t`Changed; it came as ${shippedRules.figures[key]} ${unit}.`}</Quiet>
            ) : null}
          </View>
        ))}
      </View>
      <RuleWeights audience={audience} />
      {changed.length > 0 ? (
        <Quiet>{t`Differs from how it came: ${changedWords(changed).join('; ')}.`}</Quiet>
      ) : null}
      <RuleFiles />
    </Card>
  );
}
