import { useState } from 'react';
import { View } from '@tamagui/core';
import { joinDirections } from '../../core/join/directions';
import type { Join, JoinPart, UnitRef } from '../../core/join/joined';
import { rewriteJoin, stepJoin, type JoinedNow, type JoinStep } from '../../core/join/move';
import { stitchAtAzimuth } from '../../core/shape/azimuth';
import { applyEdits } from '../../core/notation/applyEdits';
import { roundCount } from '../../core/fabric/fabric';
import { analyseToy, type ToyAnalysis } from '../../core/toy/analyse';
import { joinPart } from '../../core/toy/joinAll';
import { useToy } from '../../data/useToy';
import { Card, Row } from '../../ui/layout';
import { Icon } from '../../ui/Icon';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet, Title } from '../../ui/text';
import { Problems } from '../part/Problems';

const steps: readonly {
  step: JoinStep;
  icon: 'up' | 'down' | 'minus' | 'plus';
  name: string;
  pairs: boolean;
}[] = [
  { step: 'up', icon: 'up', name: 'One round up', pairs: false },
  { step: 'down', icon: 'down', name: 'One round down', pairs: false },
  { step: 'nearer', icon: 'minus', name: 'One stitch nearer to the front', pairs: true },
  { step: 'further', icon: 'plus', name: 'One stitch further from the front', pairs: true },
];

/** Where a unit goes, in numbers to count by; pads to move it, and the way of the needle. */
export function JoinCard({ join }: { join: Join }) {
  const { analysis, editor, text } = useToy();
  const [open, setOpen] = useState(false);
  const parts = analysis.parts.map((part) => joinPart(part));
  const { title, address, lines, pins, path } = joinDirections(join, analysis.joined, parts);
  const move = useMove(join);
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
      {move ? (
        <Row>
          {steps
            .filter(({ pairs }) => !pairs || move.paired)
            .map(({ step, icon, name }) => (
              <Press
                key={step}
                grow
                name={`${title}: ${name.toLowerCase()}`}
                icon={<Icon name={icon} />}
                disabled={!move.can(step)}
                onPress={() => move.go(step)}
              />
            ))}
        </Row>
      ) : null}
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

/** A join where steps can move it. */
interface Movable {
  sentence: Join['sentence'];
  wall: JoinPart;
  now: JoinedNow;
}

/** Where the sentence of a unit has it in a toy; null where its place can't be moved by steps. */
function movable({ joined, parts }: ToyAnalysis, { part, unit }: UnitRef): Movable | null {
  const join = joined.joins.find((one) => one.unit.part === part && one.unit.unit === unit);
  const found = join && parts.find(({ source }) => source.id === join.on.part);
  if (!join || join.asWritten || !found || join.round === null || join.stitch === null) return null;
  const wall = joinPart(found);
  const { fabric, starts } = wall;
  const index = Math.max(1, fabric.label.indexOf(Math.round(join.round)) + 1);
  const front = stitchAtAzimuth(fabric, starts, index, joined.fronts.get(join.on.part) ?? wall.front);
  const count = roundCount(fabric, index);
  const off = Math.abs(join.stitch - front) % count;
  const mates = joined.joins.filter(({ sentence }) => sentence === join.sentence);
  const paired = mates.length === 2 && mates.every((mate) => mate.unit.side !== null);
  return {
    sentence: join.sentence,
    wall,
    now: {
      round: join.round,
      fromFront: Math.min(off, count - off),
      paired,
      azimuths: mates.map(({ centre }) => centre?.azimuth ?? 0),
    },
  };
}

/** What the pads of a card do. A thumb may be faster than the screen: each tap goes on from the text as it is then. */
function useMove({ unit }: Join) {
  const { analysis, editor } = useToy();
  const shown = movable(analysis, unit);
  if (!shown) return null;
  return {
    paired: shown.now.paired,
    can: (step: JoinStep) => stepJoin(shown.sentence, shown.wall, shown.now, step) !== null,
    go: (step: JoinStep) => {
      const { text } = editor.store.getState();
      const here = movable(analyseToy(text), unit);
      const next = here && stepJoin(here.sentence, here.wall, here.now, step);
      if (here && next) editor.step(applyEdits(text, [rewriteJoin(here.sentence, next)]));
    },
  };
}
