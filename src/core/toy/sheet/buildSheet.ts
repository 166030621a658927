import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import { rowEdges } from '../../fabric/edges';
import { sizeOfPart } from '../stuffedPart';
import { colourJogs } from '../../fabric/jogs';
import { joinPicture, type JoinPicture } from '../../join/joinPicture';
import { joinDirections } from '../../join/directions';
import { audienceSaid } from '../../safety/audience';
import { hurtsOf } from '../../safety/hurts';
import { eyeAddress, eyeDirections, featureWords } from '../../place/words/directions';
import { markerPlan, markWords } from '../../place/words/markerPlan';
import { eyeColourCheck } from '../../place/words/colourSteps';
import { lineDirections, lineHeading, lineHoles } from '../../place/words/lineWords';
import { landmarkSentences } from '../../place/words/fromThere';
import type { FeaturePlacement } from '../../place/resolve/placement';
import type { SurfaceLine } from '../../place/resolve/surfaceLine';
import type { NeedlePath } from '../../place/resolve/needlePath';
import type { Stop } from '../../plan/acts';
import { eyeCaution, generalCaution } from '../../safety/cautions';
import { shippedRules, type RuleBook } from '../../safety/ruleBook';
import { hasPost } from '../../place/rule/rule';
import { fabricMap, mapPoint, type FabricMap } from '../../shape/map';
import { frameOfPart, type PartAnalysis, type ToyAnalysis } from '../analyse';
import { joinPart } from '../joinAll';
import { hasSeam, schoolWords, seamWords } from '../seams';
import { orderByUnit } from '../orderWords';
import { safetyOf } from '../safetyOf';
import { needLines, suppliesOf } from '../supplies/suppliesOf';
import { actTitle, bulksOf } from './stopWords';
import type { RoundCheck } from '../../fabric/checkRounds';
import { cutWords, fineSizeWords, sizeWords } from '../../words/measures';
import { beginningOf } from '../tasksOf';

export type SheetLine =
  | { kind: 'round'; label: string; text: string; count: string; wrong: boolean }
  | { kind: 'marks'; text: string }
  | {
      kind: 'stop';
      after: number;
      /** that round by its place, from 1 */
      row: number;
      title: string;
      lastCall: string;
      acts: { name: string; why: string }[];
    };

/** The drawing of a part with its eyes, in mm. */
export interface SheetMap {
  map: FabricMap;
  /** its rounds run upright, their numbers stand underneath */
  lying: boolean;
  /** numbers of the rounds in the maker's text */
  labels: readonly number[];
  /** eyes filled, what is sewn on open */
  circles: { x: number; y: number; radius: number; open: boolean }[];
  /** stitched strokes */
  strokes: { x1: number; y1: number; x2: number; y2: number }[];
}

export interface SheetPart {
  name: string;
  make: number;
  facts: string[];
  lines: SheetLine[];
  /** eyes and features: the address, then how to find it, and the needle's way */
  placed: { heading: string; sentences: string[] }[];
  closing: string | null;
  /** the maker's own sentences about putting together, as written */
  assembly: string[];
  open: string[];
  map: SheetMap | null;
}

/** What the maker takes with her: rounds with the stops in their place, the eyes in words, the drawing, the cautions. */
export interface Sheet {
  title: string;
  facts: string[];
  parts: SheetPart[];
  /** how each unit is joined: where it goes, how to count there, the pins, and every stitch of its edge */
  joins: { heading: string; name: string; picture: JoinPicture | null; sentences: string[] }[];
  /** what the toy takes */
  needs: string[];
  /** the whole toy step by step */
  order: string[];
  notes: string[];
  cautions: string[];
}

function stopLine(stop: Stop, bulks: number): SheetLine {
  const late =
    stop.latest > stop.after
      ? t`Last call after round ${stop.latest}: the opening is ${sizeWords(stop.latestOpeningMm)} then.`
      : '';
  return {
    kind: 'stop',
    after: stop.after,
    row: stop.row,
    title: t`Stop after round ${stop.after}`,
    lastCall: stop.acts.some(({ act }) => act === 'close' || act === 'cut') ? '' : late,
    acts: stop.acts.map((act) => ({ name: actTitle(act, bulks), why: act.why })),
  };
}

