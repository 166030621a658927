import type { Problem, Suggestion } from '../../notation/problem';
import { countsBack, type FeatureKind } from '../../notation/step';
import { roundIndex } from '../frontLine';
import type { PartForm } from '../partForm';
import { isLandmark } from './anchors';
import type { Vertical } from './featureRule';
import { landmarkLines } from './landmarks';
import type { Reach } from './reach';

export type AddProblem = (
  code: string,
  severity: Problem['severity'],
  message: string,
  suggestions?: Suggestion[],
) => void;

/** Step of lines that leads towards the top of the finished toy. */
export function upOf({ orientation }: PartForm): 1 | -1 {
  return orientation.start === 'top' ? -1 : 1;
}

/**
 * The line of holes a vertical rule comes to, by index from 1: the one between the rounds with that index and the next. What can't be
 * resolved says so and comes to the middle of the part, or to the nearest line there is.
 *
 * @param name as it stands in messages: `mouth`
 * @param reach how far it reaches from that line itself
 * @param lineBy line of a feature the rule may go by: its own, or the one its upper or lower edge lies on
 * @param settle a remedy that puts another rule into the text
 */
export function verticalLine(
  form: PartForm,
  vertical: Vertical | null,
  name: string,
  reach: Reach,
  lineBy: (kind: FeatureKind, edge?: 'above' | 'below') => number | undefined,
  add: AddProblem,
  settle: (title: string, vertical: Vertical) => Suggestion,
): number {
  const { fabric } = form;
  const last = fabric.rounds;
  const fallback = Math.max(1, Math.min(last - 1, Math.round(last / 2)));
  const gapAt = (line: number): [number, number] => [
    fabric.label[line - 1] ?? line,
    fabric.label[line] ?? line + 1,
  ];
  const between = (line: number): Suggestion =>
    settle(`Between ${gapAt(line).join(' and ')}`, { by: 'gap', gap: gapAt(line) });
  const clamp = (line: number, said: string) => {
    if (line >= 1 && line < last) return line;
    const nearest = Math.max(1, Math.min(last - 1, line));
    add(
      'gap-missing',
      'error',
      `${said} lies beyond this part, which ends with round ${fabric.label[last - 1]}. The ${name} is put between ${gapAt(nearest).join(' and ')} until you say.`,
      [between(nearest)],
    );
    return nearest;
  };
  if (!vertical) {
    add(
      'feature-where',
      'warning',
      `The sentence does not say between which rounds the ${name} goes. It is put between ${gapAt(fallback).join(' and ')} until you say.`,
      [between(fallback)],
    );
    return fallback;
  }
  switch (vertical.by) {
    case 'start':
      return 1;
    case 'gap': {
      const [said, upper] = vertical.gap;
      // The line between the fourth and the fifth round from the end lies over the fifth.
      const lower = countsBack(vertical.from, form.orientation.start)
        ? (fabric.label[last - 1] ?? last) - said
        : said;
      const line = roundIndex(fabric, lower);
      if (upper !== said + 1)
        add(
          'gap-not-adjacent',
          'warning',
          `Rounds ${said} and ${upper} are not neighbours, so there is no one line of holes between them. The first of them is taken.`,
          line > 0 && line < last ? [between(line)] : [],
        );
      return line > 0 ? clamp(line, `Round ${lower}`) : clamp(last, `Round ${lower}`);
    }
    case 'range': {
      // By the end it is worked from, a nose by its upper one and a line of strands by its lower one; what is sewn on by its middle.
      const [upper, lower] = upOf(form) < 0 ? [vertical.from, vertical.to - 1] : [vertical.to, vertical.from];
      const label =
        reach.down > 0 ? upper : reach.up > 0 ? lower : Math.round((vertical.from + vertical.to - 1) / 2);
      const line = roundIndex(fabric, label);
      const reaches = roundIndex(fabric, vertical.from) > 0 && roundIndex(fabric, vertical.to) > 0;
      if (line > 0 && !reaches)
        add(
          'range-beyond',
          'error',
          `Rounds ${vertical.from} to ${vertical.to} reach beyond this part, which has rounds ${fabric.label[0]} to ${fabric.label[last - 1]}. The ${name} goes as far as there are rounds until you say.`,
        );
      return line > 0 ? clamp(line, `Round ${label}`) : clamp(last, `Round ${label}`);
    }
    case 'round': {
      const label =
        vertical.from !== 'start' && countsBack(vertical.from, form.orientation.start)
          ? (fabric.label[last - 1] ?? last) - vertical.round
          : vertical.round;
      const line = roundIndex(fabric, label);
      add(
        'feature-on-round',
        'info',
        `“Round ${vertical.round}${vertical.from === 'start' ? '' : ` from the ${vertical.from}`}” is read as the line of holes after round ${label}. Say “between” to settle it.`,
        line > 0 && line < last ? [between(line)] : [],
      );
      return line > 0 ? clamp(line, `Round ${label}`) : clamp(last, `Round ${label}`);
    }
    case 'stitches': {
      const { stitches, direction, to } = vertical;
      const from = to === 'front' ? undefined : lineBy(to, direction);
      add(
        'up-in-rounds',
        'warning',
        `On this part up and down is counted in rounds, not in stitches. ${from === undefined ? `The ${name} is put on the middle of it until you say.` : `${stitches} ${stitches === 1 ? 'round is' : 'rounds are'} taken.`}`,
        to === 'front'
          ? [between(fallback)]
          : [
              settle(`${stitches} ${stitches === 1 ? 'round' : 'rounds'} ${direction}`, {
                by: 'relation',
                rounds: stitches,
                direction,
                to,
              }),
            ],
      );
      return from === undefined
        ? fallback
        : clamp(
            from + upOf(form) * (direction === 'above' ? 1 : -1) * stitches,
            `${stitches} ${stitches === 1 ? 'round' : 'rounds'} ${direction} the ${to}`,
          );
    }
    case 'level':
      return lineBy(vertical.to) ?? fallback;
    case 'relation': {
      const { rounds, direction, to } = vertical;
      const [first, ...more] = isLandmark(to) ? landmarkLines(fabric, to) : [];
      if (isLandmark(to) && first === undefined) {
        // A bow around the neck may well go where two parts are joined.
        add(
          'landmark-missing',
          to === 'neck' ? 'warning' : 'error',
          to === 'neck'
            ? `This part has no narrow place between two wider ones. Say between which rounds the ${name} goes.`
            : `This part has no ${to}. Say between which rounds the ${name} goes.`,
          [between(fallback)],
        );
        return fallback;
      }
      // The base of a toy is its lowest end and the top its highest, whichever end of the work that is.
      const base =
        to === 'base' || to === 'top'
          ? (to === 'base') === (form.orientation.start === 'top')
            ? last
            : 0
          : first;
      const from = base ?? lineBy(to as FeatureKind, direction === 'from' ? undefined : direction);
      if (from === undefined) return fallback;
      const step =
        direction === 'from' ? (from === 0 ? 1 : -1) : upOf(form) * (direction === 'above' ? 1 : -1);
      const at = (line: number) => line + step * rounds;
      if (more.length > 0) {
        const others = more.map(at).filter((line) => line >= 1 && line < last);
        add(
          'landmark-ambiguous',
          'info',
          `This part has ${more.length + 1} places with a ${to}; the first is taken. Say between which rounds the ${name} goes to settle it.`,
          [from, ...more].length > 1
            ? [at(from), ...others].filter((line) => line >= 1 && line < last).map(between)
            : [],
        );
      }
      return clamp(
        at(from),
        rounds === 0
          ? `The ${to === 'edge' ? 'live edge' : to}`
          : `${rounds} ${rounds === 1 ? 'round' : 'rounds'} ${direction} the ${to === 'edge' ? 'live edge' : to}`,
      );
    }
  }
}
