import { buildFabric } from '../fabric/buildFabric';
import { checkRounds, type RoundCheck } from '../fabric/checkRounds';
import { stitchCount } from '../fabric/fabric';
import { suggest } from '../fabric/suggest';
import type { JoinedToy } from '../join/joined';
import { closes } from '../notation/sentence/close';
import type { Problem } from '../notation/problem';
import type { PartSource, Pattern, ToyHeader } from '../notation/pattern';
import type { Sentence } from '../notation/sentence/sentence';
import type { Terms } from '../notation/terms';
import { limits } from '../notation/limits';
import { emptyPattern } from '../notation/emptyPattern';
import { forgetLines } from '../notation/readLine';
import { lastLineOf } from '../notation/wrapped';
import { readPattern } from '../notation/readPattern';
import { direction } from '../place/frame/direction';
import { frameOf } from '../place/frame/frameOf';
import type { FaceFrame } from '../place/frame/faceFrame';
import type { PartForm } from '../place/frame/partForm';
import { eyesOf } from '../place/resolve/placement';
import { hasPost } from '../place/rule/rule';
import { surfaceLines } from '../place/resolve/surfaceLine';
import { usualHands } from '../plan/hands';
import type { Order } from '../plan/order';
import type { StopPlan } from '../plan/stops';
import { readAudience } from '../safety/audience';
import { roundStarts } from '../shape/azimuth';
import { assumedGauge, gaugeOf, type Gauge } from '../shape/gauge';
import { profileOf } from '../shape/profile';
import { apartReadings, rowsAndRounds, undefinedColours, unplacedParts, unreadColours } from './checkParts';
import type { PartAnalysis, ToyAnalysis } from './analysis';
import { amongOthers } from './amongOthers';
import { attempt } from './attempt';
import { joinAll } from './joinAll';
import { forgetParts, interned } from './intern';
import { memoise, type Plain } from './memoise';
import { needleProblems } from './needleReach';
import { placeAll } from './placeAll';
import { planPart } from './planPart';
import { amountProblems, stopProblems } from './stopProblems';
import { cycleProblems, planToy, withPlans } from './planToy';
import { saying } from '../words/problems/problems';

export type { PartAnalysis, ToyAnalysis } from './analysis';

/** What a part is worked out with beside what it says itself. */
interface Circumstances {
  readonly terms: Terms;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly assumed: boolean;
  readonly lean: number | null;
  readonly hand: ToyHeader['hand'];
  readonly audience: string | null;
  [key: string]: Plain;
}

// Each step is kept by the part it is of, so that an edit re-runs what depends on it and nothing else.
const fabricOf = memoise((part: PartSource, terms: Terms) => buildFabric(part, terms));
const checkedOf = memoise((part: PartSource, terms: Terms, searches: boolean) => {
  const { checks, problems } = checkRounds(part, terms);
  return searches
    ? { checks, ...suggest(part, terms, { checks, problems }) }
    : { checks, problems, spent: 0 };
});

interface Worked {
  analysis: PartAnalysis;
  /** work that went into searching for what mends its slips */
  spent: number;
}

const worked = memoise((part: PartSource, amid: Circumstances, searches: boolean): Worked => {
  const { terms, lean, hand, audience } = amid;
  const gauge: Gauge = { widthMm: amid.widthMm, heightMm: amid.heightMm, assumed: amid.assumed };
  const { checks, problems, spent } = checkedOf(part, terms, searches);
  const built = fabricOf(part, terms);
  const { fabric } = built;
  const starts = roundStarts(fabric, lean);
  const profile = profileOf(fabric, gauge);
  const orientation = { hand, start: part.start, lying: part.lying, side: part.side };
  const form: PartForm = { part, fabric, starts, profile, gauge, lean, orientation };
  const placed = placeAll(form);
  const { front } = placed;
  const own = (found: readonly Problem[]): Problem[] =>
    found.map((problem) => ({ ...problem, partId: part.id }));
  const leading = eyesOf(placed.features);
  const features = placed.features.map((feature) => {
    const more = feature === leading && hasPost(feature.rule) ? audienceProblems(part, audience) : [];
    return { ...feature, problems: own([...feature.problems, ...more]) };
  });
  const eyes = eyesOf(features);
  const surface = surfaceLines(form, front);
  const stops = planPart({ source: part, fabric, profile, gauge, front, features });
  const all = [
    ...own(problems),
    ...own(built.problems),
    ...features.flatMap((feature) => feature.problems),
    ...own(placed.problems),
    ...surface.problems,
    ...own(closingProblems(part, stops)),
    ...stopProblems(part, stops),
    ...amountProblems(part, fabric),
  ];
  const analysis: PartAnalysis = {
    source: part,
    checks,
    fabric,
    taken: null,
    starts,
    profile,
    form,
    eyes,
    features,
    lines: surface.lines,
    stops,
    problems: all,
    map: {
      fabric,
      starts,
      profile,
      gauge,
      lean,
      front,
      dir: direction(orientation),
      start: part.start,
      lying: part.lying,
    },
  };
  return { analysis, spent };
});

