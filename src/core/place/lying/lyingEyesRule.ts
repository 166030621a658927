import type { Problem, Suggestion } from '../../notation/problem';
import type { Step } from '../../notation/step';
import { putSize } from '../eyesSaid';
import { writeEyes, type EyeRule } from '../eyeSentence';
import { unread } from '../features/unread';
import { frontAzimuth, roundIndex } from '../frontLine';
import { largestEyeMm, smallestEyeMm } from '../hardware';
import { choosePair } from '../pair';
import type { PartForm } from '../partForm';
import { levelPair, type LyingFrame } from './frame';

/** The lines of holes a number apart that lie nearest to mirror-true about the middle of the face, first worked first. */
export function linesApart({ fabric }: PartForm, { middle }: LyingFrame, apart: number): [number, number] {
  const { a } = choosePair(middle, apart);
  const first = Math.max(1, Math.min(fabric.rounds - 1 - apart, a));
  return [first, first + apart];
}

/** A line of holes by the rounds beside it, as the maker numbers them. */
export function gapOf({ fabric }: PartForm, line: number): [number, number] {
  return [fabric.label[line - 1] ?? line, fabric.label[line] ?? line + 1];
}

/** The rule with its eyes so many rounds apart. */
export function withLines(
  form: PartForm,
  rule: EyeRule,
  [first, second]: readonly [number, number],
): EyeRule {
  return { ...rule, gap: gapOf(form, first), other: gapOf(form, second), apart: second - first };
}

/** Eyes to begin with: about half the face apart, on the front line, a round more or fewer where the holes of those lines lie nearer to level. */
export function proposeLyingEyes(form: PartForm, frame: LyingFrame): EyeRule {
  const { part, profile, fabric, gauge, starts } = form;
  const widest = profile.radius.reduce((most, radius) => Math.max(most, radius), 0);
  const most = Math.max(1, fabric.rounds - 2);
  const usual = Math.max(1, Math.min(most, Math.round(widest / gauge.heightMm)));
  const off = (apart: number) => {
    const lines = linesApart(form, frame, apart);
    const level = {
      front: frontAzimuth(
        part,
        fabric,
        starts,
        lines.flatMap((line) => [line, line + 1]),
      ),
      facing: 1 as const,
    };
    const [one, other] = levelPair(form, level, lines, 0, 'foot');
    return (
      Math.abs(one.heightMm - other.heightMm) / gauge.widthMm +
      Math.abs((lines[0] + lines[1]) / 2 - frame.middle) +
      Math.abs(apart - usual) / 10
    );
  };
  const apart = [0, 1, -1, 2, -2]
    .map((by) => usual + by)
    .filter((one) => one >= 1 && one <= most)
    .reduce((best, one) => (off(one) < off(best) - 1e-9 ? one : best), usual);
  const sizeMm = Math.min(largestEyeMm, Math.max(smallestEyeMm, Math.round(gauge.widthMm * 1.8)));
  return withLines(
    form,
    { sizeMm, gap: [1, 2], apart: 1, seat: 'foot', rise: 0 },
    linesApart(form, frame, apart),
  );
}