/** Rounds that stand together on a sheet: those of one line, up to a stop. By index, from 0. */
interface RoundRun {
  from: number;
  to: number;
}

function runsOf({ source, stops }: PartAnalysis): RoundRun[] {
  const { rounds } = source;
  const isStop = new Set(stops.stops.map(({ row }) => row));
  const runs: RoundRun[] = [];
  for (const [i, { line, text }] of rounds.entries()) {
    const before = rounds[i - 1];
    const isSame = before?.line === line && before.text === text && !isStop.has(i);
    const run = runs.at(-1);
    if (isSame && run) run.to = i;
    else runs.push({ from: i, to: i });
  }
  return runs;
}

const totalBehind = /\s*[[({=]\s*\d+\s*(?:sts?|stitches|sc|dc)?\s*[\])}]?\s*\.?\s*$/i;

function countWords(counts: readonly RoundCheck[]): string {
  const [from, to] = [counts[0]?.worked, counts.at(-1)?.worked];
  if (from === undefined) return t`not counted`;
  return from === to ? `${from}` : t`${from} to ${to}`;
}

function runLine({ source, checks }: PartAnalysis, { from, to }: RoundRun): SheetLine[] {
  const [first, last] = [source.rounds[from], source.rounds[to]];
  if (!first || !last) return [];
  const body = first.text.slice(first.work.label?.span.to ?? 0).trim();
  const counts = checks.slice(from, to + 1);
  const label = `${first.row ? 'Row ' : 'R'}${first.number}`;
  return [
    {
      kind: 'round',
      label: first === last ? label : `${label}–${last.number}`,
      text: body.replace(totalBehind, '').trim() || body,
      count: countWords(counts),
      wrong: counts.length === 0 || counts.some((check) => !check.ok),
    },
  ];
}

/** Rounds of one line stand together, divided where a stop falls among them; before them the markers that are put in on the way. */
function roundLines(part: PartAnalysis): SheetLine[] {
  const bulks = bulksOf(part.stops);
  const marked = markerPlan(part.fabric, part.features);
  const beginning = beginningOf(part.source);
  const begun: SheetLine[] = beginning ? [{ kind: 'marks', text: t`Begin with ${beginning}.` }] : [];
  const runs = runsOf(part).flatMap((run) => {
    const { row } = part.source.rounds[run.to]!;
    const onTheWay = marked.filter(({ round }) => round > run.from && round <= run.to + 1);
    const stops = part.stops.stops.filter((stop) => stop.row === run.to + 1);
    return [
      ...onTheWay.map(({ label, marks }): SheetLine => ({
        kind: 'marks',
        text: row
          ? t`While working row ${label}, put a marker into ${markWords(marks)} as you pass.`
          : t`While working round ${label}, put a marker into ${markWords(marks)} as you pass.`,
      })),
      ...runLine(part, run),
      ...stops.map((stop) => stopLine(stop, bulks)),
    ];
  });
  return [...begun, ...runs];
}

function strokesOf(part: PartAnalysis, { points, lies }: NeedlePath): SheetMap['strokes'] {
  return lies.flatMap(([from, to]) => {
    const [out, into] = [points[from], points[to]];
    if (!out || !into) return [];
    const [a, b] = [mapPoint(part.map, out.line, out.azimuth), mapPoint(part.map, into.line, into.azimuth)];
    return [{ x1: a.x, y1: a.y, x2: b.x, y2: b.y }];
  });
}

/** A surface line from hole to hole; over the start and at the cut at the back nothing is drawn. */
function lineStrokes(part: PartAnalysis, { holes }: SurfaceLine): SheetMap['strokes'] {
  const points = holes.map(({ line, azimuth }) => mapPoint(part.map, line, azimuth));
  return points.slice(1).flatMap((to, i) => {
    const from = points[i]!;
    const isNear = Math.abs(to.x - from.x) < part.map.gauge.widthMm * 3;
    return isNear ? [{ x1: from.x, y1: from.y, x2: to.x, y2: to.y }] : [];
  });
}

