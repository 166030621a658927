import { t } from '../../core/words/language';
import { sayTerm } from '../../core/words/said';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { joinDirections, ledgerSaid } from '../../core/join/directions';
import { joinPicture } from '../../core/join/joinPicture';
import type { Join } from '../../core/join/joined';
import { applyEdits } from '../../core/notation/applyEdits';
import { joinPart } from '../../core/toy/joinAll';
import { writeLedgerRound } from '../../core/edit/ledgerRound';
import { schoolWords } from '../../core/toy/seams';
import { useToy } from '../../data/useToy';
import { Card } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet, Title } from '../../ui/text';
import { Problems } from '../part/Problems';
import { JoinDrawing } from './JoinDrawing';
import { MovePads } from './MovePads';
import { useMove } from './useMove';

/** Which of several rounds. */
const ways = ['second', 'third'] as const;

/** Where a unit goes, in numbers to count by; pads to move it, and the way of the needle. */
export function JoinCard({ join }: { join: Join }) {
  const { analysis, editor, text } = useToy();
  const [open, setOpen] = useState(false);
  const parts = analysis.parts.map((part) => joinPart(part));
  const { title, address, lines, pins, path } = joinDirections(join, analysis.joined, parts);
  const picture = open ? joinPicture(join, analysis.joined, parts) : null;
  const move = useMove(join.unit);
  const canOpen = path.length > 0 || join.centre !== null || join.ledger !== null;
  const isWorked = join.kind === 'worked-on';
  const opening =
    path.length === 0
      ? t`Show it drawn`
      : isWorked
        ? t`Work it, stitch by stitch (${path.length})`
        : t`Sew it, stitch by stitch (${path.length})`;
  const closing = path.length === 0 ? t`Close the drawing` : t`Close the list`;
  const way = schoolWords(join, analysis);
  return (
    <Card gap="$2" role="group" aria-label={title}>
      <Title render="h2" margin={0}>
        {title}
      </Title>
      <Answer role="status">{address}</Answer>
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
      {open && way ? <Body>{way}</Body> : null}
      <Problems problems={join.problems} onApply={({ edits }) => editor.step(applyEdits(text, edits))} />
      {move ? <MovePads move={move} of={title} /> : null}
      {join.kind === 'no-sew' && join.ledger && !join.asWritten ? <WriteRound join={join} /> : null}
      {canOpen ? (
        <Press
          label={open ? closing : opening}
          name={`${title}: ${(open ? closing : opening).toLowerCase().replace(/ \(\d+\)$/, '')}`}
          onPress={() => setOpen(!open)}
        />
      ) : null}
      {open && picture ? <JoinDrawing picture={picture} name={title} /> : null}
      {open && path.length > 0 ? (
        <SewingList pins={pins} path={path} isSewn={join.kind !== 'worked-on'} />
      ) : null}
    </Card>
  );
}

/** Puts the round as it is worked, parts and all, into the pattern: from then on it is hers to change. Others as good stand below it. */
function WriteRound({ join }: { join: Join }) {
  const { analysis, editor } = useToy();
  const [why, setWhy] = useState<string | null>(null);
  const { unit, round, ledger, otherLedgers } = join;
  const write = (chosen: Join['ledger'] | Join['otherLedgers'][number]) => {
    const written = writeLedgerRound(analysis, join, chosen);
    if (written.ok) editor.step(written.text);
    else setWhy(written.why);
  };
  return (
    <View gap="$2">
      <Press
        label={t`Write it into round ${round ?? ''}`}
        name={t`${unit.name}: write it into round ${round ?? ''} of the pattern`}
        onPress={() => write(ledger)}
      />
      {otherLedgers.length > 0 ? <Body>{t`As good, or nearly:`}</Body> : null}
      {otherLedgers.map((other, i) => (
        <View key={ledgerSaid(other, analysis.joined)} gap="$1">
          <Body>{ledgerSaid(other, analysis.joined)}</Body>
          <Press
            label={t`Write this one instead`}
            name={t`${unit.name}: write round ${round ?? ''} the ${sayTerm(ways[i] ?? 'other')} way`}
            onPress={() => write(other)}
          />
        </View>
      ))}
      {why ? <Body role="alert">{why}</Body> : null}
    </View>
  );
}

/** The four pins, then every stitch of the edge. */
function SewingList({
  pins,
  path,
  isSewn,
}: {
  pins: readonly string[];
  path: readonly string[];
  isSewn: boolean;
}) {
  return (
    <View gap="$2">
      {pins.length > 0 ? (
        <View gap="$1">
          <Body fontWeight="700">{t`Pin first`}</Body>
          {pins.map((pin) => (
            <Body key={pin}>{pin}</Body>
          ))}
        </View>
      ) : null}
      <Body fontWeight="700">{isSewn ? t`Edge stitch to wall` : t`Stitch by stitch`}</Body>
      <View render="ol" margin={0} padding={0} gap="$1" aria-label={t`Every stitch`}>
        {path.map((line) => (
          <View render="li" key={line} style={{ listStyleType: 'none' }}>
            <Body>{line}</Body>
          </View>
        ))}
      </View>
      {isSewn ? (
        <Quiet>{t`Small parts can come off: sew all round twice and tug hard. Check local rules.`}</Quiet>
      ) : null}
    </View>
  );
}
