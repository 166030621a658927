import { t } from '../words/language';
import { sayTerm } from '../words/said';
import type { Join } from '../join/joined';
import type { FeatureKind } from '../notation/sentence/said';
import type { FeaturePlacement } from '../place/resolve/placement';
import { hasPost, isStitchedStyle } from '../place/rule/rule';
import { profileOf } from '../shape/profile';
import type { PartAnalysis, ToyAnalysis } from './analysis';
import { discBehind } from './planPart';

/** A piece to cut, at its real size. */
export interface Template {
  name: string;
  /** for how many */
  cut: number;
  /** what its size comes from */
  why: string;
  /** its outline about its middle, in mm, closed; y goes down */
  outline: readonly (readonly [x: number, y: number])[];
}

/** A piece that the pattern asks for. */
export interface FeltPiece extends Template {
  /** what it is for */
  feature: FeatureKind;
  /** it is the feature itself, a ring behind it that shows, or a disc behind its washer */
  use: 'itself' | 'ring' | 'disc';
}

/** Corners of a smooth outline; at this many a circle of 50 mm is true to a twentieth of a millimetre. */
const smooth = 72;
/** What is narrower can't be cut: in mm. */
const least = 6;
/** How high a rounded triangle is for its width, and how far its corners are rounded. */
const triangle = { height: 0.8, round: 0.22 } as const;

export const widthOf = ({ outline }: Pick<Template, 'outline'>): number =>
  Math.max(...outline.map(([x]) => x)) - Math.min(...outline.map(([x]) => x));
export const heightOf = ({ outline }: Pick<Template, 'outline'>): number =>
  Math.max(...outline.map(([, y]) => y)) - Math.min(...outline.map(([, y]) => y));

function oval(wide: number, high: number): Template['outline'] {
  return Array.from({ length: smooth }, (_, i) => {
    const angle = (2 * Math.PI * i) / smooth;
    return [(wide / 2) * Math.cos(angle), (high / 2) * Math.sin(angle)] as const;
  });
}

/** A triangle with its point down and its corners rounded, so wide. */
function roundedTriangle(wide: number): Template['outline'] {
  const radius = wide * triangle.round;
  const high = wide * triangle.height;
  const corners = [
    [-wide / 2 + radius, -high / 2 + radius],
    [wide / 2 - radius, -high / 2 + radius],
    [0, high / 2 - radius],
  ] as const;
  const cornerAt = (i: number) => corners[(i + corners.length) % corners.length] ?? corners[0];
  // Corners go round as a clock does, and so does the direction that each side faces.
  const facing = (i: number): number => {
    const [[ax, ay], [bx, by]] = [cornerAt(i), cornerAt(i + 1)];
    return Math.atan2(ax - bx, by - ay);
  };
  const steps = smooth / corners.length;
  return corners.flatMap(([x, y], i) => {
    const from = facing(i - 1);
    const bend = (facing(i) - from + 2 * Math.PI) % (2 * Math.PI);
    return Array.from({ length: steps }, (_, k) => {
      const angle = from + (bend * k) / (steps - 1);
      return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)] as const;
    });
  });
}

/** What of a feature is cut of felt: itself, or a ring behind it, or a disc behind its washer. */
function ofFeature({ source, form }: PartAnalysis, feature: FeaturePlacement): FeltPiece[] {
  const { kind, rule, units } = feature;
  const count = units.length * source.make;
  const size = rule.sizeMm ?? Math.round(2 * Math.max(0, ...units.map(({ halfMm }) => halfMm)));
  const found: FeltPiece[] = [];
  if (rule.ring?.of === 'felt') {
    const { sizeMm } = rule.ring;
    const why = t`${sizeMm} mm across, as the pattern says. Cut a slit for the post in its middle.`;
    found.push({
      name: t`Ring behind the ${sayTerm(kind)}`,
      feature: kind,
      use: 'ring',
      cut: count,
      why,
      outline: oval(sizeMm, sizeMm),
    });
  }
  const disc = hasPost(rule) ? discBehind(source, kind, size) : null;
  if (disc !== null) {
    const why = t`${disc} mm across: wider than the washer all round. It lies inside, with a slit for the post.`;
    found.push({
      name: t`Disc behind the washers of the ${sayTerm(kind)}`,
      feature: kind,
      use: 'disc',
      cut: count,
      why,
      outline: oval(disc, disc),
    });
  }
  const isCut =
    !hasPost(rule) && !rule.embroidered && !isStitchedStyle(rule.style) && rule.style !== 'crochet';
  const canBeCut = kind === 'patch' || rule.style === 'felt';
  if (isCut && canBeCut && size >= 2)
    found.push({
      ...cutFeature(feature, size, { count, heightMm: form.gauge.heightMm }),
      feature: kind,
      use: 'itself',
    });
  return found;
}

