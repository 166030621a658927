import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Reading } from '../../core/safety/measured';
import { benchDevices } from './benchDevice';
import type { Device } from './device';

/** A quarter of an hour of readings at ten a second: a try is over long before. */
const mostReadings = 9_000;

/** The instruments beside the phone; none without a server that answers for them. */
export function useDevices(kind: Device['kind']): readonly Device[] {
  const { data } = useQuery({
    queryKey: ['devices'],
    queryFn: benchDevices,
    staleTime: 60_000,
    retry: false,
  });
  return (data ?? []).filter((device) => device.kind === kind);
}

/** What an instrument shows while it is watched. */
export interface Watched {
  readings: readonly Reading[];
  /** null until it first answered */
  isThere: boolean | null;
}

/** Watches one instrument for as long as it is on the screen. */
export function useReadings(device: Device): Watched {
  const [watched, setWatched] = useState<Watched>({ readings: [], isThere: null });
  useEffect(
    () =>
      device.watch({
        onReading: (reading) =>
          setWatched(({ readings, isThere }) => ({
            isThere,
            readings: [...readings, reading].slice(-mostReadings),
          })),
        onStart: () => setWatched(({ isThere }) => ({ readings: [], isThere })),
        onLine: (isThere) => setWatched(({ readings }) => ({ readings, isThere })),
      }),
    [device],
  );
  return watched;
}
