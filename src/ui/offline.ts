import { whenIdle } from './whenIdle';

/** Keeps the app in the browser, where that is allowed: over https, or on this machine. Elsewhere it needs the network. */
export function keepOffline(): void {
  if (!('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return;
  // The shelf is shown first; a first visit puts the demo toys on it.
  setTimeout(
    () =>
      whenIdle(() => {
        void import('workbox-window').then(({ Workbox }) =>
          new Workbox('/sw.js').register().catch(() => {
            // Without it everything works as long as the server is there.
          }),
        );
      }),
    3000,
  );
}