/** Where things can be on the face of a part. */
export function frameOfPart({ form, map }: PartAnalysis): FaceFrame {
  return frameOf(form, map.front);
}

/** A round of a part as counted; null where there is none. */
function checkOf(id: string, round: number | 'last', { parts, terms }: Pattern): RoundCheck | null {
  const part = parts.find((one) => one.id === id);
  if (!part) return null;
  const { checks } = checkedOf(part, terms.value, false);
  return (round === 'last' ? checks.at(-1) : checks.find((one) => one.round === round)) ?? null;
}

/** A part that begins in rounds of others, with how many stitches there are to work into. */
function counted(part: PartSource, pattern: Pattern): PartSource {
  const { onto, grown } = part;
  if (grown) {
    const edges = grown.edges.map((edge) => {
      const last = checkOf(edge.part, 'last', pattern);
      return { ...edge, round: last?.round ?? null, count: last?.worked ?? null };
    });
    return interned({ ...part, grown: { edges } });
  }
  const found = onto ? checkOf(onto.part, onto.round, pattern) : null;
  return onto && found ? interned({ ...part, onto: { ...onto, count: found.worked } }) : part;
}

/** What is left for the parts that come after: a text that is all slips, or all stitches, takes no more work than one toy may. */
interface Left {
  stitches: number;
  search: number;
}

function analysePart(part: PartSource, circumstances: Circumstances, left: Left): PartAnalysis {
  const { analysis, spent } = worked(part, circumstances, left.search > 0);
  left.search -= spent;
  left.stitches -= stitchCount(analysis.fabric);
  return analysis;
}

const isAboutEyes = (step: Sentence) => step.kind === 'feature' && step.feature === 'eyes';

/** Pressed eyes on a toy for the smallest: careful makers embroider. */
function audienceProblems(part: PartSource, audience: string | null): Problem[] {
  if (readAudience(audience) !== 'under-3') return [];
  const line = part.steps.findLast(isAboutEyes)?.line;
  return [
    {
      ...saying('eyes-under-three', {}),
      severity: 'warning',
      part: part.name,
      line,
      suggestions: [],
    },
  ];
}

function closingProblems(part: PartSource, { closing }: StopPlan): Problem[] {
  const said = part.steps.find(closes);
  const flat = part.rounds.at(-1)?.row === true;
  if (!said || flat || closing?.how !== 'open') return [];
  const last = part.rounds.at(-1);
  return [
    {
      ...saying('not-closed', { stitches: closing.stitches }),
      severity: 'error',
      part: part.name,
      round: last?.number,
      line: said.line,
      column: said.span.from + 1,
      suggestions: last
        ? [
            {
              title: `Put in round ${last.number + 1}: dec around`,
              edits: [{ line: lastLineOf(last), text: `R${last.number + 1}: dec around`, insertAfter: true }],
            },
          ]
        : [],
    },
  ];
}

/** A part whose rounds are not worked, with what is said about it. */
function unworked(part: PartSource, circumstances: Circumstances, problem: Problem): PartAnalysis {
  const bare: PartSource = { ...part, rounds: [], steps: [] };
  const analysed = analysePart(bare, circumstances, { stitches: 0, search: 0 });
  return { ...analysed, source: part, problems: [{ ...problem, partId: part.id }] };
}

function tooManyStitches(part: PartSource): Problem {
  return {
    ...saying('toy-too-large', { part: part.name, most: limits.toyStitches }),
    severity: 'error',
    part: part.name,
    line: part.line,
    column: 1,
    suggestions: [],
  };
}

/** The last texts analysed, newest last: a screen, the saving and a tap all ask about the same one. */
const kept: { searches: boolean; toy: ToyAnalysis }[] = [];
const mostKept = 4;

interface AnalyseOptions {
  /** searches for what mends each slip; while a line is typed it is not worth the time */
  searches?: boolean;
}

/** What holds for every unit of a sentence alike is told once for the toy. */
function toldOnce(problems: readonly Problem[]): Problem[] {
  const isAlike = (one: Problem, other: Problem) =>
    one.code === other.code &&
    one.line === other.line &&
    one.partId === other.partId &&
    one.message === other.message;
  return problems.filter((one, i) => problems.findIndex((other) => isAlike(one, other)) === i);
}