/** The eyes: where they go, how to find it, and what a spiral does to them. */
function placedEyes({ form }: PartAnalysis, eyes: FeaturePlacement): SheetPart['placed'][number] {
  const address = eyeAddress(form, eyes);
  const directions = eyeDirections(form, eyes);
  const colours = eyeColourCheck(form, eyes);
  const rounds = eyes.rule.lying ? ' rounds' : '';
  const climb = t`A spiral climbs: the ${sayTerm(eyes.lower)} eye sits ${fineSizeWords(eyes.levelMm)} lower. Tilt the piece by that when you join it.`;
  return {
    heading: t`${eyes.rule.sizeMm} mm eyes ${address.gap}, ${address.holes}, ${address.showing}`,
    sentences: [
      directions.sides,
      directions.count,
      ...landmarkSentences(form, eyes),
      directions.check,
      ...(colours ? [colours] : []),
      t`${hasPost(eyes.rule) ? t`Post to post` : t`Middle to middle`} ${eyes.apart}${sayTerm(rounds)}; ${sizeWords(eyes.surfaceMm)} around the face, ${sizeWords(eyes.straightMm)} straight across.`,
      ...(eyes.lower && !eyes.rule.lying ? [climb] : []),
    ],
  };
}

function placedFeature(part: PartAnalysis, feature: FeaturePlacement): SheetPart['placed'][number] {
  const { address, count, there, check, needle } = featureWords(feature, frameOfPart(part), part.eyes);
  return { heading: address, sentences: [count, there, check, ...needle].filter(Boolean) };
}

const placedLine = ({ fabric }: PartAnalysis, line: SurfaceLine): SheetPart['placed'][number] => ({
  heading: lineHeading(fabric, line),
  sentences: [lineDirections(fabric, line), `${lineHoles(fabric, line).join('; ')}.`],
});

function wayWorked({ lying, start }: PartAnalysis['source']): string {
  if (lying) return start === 'top' ? t`left to the right` : t`right to the left`;
  return start === 'top' ? t`top down` : t`bottom up`;
}

function sheetPart(part: PartAnalysis): SheetPart {
  const { eyes, stops, source } = part;
  const size = sizeOfPart(part);
  const stitches = part.checks.reduce((sum, check) => sum + check.worked, 0);
  const { rounds, row } = part.fabric;
  const facts = [
    row[0] === 1 ? t`${rounds} rows, ${stitches} stitches` : t`${rounds} rounds, ${stitches} stitches`,
  ];
  if (size.widthMm > 0)
    facts.push(t`about ${sizeWords(size.widthMm)} wide and ${sizeWords(size.heightMm)} high`);
  facts.push(t`worked from the ${wayWorked(source)}`);
  const edges = rowEdges(part.fabric);
  if (edges)
    facts.push(
      t`flat: ${edges.start} stitches at the start, ${edges.end} at the end, ${edges.rowEnds} row ends at each side`,
    );
  const jogs = colourJogs(part.fabric);
  if (jogs.length > 0)
    facts.push(t`a new colour begins with round ${jogs.join(t` and `)}: a spiral jogs there, at the back`);
  const map = rounds > 0 ? fabricMap(part.map) : null;
  return {
    name: source.name,
    make: source.make,
    facts,
    lines: roundLines(part),
    placed: [
      ...part.features.map((feature) =>
        feature === eyes ? placedEyes(part, eyes) : placedFeature(part, feature),
      ),
      ...part.lines.map((line) => placedLine(part, line)),
    ],
    closing: stops.closing
      ? t`${stops.closing.words} Leave a tail of ${cutWords(stops.closing.tailMm)}.`
      : null,
    assembly: source.steps
      .filter((step) => step.kind !== 'stuff' && step.kind !== 'close' && step.kind !== 'feature')
      .map((step) => step.text),
    open: part.problems.filter((problem) => problem.severity !== 'info').map((problem) => problem.message),
    map: map && {
      map,
      lying: part.map.lying,
      labels: [...part.fabric.label],
      circles: [
        ...part.features.flatMap((feature) =>
          feature.needle
            ? []
            : feature.units.map((unit) => ({
                ...mapPoint(part.map, unit.fromLine, unit.azimuth),
                radius: Math.max(1.5, unit.halfMm),
                open: feature !== eyes,
              })),
        ),
      ],
      strokes: [
        ...part.features.flatMap(({ needle }) => (needle ? strokesOf(part, needle) : [])),
        ...part.lines.flatMap((line) => lineStrokes(part, line)),
      ],
    },
  };
}

