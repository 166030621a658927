/** Word between the tabs of one browser that a toy was saved; the id is empty where the shelf itself changed. */
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('hoppla');

export function announceChange(id: string): void {
  channel?.postMessage(id);
}

export function onChangeElsewhere(listener: (id: string) => void): () => void {
  const heard = (event: MessageEvent) => listener(String(event.data));
  channel?.addEventListener('message', heard);
  return () => channel?.removeEventListener('message', heard);
}