/** The rule a sentence about eyes comes to on a part that lies, with what is to be asked about it. */
export function lyingEyesRule(
  form: PartForm,
  frame: LyingFrame,
  step: Step,
): { rule: EyeRule; problems: Problem[] } {
  const { part, fabric } = form;
  const problems: Problem[] = [];
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
      line: step.line,
      column: step.span.from + 1,
      message,
      suggestions,
    });
  const settle = (next: EyeRule): Suggestion => ({
    title: `${next.apart} rounds apart, about the middle`,
    edits: [writeEyes(part, next)],
  });
  let rule = proposeLyingEyes(form, frame);
  rule.seat = step.seat ?? 'foot';
  const last = fabric.rounds - 1;
  const lineOf = (gap: readonly [number, number]): number => {
    const line = roundIndex(fabric, gap[0]);
    if (gap[1] !== gap[0] + 1)
      add(
        'gap-not-adjacent',
        'warning',
        `Rounds ${gap[0]} and ${gap[1]} are not neighbours, so there is no one line of holes between them. The first of them is taken.`,
      );
    if (line >= 1 && line <= last) return line;
    const nearest = line < 1 && gap[0] < (fabric.label[0] ?? 1) ? 1 : last;
    add(
      'gap-missing',
      'error',
      `There is no line of holes between rounds ${gap[0]} and ${gap[1]} on this part. The nearest is between ${gapOf(form, nearest).join(' and ')}.`,
    );
    return nearest;
  };
  const between =
    step.gap ?? (step.round === undefined ? undefined : ([step.round, step.round + 1] as [number, number]));
  const apart =
    step.apart ?? step.showing ?? (step.outward?.from === 'front' ? 2 * step.outward.stitches : undefined);
  if (between && step.otherGap) {
    const lines = [lineOf(between), lineOf(step.otherGap)].sort((a, b) => a - b) as [number, number];
    if (lines[0] === lines[1])
      add(
        'same-hole',
        'error',
        'Both eyes are said to be on the same line of holes. On a part that lies on its side each has its own.',
      );
    rule = withLines(form, rule, lines[0] === lines[1] ? linesApart(form, frame, 1) : lines);
  } else if (between) {
    const line = lineOf(between);
    const mirrored = Math.max(
      1,
      Math.min(
        last,
        apart === undefined
          ? Math.round(2 * frame.middle - line)
          : line + (line < frame.middle ? 1 : -1) * Math.round(apart),
      ),
    );
    const lines = (
      [line, mirrored === line ? (line < last ? line + 1 : line - 1) : mirrored] as [number, number]
    ).sort((a, b) => a - b) as [number, number];
    rule = withLines(form, rule, lines);
    if (apart === undefined)
      add(
        'eyes-other-side',
        'info',
        `The part lies on its side, so each eye has a line of holes of its own. The other one is put between ${gapOf(form, mirrored).join(' and ')}, as far from the middle.`,
      );
    else {
      const centred = withLines(
        form,
        rule,
        linesApart(form, frame, Math.max(1, Math.min(last - 1, Math.round(apart)))),
      );
      const afresh = proposeLyingEyes(form, frame);
      add(
        'eyes-one-line',
        'warning',
        `The part lies on its side, so each eye has a line of holes of its own. “${apart} apart” is taken as ${Math.round(apart)} rounds, the other eye put between ${gapOf(form, mirrored).join(' and ')}.`,
        [
          settle(centred),
          ...(afresh.apart === centred.apart
            ? []
            : [settle({ ...afresh, sizeMm: step.sizeMm ?? afresh.sizeMm })]),
        ],
      );
    }
  } else if (apart !== undefined) {
    const rounds = Math.max(1, Math.min(last - 1, Math.round(apart)));
    if (rounds !== Math.round(apart))
      add(
        'apart-impossible',
        'error',
        `This part has ${last} lines of holes; the eyes can't be ${Math.round(apart)} rounds apart on it.`,
      );
    rule = withLines(form, rule, linesApart(form, frame, rounds));
  } else
    add(
      'eyes-spacing',
      'warning',
      `The sentence does not say how many rounds apart the eyes are. They are put ${rule.apart} apart until you say.`,
    );
  if (step.across === 'stitches')
    add(
      'across-in-stitches',
      'warning',
      `On a part that lies on its side across is counted in rounds: ${rule.apart} rounds are taken.`,
      [{ title: 'Say it in rounds', edits: [writeEyes(part, rule)] }],
    );
  const { stitchesFrom } = step;
  if (stitchesFrom?.to === 'front')
    rule.rise = stitchesFrom.direction === 'above' ? stitchesFrom.stitches : -stitchesFrom.stitches;
  else if (step.relation || stitchesFrom)
    add(
      'rounds-not-below',
      'warning',
      'On a part that lies on its side, up and down is counted in stitches from the front line: say “2 stitches above the front line”. The eyes are put on it until you say.',
    );
  putSize(step, rule, add);
  for (const { code, severity, message, suggestions } of unread(
    step,
    'eyes',
    'stitch',
    (by) => writeEyes(part, { ...rule, rise: by }),
    () => writeEyes(part, rule),
  )) {
    if (code === 'words-unused') add(code, severity, message, suggestions);
  }
  return { rule, problems };
}
