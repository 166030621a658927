import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import { useState } from 'react';
import { lineDirections, lineHeading, lineHoles } from '../../core/place/words/lineWords';
import type { PartAnalysis } from '../../core/toy/analyse';
import { Card } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Answer, Body, Title } from '../../ui/text';

/** One line: where it runs, how to follow it on the piece, and every hole by its number. */
function LineCard({ part, line }: { part: PartAnalysis; line: PartAnalysis['lines'][number] }) {
  const [open, setOpen] = useState(false);
  return (
    <Card gap="$2">
      <Answer fontSize="$5" lineHeight="$5">
        {lineHeading(part.fabric, line)}
      </Answer>
      <Body>{lineDirections(part.fabric, line)}</Body>
      <Press label={open ? t`Hide the holes` : t`Every hole by its number`} onPress={() => setOpen(!open)} />
      {open ? (
        <View render="ol" margin={0} padding={0} aria-label={t`Holes in their order`}>
          {lineHoles(part.fabric, line).map((hole) => (
            <View render="li" key={hole} style={{ listStyleType: 'none' }}>
              <Body>{hole}</Body>
            </View>
          ))}
        </View>
      ) : null}
    </Card>
  );
}

/** What is worked along lines of the finished piece: crests, manes, spines. */
export function SurfaceLines({ part }: { part: PartAnalysis }) {
  if (part.lines.length === 0) return null;
  return (
    <View gap="$3">
      <Title render="h2" margin={0}>{t`On the finished piece`}</Title>
      {part.lines.map((line) => (
        <LineCard
          key={`${line.sentence.line} ${line.sentence.span.from} ${line.along}`}
          part={part}
          line={line}
        />
      ))}
    </View>
  );
}
