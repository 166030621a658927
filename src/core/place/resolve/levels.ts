import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import type { Fabric } from '../../fabric/fabric';
import type { Suggestion } from '../../notation/problem';
import { countsBack, type CountedFrom, type FeatureKind } from '../../notation/sentence/said';
import { gapOf, upOf, type FaceFrame, type Level } from '../frame/faceFrame';
import { lineAbove } from '../frame/frontLine';
import { isLandmark, landmarkLines } from '../frame/landmarks';
import { heightUp } from '../frame/sidewaysFrame';
import type { Reach } from '../rule/reach';
import type { Vertical } from '../rule/rule';
import type { Report } from './finding';
import { saying } from '../../words/problems/problems';
import { plural } from '../../words/counted';
import { roundNumbered } from '../../fabric/rounds';

/** A placed feature as others count from it: its level, and how far it reaches up and down from that. */
export interface CountedAnchor {
  level: Level;
  reach: Reach;
}

/** What is asked of a height: for which feature, what others it may go by, and where to tell what is wrong. */
export interface LevelAsked {
  /** as it stands in messages: `mouth` */
  name: string;
  /** `eyes`, else `feature`: what the codes of problems begin with */
  sort: 'eyes' | 'feature';
  /** how far it reaches from its level itself */
  reach: Reach;
  /** where it goes when nothing is said */
  usual: Level;
  anchor(kind: FeatureKind): CountedAnchor | undefined;
  report: Report;
  /** a remedy that puts another height into the text */
  settle(title: string, vertical: Vertical): Suggestion;
}

/**
 * The level that a rule comes to. What can't be resolved says so and comes to the usual place, or to the nearest there is.
 *
 * @param frame of the part; levels do not hang on where its front is
 */
export function levelFor(frame: FaceFrame, vertical: Vertical | null, asked: LevelAsked): Level {
  return frame.lies ? heightFor(frame, vertical, asked) : lineFor(frame, vertical, asked);
}

const signOf = (direction: 'above' | 'below') => (direction === 'above' ? 1 : -1);

/** On a part that lies: so many stitches over the front line, or over something. */
function heightFor({ form }: FaceFrame, vertical: Vertical | null, asked: LevelAsked): Level {
  if (vertical?.by !== 'stitches' && vertical?.by !== 'level') return asked.usual;
  const anchor = vertical.to === 'front' ? undefined : asked.anchor(vertical.to);
  const from = anchor?.level ?? 0;
  if (vertical.by === 'level') return from;
  const counted = vertical.direction === 'above' ? anchor?.reach.up : anchor?.reach.down;
  const stitches = signOf(vertical.direction) * (vertical.stitches + (counted ?? 0));
  const height = heightUp(form, from, stitches);
  if (height !== null) return height;
  asked.report({
    ...saying('gap-missing', { why: 'beyond-face', name: asked.name, stitches }),
    severity: 'error',
  });
  return from;
}

/** Lines of holes of a part that stands. */
class Lines {
  constructor(
    private readonly frame: FaceFrame,
    private readonly asked: LevelAsked,
  ) {}

  private get fabric(): Fabric {
    return this.frame.form.fabric;
  }

  get last(): number {
    return this.fabric.rounds;
  }

  get lastLabel(): number {
    return this.fabric.label[this.last - 1] ?? this.last;
  }

  get startsAtTop(): boolean {
    return this.frame.form.orientation.start === 'top';
  }

  isLine(line: number): boolean {
    return line >= 1 && line < this.last;
  }

  gap(line: number): [number, number] {
    return gapOf(this.frame.form, line);
  }

  between(line: number): Suggestion {
    const gap = this.gap(line);
    return this.asked.settle(t`Between ${gap.join(t` and `)}`, { by: 'gap', gap });
  }

  /** The line itself, or the nearest there is, which is told. */
  onPart(line: number, said: string): number {
    if (this.isLine(line)) return line;
    const { name, report } = this.asked;
    const nearest = Math.max(1, Math.min(this.last - 1, line));
    const taken = this.gap(nearest);
    report({
      ...saying('gap-missing', { why: 'beyond-part', name, said, last: this.lastLabel, taken }),
      severity: 'error',
      suggestions: [this.between(nearest)],
    });
    return nearest;
  }