function cutFeature(
  { id, kind, rule }: FeaturePlacement,
  size: number,
  { count, heightMm }: { count: number; heightMm: number },
): Template {
  const name = id.charAt(0).toUpperCase() + id.slice(1);
  if (kind === 'nose') {
    return {
      name,
      cut: count,
      why: t`${size} mm wide, as the pattern says.`,
      outline: roundedTriangle(size),
    };
  }
  if (rule.sizeMm !== null)
    return { name, cut: count, why: t`${size} mm across.`, outline: oval(size, size) };
  const high = rule.high * heightMm;
  const why = t`As wide as the ${rule.wide} stitches it covers there, and ${rule.high} rounds high.`;
  return { name, cut: count, why, outline: oval(size, high) };
}

/** Whether a part is laid flat where it is joined, so that it has an inside to be lined. */
function liesFlat({ source, stops }: PartAnalysis, joins: readonly Join[]): boolean {
  const own = joins.filter(({ unit }) => unit.part === source.id);
  return stops.closing?.how === 'flat' || own.some(({ kind }) => kind === 'flattened' || kind === 'pinched');
}

/** The lining of a flat part: its outline laid flat, one stitch smaller all round. Null where nothing is left of it. */
function lining({ fabric, form, source }: PartAnalysis): Template | null {
  const inset = form.gauge.widthMm;
  // Nothing is stuffed into it: its rounds are as high as they are worked.
  const profile = profileOf(fabric, form.gauge);
  const isClosedAtStart = fabric.start === 'ring' || fabric.start === 'oval';
  const rows = Array.from({ length: fabric.rounds }, (_, i) => ({
    y: profile.along[i] ?? 0,
    // Laid flat a tube is half as wide as its way round.
    half: (Math.PI * (profile.radius[i] ?? 0)) / 2,
  })).filter(({ y, half }) => half > inset && (!isClosedAtStart || y > inset));
  const high = (rows.at(-1)?.y ?? 0) - (rows[0]?.y ?? 0);
  if (rows.length < 2 || high < least) return null;
  const middle = (rows[0]?.y ?? 0) + high / 2;
  const right = rows.map(({ y, half }) => [half - inset, y - middle] as const);
  const left = right.toReversed().map(([x, y]) => [-x, y] as const);
  const outline = [...right, ...left];
  if (widthOf({ outline }) < least) return null;
  return {
    name: t`Inside of the ${source.name.toLowerCase()}`,
    cut: source.make,
    why: t`The part laid flat, a stitch smaller all round. If you like one.`,
    outline,
  };
}

/** Share of a body's front that a belly covers: a quarter of its way round, half of its height. */
const belly = { round: 1 / 4, high: 1 / 2 } as const;

/** A piece for the front of what the others are joined to; null where one is there already. */
function bellyOf({ parts, joined }: ToyAnalysis): Template | null {
  const walls = parts.filter(({ source }) => joined.joins.some(({ on }) => on.part === source.id));
  const body = walls.find(({ source }) => /\bbody\b/i.test(source.name));
  if (!body || body.fabric.row[0] === 1 || body.features.some(({ kind }) => kind === 'patch')) return null;
  const { profile, source } = body;
  const wide = 2 * Math.PI * Math.max(...profile.radius) * belly.round;
  const high = (profile.along.at(-1) ?? 0) * belly.high;
  if (wide < least || high < least) return null;
  return {
    name: t`Belly for the ${source.name.toLowerCase()}`,
    cut: source.make,
    why: t`A quarter of the way round at its widest, half of its height over the fabric. If you like one.`,
    outline: oval(wide, high),
  };
}

/** What the pattern asks to be cut of felt for a part, all its units together. */
export const cutOfFelt = (part: PartAnalysis): FeltPiece[] =>
  part.features.flatMap((feature) => ofFeature(part, feature));

/**
 * All that may be cut of felt for one toy, at real size: what the pattern asks for, then linings and a belly of the size of the place
 * they cover, for who likes them.
 */
export function templatesOf(toy: ToyAnalysis): Template[] {
  const { parts, joined } = toy;
  const asked = parts.flatMap(cutOfFelt);
  const linings = parts.flatMap((part) => (liesFlat(part, joined.joins) ? (lining(part) ?? []) : []));
  return [...asked, ...linings, ...[bellyOf(toy) ?? []].flat()];
}
