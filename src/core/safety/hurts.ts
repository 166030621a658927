import { t } from '../words/language';
import type { FeatureKind } from '../notation/sentence/said';

const small = t`It can come off and be swallowed: not for children under three. Check local rules.`;
const thread = t`Pull every thread: no loop may stand up that a finger or a tooth can catch.`;

const hurts: Partial<Record<FeatureKind, string>> = {
  eyes: small,
  button: small,
  bow: t`A bow can come off, its ends are cords: sew it down all round and keep the ends short. Check local rules.`,
  'key ring': t`Rings, cords and chains are not for small children. Check local rules.`,
  hair: t`Strands can be pulled out and swallowed: knot each one twice. Not for children under three.`,
};

/** What a feature as it is made may do to a child, for the caution beside it. */
export function hurtsOf({ kind, embroidered }: { kind: FeatureKind; embroidered: boolean }): string {
  if (kind === 'nose' && !embroidered) return small;
  if (kind === 'eyes' && embroidered) return thread;
  return hurts[kind] ?? thread;
}
