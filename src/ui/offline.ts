/** Keeps the app in the browser, where that is allowed: over https, or on this machine. Elsewhere it needs the network. */
export function keepOffline(): void {
  if (!('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return;
  void import('workbox-window').then(({ Workbox }) =>
    new Workbox('/sw.js').register().catch(() => {
      // Without it everything works as long as the server is there.
    }),
  );
}
