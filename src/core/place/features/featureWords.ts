import type { EyePlacement } from '../eyes';
import { holePlaces, roundByRound } from '../lying/lyingWords';
import type { PartForm } from '../partForm';
import { fromTheEyes, landmarkWords } from '../whatIsThere';
import type { FeaturePlacement, FeatureUnit } from './featurePlacement';
import { isAtBack } from './featureRule';
import { featureName } from './featureSteps';
import type { NeedlePath } from './needlePath';

const plural = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

/** `hole 19`, `holes 17 to 20`, `just after stitch 18` */
export function unitWords({ from, to }: FeatureUnit, seat: 'foot' | 'split'): string {
  if (seat === 'split')
    return from === to ? `just after stitch ${from}` : `just after stitches ${from} to ${to}`;
  return from === to ? `hole ${from}` : `holes ${from} to ${to}`;
}

export interface FeatureWords {
  address: string;
  /** counted from the start of the round */
  count: string;
  /** counted from what is already on the piece */
  there: string;
  markers: string;
  /** from the other side */
  check: string;
  /** the needle's way in numbered steps */
  needle: string[];
}

/** Where a feature goes, in a maker's words. */
export function featureWords(
  feature: FeaturePlacement,
  form: PartForm,
  eyes: EyePlacement | null,
): FeatureWords {
  const { id, kind, gap, units, apart, needle, seat, line, rule } = feature;
  const name = featureName(id, kind);
  if (rule.vertical?.by === 'start') return startWords(form, name);
  if (form.orientation.lying) return lyingFeatureWords(feature, form, eyes, name);
  const where = units
    .map((unit) => (unit.side === 'middle' ? unitWords(unit, seat) : `${unit.side} ${unitWords(unit, seat)}`))
    .join(', ');
  const holes = [...new Set(units.flatMap(({ from, to }) => [from, to]))].sort((a, b) => a - b);
  const list =
    holes.length > 1 ? `${holes.slice(0, -1).join(', ')} and ${holes.at(-1)}` : String(holes[0] ?? '');
  const of = units[0]?.of ?? 0;
  const span = ({ from, to }: FeatureUnit) => (((to - from) % of) + of) % of;
  const widths = units.reduce((sum, unit) => sum + span(unit), 0);
  const many = units.length > 1;
  const whole = (unit: FeatureUnit | undefined) => unit !== undefined && unit.from !== unit.to;
  const inside = many ? (feature.showing ?? 0) : span(units[0] ?? ({ from: 0, to: 0 } as FeatureUnit));
  const stitch = holes.length > 1 ? 'stitches' : 'stitch';
  // The rest of the round lies on the other side of the piece.
  const around = isAtBack(rule.sideways) ? 'front' : 'back';
  const through =
    seat === 'split'
      ? `just after ${stitch} ${list}`
      : `the ${holes.length > 1 ? 'feet' : 'foot'} of ${stitch} ${list}`;
  const reach = whole(units[0])
    ? many
      ? 'they reach over'
      : 'it reaches over'
    : many
      ? 'their middles go'
      : 'its middle goes';
  return {
    address: `${name} between round ${gap[0]} and ${gap[1]}, ${where} of ${of}`,
    count: `Count along round ${gap[1]} from its first stitch: ${reach} ${whole(units[0]) || seat === 'split' ? '' : 'into '}${through} of ${of}.`,
    there:
      `${fromTheEyes(form, feature, eyes) ?? ''} The line of holes is ${landmarkWords(form, line).join(', ')}.`.trim(),
    markers: `While working round ${gap[1]}, put a marker into ${stitch} ${list} as you pass.`,
    check: many
      ? `Check: ${plural(inside, 'whole stitch shows', 'whole stitches show')} between the two${apart === null ? '' : `, ${plural(Math.max(0, of - inside - widths - 2), 'stitch', 'stitches')} around the ${around}`}.`
      : inside === 0
        ? `Check: from there ${plural(of, 'stitch', 'stitches')} lead all the way round to it again.`
        : `Check: it is ${plural(inside, 'stitch', 'stitches')} wide, with ${plural(Math.max(0, of - inside), 'stitch', 'stitches')} around the ${around}.`,
    needle: needle ? needleWords(needle) : [],
  };
}

/** What goes through the start needs no counting. */
function startWords({ fabric }: PartForm, name: string): FeatureWords {
  return {
    address: `${name} through the start of the part`,
    count: `Nothing to count: it goes through the middle of round ${fabric.label[0] ?? 1}, and lies round its stitches. Put it in before you stuff.`,
    there: '',
    markers: '',
    check: 'Check: pull at it. The start must stay closed, and the stitches round it tight.',
    needle: [],
  };
}

/** The same on a part that lies on its side: what is wide reaches from round to round. */
function lyingFeatureWords(
  feature: FeaturePlacement,
  form: PartForm,
  eyes: EyePlacement | null,
  name: string,
): FeatureWords {
  const { units, seat, needle, showing, line } = feature;
  const places = holePlaces(form, units);
  const across = Math.abs((units[0]?.toLine ?? 0) - (units[0]?.fromLine ?? 0));
  const check =
    units.length > 1
      ? `Check: ${plural(showing ?? 0, 'round lies', 'rounds lie')} between the two.`
      : across > 0
        ? `Check: it is ${plural(across, 'round', 'rounds')} wide.`
        : `Check: ${plural(line, 'round lies', 'rounds lie')} between it and the start.`;
  return {
    address: `${name} ${places.map(({ gap, stitch, of }) => `between rounds ${gap[0]} and ${gap[1]} ${seat === 'foot' ? 'hole' : 'just after stitch'} ${stitch} of ${of}`).join(', ')}`,
    ...roundByRound(places, seat),
    there:
      fromTheEyes(form, feature, eyes) ?? `The line of holes is ${landmarkWords(form, line).join(', ')}.`,
    check,
    needle: needle ? needleWords(needle) : [],
  };
}

/** The needle's way in numbered steps; what is gone twice is said once. */
function needleWords({ points, turns, threadMm, strands, knot }: NeedlePath): string[] {
  const once = turns ? points.slice(0, turns.points) : points;
  return [
    ...once.map(
      ({ act, gap, hole }, i) => `${i + 1}. ${act} at hole ${hole} between ${gap[0]} and ${gap[1]}`,
    ),
    ...(turns
      ? [
          `${once.length + 1}. Go the same way ${turns.times === 2 ? 'once' : `${turns.times - 1} times`} more: ${turns.loop}.`,
        ]
      : []),
    `Cut ${Math.round(threadMm / 10)} cm, ${strands}; ${knot}.`,
  ];
}
