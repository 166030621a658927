import type { Problem, Suggestion } from '../../notation/problem';
import { turn, wrapAngle } from '../../shape/azimuth';
import type { EyePlacement } from '../eyes';
import { choosePair } from '../pair';
import { holeAt } from '../holes';
import { frontAzimuth } from '../frontLine';
import { seatHoles, type PartForm } from '../partForm';
import type { FeaturePlacement } from './featurePlacement';
import type { FeatureRule } from './featureRule';
import { featureLibrary } from './library';
import { featureStep, writeFeature } from './featureSentence';

const offFrom = 0.2;
const mm = (value: number) => `${value < 10 ? Math.round(value * 10) / 10 : Math.round(value)} mm`;

/** Conflicts of a placed feature with the middle, with other features and with the closing; each with remedies that rewrite its sentence. */
export function featureProblems(form: PartForm, placed: FeaturePlacement, all: readonly FeaturePlacement[], eyes: EyePlacement | null): Problem[] {
  const { part, fabric, lines } = form;
  const { rule, line, kind } = placed;
  const step = featureStep(part, kind);
  const problems: Problem[] = [];
  const change = (title: string, next: Partial<FeatureRule>): Suggestion => ({ title, edits: [writeFeature(part, lines, { ...rule, ...next })] });
  const add = (code: string, severity: Problem['severity'], message: string, suggestions: Suggestion[] = []) =>
    problems.push({ code, severity, part: part.name, line: step?.line, column: (step?.span.from ?? 0) + 1, message, suggestions });
  const lineUp = (by: number): Suggestion[] => {
    const [lower, upper] = [fabric.label[line - 1 + by], fabric.label[line + by]];
    return lower && upper ? [change(`Between ${lower} and ${upper}`, { vertical: { by: 'gap', gap: [lower, upper] } })] : [];
  };

  if (Math.abs(placed.missStitches) >= offFrom) {
    const better = remedies(form, placed, change);
    const what = featureLibrary[kind].pair ? `The middle between the ${kind} falls` : `The middle of the ${kind} falls`;
    add('not-centred', 'warning', `${what} ${Math.round(Math.abs(placed.missStitches) * 100) / 100} of a stitch ${placed.missSide} of the middle line, ${mm(placed.missMm)}. An even and an odd number can't share a middle there.`, better);
  }
  const eyeMiddle = eyes ? eyes.missStitches * (turn / eyes.posts[0].of) : 0;
  const ownMiddle = placed.missStitches * (turn / (placed.units[0]?.of ?? 1));
  const radius = Math.max(0.001, form.profile.radius[line - 1] ?? 0);
  if (eyes && rule.sideways.by !== 'back' && Math.abs(eyeMiddle - ownMiddle) * radius > form.gauge.widthMm * 0.3) {
    add('off-the-eyes', 'warning', `The ${kind} and the eyes do not share a middle: they are ${mm(Math.abs(eyeMiddle - ownMiddle) * radius)} off each other.`, featureLibrary[kind].pair ? [] : [change(`${rule.wide + 1} wide`, { wide: rule.wide + 1 }), ...(rule.wide > 1 ? [change(`${rule.wide - 1} wide`, { wide: rule.wide - 1 })] : [])]);
  }
  if (kind !== 'sculpting') {
    const others = [
      ...all.filter((other) => other !== placed && other.kind !== 'sculpting').map((other) => ({ kind: other.kind as string, line: other.line, high: other.rule.high, units: other.units.map((unit) => ({ azimuth: unit.azimuth, half: unit.halfMm })) })),
      ...(eyes ? [{ kind: 'eyes', line: eyes.round, high: Math.max(1, Math.round(eyes.rule.sizeMm / form.gauge.heightMm)), units: eyes.posts.map((post) => ({ azimuth: post.azimuth, half: eyes.rule.sizeMm / 2 })) }] : []),
    ];
    for (const other of others) {
      // Said once for each two: by the one that comes later in the text.
      if (other.kind !== 'eyes' && all.findIndex((one) => one.kind === other.kind) > all.indexOf(placed)) continue;
      const near = Math.abs(other.line - line) < (rule.high + other.high) / 2;
      const touch = near && placed.units.some((unit) => other.units.some(({ azimuth, half }) => Math.abs(wrapAngle(unit.azimuth - azimuth)) * radius < unit.halfMm + half - 0.5));
      if (touch) add('features-overlap', 'warning', `The ${kind} and the ${other.kind} lie over each other.`, [...lineUp(1), ...lineUp(-1)]);
    }
  }
  const count = (fabric.offset[fabric.rounds] ?? 0) - (fabric.offset[fabric.rounds - 1] ?? 0);
  if (count <= 12 && fabric.rounds - line <= 1) add('near-closing', 'warning', `The ${kind} lie on the rounds that close the piece, where the fabric is drawn together.`, lineUp(-2));
  return problems;
}

/** One wider or narrower, one nearer or further apart, the lines beside: what is centred better, best first. */
function remedies(form: PartForm, { rule, line, missStitches, apart, kind }: FeaturePlacement, change: (title: string, next: Partial<FeatureRule>) => Suggestion): Suggestion[] {
  const { fabric } = form;
  const pair = featureLibrary[kind].pair;
  const found: { suggestion: Suggestion; miss: number }[] = [];
  const consider = (title: string, at: number, size: number, next: Partial<FeatureRule>) => {
    if (size < 1 || at < 1 || at >= fabric.rounds) return;
    const holes = seatHoles(form, at, 'foot');
    const front = frontAzimuth(form.part, fabric, form.starts, [at, at + 1]) + (rule.sideways.by === 'back' ? Math.PI : 0);
    const miss = Math.abs(choosePair(holeAt(holes, front), size).miss);
    if (miss < Math.abs(missStitches) - 0.05) found.push({ suggestion: change(title, next), miss });
  };
  const size = apart ?? rule.wide;
  for (const by of [1, -1]) {
    if (pair) consider(`${size + by} apart`, line, size + by, { sideways: { by: 'apart', apart: size + by } });
    else consider(`${size + by} wide`, line, size + by, { wide: size + by });
    const [lower, upper] = [fabric.label[line - 1 + by], fabric.label[line + by]];
    if (lower && upper) consider(`Between ${lower} and ${upper}`, line + by, size, { vertical: { by: 'gap', gap: [lower, upper] } });
  }
  return found.sort((a, b) => a.miss - b.miss).slice(0, 3).map(({ suggestion }) => suggestion);
}
