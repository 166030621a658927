import type { ReactNode } from 'react';
import { View } from '@tamagui/core';
import { largestEyeMm, nextSize, ringMm, smallestEyeMm, soldEyesMm } from '../../core/place/rule/hardware';
import type { PartAnalysis } from '../../core/toy/analyse';
import { useApartHabit } from '../../data/habits';
import { useToy } from '../../data/useToy';
import { Choice, OneOf } from '../../ui/Choice';
import { Icon } from '../../ui/Icon';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Body, Quiet } from '../../ui/text';
import { FeatureGoesBy } from './GoesBy';
import { usePartEdits } from './usePartEdits';

/** Where round 1 is on the finished toy. */
function startOf({ lying, start }: PartAnalysis['source']): 'top' | 'bottom' | 'left' | 'right' {
  if (!lying) return start;
  return start === 'top' ? 'left' : 'right';
}

/** Buttons beside each other under what they are about. */
function Beside({ label, children }: { label: string; children: ReactNode }) {
  return (
    <View gap="$1" role="group" aria-label={label}>
      <Quiet>{label}</Quiet>
      <View flexDirection="row" gap="$2">
        {children}
      </View>
    </View>
  );
}

/** What changes less often: size, seat, the front, and how the piece is worked. */
export function EyeSettings({ part }: { part: PartAnalysis }) {
  const edits = usePartEdits(part);
  const { analysis } = useToy();
  const { eyes, source } = part;
  const { hand, apart: said } = analysis.pattern.header;
  const { habit } = useApartHabit();
  const apart = said ?? habit;
  const sizeMm = eyes?.rule.sizeMm ?? smallestEyeMm;
  return (
    <View gap="$3">
      {eyes ? (
        <>
          <Beside label="Size of the eyes">
            <Press
              name="Smaller eyes"
              icon={<Icon name="minus" />}
              disabled={sizeMm <= smallestEyeMm}
              onPress={() =>
                edits.change((rule) => ({
                  ...rule,
                  sizeMm: nextSize(soldEyesMm, rule.sizeMm ?? 0, -1) ?? rule.sizeMm,
                }))
              }
            />
            <View flexGrow={1} alignItems="center" justifyContent="center">
              <Body fontWeight="700">
                {sizeMm} mm, washer about {eyes.washerMm} mm
              </Body>
            </View>
            <Press
              name="Larger eyes"
              icon={<Icon name="plus" />}
              disabled={sizeMm >= largestEyeMm}
              onPress={() =>
                edits.change((rule) => ({
                  ...rule,
                  sizeMm: nextSize(soldEyesMm, rule.sizeMm ?? 0, 1) ?? rule.sizeMm,
                }))
              }
            />
          </Beside>
          <Choice label="How they look">
            <Press
              grow
              role="radio"
              label="Round"
              chosen={!eyes.rule.style}
              onPress={() => edits.change((rule) => ({ ...rule, style: null }))}
            />
            <Press
              grow
              role="radio"
              label="Oval"
              chosen={eyes.rule.style === 'oval'}
              onPress={() => edits.change((rule) => ({ ...rule, style: 'oval' }))}
            />
            <Press grow role="radio" label="Stitched" onPress={() => edits.stitchEyes('satin')} />
            <Press grow role="radio" label="Sleeping" onPress={() => edits.stitchEyes('sleeping')} />
          </Choice>
          <Choice label="A ring behind them">
            <Press
              grow
              role="radio"
              name="No rings"
              label="None"
              chosen={!eyes.rule.ring}
              onPress={() => edits.change(({ ring: _ring, ...rule }) => rule)}
            />
            {(['felt', 'crochet'] as const).map((of) => (
              <Press
                key={of}
                grow
                role="radio"
                name={of === 'felt' ? 'Felt rings' : 'Crocheted rings'}
                label={of === 'felt' ? 'Felt' : 'Crocheted'}
                chosen={eyes.rule.ring?.of === of}
                onPress={() =>
                  edits.change((rule) => ({
                    ...rule,
                    ring: { of, sizeMm: rule.ring?.sizeMm ?? ringMm(rule.sizeMm ?? smallestEyeMm) },
                  }))
                }
              />
            ))}
          </Choice>
          {eyes.rule.ring ? (
            <NumberStep
              label="The rings across"
              unit="mm"
              value={eyes.rule.ring.sizeMm}
              step={1}
              least={4}
              most={60}
              onChange={(across) =>
                edits.change((rule) =>
                  rule.ring ? { ...rule, ring: { ...rule.ring, sizeMm: across } } : rule,
                )
              }
            />
          ) : null}
          <FeatureGoesBy part={part} feature={eyes} />
          <OneOf
            label="Where the post goes through"
            options={[
              ['foot', 'Hole at a stitch’s foot'],
              ['split', 'Between two stitches'],
            ]}
            chosen={eyes.seat}
            onChoose={edits.seatIn}
          />
          <OneOf
            label="When you say “8 apart” you count"
            options={[
              ['posts', 'Post to post'],
              ['showing', 'What shows'],
            ]}
            chosen={apart}
            onChoose={edits.apartMeans}
          />
          <Beside label={source.front ? 'The front, as you set it' : 'The front, opposite the round start'}>
            {(part.map.lying ? ['down', 'up'] : ['left', 'right']).map((way, i) => (
              <Press
                key={way}
                grow
                name={`Turn the front half a stitch ${part.map.lying ? way : `to the ${way}`}`}
                label={`½ ${way}`}
                onPress={() => edits.turnFront(i === 0 ? -1 : 1)}
              />
            ))}
            <Press grow label="Opposite start" disabled={!source.front} onPress={edits.resetFront} />
          </Beside>
        </>
      ) : null}
      <OneOf
        label="You crochet"
        options={[
          ['right', 'Right-handed'],
          ['left', 'Left-handed'],
        ]}
        chosen={hand}
        onChoose={edits.hand}
      />
      <Choice label="On the finished toy, round 1 is">
        {(['top', 'bottom', 'left', 'right'] as const).map((place) => (
          <Press
            key={place}
            grow
            tight
            role="radio"
            name={`At the ${place}`}
            label={place[0]?.toUpperCase() + place.slice(1)}
            chosen={startOf(source) === place}
            onPress={() => edits.start(place)}
          />
        ))}
      </Choice>
      {eyes ? (
        <Press tone="danger" label="Take the eyes off" onPress={() => edits.dropFeature('eyes')} />
      ) : null}
    </View>
  );
}
