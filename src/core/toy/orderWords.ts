import { t } from '../words/language';
import type { Step } from '../plan/order';
import { minutesOf } from '../plan/time';
import type { PartAnalysis, ToyAnalysis } from './analysis';
import { actTitle, bulksOf } from './sheet/stopWords';

/** A step of the plan as a maker reads it. */
export interface StepWords {
  key: string;
  /** the unit it is about: `left arm`, `ear 2` */
  unit: string;
  words: string;
  minutes: number;
}

/** What a unit is called: by its own name where it is joined, by its number where a part is made several times. */
export function unitName({ parts, joined }: ToyAnalysis, part: string, unit: number): string {
  const known = joined.units.find((one) => one.part === part && one.unit === unit);
  const source = parts.find((one) => one.source.id === part)?.source;
  const called = known?.name ?? source?.name ?? part;
  const named = called.charAt(0).toUpperCase() + called.slice(1);
  const isNamed = known !== undefined && known.name.toLowerCase() !== source?.name.toLowerCase();
  return source && source.make > 1 && !isNamed && !/\d$/.test(named) ? `${named} ${unit}` : named;
}

/** What is done at a stop, by the name it has there. */
function actText({ do: doing, after, about }: Step, part: PartAnalysis | undefined): string {
  const acts = part?.stops.stops.find(({ row }) => row === after)?.acts ?? [];
  const act = acts.find((one) => one.act === doing && (one.feature ?? one.part) === about);
  return act && part ? actTitle(act, bulksOf(part.stops)) : '';
}

/** The rounds of a step: rows where they are, and where it goes on in rounds, both by name. */
function workText({ from, to, indexes }: Step, part: PartAnalysis | undefined): string {
  const [first, last] = (indexes ?? []).map((index) => part?.fabric.row[index - 1] === 1);
  if (indexes?.[0] === indexes?.[1]) return first ? t`Row ${from}` : t`Round ${from}`;
  if (first && !last) return t`Row ${from} to round ${to}`;
  if (last && !first) return t`Round ${from} to row ${to}`;
  return first ? t`Rows ${from} to ${to}` : t`Rounds ${from} to ${to}`;
}

/** What is put on a finished piece: sewn on, or worked or knotted along a line of it. */
export function attachText(part: PartAnalysis | undefined, about: string | null): string {
  const line = part?.lines.find(({ thing }) => thing === about);
  if (!line) return t`Sew on the ${about}`;
  return line.around ? t`Knot in the ${about}` : t`Work the ${about} on it`;
}

function stepText(step: Step, part: PartAnalysis | undefined): string {
  const { do: doing, about } = step;
  switch (doing) {
    case 'work':
      return workText(step, part);
    case 'sew':
      return t`Sew it onto the ${about}`;
    case 'place':
      return t`Not placed yet: no sentence says where it goes`;
    case 'attach':
      return attachText(part, about);
    case 'sculpt':
      return t`Sculpt with the long needle`;
    case 'check':
      return t`Tug every part, look from all sides, write down what you changed`;
    default:
      return actText(step, part);
  }
}

/** The steps of the whole toy in words, in order. */
export function orderWords(toy: ToyAnalysis): StepWords[] {
  return toy.order.steps.map((step, i) => {
    const part = toy.parts.find(({ source }) => source.id === step.part);
    return {
      key: `${i}`,
      unit: step.do === 'check' ? t`The toy` : unitName(toy, step.part, step.unit),
      words: stepText(step, part),
      minutes: minutesOf(step, toy.pace),
    };
  });
}

/** Steps of one unit that follow each other. */
export interface UnitSteps {
  key: string;
  unit: string;
  lines: string[];
  minutes: number;
}

/** The order of work, what follows each other on one unit together. */
export function orderByUnit(toy: ToyAnalysis): UnitSteps[] {
  const groups: UnitSteps[] = [];
  for (const { key, unit, words, minutes } of orderWords(toy)) {
    const last = groups.at(-1);
    if (last?.unit === unit) {
      // Spines along three lines are one thing to do.
      if (last.lines.at(-1) !== words) last.lines.push(words);
      last.minutes += minutes;
    } else groups.push({ key, unit, lines: [words], minutes });
  }
  return groups;
}
