/** As soon as the page has nothing else to do: what is kept or loaded for later must not hold up what is shown now. */
export function whenIdle(act: () => void): void {
  if ('requestIdleCallback' in window) window.requestIdleCallback(act, { timeout: 10_000 });
  else setTimeout(act, 5000);
}