/** What the sheet says of each join. */
function sheetJoins(toy: ToyAnalysis): Sheet['joins'] {
  const { joined, parts } = toy;
  const pieces = parts.map((part) => joinPart(part));
  return [...joined.workedOn, ...joined.joins].map((join) => {
    const { title, address, lines, pins, path } = joinDirections(join, joined, pieces);
    const pinned = pins.length > 0 ? [t`Pin first: ${pins.join('; ')}.`] : [];
    const follows = join.kind === 'worked-on' ? t`Stitch by stitch` : t`Edge stitch to wall`;
    const sewn = path.length > 0 ? [`${follows}: ${path.join('; ')}.`] : [];
    const way = schoolWords(join, toy);
    const seam = hasSeam(join) ? seamWords(join, toy) : null;
    const open = join.problems.filter(({ severity }) => severity !== 'info').map(({ message }) => message);
    return {
      heading: `${title}: ${address}`,
      name: title,
      picture: joinPicture(join, joined, pieces),
      sentences: [
        ...lines,
        ...pinned,
        ...(way === null ? [] : [way]),
        ...sewn,
        ...(seam === null ? [] : [seam]),
        ...open,
      ],
    };
  });
}

/** For whom the toy is, and what screening found. */
function safetyLines(toy: ToyAnalysis, book: RuleBook): string[] {
  const { audience, findings } = safetyOf(toy, book);
  const words = { error: t`Stop`, warning: t`Look`, info: t`Note` } as const;
  return [
    ...(audience ? [t`Made for: ${audienceSaid[audience]}.`] : []),
    ...findings.map(
      ({ severity, message, remedies }) =>
        `${words[severity]}: ${message} ${remedies.map((one) => one.words).join(' ')}`,
    ),
  ];
}

/**
 * Gathers the maker's sheet of a toy from its analysis.
 *
 * @param book the rules it is screened by
 */
export function buildSheet(toy: ToyAnalysis, book: RuleBook = shippedRules): Sheet {
  const { header, terms, notes } = toy.pattern;
  const facts = [
    t`Gauge ${toy.gauge.widthMm} × ${toy.gauge.heightMm} mm a stitch${toy.gauge.assumed ? t` (assumed: measure yours over 10 stitches and 10 rounds)` : ''}`,
    header.hand === 'left' ? t`Worked left-handed` : t`Worked right-handed`,
    terms.source === 'assumed'
      ? t`Written in ${terms.value === 'us' ? 'US' : 'UK'} terms (assumed)`
      : t`Written in ${terms.value === 'us' ? 'US' : 'UK'} terms`,
  ];
  if (header.hook) facts.unshift(t`Hook ${header.hook}`);
  for (const yarn of header.yarns) facts.push(t`Yarn ${yarn.name}: ${yarn.value}`);
  return {
    title: header.name ?? toy.parts[0]?.source.name ?? t`Toy`,
    facts,
    parts: toy.parts.map((part) => sheetPart(part)),
    joins: sheetJoins(toy),
    needs: needLines(suppliesOf(toy)),
    order: orderByUnit(toy).map(({ unit, lines }) => `${unit}: ${lines.join(', ')}.`),
    notes: notes.map((note) => note.text),
    cautions: [
      ...new Set([
        ...safetyLines(toy, book),
        ...(toy.parts.some(({ eyes }) => eyes && hasPost(eyes.rule)) ? [eyeCaution] : []),
        ...toy.parts.flatMap((part) =>
          part.features.flatMap(({ rule }) => (rule.kind === 'eyes' && hasPost(rule) ? [] : hurtsOf(rule))),
        ),
        generalCaution,
      ]),
    ],
  };
}