  /** The line after a round by its number in the text. */
  after(label: number): number {
    const line = lineAbove(this.fabric, label) || roundNumbered(this.fabric, label);
    if (line > 0) return this.onPart(line, t`Round ${label}`);
    const labels = [...this.fabric.label.slice(0, -1)];
    const off = (index: number) => Math.abs((labels[index] ?? Infinity) - label);
    const nearest = labels.reduce((best, _, index) => (off(index) < off(best) ? index : best), 0) + 1;
    const { name, report } = this.asked;
    const taken = this.gap(nearest);
    report({
      ...saying('gap-missing', { why: 'no-line', name, round: label, last: this.lastLabel, taken }),
      severity: 'error',
      suggestions: [this.between(nearest)],
    });
    return nearest;
  }

  /** A round counted from an end, by its number in the text. */
  fromStart(said: number, from: CountedFrom | 'start' | undefined): number {
    const back = from !== 'start' && countsBack(from, this.frame.form.orientation.start);
    return back ? this.lastLabel - said : said;
  }
}

function lineFor(frame: FaceFrame, vertical: Vertical | null, asked: LevelAsked): Level {
  const lines = new Lines(frame, asked);
  switch (vertical?.by) {
    case undefined:
      return notSaid(lines, asked);
    case 'start':
      return 1;
    case 'gap':
      return gapLine(lines, vertical, asked);
    case 'range':
      return rangeLine(frame, lines, vertical, asked);
    case 'round':
      return roundLine(lines, vertical, asked);
    case 'stitches':
      return stitchesLine(frame, lines, vertical, asked);
    case 'level':
      return asked.anchor(vertical.to)?.level ?? asked.usual;
    case 'relation':
      return isLandmark(vertical.to)
        ? landmarkLine(frame, lines, vertical, asked)
        : relatedLine(frame, lines, vertical, asked);
  }
}

function notSaid(lines: Lines, { name, sort, usual, report }: LevelAsked): number {
  report({
    ...saying(`${sort}-where`, { name, taken: lines.gap(usual) }),
    severity: 'warning',
    suggestions: [lines.between(usual)],
  });
  return usual;
}

function gapLine(lines: Lines, { gap, from }: Vertical & { by: 'gap' }, { report }: LevelAsked): number {
  const [said, upper] = gap;
  // The line between the fourth and the fifth round from the end lies over the fifth.
  const lower = lines.fromStart(said, from);
  const line = lines.after(lower);
  if (upper !== said + 1) {
    report({
      ...saying('gap-not-adjacent', { gap: [said, upper] }),
      severity: 'warning',
      suggestions: [lines.between(line)],
    });
  }
  return line;
}

/** By the end it is worked from: a nose by its upper one and a line of strands by its lower one; what is sewn on by its middle. */
function rangeLine(
  { form }: FaceFrame,
  lines: Lines,
  { from, to }: Vertical & { by: 'range' },
  { name, reach, report }: LevelAsked,
): number {
  const { fabric } = form;
  const [upper, lower] = upOf(form) < 0 ? [from, to - 1] : [to, from];
  const middle = Math.round((from + to - 1) / 2);
  const label = reach.down > 0 ? upper : reach.up > 0 ? lower : middle;
  const known = roundNumbered(fabric, label) > 0;
  const whole = roundNumbered(fabric, from) > 0 && roundNumbered(fabric, to) > 0;
  if (known && !whole) {
    const facts = { name, from, to, first: fabric.label[0] ?? 1, last: lines.lastLabel };
    report({ ...saying('range-beyond', facts), severity: 'error' });
  }
  return known ? lines.onPart(roundNumbered(fabric, label), t`Round ${label}`) : lines.after(label);
}

function roundLine(
  lines: Lines,
  { round, from, side, mayBeMoment }: Vertical & { by: 'round' },
  { sort, name, report }: LevelAsked,
): number {
  const after = lines.fromStart(round, from);
  // The line over a round is the one before it where the work begins at the top.
  if (side) return lines.after((side === 'above') === lines.startsAtTop ? after - 1 : after);
  const line = lines.after(after);
  const taken: [number, number] = [after, after + 1];
  report({
    ...saying(`${sort}-on-round`, { name, round, from, taken, mayBeMoment: mayBeMoment === true }),
    severity: 'info',
    suggestions: [lines.between(line)],
  });
  return line;
}

