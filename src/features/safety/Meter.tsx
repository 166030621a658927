import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { measured, wordsOfFault, type Measured } from '../../core/safety/measured';
import type { Device } from '../../data/devices/device';
import { useDevices, useReadings } from '../../data/devices/useDevices';
import { Notice } from '../../ui/Notice';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet } from '../../ui/text';

/** What was read off an instrument and taken. */
export interface Taken {
  value: number;
  heldSeconds: number;
  /** by which instrument */
  device: string;
}

interface MeterProps {
  kind: Device['kind'];
  /** the force that is to be held, in newton, and for how long; 0 of a mass */
  wanted: number;
  seconds: number;
  onTake: (taken: Taken) => void;
}

/** Under so much, in newton or gram, nothing is on it. */
const leastTaken = 1;

const tenth = (value: number) => Math.round(value * 10) / 10;

/** What it measures, in words for while both hands pull. */
function Shown({
  kind,
  wanted,
  seconds,
  shows,
}: Pick<MeterProps, 'kind' | 'wanted' | 'seconds'> & { shows: Measured }) {
  const { now, peak, heldSeconds, shownIn } = shows;
  const unit = kind === 'force' ? 'N' : 'g';
  return (
    <View gap="$1">
      <Answer>{now === null ? '–' : `${tenth(now)} ${unit}`}</Answer>
      {kind === 'force' ? (
        <Body>{t`At the most ${tenth(peak)} N. Held at ${wanted} N for ${tenth(heldSeconds)} of ${seconds} seconds.`}</Body>
      ) : null}
      {shownIn ? <Quiet>{t`It shows ${shownIn}; counted as ${unit}.`}</Quiet> : null}
    </View>
  );
}

/** Reads one instrument until its value is taken. */
function Reading({ device, kind, wanted, seconds, onTake }: MeterProps & { device: Device }) {
  const { readings, isThere } = useReadings(device);
  const shows = measured(kind, readings, wanted);
  const value = tenth(kind === 'force' ? shows.peak : (shows.now ?? 0));
  const canTake = shows.fault === null && value >= leastTaken;
  return (
    <View gap="$2" role="group" aria-label={device.name}>
      <Shown kind={kind} wanted={wanted} seconds={seconds} shows={shows} />
      {isThere === false ? (
        <Notice
          tone="plain"
          live
        >{t`It does not answer. What it measures meanwhile comes when it is back; or type what you read.`}</Notice>
      ) : null}
      {shows.fault ? (
        <Notice tone="wrong" live>
          {wordsOfFault(shows.fault)}
        </Notice>
      ) : null}
      <Press
        label={t`Take ${value} ${kind === 'force' ? 'N' : t`g`}`}
        disabled={!canTake}
        onPress={() => onTake({ value, heldSeconds: shows.heldSeconds, device: device.name })}
      />
    </View>
  );
}

/** Reads a gauge or a scale, where one answers; without, what is read is typed. */
export function Meter(props: MeterProps) {
  const devices = useDevices(props.kind);
  const [watching, setWatching] = useState<Device | null>(null);
  if (devices.length === 0) return null;
  if (watching) return <Reading {...props} device={watching} />;
  return devices.map((device) => (
    <Press
      key={device.id}
      label={t`Read the ${device.name.toLowerCase()}`}
      onPress={() => setWatching(device)}
    />
  ));
}
