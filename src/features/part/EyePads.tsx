import { View } from '@tamagui/core';
import { largestEyeMm, nextSize, ringMm, smallestEyeMm, soldEyesMm } from '../../core/place/hardware';
import type { EyeRule } from '../../core/place/eyeSentence';
import { eyesApart, raisedEyes } from '../../core/place/moveEyes';
import type { PartAnalysis } from '../../core/toy/analyse';
import { useApartHabit } from '../../data/habits';
import { useToy } from '../../data/useToy';
import { Icon } from '../../ui/Icon';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Body, Quiet } from '../../ui/text';
import { EyesGoBy } from './GoesBy';
import { usePartEdits } from './usePartEdits';

/** The four moves, under the thumb. Up and down are as you look at the piece. */
export function EyePads({ part }: { part: PartAnalysis }) {
  const edits = usePartEdits(part);
  const { eyes } = part;
  if (!eyes) return null;
  const { lying } = part.map;
  const step = lying ? 'stitch' : 'round';
  const spread = lying ? 'round' : 'stitch';
  const up = (by: 1 | -1) => edits.putEyes((now, { form }) => raisedEyes(form, now, by));
  const wider = (by: 1 | -1) => edits.putEyes((now, { form }) => eyesApart(form, now, now.rule.apart + by));
  const can = (rule: EyeRule | null) => rule !== null;
  return (
    <View flexDirection="row" gap="$2">
      <Press
        grow
        stacked
        name={`One ${step} up`}
        label="Up"
        icon={<Icon name="up" />}
        disabled={!can(raisedEyes(part.form, eyes, 1))}
        onPress={() => up(1)}
      />
      <Press
        grow
        stacked
        name={`One ${step} down`}
        label="Down"
        icon={<Icon name="down" />}
        disabled={!can(raisedEyes(part.form, eyes, -1))}
        onPress={() => up(-1)}
      />
      <Press
        grow
        stacked
        name={`One ${spread} closer`}
        label="Closer"
        icon={<Icon name="closer" />}
        disabled={!can(eyesApart(part.form, eyes, eyes.rule.apart - 1))}
        onPress={() => wider(-1)}
      />
      <Press
        grow
        stacked
        name={`One ${spread} wider`}
        label="Wider"
        icon={<Icon name="wider" />}
        disabled={!can(eyesApart(part.form, eyes, eyes.rule.apart + 1))}
        onPress={() => wider(1)}
      />
    </View>
  );
}

/** Where round 1 is on the finished toy. */
function startOf({ lying, start }: PartAnalysis['source']): 'top' | 'bottom' | 'left' | 'right' {
  if (!lying) return start;
  return start === 'top' ? 'left' : 'right';
}

function Choice({ label, children }: { label: string; children: React.ReactNode }) {
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
  return (
    <View gap="$3">
      {eyes ? (
        <>
          <Choice label="Size of the eyes">
            <Press
              name="Smaller eyes"
              icon={<Icon name="minus" />}
              disabled={eyes.rule.sizeMm <= smallestEyeMm}
              onPress={() =>
                edits.change(({ sizeMm }) => ({ sizeMm: nextSize(soldEyesMm, sizeMm, -1) ?? sizeMm }))
              }
            />
            <View flexGrow={1} alignItems="center" justifyContent="center">
              <Body fontWeight="700">
                {eyes.rule.sizeMm} mm, washer about {eyes.washerMm} mm
              </Body>
            </View>
            <Press
              name="Larger eyes"
              icon={<Icon name="plus" />}
              disabled={eyes.rule.sizeMm >= largestEyeMm}
              onPress={() =>
                edits.change(({ sizeMm }) => ({ sizeMm: nextSize(soldEyesMm, sizeMm, 1) ?? sizeMm }))
              }
            />
          </Choice>
          <Choice label="How they look">
            <Press
              grow
              role="radio"
              label="Round"
              chosen={!eyes.rule.style}
              onPress={() => edits.change({ style: undefined })}
            />
            <Press
              grow
              role="radio"
              label="Oval"
              chosen={eyes.rule.style === 'oval'}
              onPress={() => edits.change({ style: 'oval' })}
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
              onPress={() => edits.change({ ring: undefined })}
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
                  edits.change(({ sizeMm, ring }) => ({
                    ring: { of, sizeMm: ring?.sizeMm ?? ringMm(sizeMm) },
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
              onChange={(sizeMm) => edits.change(({ ring }) => (ring ? { ring: { ...ring, sizeMm } } : {}))}
            />
          ) : null}
          <EyesGoBy part={part} />
          <Choice label="Where the post goes through">
            <Press
              grow
              role="radio"
              label="Hole at a stitch’s foot"
              chosen={eyes.rule.seat === 'foot'}
              onPress={() => edits.change({ seat: 'foot' })}
            />
            <Press
              grow
              role="radio"
              label="Between two stitches"
              chosen={eyes.rule.seat === 'split'}
              onPress={() => edits.change({ seat: 'split' })}
            />
          </Choice>
          <Choice label="When you say “8 apart” you count">
            <Press
              grow
              role="radio"
              label="Post to post"
              chosen={apart === 'posts'}
              onPress={() => edits.apartMeans('posts')}
            />
            <Press
              grow
              role="radio"
              label="What shows"
              chosen={apart === 'showing'}
              onPress={() => edits.apartMeans('showing')}
            />
          </Choice>
          <Choice label={source.front ? 'The front, as you set it' : 'The front, opposite the round start'}>
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
          </Choice>
        </>
      ) : null}
      <Choice label="You crochet">
        <Press
          grow
          role="radio"
          label="Right-handed"
          chosen={hand === 'right'}
          onPress={() => edits.hand('right')}
        />
        <Press
          grow
          role="radio"
          label="Left-handed"
          chosen={hand === 'left'}
          onPress={() => edits.hand('left')}
        />
      </Choice>
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
      {eyes ? <Press tone="danger" label="Take the eyes off" onPress={edits.unseat} /> : null}
    </View>
  );
}
