import { readHeading } from './heading';
import type { PartSource } from './pattern';
import { PartNames } from './sentence/names';

/** `Leg 2: same as leg 1 but don’t cut the yarn`, `Second arm: repeat the first`, `Right ear: make another` */
const sameAs =
  /^\s*([\p{L}\p{N} ]{2,30}?)\s*[:.,–-]\s*(?:make\s+|work\s+|made\s+|worked\s+)?(?:(?:the\s+|exactly\s+)*same\s+as|just\s+like|like|repeat)\s+(?:for\s+)?(?:the\s+)?([\p{L}\p{N} ]{2,30}?)\s*(?:[,.;(]|\bbut\b|$)/iu;

/** `Second arm: same as the first`: of the part above, where that is called by the same word. */
function sameWord([, name = '']: RegExpExecArray, above: PartSource | null): PartSource | null {
  const known = above ? new PartNames([above]).in(name).length > 0 : false;
  return known && above && above.rounds.length > 0 ? above : null;
}

/**
 * `Leg 2: same as leg 1`: one more of that part.
 *
 * @param above the part the line stands under
 * @returns whether the line says so; then the part is made once more, and called so too
 */
export function copiesPart(text: string, parts: readonly PartSource[], above: PartSource | null): boolean {
  const said = sameAs.exec(text);
  if (!said) return false;
  const names = new PartNames(parts.filter(({ rounds }) => rounds.length > 0));
  const [like] = names.in(said[2] ?? '');
  const owner = like ? parts.find(({ id }) => id === like.id) : sameWord(said, above);
  if (!owner) return false;
  owner.make += readHeading(said[1] ?? '')?.make ?? 1;
  owner.alsoCalled = [...(owner.alsoCalled ?? []), (said[1] ?? '').trim()];
  return true;
}
