import { useState } from 'react';
import { View } from '@tamagui/core';
import { joinDirections } from '../../core/join/directions';
import type { Join } from '../../core/join/joined';
import { applyEdits } from '../../core/notation/applyEdits';
import { joinPart } from '../../core/toy/joinAll';
import { useToy } from '../../data/useToy';
import { Card } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet, Title } from '../../ui/text';
import { Problems } from '../part/Problems';
import { MovePads } from './MovePads';
import { useMove } from './useMove';

/** Where a unit goes, in numbers to count by; pads to move it, and the way of the needle. */
export function JoinCard({ join }: { join: Join }) {
  const { analysis, editor, text } = useToy();
  const [open, setOpen] = useState(false);
  const parts = analysis.parts.map((part) => joinPart(part));
  const { title, address, lines, pins, path } = joinDirections(join, analysis.joined, parts);
  const move = useMove(join.unit);
  return (
    <Card gap="$2" role="group" aria-label={title}>
      <Title render="h2" margin={0}>
        {title}
      </Title>
      <Answer role="status">{address}</Answer>
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
      <Problems problems={join.problems} onApply={({ edits }) => editor.step(applyEdits(text, edits))} />
      {move ? <MovePads move={move} of={title} /> : null}
      {path.length > 0 ? (
        <Press
          label={open ? 'Close the list' : `Sew it, stitch by stitch (${path.length})`}
          name={`${title}: ${open ? 'close the list' : 'sew it, stitch by stitch'}`}
          onPress={() => setOpen(!open)}
        />
      ) : null}
      {open ? <SewingList pins={pins} path={path} /> : null}
    </Card>
  );
}

/** The four pins, then every stitch of the edge. */
function SewingList({ pins, path }: { pins: readonly string[]; path: readonly string[] }) {
  return (
    <View gap="$2">
      {pins.length > 0 ? (
        <View gap="$1">
          <Body fontWeight="700">Pin first</Body>
          {pins.map((pin) => (
            <Body key={pin}>{pin}</Body>
          ))}
        </View>
      ) : null}
      <Body fontWeight="700">Edge stitch to wall</Body>
      <View render="ol" margin={0} padding={0} gap="$1" aria-label="Every stitch">
        {path.map((line) => (
          <View render="li" key={line} style={{ listStyleType: 'none' }}>
            <Body>{line}</Body>
          </View>
        ))}
      </View>
      <Quiet>Small parts can come off: sew all round twice and tug hard. Check local rules.</Quiet>
    </View>
  );
}
