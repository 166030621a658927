/** What reads, writes and edits toys. It is large, and waited for where it is needed: the shelf itself shows what is kept. */
export type Reading = typeof import('./keptToy') &
  typeof import('./demoMakings') &
  Pick<typeof import('../core/keep/document'), 'readDocument'> &
  Pick<typeof import('../core/notation/editText'), 'setToyHeader'>;

let load: () => Promise<Reading> = () =>
  Promise.reject(new Error('Nothing says yet what toys are read with.'));

/** Says where all that comes from. Who puts the app together knows; the shelf only waits for it. */
export function readToysWith(loading: () => Promise<Reading>): void {
  load = loading;
}

/** What reads toys, loaded once. */
export const reading = (): Promise<Reading> => load();
