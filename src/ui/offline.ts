/** As soon as the page has nothing else to do: what is kept for later must not hold up what is shown now. */
function whenIdle(act: () => void): void {
  if ('requestIdleCallback' in window) window.requestIdleCallback(act, { timeout: 10_000 });
  else setTimeout(act, 5000);
}

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
