import type { Fabric } from '../../fabric/fabric';
import type { Suggestion } from '../../notation/problem';
import { countsBack, type CountedFrom, type FeatureKind } from '../../notation/sentence/said';
import { gapOf, upOf, type FaceFrame, type Level } from '../frame/faceFrame';
import { lineAbove, roundIndex } from '../frame/frontLine';
import { isLandmark, landmarkLines } from '../frame/landmarks';
import { heightUp } from '../frame/sidewaysFrame';
import type { Reach } from '../rule/reach';
import type { Vertical } from '../rule/rule';
import { plural } from '../rule/writeRule';
import type { Report } from './finding';

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
const goOf = (name: string) => (name.endsWith('s') ? 'go' : 'goes');
const areOf = (name: string) => (name.endsWith('s') ? 'are' : 'is');

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
    code: 'gap-missing',
    severity: 'error',
    message: `${Math.abs(stitches)} stitches ${stitches > 0 ? 'above' : 'below'} lies beyond the edge of the face. The ${asked.name} ${goOf(asked.name)} level with what it is counted from until you say.`,
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

  between(line: number): Suggestion {
    const gap = gapOf(this.frame.form, line);
    return this.asked.settle(`Between ${gap.join(' and ')}`, { by: 'gap', gap });
  }

  /** The line itself, or the nearest there is, which is told. */
  onPart(line: number, said: string): number {
    if (this.isLine(line)) return line;
    const { name, report } = this.asked;
    const nearest = Math.max(1, Math.min(this.last - 1, line));
    const gap = gapOf(this.frame.form, nearest).join(' and ');
    report({
      code: 'gap-missing',
      severity: 'error',
      message: `${said} lies beyond this part, which ends with round ${this.lastLabel}. The ${name} ${areOf(name)} put between ${gap} until you say.`,
      suggestions: [this.between(nearest)],
    });
    return nearest;
  }

  /** The line after a round by its number in the text. */
  after(label: number): number {
    const line = lineAbove(this.fabric, label) || roundIndex(this.fabric, label);
    if (line > 0) return this.onPart(line, `Round ${label}`);
    const labels = [...this.fabric.label.slice(0, -1)];
    const off = (index: number) => Math.abs((labels[index] ?? Infinity) - label);
    const nearest = labels.reduce((best, _, index) => (off(index) < off(best) ? index : best), 0) + 1;
    const { name, report } = this.asked;
    report({
      code: 'gap-missing',
      severity: 'error',
      message: `There is no line of holes between rounds ${label} and ${label + 1} on this part, which ends with round ${this.lastLabel}. The ${name} ${areOf(name)} put between ${gapOf(this.frame.form, nearest).join(' and ')}, the nearest, until you say.`,
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
  const settle = lines.between(usual);
  const where = settle.title.toLowerCase();
  report({
    code: `${sort}-where`,
    severity: 'warning',
    message: `The sentence does not say between which rounds the ${name} ${goOf(name)}. ${name.endsWith('s') ? 'They are' : 'It is'} put ${where} until you say.`,
    suggestions: [settle],
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
      code: 'gap-not-adjacent',
      severity: 'warning',
      message: `Rounds ${said} and ${upper} are not neighbours, so there is no one line of holes between them. The first of them is taken.`,
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
  const known = roundIndex(fabric, label) > 0;
  const whole = roundIndex(fabric, from) > 0 && roundIndex(fabric, to) > 0;
  if (known && !whole) {
    report({
      code: 'range-beyond',
      severity: 'error',
      message: `Rounds ${from} to ${to} reach beyond this part, which has rounds ${fabric.label[0]} to ${lines.lastLabel}. The ${name} ${goOf(name)} as far as there are rounds until you say.`,
    });
  }
  return known ? lines.onPart(roundIndex(fabric, label), `Round ${label}`) : lines.after(label);
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
  const onWhich = sort === 'eyes' ? 'On round' : 'Round';
  const said = mayBeMoment
    ? `After round ${round}`
    : `${onWhich} ${round}${from === 'start' ? '' : ` from the ${from}`}`;
  const how = mayBeMoment
    ? `If it only says when, say where the ${name} ${goOf(name)}.`
    : 'Say “between” to settle it.';
  report({
    code: `${sort}-on-round`,
    severity: 'info',
    message: `“${said}” is read as the line of holes between rounds ${after} and ${after + 1}. ${how}`,
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
  const taken = anchor
    ? `${plural(stitches, 'round')} ${stitches === 1 ? 'is' : 'are'} taken.`
    : `The ${asked.name} ${areOf(asked.name)} put on the middle of it until you say.`;
  asked.report({
    code: 'up-in-rounds',
    severity: 'warning',
    message: `On this part up and down is counted in rounds, not in stitches. ${taken}`,
    suggestions: [inRounds],
  });
  if (!anchor) return asked.usual;
  return lines.onPart(countedLine(frame, anchor, direction, stitches), `${title} the ${to}`);
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
  return lines.onPart(line, `${plural(rounds, 'round')} ${direction} the ${to}`);
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
    // A bow around the neck may well go where two parts are joined.
    const what = to === 'neck' ? 'narrow place between two wider ones' : to;
    report({
      code: 'landmark-missing',
      severity: to === 'neck' ? 'warning' : 'error',
      message: `This part has no ${what}. Say between which rounds the ${name} ${goOf(name)}.`,
      suggestions: [lines.between(usual)],
    });
    return usual;
  }
  const inward = first === 0 || to === 'last increase' || to === 'plain rounds' ? 1 : -1;
  const step = direction === 'from' ? inward : upOf(frame.form) * signOf(direction);
  const at = (line: number) => line + acrossRound(to, step) + step * rounds;
  if (more.length > 0) {
    report({
      code: 'landmark-ambiguous',
      severity: 'info',
      message: `This part has ${more.length + 1} places with ${to === 'plain rounds' ? '' : 'a '}${to}; the first is taken. Say between which rounds the ${name} ${goOf(name)} to settle it.`,
      suggestions: [first, ...more]
        .map(at)
        .filter((line) => lines.isLine(line))
        .map((line) => lines.between(line)),
    });
  }
  const place = to === 'edge' ? 'live edge' : to;
  const said = rounds === 0 ? `The ${place}` : `${plural(rounds, 'round')} ${direction} the ${place}`;
  return lines.onPart(at(first), said);
}
