import type { Problem, Suggestion } from '../../notation/problem';
import { turn, wrapAngle } from '../../shape/azimuth';
import { clearLines } from '../clearLines';
import type { EyePlacement } from '../eyes';
import { washerMm } from '../hardware';
import { pairAt, type PartForm } from '../partForm';
import { underWasher, underWasherWords } from '../washers';
import type { FeaturePlacement, FeatureUnit } from './featurePlacement';
import { atDistance, type FeatureRule } from './featureRule';
import { featureStep, writeFeature } from './featureSentence';
import { besideMiddle, byDistance } from './moveFeature';
import { reachOf } from './reach';
import { upOf } from './verticalLine';

/** A spiral leans by quarters of a stitch, and no whole number of stitches comes nearer to the middle than a quarter on every line. */
const offFrom = 0.3;
/** Where the middles are further from each other than half a stitch the eye sees it; a quarter each is what whole stitches cost. */
const offFromEyes = 0.55;
/** Rounds two features may share: a mouth may begin in the hole where the nose ends. */
const sharedFrom = 0.3;
/** A remedy has to gain more than what can't be seen. */
const noticeableMm = 0.5;
const mm = (value: number) => `${value < 10 ? Math.round(value * 10) / 10 : Math.round(value)} mm`;

/**
 * Conflicts of a placed feature with the middle, with other features and with the closing; each with remedies that rewrite its sentence.
 *
 * @param front azimuth of the front line
 * @param unitsAt where its places would be on another line of holes
 */
export function featureProblems(
  form: PartForm,
  placed: FeaturePlacement,
  all: readonly FeaturePlacement[],
  eyes: EyePlacement | null,
  front: number,
  unitsAt: (line: number) => readonly FeatureUnit[],
): Problem[] {
  const { part, fabric } = form;
  const { rule, line, kind, id } = placed;
  const step = featureStep(part, id);
  const problems: Problem[] = [];
  const change = (title: string, next: Partial<FeatureRule>): Suggestion => ({
    title,
    edits: [writeFeature(part, id, { ...byDistance(placed), ...next })],
  });
  const add = (
    code: string,
    severity: Problem['severity'],
    message: string,
    suggestions: Suggestion[] = [],
  ) =>
    problems.push({
      code,
      severity,
      part: part.name,
      line: step?.line,
      column: (step?.span.from ?? 0) + 1,
      message,
      suggestions,
    });
  const lineUp = (by: number): Suggestion[] => {
    const [lower, upper] = [fabric.label[line - 1 + by], fabric.label[line + by]];
    return lower && upper
      ? [change(`Between ${lower} and ${upper}`, { vertical: { by: 'gap', gap: [lower, upper] } })]
      : [];
  };

  const paired = rule.sides !== 'middle';
  const oneSide = rule.sides === 'left' || rule.sides === 'right';
  // What is put at a stitch far from the middle is meant to be there.
  const elsewhere = rule.sideways.by === 'holes' && !paired && Math.abs(placed.missStitches) > besideMiddle;
  if (!oneSide && !elsewhere && Math.abs(placed.missStitches) >= offFrom) {
    const better = remedies(form, placed, front, change);
    const what = paired ? `The middle between the ${id} falls` : `The middle of the ${id} falls`;
    add(
      'not-centred',
      'warning',
      `${what} ${Math.round(Math.abs(placed.missStitches) * 100) / 100} of a stitch ${placed.missSide} of the middle line, ${mm(placed.missMm)}.`,
      better,
    );
  }
  const radius = Math.max(0.001, form.profile.radius[line - 1] ?? 0);
  const [first, last] = [placed.units[0], placed.units.at(-1)];
  if (eyes && first && last && rule.sideways.by !== 'back' && !oneSide && !elsewhere) {
    // By how far each lies from the front: of two that face each other across the piece the middle is at the front, not at the back.
    const between = (a: number, b: number) => (wrapAngle(a - front) + wrapAngle(b - front)) / 2;
    const eyesMiddle = between(eyes.posts[0].azimuth, eyes.posts[1].azimuth);
    const off = Math.abs(wrapAngle(between(first.azimuth, last.azimuth) - eyesMiddle)) * radius;
    if (off > form.gauge.widthMm * offFromEyes) {
      add(
        'off-the-eyes',
        'warning',
        `The ${id} and the eyes do not share a middle: they are ${mm(off)} off each other.`,
        [...nearerTheEyes(form, placed, front, eyesMiddle, off, change), ...eyesToo(eyes)],
      );
    }
  }
  const clear = (isClear: (at: number) => boolean) =>
    clearLines(line, fabric.rounds - 1, isClear).flatMap((at) => lineUp(at - line));
  if (kind === 'nose' && !rule.embroidered) {
    for (const { code, severity, message } of noseWasher(form, placed, eyes))
      add(
        code,
        severity,
        message,
        clear((at) => noseWasher(form, { ...placed, line: at, units: [...unitsAt(at)] }, eyes).length === 0),
      );
  }
  if (kind !== 'sculpting') {
    // A ring behind an eye is as far as it reaches.
    const eyeMm = Math.max(eyes?.rule.sizeMm ?? 0, eyes?.rule.ring?.sizeMm ?? 0);
    const others = [
      ...all
        .filter((other) => other !== placed && other.kind !== 'sculpting')
        .map((other) => ({
          id: other.id,
          rises: risesOf(form, other.rule, other.line),
          units: other.units.map((unit) => ({ azimuth: unit.azimuth, half: unit.halfMm })),
        })),
      ...(eyes && !meantToTouch(placed)
        ? [
            {
              id: 'eyes',
              rises: aboutLine(form, eyes.round, eyeMm),
              units: eyes.posts.map((post) => ({ azimuth: post.azimuth, half: eyeMm / 2 })),
            },
          ]
        : []),
    ];
    const touches = (at: number, other: (typeof others)[number]) => {
      const own = risesOf(form, rule, at);
      const around = Math.max(0.001, form.profile.radius[at - 1] ?? 0);
      const near =
        Math.min(own.upper, other.rises.upper) - Math.max(own.lower, other.rises.lower) > sharedFrom;
      return (
        near &&
        (at === line ? placed.units : unitsAt(at)).some((unit) =>
          other.units.some(
            ({ azimuth, half }) =>
              Math.abs(wrapAngle(unit.azimuth - azimuth)) * around < unit.halfMm + half - 0.5,
          ),
        )
      );
    };
    for (const other of others) {
      // Said once for each two: by the one that comes later in the text.
      if (other.id !== 'eyes' && all.findIndex((one) => one.id === other.id) > all.indexOf(placed)) continue;
      if (touches(line, other))
        add(
          'features-overlap',
          'warning',
          `The ${id} and the ${other.id} lie over each other.`,
          clear((at) => others.every((one) => !touches(at, one))),
        );
    }
  }
  const count = (fabric.offset[fabric.rounds] ?? 0) - (fabric.offset[fabric.rounds - 1] ?? 0);
  if (count <= 12 && fabric.rounds - line <= 1)
    add(
      'near-closing',
      'warning',
      `The ${id} lies on the rounds that close the piece, where the fabric is drawn together.`,
      lineUp(-2),
    );
  return problems;
}