function stitchesLine(
  frame: FaceFrame,
  lines: Lines,
  { stitches, direction, to }: Vertical & { by: 'stitches' },
  asked: LevelAsked,
): number {
  const anchor = to === 'front' ? undefined : asked.anchor(to);
  const title = `${plural(stitches, 'round')} ${direction}`;
  const inRounds =
    to === 'front'
      ? lines.between(asked.usual)
      : asked.settle(title, { by: 'relation', rounds: stitches, direction, to });
  asked.report({
    ...saying('up-in-rounds', { name: asked.name, rounds: stitches, anchored: anchor !== undefined }),
    severity: 'warning',
    suggestions: [inRounds],
  });
  if (!anchor) return asked.usual;
  return lines.onPart(countedLine(frame, anchor, direction, stitches), t`${title} the ${sayTerm(to)}`);
}

/** A line so many rounds over or under the edge of something. */
function countedLine(
  { form }: FaceFrame,
  { level, reach }: CountedAnchor,
  direction: 'above' | 'below',
  rounds: number,
): number {
  const edge = direction === 'above' ? reach.up : reach.down;
  return level + upOf(form) * signOf(direction) * (edge + rounds);
}

function relatedLine(
  frame: FaceFrame,
  lines: Lines,
  { rounds, direction, to }: Vertical & { by: 'relation' },
  asked: LevelAsked,
): number {
  const anchor = asked.anchor(to as FeatureKind);
  if (!anchor) return asked.usual;
  const line = direction === 'from' ? anchor.level - rounds : countedLine(frame, anchor, direction, rounds);
  return lines.onPart(line, t`${plural(rounds, 'round')} ${sayTerm(direction)} the ${sayTerm(to)}`);
}

/** The line a landmark lies on: the base of a toy is its lowest end and the top its highest, whichever end of the work that is. */
function landmarkLinesOf({ form }: FaceFrame, to: string): readonly number[] {
  const { fabric, orientation } = form;
  if (to === 'base' || to === 'top')
    return [(to === 'base') === (orientation.start === 'top') ? fabric.rounds : 0];
  return isLandmark(to as FeatureKind) ? landmarkLines(fabric, to as 'ridge') : [];
}

/** An increase or a decrease is a round with a line on either side: the step to the other one, where that is the way to go. */
function acrossRound(to: string, step: number): number {
  if (to === 'last increase') return Math.min(0, step);
  return to === 'first decrease' ? Math.max(0, step) : 0;
}

function landmarkLine(
  frame: FaceFrame,
  lines: Lines,
  { rounds, direction, to }: Vertical & { by: 'relation' },
  { name, usual, report }: LevelAsked,
): number {
  const [first, ...more] = landmarkLinesOf(frame, to);
  if (first === undefined) {
    report({
      ...saying('landmark-missing', { name, landmark: to }),
      // A bow around the neck may well go where two parts are joined.
      severity: to === 'neck' ? 'warning' : 'error',
      suggestions: [lines.between(usual)],
    });
    return usual;
  }
  const inward = first === 0 || to === 'last increase' || to === 'plain rounds' ? 1 : -1;
  const step = direction === 'from' ? inward : upOf(frame.form) * signOf(direction);
  const at = (line: number) => line + acrossRound(to, step) + step * rounds;
  if (more.length > 0) {
    report({
      ...saying('landmark-ambiguous', { name, landmark: to, places: more.length + 1 }),
      severity: 'info',
      suggestions: [first, ...more]
        .map(at)
        .filter((line) => lines.isLine(line))
        .map((line) => lines.between(line)),
    });
  }
  const place = to === 'edge' ? 'live edge' : to;
  const said =
    rounds === 0
      ? t`The ${sayTerm(place)}`
      : t`${plural(rounds, 'round')} ${sayTerm(direction)} the ${sayTerm(place)}`;
  return lines.onPart(at(first), said);
}
