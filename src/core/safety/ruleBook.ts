import { t } from '../words/language';
import Joi from 'joi';
import { audiences, type Audience } from './audience';

/** How serious a finding is for an audience: it stops the toy, is to be looked at, is told, or is none. */
export type Weight = 'stop' | 'look' | 'note' | 'none';

/** What screening looks for. */
export type RuleCode =
  | 'pressed-part'
  | 'button'
  | 'small-part'
  | 'small-toy'
  | 'sewn-on'
  | 'cord-length'
  | 'loop-size'
  | 'key-ring'
  | 'strands'
  | 'opening-left'
  | 'gather-hole'
  | 'thin-join'
  | 'single-pass'
  | 'stretched-place'
  | 'knots-outside'
  | 'stuffing-shows'
  | 'glue'
  | 'wire'
  | 'magnet'
  | 'rattle'
  | 'loose-filling'
  | 'long-pile'
  | 'battery'
  | 'stick'
  | 'colouring';

export interface Rule {
  /** what it is about, and why it matters */
  name: string;
  why: string;
  /** who says so, with the edition the figure was taken from */
  source: string;
  weights: Record<Audience, Weight>;
}

/** The figures of screening, in mm, newton and seconds. */
export interface Figures {
  cylinderWidthMm: number;
  cylinderLeastDepthMm: number;
  cylinderDepthMm: number;
  cordMm: number;
  loopMm: number;
  pullN: number;
  pullSmallN: number;
  pullSeconds: number;
  smallMm: number;
  seamN: number;
  /** a join of fewer stitches is thin: our own figure */
  fewStitches: number;
}

export interface RuleBook {
  format: 'hoppla-rules';
  version: 1;
  figures: Figures;
  rules: Record<RuleCode, Rule>;
}

const weights = (under3: Weight, from3: Weight, keepsake: Weight, pet: Weight): Rule['weights'] => ({
  'under-3': under3,
  '3-and-over': from3,
  keepsake,
  pet,
});

const check = t`check the current text and the law where you live`;
const en71 = `EN 71-1:2014+A1:2018; ${check}`;
const cylinder = t`16 CFR 1501.4 (2024 edition), the same cylinder in EN 71-1:2014+A1:2018 and ISO 8124-1:2022; ${check}`;
const craft = t`Makers’ practice; no standard gives a figure`;