/** Lashes stand at the eyes, and a patch over an eye lies behind it. */
function meantToTouch({ kind, rule }: FeaturePlacement): boolean {
  return (
    kind === 'lashes' ||
    ((kind === 'patch' || kind === 'spots') &&
      rule.sideways.by === 'inLine' &&
      rule.sideways.to === 'eyes' &&
      rule.vertical?.by === 'level')
  );
}

interface Rises {
  lower: number;
  upper: number;
}

/** How high something lies, in rounds upwards as one looks at the piece; at least half a round, which a single stitch needs. */
function aboutLine(form: PartForm, line: number, sizeMm: number): Rises {
  const half = Math.max(0.25, sizeMm / form.gauge.heightMm / 2);
  return { lower: upOf(form) * line - half, upper: upOf(form) * line + half };
}

/** What is stitched reaches up or down from its line; what is sewn on lies about it. */
function risesOf(form: PartForm, rule: FeatureRule, line: number): Rises {
  if (rule.sizeMm !== null && !rule.embroidered) return aboutLine(form, line, rule.sizeMm);
  const { up, down } = reachOf(rule);
  const flat = aboutLine(form, line, 0);
  return up + down > 0 ? { lower: upOf(form) * line - down, upper: upOf(form) * line + up } : flat;
}

