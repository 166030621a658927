import type { FeaturePlacement, FeatureUnit } from './featurePlacement';
import { featureLibrary } from './library';

const span = ({ from, to }: FeatureUnit) => (from === to ? `hole ${from}` : `holes ${from} to ${to}`);
const plural = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;
const sideName = { left: 'left', middle: 'middle', right: 'right' } as const;

/**
 * Where a feature goes, in a maker's words: the address; counted from the start of the round; by markers put in while working; and as a
 * check from the other side. The needle's way in numbered steps.
 */
export function featureWords(feature: FeaturePlacement): { address: string; count: string; markers: string; check: string; needle: string[] } {
  const { kind, gap, units, apart, needle } = feature;
  const name = featureLibrary[kind].name;
  const where = units.map((unit) => (units.length > 1 ? `${sideName[unit.side]} ${span(unit)}` : span(unit))).join(', ');
  const holes = [...new Set(units.flatMap(({ from, to }) => [from, to]))].sort((a, b) => a - b);
  const list = holes.length > 1 ? `${holes.slice(0, -1).join(', ')} and ${holes.at(-1)}` : String(holes[0] ?? '');
  const of = units[0]?.of ?? 0;
  const inside = units.length > 1 ? feature.showing ?? 0 : Math.abs((units[0]?.to ?? 0) - (units[0]?.from ?? 0));
  return {
    address: `${name} between round ${gap[0]} and ${gap[1]}, ${where} of ${of}`,
    count: `Count along round ${gap[1]} from its first stitch: ${units.length > 1 ? 'they reach' : 'it reaches'} over the feet of stitches ${list} of ${of}.`,
    markers: `While working round ${gap[1]}, put a marker into stitches ${list} as you pass them.`,
    check: units.length > 1
      ? `Check: ${plural(inside, 'whole stitch shows', 'whole stitches show')} between the two${apart === null ? '' : `, ${plural(Math.max(0, of - inside - 2 * Math.abs((units[0]?.to ?? 0) - (units[0]?.from ?? 0)) - 2), 'stitch', 'stitches')} around the back`}.`
      : `Check: it is ${plural(inside, 'stitch', 'stitches')} wide, with ${plural(Math.max(0, of - inside), 'stitch', 'stitches')} around the back.`,
    needle: needle
      ? [
          ...needle.points.map(({ act, gap: between, hole }, i) => `${i + 1}. ${act} at hole ${hole} between ${between[0]} and ${between[1]}`),
          `Cut ${Math.round(needle.threadMm / 10)} cm, ${needle.strands}; ${needle.knot}.`,
        ]
      : [],
  };
}