/** The figures and rules that come with Hoppla. Screening only: they certify nothing, and every one can be edited. */
export const shippedRules: RuleBook = {
  format: 'hoppla-rules',
  version: 1,
  figures: {
    cylinderWidthMm: 31.7,
    cylinderLeastDepthMm: 25.4,
    cylinderDepthMm: 57.1,
    cordMm: 220,
    loopMm: 360,
    pullN: 90,
    pullSmallN: 50,
    pullSeconds: 10,
    smallMm: 6,
    seamN: 70,
    fewStitches: 6,
  },
  rules: {
    'pressed-part': {
      name: t`Eyes and noses with a washer`,
      why: t`What is pressed in can be bitten or pulled off, and then it is small enough to choke on.`,
      source: cylinder,
      weights: weights('stop', 'look', 'note', 'stop'),
    },
    button: {
      name: t`Buttons and beads`,
      why: t`The thread wears through, and the button is small enough to choke on.`,
      source: cylinder,
      weights: weights('stop', 'look', 'note', 'stop'),
    },
    'small-part': {
      name: t`A part that fits the small-parts cylinder`,
      why: t`If the whole part comes off, it is small enough to choke on.`,
      source: cylinder,
      weights: weights('look', 'note', 'none', 'look'),
    },
    'small-toy': {
      name: t`A toy that fits the small-parts cylinder`,
      why: t`The whole toy is small enough to choke on.`,
      source: cylinder,
      weights: weights('stop', 'look', 'none', 'stop'),
    },
    'sewn-on': {
      name: t`Small things sewn on`,
      why: t`Felt and bows lift at an edge, then they are pulled off.`,
      source: cylinder,
      weights: weights('look', 'note', 'none', 'look'),
    },
    'cord-length': {
      name: t`Free cords and chains`,
      why: t`A long cord goes round a neck.`,
      source: en71,
      weights: weights('stop', 'look', 'none', 'look'),
    },
    'loop-size': {
      name: t`Loops`,
      why: t`A head goes through a wide loop.`,
      source: en71,
      weights: weights('stop', 'look', 'none', 'look'),
    },
    'key-ring': {
      name: t`Rings and chains of metal`,
      why: t`Hardware comes off, and is hard and small.`,
      source: cylinder,
      weights: weights('stop', 'look', 'note', 'stop'),
    },
    strands: {
      name: t`Hair and fringes knotted in`,
      why: t`Strands are pulled out and swallowed, or wind round a finger.`,
      source: t`${craft}; cords: ${en71}`,
      weights: weights('stop', 'look', 'none', 'look'),
    },
    'opening-left': {
      name: t`An opening that stays`,
      why: t`Little fingers get in and stuffing comes out.`,
      source: t`ASTM F963-23 on stuffing and seams; ${check}`,
      weights: weights('stop', 'stop', 'look', 'stop'),
    },
    'gather-hole': {
      name: t`A gather of many stitches`,
      why: t`More than eight stitches drawn together leave a hole in the middle.`,
      source: craft,
      weights: weights('look', 'look', 'note', 'look'),
    },
    'thin-join': {
      name: t`A join of few stitches`,
      why: t`Few stitches carry all of the pull.`,
      source: t`${craft}; pull and seams: ${en71}`,
      weights: weights('look', 'look', 'note', 'look'),
    },
    'single-pass': {
      name: t`A seam gone round once`,
      why: t`Where one thread breaks, the whole seam runs open.`,
      source: craft,
      weights: weights('look', 'none', 'none', 'look'),
    },
    'stretched-place': {
      name: t`Something pressed on where the fabric is stretched`,
      why: t`The hole around a post widens, and the washer can be pulled through it.`,
      source: craft,
      weights: weights('look', 'look', 'note', 'look'),
    },
    'knots-outside': {
      name: t`Knots and ends outside`,
      why: t`An end that shows is pulled, and the knot opens.`,
      source: craft,
      weights: weights('look', 'note', 'none', 'look'),
    },
    'stuffing-shows': {
      name: t`Stuffing between the stitches`,
      why: t`What shows can be picked out.`,
      source: craft,
      weights: weights('look', 'look', 'note', 'look'),
    },
    glue: {
      name: t`Glue`,
      why: t`Glued parts let go in the wash and in a mouth.`,
      source: craft,
      weights: weights('stop', 'look', 'note', 'stop'),
    },
    wire: {
      name: t`Wire`,
      why: t`Wire breaks where it is bent, and its end comes through.`,
      source: t`EN 71-1:2014+A1:2018 on edges, points and wires; ${check}`,
      weights: weights('stop', 'stop', 'note', 'stop'),
    },
    magnet: {
      name: t`Magnets`,
      why: t`Two swallowed magnets hurt from inside.`,
      source: t`EN 71-1:2014+A1:2018 and 16 CFR 1262 on magnets; ${check}`,
      weights: weights('stop', 'stop', 'look', 'stop'),
    },
    rattle: {
      name: t`Rattles and bells`,
      why: t`What is inside may come out, and is small and hard.`,
      source: cylinder,
      weights: weights('look', 'note', 'none', 'look'),
    },
    'loose-filling': {
      name: t`Filling other than fibre`,
      why: t`Pellets, beans and seeds run out through one broken stitch, and are small enough to choke on.`,
      source: cylinder,
      weights: weights('stop', 'look', 'note', 'stop'),
    },
    'long-pile': {
      name: t`Long pile`,
      why: t`Hairs come off in a mouth, and hide loose stitches.`,
      source: t`${craft}; burning: EN 71-2:2020; ${check}`,
      weights: weights('look', 'note', 'none', 'look'),
    },
    battery: {
      name: t`Batteries and lights`,
      why: t`A button cell that is swallowed burns from inside within hours.`,
      source: t`16 CFR 1263 and EN IEC 62115:2020 on cells and electric toys; ${check}`,
      weights: weights('stop', 'stop', 'look', 'stop'),
    },
    stick: {
      name: t`Sticks and skewers inside`,
      why: t`A stick breaks, and its end comes through.`,
      source: t`EN 71-1:2014+A1:2018 on edges and points; ${check}`,
      weights: weights('stop', 'stop', 'note', 'stop'),
    },
    colouring: {
      name: t`Colour put on afterwards`,
      why: t`What is rubbed or painted on comes off in a mouth.`,
      source: t`EN 71-3:2019+A2:2024 on what migrates; ${check}`,
      weights: weights('look', 'note', 'none', 'look'),
    },
  },
};