/**
 * The whole chain: text → parts → fabric → shape → placements → stops. Never throws; what is wrong comes back as problems. Where a step
 * fails all the same, it fails for its own part, says so, and the rest is computed.
 *
 * @param text the pattern text of one toy
 */
export function analyseToy(text: string, { searches = true }: AnalyseOptions = {}): ToyAnalysis {
  const known = kept.findIndex((one) => one.toy.text === text && (one.searches || !searches));
  const [found] = known >= 0 ? kept.splice(known, 1) : [];
  const one = found ?? {
    searches,
    toy: attempt(
      () => analyse(text, searches),
      null,
      'this toy',
      (problem) => nothingBut(text, problem),
    ),
  };
  kept.push(one);
  if (kept.length > mostKept) kept.shift();
  return one.toy;
}

/** Forgets all that was worked out before. For tests and measuring. */
export function forgetToys(): void {
  kept.length = 0;
  forgetParts();
  forgetLines();
}

/** Tells a problem found in the text of which part it is: of those with the name it gives, the one its line stands in. */
function ofItsPart(problem: Problem, parts: readonly PartSource[]): Problem {
  const { part: name, line = 0 } = problem;
  const named = parts.filter((part) => part.name === name);
  const owner = named.find(({ firstLine, lastLine }) => line >= firstLine && line <= lastLine) ?? named[0];
  return owner ? { ...problem, partId: owner.id } : problem;
}

const unordered: Order = { steps: [], cycles: [] };
const unjoined: JoinedToy = {
  units: [],
  joins: [],
  workedOn: [],
  loose: [],
  fronts: new Map(),
  facings: new Map(),
  problems: [],
};

/** A toy of which only the text is known. */
function nothingBut(text: string, problem: Problem): ToyAnalysis {
  const pattern = emptyPattern([]);
  return {
    text,
    pattern,
    gauge: assumedGauge,
    lean: null,
    parts: [],
    joined: unjoined,
    order: unordered,
    problems: [problem],
  };
}

function analyse(text: string, searches: boolean): ToyAnalysis {
  const read = readPattern(text);
  const pattern: Pattern = { ...read, parts: read.parts.map(interned) };
  const gauge = gaugeOf(pattern.header);
  const { lean, hand, audience } = pattern.header;
  const circumstances: Circumstances = { ...gauge, terms: pattern.terms.value, lean, hand, audience };
  const left: Left = { stitches: limits.toyStitches, search: searches ? limits.searchOfToy : 0 };
  const parts = pattern.parts.map((source) => {
    const part = counted(source, pattern);
    if (left.stitches <= 0 && part.rounds.length > 0)
      return unworked(part, circumstances, tooManyStitches(part));
    return attempt(
      () => analysePart(part, circumstances, left),
      part,
      part.name,
      (problem) => unworked(part, circumstances, problem),
    );
  });
  const together = amongOthers(parts);
  const failed: Problem[] = [];
  const joined = attempt(
    () => joinAll(together),
    null,
    'how the parts are joined',
    (problem) => {
      failed.push(problem);
      return unjoined;
    },
  );
  const planned = withPlans(together, joined.joins);
  const order = attempt(
    () => planToy(planned, joined),
    null,
    'the order of making',
    (problem) => {
      failed.push(problem);
      return unordered;
    },
  );
  const checks = [
    () => undefinedColours(pattern),
    () => unreadColours(pattern),
    () => apartReadings(pattern, text),
    () => unplacedParts(pattern, joined),
    () => rowsAndRounds(planned, joined),
  ];
  const overall = checks.flatMap((check) => attempt(check, null, 'the whole toy', (problem) => [problem]));
  const ofText = [...pattern.problems, ...overall].map((problem) => ofItsPart(problem, pattern.parts));
  const ofJoins = toldOnce([...joined.problems, ...joined.joins.flatMap((join) => join.problems), ...failed]);
  const ofParts = planned.flatMap((part) => part.problems);
  const ofNeedle = attempt(
    () => needleProblems(planned, joined.joins, usualHands.needle),
    null,
    'the needle',
    (problem) => [problem],
  );
  const problems = [...ofText, ...ofParts, ...ofJoins, ...ofNeedle, ...cycleProblems(order, planned)];
  problems.sort((a, b) => (a.line ?? 0) - (b.line ?? 0));
  return { text, pattern, gauge, lean: pattern.header.lean, parts: planned, joined, order, problems };
}
