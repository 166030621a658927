import { t } from '../words/language';
import type { PartSource, RoundSource } from '../notation/pattern';
import { writeItems } from '../notation/writeItems';
import { joinDirections } from '../join/directions';
import { eyeAddress, eyeDirections, featureWords } from '../place/words/directions';
import { markerPlan, markWords } from '../place/words/markerPlan';
import { movesOf } from '../make/moves';
import type { Task, TaskUnit } from '../make/tasks';
import type { Step } from '../plan/order';
import { lineDirections, lineHeading, lineHoles } from '../place/words/lineWords';
import { frameOfPart } from './analyse';
import type { PartAnalysis, ToyAnalysis } from './analysis';
import { schoolWords, seamWords } from './seams';
import { joinPart } from './joinAll';
import { memoise, type Plain } from './memoise';
import { attachText, unitName } from './orderWords';
import { actTitle, bulksOf } from './sheet/stopWords';

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** A round in the maker's words, without its number and its total. */
export function wordsOfRound({ text, work }: RoundSource): string {
  const body = text.slice(work.label?.span.to ?? 0);
  const cut = work.total
    ? body.slice(0, Math.max(0, work.total.span.from - (work.label?.span.to ?? 0)))
    : body;
  const trimmed = cut
    .replace(/^[\s:.)\-–]+/, '')
    .replace(/[\s[({=→]+$/, '')
    .trim();
  return trimmed || body.trim();
}

/** The chain or ring that a part is begun with, where it stands on a line of its own; null where the first round says it. */
export function beginningOf({ rounds }: PartSource): string | null {
  const begun = rounds[0]?.foundation ?? [];
  const isChained = begun.some((item) => item.type === 'work' && item.word === 'ch');
  // Chains are called so in both terms.
  return isChained ? writeItems(begun, 'us') : null;
}

/** What a round's line says behind its total: how it closes, a sentence. */
function wordsBehind({ text, work }: RoundSource): string {
  if (!work.total) return '';
  return text
    .slice(work.total.span.to)
    .replace(/^(?:\s*(?:sts?|stitches)\b\.?)?[\s\])}.,;:]+/i, '')
    .trim();
}

/** A line of the text that was kept and not understood. */
type NoteAt = Readonly<{
  /** index of the round it stands before; behind the last round one more */
  before: number;
  text: string;
}> & { [key: string]: Plain };

/** Notes of a part: from its heading to the next. */
function notesOf({ parts, pattern }: ToyAnalysis, { source }: PartAnalysis): NoteAt[] {
  const end = Math.min(...parts.map((other) => other.source.line).filter((line) => line > source.line));
  return pattern.notes
    .filter(({ line }) => line >= source.firstLine && line < end)
    .map(({ line, text }): NoteAt => {
      const next = source.rounds.findIndex((round) => round.line > line);
      return { before: next < 0 ? source.rounds.length + 1 : next + 1, text: text.trim() };
    });
}

/** What else happens in a round, by its index from 1. */
function asidesOf(part: PartAnalysis, notes: readonly NoteAt[]): Map<number, string[]> {
  const { fabric, features, source } = part;
  const asides = new Map<number, string[]>();
  const put = (round: number, words: string) => asides.set(round, [...(asides.get(round) ?? []), words]);
  const beginning = beginningOf(source);
  if (beginning) put(1, t`Before it: ${beginning}.`);
  for (const [i, round] of source.rounds.entries()) {
    for (const { before, text } of notes)
      if (before === i + 1) put(i + 1, t`Before it your pattern says: ${text}`);
    const behind = wordsBehind(round);
    if (behind) put(i + 1, t`The line goes on: ${behind}`);
  }
  for (const { before, text } of notes)
    if (before > source.rounds.length) put(source.rounds.length, t`After it your pattern says: ${text}`);
  for (const { round, marks } of markerPlan(fabric, features))
    put(round, t`A marker into ${markWords(marks)}.`);
  for (let round = 2; round <= fabric.rounds; round += 1) {
    const [first, before] = [fabric.offset[round - 1] ?? 0, (fabric.offset[round - 1] ?? 1) - 1];
    const isNew = fabric.colour[first] !== fabric.colour[before];
    const name = fabric.palette[fabric.colour[first] ?? 0];
    if (!isNew || !name) continue;
    const isOnTheLast = fabric.base[round - 1] === round - 1;
    if (!isOnTheLast) put(round, t`This round is begun with ${name}.`);
    else if (fabric.joined[round - 2] === 1)
      put(round - 1, t`The slip stitch that closes the round is made with ${name}.`);
    else
      put(
        round - 1,
        t`The last stitch is finished with ${name}: draw the new colour through its last loops.`,
      );
  }
  return asides;
}