const figure = (most: number) => Joi.number().positive().max(most).required();
const figuresSchema = Joi.object<Figures>({
  cylinderWidthMm: figure(200),
  cylinderLeastDepthMm: figure(200),
  cylinderDepthMm: figure(400),
  cordMm: figure(5_000),
  loopMm: figure(5_000),
  pullN: figure(1_000),
  pullSmallN: figure(1_000),
  pullSeconds: figure(600),
  smallMm: figure(200),
  seamN: figure(1_000),
  fewStitches: Joi.number().integer().min(1).max(100).required(),
});
const ruleSchema = Joi.object<Rule>({
  name: Joi.string().max(120).required(),
  why: Joi.string().max(400).required(),
  source: Joi.string().max(400).required(),
  weights: Joi.object(
    Object.fromEntries(audiences.map((who) => [who, Joi.valid('stop', 'look', 'note', 'none').required()])),
  ).required(),
});
const schema = Joi.object<RuleBook>({
  format: Joi.valid('hoppla-rules').required(),
  version: Joi.valid(1).required(),
  figures: figuresSchema.required(),
  rules: Joi.object(
    Object.fromEntries(Object.keys(shippedRules.rules).map((code) => [code, ruleSchema.required()])),
  ).required(),
}).prefs({ convert: false });

/** Rules that came after the first book was shipped. */
const rulesSinceFirst = [
  'loose-filling',
  'single-pass',
  'stretched-place',
  'knots-outside',
  'battery',
  'stick',
  'colouring',
] as const satisfies readonly RuleCode[];

export type ReadRules = { ok: true; book: RuleBook } | { ok: false; message: string };

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A book kept before a rule was there takes that rule as it is shipped. */
function withNewerRules(book: unknown): unknown {
  if (!isRecord(book) || !isRecord(book.rules)) return book;
  const newer = Object.fromEntries(rulesSinceFirst.map((code) => [code, shippedRules.rules[code]]));
  return { ...book, rules: { ...newer, ...book.rules } };
}

/** Reads a rule book as it was exported; the message says what is wrong with it. */
export function readRuleBook(text: string): ReadRules {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return { ok: false, message: t`This file is no rule book: it can’t be read as one.` };
  }
  const { error, value } = schema.validate(withNewerRules(parsed));
  if (error)
    return { ok: false, message: t`This rule book has a fault: ${error.message}. Nothing was changed.` };
  return { ok: true, book: value as RuleBook };
}

export const writeRuleBook = (book: RuleBook): string => `${JSON.stringify(book, null, 2)}\n`;

/** What differs from the rules that come with Hoppla, by the path of each figure or word. */
export function changedRules(book: RuleBook): string[] {
  const found: string[] = [];
  for (const [key, value] of Object.entries(book.figures))
    if (shippedRules.figures[key as keyof Figures] !== value) found.push(`figures.${key}`);
  for (const [code, rule] of Object.entries(book.rules)) {
    const shipped = shippedRules.rules[code as RuleCode];
    for (const key of ['name', 'why', 'source'] as const)
      if (shipped[key] !== rule[key]) found.push(`rules.${code}.${key}`);
    for (const who of audiences)
      if (shipped.weights[who] !== rule.weights[who]) found.push(`rules.${code}.weights.${who}`);
  }
  return found;
}
