/** Whether this machine draws in three dimensions. */
export function canDraw(): boolean {
  try {
    return Boolean(document.createElement('canvas').getContext('webgl2'));
  } catch {
    return false;
  }
}