interface RoundParts {
  round: RoundSource;
  words: string;
  worked: number;
  asides: string[];
}

/** The rounds of a part with all that is said of them, by index. */
const roundsOf = memoise((part: PartAnalysis, notes: readonly NoteAt[]): RoundParts[] => {
  const asides = asidesOf(part, notes);
  return part.source.rounds.map((round, i) => ({
    round,
    words: wordsOfRound(round),
    worked: part.checks[i]?.worked ?? 0,
    asides: asides.get(i + 1) ?? [],
  }));
});

const movesOfRounds = memoise((part: PartAnalysis, notes: readonly NoteAt[]) =>
  roundsOf(part, notes).map(({ round, words, worked }) => movesOf(round, words, worked)),
);

/** What is worked into a round, stitch by stitch; the round by its place. */
function ledgerOf({ joined, parts }: ToyAnalysis, { part, unit }: TaskUnit, at: number): string[] {
  const join = joined.joins.find(
    ({ kind, on, row, ledger }) =>
      kind === 'no-sew' && ledger && on.part === part && on.unit === unit && row === at,
  );
  if (!join) return [];
  return joinDirections(
    join,
    joined,
    parts.map((one) => joinPart(one)),
  ).lines;
}

function roundTasks(toy: ToyAnalysis, part: PartAnalysis, unit: TaskUnit, { indexes }: Step): Task[] {
  const notes = notesOf(toy, part);
  const rounds = roundsOf(part, notes);
  const moves = movesOfRounds(part, notes);
  const [first, last] = indexes ?? [1, 0];
  return rounds.slice(first - 1, last).map(({ round, words, asides }, i): Task => {
    const index = first - 1 + i;
    return {
      kind: 'round',
      unit,
      round: index + 1,
      label: round.number,
      again: rounds.slice(0, index).filter((other) => other.round.number === round.number).length,
      rounds: rounds.length,
      row: round.row,
      words,
      moves: moves[index] ?? movesOf(round, words, 0),
      asides: [...ledgerOf(toy, unit, index + 1), ...asides],
    };
  });
}

function finishTitle(toy: ToyAnalysis, { do: doing, about, part: id }: Step): string {
  if (doing === 'sew') return t`Sew it onto the ${about}`;
  if (doing === 'place') return t`Not placed yet`;
  if (doing === 'attach')
    return attachText(
      toy.parts.find(({ source }) => source.id === id),
      about,
    );
  return doing === 'sculpt' ? t`Sculpt with the long needle` : t`Check the whole toy`;
}

/** How something is put on a finished piece: what is done in turn, a tap each, and what is said all along. */
interface PuttingOn {
  steps: string[];
  aside: string | null;
}

const nothingSaid: PuttingOn = { steps: [], aside: null };
const together = (words: readonly string[]): string | null => words.filter(Boolean).join(' ') || null;

/** What is sewn on, at its place; what is drawn in, along the needle's way. */
function featurePutOn(part: PartAnalysis, id: string | null): PuttingOn {
  const place = placeOf(part, id);
  if (!place) return nothingSaid;
  const { address, counting, needle } = place;
  return needle.length > 0
    ? { steps: needle, aside: together([`${address}.`, ...counting]) }
    : { steps: [address], aside: together(counting) };
}

/**
 * What is put on a finished piece.
 *
 * @param nth which of several lines of the same thing it is, from 0
 */
function puttingOn(part: PartAnalysis | undefined, { about }: Step, nth: number): PuttingOn {
  if (!part) return nothingSaid;
  const line = part.lines.filter(({ thing }) => thing === about)[nth];
  if (!line) return featurePutOn(part, about);
  const said = [`${lineHeading(part.fabric, line)}.`, lineDirections(part.fabric, line)];
  return { steps: lineHoles(part.fabric, line), aside: together(said) };
}

