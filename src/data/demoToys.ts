import frog from '@demo/frog.txt';
import hedgehog from '@demo/hedgehog.txt';
import otter from '@demo/otter.txt';
import owl from '@demo/owl.txt';
import toadstool from '@demo/toadstool.txt';
import { Asset } from 'expo-asset';

const files: Record<string, number> = { otter, hedgehog, owl, toadstool, frog };

/** The demo toys by name, as pattern texts. They ship with the app as files. */
export async function demoText(name: keyof typeof files & string): Promise<string> {
  const file = files[name];
  if (file === undefined) throw new Error(`There is no demo toy “${name}”.`);
  const response = await fetch(Asset.fromModule(file).uri);
  if (!response.ok) throw new Error('The demo toy could not be opened.');
  return response.text();
}

export const demoNames = Object.keys(files);

/** Does this server put the demo toys on a new shelf? */
export async function wantsDemo(): Promise<boolean> {
  try {
    const response = await fetch('/boot.json');
    if (!response.ok || !response.headers.get('content-type')?.includes('json')) return false;
    return ((await response.json()) as { demo?: boolean }).demo === true;
  } catch {
    return false;
  }
}
