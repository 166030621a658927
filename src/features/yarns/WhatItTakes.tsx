import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { suppliesOf, supplyLines, usualMargin } from '../../core/toy/supplies/suppliesOf';
import { toolLines } from '../../core/toy/supplies/tools';
import { nameOfToy } from '../../core/keep/toyCard';
import { useToy } from '../../data/useToy';
import { fileName } from '../../core/words/fileName';
import { saveFile } from '../../ui/files';
import { HowMany } from '../../ui/HowMany';
import { Icon } from '../../ui/Icon';
import { Card } from '../../ui/layout';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';

/** What so many toys take: yarn stitch for stitch, stuffing, what is bought by the piece. */
export function WhatItTakes() {
  const { analysis } = useToy();
  const [copies, setCopies] = useState(1);
  const [margin, setMargin] = useState(Math.round(usualMargin * 100));
  const supplies = suppliesOf(analysis, copies);
  const lines = supplyLines(supplies, margin / 100);
  const tools = toolLines(supplies.tools);
  if (lines.length === 0) return null;
  const save = () =>
    saveFile(
      `${fileName(nameOfToy(analysis))}-list.txt`,
      `${[nameOfToy(analysis), ...lines, ...tools].join('\n')}\n`,
      'text/plain',
    );
  return (
    <Card gap="$3">
      <Title render="h2" margin={0}>{t`What it takes`}</Title>
      <View gap="$1" role="list" aria-label={t`What it takes`}>
        {lines.map((line) => (
          <Body key={line} fontSize="$4" role="listitem">
            {line}
          </Body>
        ))}
      </View>
      <View gap="$1" role="list" aria-label={t`What it is made with`}>
        {tools.map((line) => (
          <Body key={line} role="listitem">
            {line}
          </Body>
        ))}
      </View>
      <Quiet>{t`Worked out stitch by stitch from your gauge, with ${margin} % to spare and all tails. Grams go by the ball’s band where the yarn line has it (“50 g, 85 m”), else by what such a yarn usually has.`}</Quiet>
      <HowMany toys={copies} onChange={setCopies} />
      <NumberStep
        label={t`To spare`}
        unit="%"
        value={margin}
        step={5}
        least={0}
        most={100}
        onChange={setMargin}
      />
      <Press label={t`Save the list`} icon={<Icon name="download" />} onPress={save} />
    </Card>
  );
}