function finishTask(toy: ToyAnalysis, unit: TaskUnit, step: Step, nth: number): Task {
  const title = finishTitle(toy, step);
  if (step.do === 'place')
    return {
      kind: 'finish',
      do: step.do,
      unit,
      title,
      again: 0,
      aside: null,
      steps: [
        t`No sentence says where it goes. Put it in its place under Together and its pins and stitches come here; or pin it where you like it.`,
      ],
    };
  if (step.do === 'check')
    return {
      kind: 'finish',
      do: step.do,
      unit: { ...unit, name: t`The toy` },
      title,
      again: 0,
      aside: null,
      steps: [
        t`Tug every eye, nose and button hard.`,
        t`Tug every part that is joined, each way.`,
        t`Look from the front, both sides and the back: level, even, turned alike.`,
        t`Feel for ends and for holes a finger finds.`,
      ],
    };
  if (step.do === 'attach' || step.do === 'sculpt') {
    const part = toy.parts.find(({ source }) => source.id === step.part);
    return { kind: 'finish', do: step.do, unit, title, again: nth, ...puttingOn(part, step, nth) };
  }
  const join = toy.joined.joins.find((one) => one.unit.part === unit.part && one.unit.unit === unit.unit);
  if (step.do !== 'sew' || !join)
    return { kind: 'finish', do: step.do, unit, title, again: nth, aside: null, steps: [] };
  const seam = seamWords(join, toy);
  const { address, pins, path } = joinDirections(
    join,
    toy.joined,
    toy.parts.map((one) => joinPart(one)),
  );
  return {
    kind: 'finish',
    do: step.do,
    unit,
    title,
    again: nth,
    aside: schoolWords(join, toy),
    steps: [
      address,
      ...(pins.length > 0 ? [t`Pins first. ${pins.join('; ')}`] : []),
      ...path.map((line) => t`Edge stitch ${line}`),
      ...(seam === null ? [] : [seam]),
      t`Look from the front before you fasten the thread. Then knot, go through the seam once more, bury the end.`,
    ],
  };
}

/** Where a feature goes: its address, how to count there, the needle's way where it has one. */
interface PlaceSaid {
  address: string;
  counting: string[];
  needle: string[];
}

function placeOf(part: PartAnalysis, id: string | null): PlaceSaid | null {
  const feature = part.features.find((one) => one.id === id);
  if (!feature) return null;
  if (feature === part.eyes) {
    const { gap, holes, showing } = eyeAddress(part.form, feature);
    const { count, check } = eyeDirections(part.form, feature);
    return { address: `${capital(gap)}, ${holes}; ${showing}`, counting: [count, check], needle: [] };
  }
  const { address, count, there, needle } = featureWords(feature, frameOfPart(part), part.eyes);
  return { address: capital(address), counting: [count, there], needle: [...needle] };
}

/** The same in one list, as it is ticked at a stop. */
function placeWords(part: PartAnalysis, id: string | null): string[] {
  const place = placeOf(part, id);
  if (!place) return [];
  return [place.address, ...place.counting, ...place.needle].filter(Boolean);
}

/** A step of the order with the tasks it comes to: its rounds, or one that it shares with what is done at the same stop. */
export interface StepTasks {
  step: Step;
  tasks: readonly Task[];
}

function stopTask(part: PartAnalysis, unit: TaskUnit, row: number): Task | null {
  const stop = part.stops.stops.find((one) => one.row === row);
  if (!stop) return null;
  const bulks = bulksOf(part.stops);
  return {
    kind: 'stop',
    unit,
    after: stop.after,
    row: stop.row,
    latest: stop.latest,
    openingMm: stop.openingMm,
    acts: stop.acts,
    titles: stop.acts.map((act) => actTitle(act, bulks)),
    places: stop.acts.map((act) => placeWords(part, act.feature)),
  };
}

/** Whether a task is the stop after a round of a unit. */
const isStopOf = (task: Task | undefined, { part, unit, after }: Step): task is Task =>
  task?.kind === 'stop' && task.row === after && task.unit.part === part && task.unit.unit === unit;

/** The steps of the order, each with what is tapped along for it. */
export const tasksBySteps = memoise((toy: ToyAnalysis): StepTasks[] => {
  const steps: StepTasks[] = [];
  const isSame = (a: Step, b: Step) =>
    a.do === b.do && a.part === b.part && a.unit === b.unit && a.about === b.about;
  for (const step of toy.order.steps) {
    const part = toy.parts.find(({ source }) => source.id === step.part);
    if (!part) continue;
    const name = unitName(toy, step.part, step.unit);
    const unit: TaskUnit = { part: step.part, unit: step.unit, name, of: part.source.make };
    const last = steps.at(-1)?.tasks.at(-1);
    if (step.do === 'work') steps.push({ step, tasks: roundTasks(toy, part, unit, step) });
    else if (step.after === null) {
      const nth = steps.filter((before) => isSame(before.step, step)).length;
      steps.push({ step, tasks: [finishTask(toy, unit, step, nth)] });
    } else {
      const stop = isStopOf(last, step) ? last : stopTask(part, unit, step.after);
      steps.push({ step, tasks: stop ? [stop] : [] });
    }
  }
  return steps;
});

/** Everything there is to do on a toy, in order: a round, a stop, a seam after the other. */
export const tasksOf = memoise((toy: ToyAnalysis): Task[] => [
  ...new Set(tasksBySteps(toy).flatMap(({ tasks }) => tasks)),
]);