/** A pressed nose has a washer too: it must lie flat and clear of those of the eyes. */
function noseWasher(
  form: PartForm,
  { units, line, rule }: FeaturePlacement,
  eyes: EyePlacement | null,
): { code: string; severity: Problem['severity']; message: string }[] {
  const [post] = units;
  if (!post || rule.sizeMm === null) return [];
  const across = washerMm(rule.sizeMm);
  const found: { code: string; severity: Problem['severity']; message: string }[] = [];
  const under = underWasherWords(underWasher(form, line, post.azimuth, across), form.fabric.label);
  if (under)
    found.push({
      code: under.code,
      severity: 'warning',
      message: `The washer of the nose, about ${mm(across)} across, ${under.words}: it will not sit flat.`,
    });
  const radius = form.profile.radius[line - 1] ?? 0;
  for (const eye of eyes?.posts ?? []) {
    const away = Math.hypot(
      wrapAngle(eye.azimuth - post.azimuth) * radius,
      ((eyes?.round ?? 0) - line) * form.gauge.heightMm,
    );
    const room = (across + (eyes?.washerMm ?? 0)) / 2;
    if (away < room)
      found.push({
        code: 'washers-overlap',
        severity: 'error',
        message: `The washers of the nose and the ${eye.side} eye need ${mm(room)} from post to post, and have ${mm(away)}: they overlap inside.`,
      });
  }
  return found;
}

/** Where the eyes miss the middle themselves, what evens them out. */
function eyesToo({ problems }: EyePlacement): Suggestion[] {
  const centring = problems.find(({ code }) => code === 'not-centred')?.suggestions ?? [];
  return centring
    .slice(0, 2)
    .map(({ title, edits }) => ({ title: `Eyes: ${title.charAt(0).toLowerCase()}${title.slice(1)}`, edits }));
}

/** One wider or narrower, where that brings its middle nearer to that of the eyes. */
function nearerTheEyes(
  form: PartForm,
  { rule, line, seat, apart }: FeaturePlacement,
  front: number,
  eyesMiddle: number,
  off: number,
  change: (title: string, next: Partial<FeatureRule>) => Suggestion,
): Suggestion[] {
  const size = apart ?? rule.wide;
  return [1, -1].flatMap((by) => {
    if (size + by < 1 || (apart === null && !rule.embroidered && rule.sizeMm !== null)) return [];
    const { pair, holes } = pairAt(form, line, seat, size + by, front);
    const middle = (pair.miss * turn) / holes.count;
    if (Math.abs(wrapAngle(middle - eyesMiddle)) * (form.profile.radius[line - 1] ?? 0) > off - noticeableMm)
      return [];
    return [
      apart === null
        ? change(`${size + by} wide`, { wide: size + by })
        : change(`${size + by} apart`, { sideways: atDistance(rule.sideways, size + by) }),
    ];
  });
}

/** One wider or narrower, the other seat, the lines beside: what is centred better, best first. */
function remedies(
  form: PartForm,
  { rule, line, missStitches, apart, seat }: FeaturePlacement,
  front: number,
  change: (title: string, next: Partial<FeatureRule>) => Suggestion,
): Suggestion[] {
  const { fabric } = form;
  const found: { suggestion: Suggestion; miss: number }[] = [];
  const middle = front + (rule.sideways.by === 'back' ? Math.PI : 0);
  const consider = (
    title: string,
    at: number,
    size: number,
    by: 'foot' | 'split',
    next: Partial<FeatureRule>,
  ) => {
    if (size < 0 || at < 1 || at >= fabric.rounds) return;
    const miss = Math.abs(pairAt(form, at, by, size, middle).pair.miss);
    if (miss < Math.abs(missStitches) - 0.05) found.push({ suggestion: change(title, next), miss });
  };
  const sewn = !rule.embroidered && rule.sizeMm !== null;
  const size = apart ?? (sewn ? 0 : rule.wide);
  if (sewn)
    consider(
      seat === 'foot' ? 'Between two stitches' : 'In a hole',
      line,
      size,
      seat === 'foot' ? 'split' : 'foot',
      { seat: seat === 'foot' ? 'split' : 'foot' },
    );
  for (const by of [1, -1]) {
    if (apart !== null && size + by > 0)
      consider(`${size + by} apart`, line, size + by, seat, {
        sideways: atDistance(rule.sideways, size + by),
      });
    else if (!sewn && size + by > 0)
      consider(`${size + by} wide`, line, size + by, seat, { wide: size + by });
    const [lower, upper] = [fabric.label[line - 1 + by], fabric.label[line + by]];
    if (lower && upper)
      consider(`Between ${lower} and ${upper}`, line + by, size, seat, {
        vertical: { by: 'gap', gap: [lower, upper] },
      });
  }
  return found
    .sort((a, b) => a.miss - b.miss)
    .slice(0, 3)
    .map(({ suggestion }) => suggestion);
}
