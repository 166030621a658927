import type { Reading } from '../../core/safety/measured';

/** What a device tells while it is watched. */
export interface DeviceWatcher {
  /** a reading; each of one try once and in order */
  onReading: (reading: Reading) => void;
  /** a new try begins: what came before belongs to another */
  onStart: () => void;
  /** whether it answers; readings missed while it did not come once it does again */
  onLine: (isThere: boolean) => void;
}

/** An instrument beside the phone. A real one answers to the same: see docs/devices.md. */
export interface Device {
  id: string;
  name: string;
  kind: 'force' | 'mass';
  /** watches it until the function that is given back is called */
  watch: (watcher: DeviceWatcher) => () => void;
}
