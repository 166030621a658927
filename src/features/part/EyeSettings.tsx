import { t, tAs } from '../../core/words/language';
import { sayTerm } from '../../core/words/said';
import type { ReactNode } from 'react';
import { View } from '@tamagui/core';
import { largestEyeMm, nextSize, ringMm, smallestEyeMm, soldEyesMm } from '../../core/place/rule/hardware';
import type { FeaturePlacement } from '../../core/place/resolve/placement';
import { isSewnStyle } from '../../core/notation/sentence/said';
import { hasPost } from '../../core/place/rule/rule';
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
const placeNames = { top: t`Top`, bottom: t`Bottom`, left: t`Left`, right: t`Right` } as const;

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

const eyeKinds = [
  ['pressed', t`Pressed in`],
  ['felt', t`Felt`],
  ['crochet', t`Crocheted`],
  ['button', t`Buttons`],
] as const;
/** What is cut or crocheted is no wider. */
const widestSewnMm = 80;

interface OfEyes {
  part: PartAnalysis;
  eyes: FeaturePlacement;
}

/** Smaller or larger: pressed eyes in the sizes they are sold in, sewn ones by a millimetre. */
function EyeSize({ part, eyes }: OfEyes) {
  const edits = usePartEdits(part);
  const isPressed = hasPost(eyes.rule);
  const sizeMm = eyes.rule.sizeMm ?? smallestEyeMm;
  const most = isPressed ? largestEyeMm : widestSewnMm;
  const step = (by: 1 | -1) =>
    edits.change((rule) => {
      const was = rule.sizeMm ?? smallestEyeMm;
      const next = isPressed ? nextSize(soldEyesMm, was, by) : was + by;
      return { ...rule, sizeMm: next ?? was };
    });
  return (
    <Beside label={t`Size of the eyes`}>
      <Press
        name={t`Smaller eyes`}
        icon={<Icon name="minus" />}
        disabled={sizeMm <= smallestEyeMm}
        onPress={() => step(-1)}
      />
      <View flexGrow={1} alignItems="center" justifyContent="center">
        <Body fontWeight="700">
          {isPressed ? t`${sizeMm} mm, washer about ${eyes.washerMm} mm` : t`${sizeMm} mm across, sewn on`}
        </Body>
      </View>
      <Press
        name={t`Larger eyes`}
        icon={<Icon name="plus" />}
        disabled={sizeMm >= most}
        onPress={() => step(1)}
      />
    </Beside>
  );
}

/** Pressed ones round or oval; or stitched instead. */
function EyeLook({ part, eyes }: OfEyes) {
  const edits = usePartEdits(part);
  const { style } = eyes.rule;
  const shapes = hasPost(eyes.rule)
    ? ([
        [null, tAs('shape')`Round`],
        ['oval', t`Oval`],
      ] as const)
    : [];
  return (
    <Choice label={hasPost(eyes.rule) ? t`How they look` : t`Or stitched instead`}>
      {shapes.map(([shape, label]) => (
        <Press
          key={label}
          grow
          role="radio"
          label={label}
          chosen={style === shape}
          onPress={() => edits.change((rule) => ({ ...rule, style: shape }))}
        />
      ))}
      <Press grow role="radio" label={t`Stitched`} onPress={() => edits.stitchEyes('satin')} />
      <Press grow role="radio" label={t`Sleeping`} onPress={() => edits.stitchEyes('sleeping')} />
    </Choice>
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
  const isPressed = eyes !== null && hasPost(eyes.rule);
  return (
    <View gap="$3">
      {eyes ? (
        <>
          <EyeSize part={part} eyes={eyes} />
          <OneOf
            wraps
            label={t`What they are`}
            options={eyeKinds}
            chosen={isSewnStyle(eyes.rule.style) ? eyes.rule.style : 'pressed'}
            onChoose={(made) =>
              edits.change((rule) => ({ ...rule, style: made === 'pressed' ? null : made }))
            }
          />
          <EyeLook part={part} eyes={eyes} />
          <Choice label={t`A ring behind them`}>
            <Press
              grow
              role="radio"
              name={t`No rings`}
              label={t`None`}
              chosen={!eyes.rule.ring}
              onPress={() => edits.change(({ ring: _ring, ...rule }) => rule)}
            />
            {(['felt', 'crochet'] as const).map((of) => (
              <Press
                key={of}
                grow
                role="radio"
                name={of === 'felt' ? t`Felt rings` : t`Crocheted rings`}
                label={of === 'felt' ? t`Felt` : t`Crocheted`}
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
              label={t`The rings across`}
              unit={t`mm`}
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
            label={isPressed ? t`Where the post goes through` : t`Where its middle goes`}
            options={[
              ['foot', t`Hole at a stitch’s foot`],
              ['split', t`Between two stitches`],
            ]}
            chosen={eyes.seat}
            onChoose={edits.seatIn}
          />
          <OneOf
            label={t`When you say “8 apart” you count`}
            options={[
              ['posts', t`Post to post`],
              ['showing', t`What shows`],
            ]}
            chosen={apart}
            onChoose={edits.apartMeans}
          />
          <Beside label={source.front ? t`The front, as you set it` : t`The front, opposite the round start`}>
            {(part.map.lying ? ['down', 'up'] : ['left', 'right']).map((way, i) => (
              <Press
                key={way}
                grow
                name={t`Turn the front half a stitch ${part.map.lying ? sayTerm(way) : t`to the ${sayTerm(way)}`}`}
                label={`½ ${sayTerm(way)}`}
                onPress={() => edits.turnFront(i === 0 ? -1 : 1)}
              />
            ))}
            <Press grow label={t`Opposite start`} disabled={!source.front} onPress={edits.resetFront} />
          </Beside>
        </>
      ) : null}
      <OneOf
        label={t`You crochet`}
        options={[
          ['right', t`Right-handed`],
          ['left', t`Left-handed`],
        ]}
        chosen={hand}
        onChoose={edits.hand}
      />
      <Choice label={t`On the finished toy, round 1 is`}>
        {(['top', 'bottom', 'left', 'right'] as const).map((place) => (
          <Press
            key={place}
            grow
            tight
            role="radio"
            name={t`At the ${sayTerm(place)}`}
            label={placeNames[place]}
            chosen={startOf(source) === place}
            onPress={() => edits.start(place)}
          />
        ))}
      </Choice>
      {eyes ? (
        <Press tone="danger" label={t`Take the eyes off`} onPress={() => edits.dropFeature('eyes')} />
      ) : null}
    </View>
  );
}
