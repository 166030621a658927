import type { Join, LedgerLine, Pin } from '../src/core/join/joined';
import { pinWord } from '../src/core/join/pins';
import type { Hands } from '../src/core/plan/hands';
import type { Firmness } from '../src/core/shape/stuffed';
import type { Fabric } from '../src/core/fabric/fabric';
import { freeEdges } from '../src/core/fabric/freeEdges';
import { analyseToy, frameOfPart, type PartAnalysis, type ToyAnalysis } from '../src/core/toy/analyse';
import { joinPart } from '../src/core/toy/joinAll';
import { finishOfPart, measurePart } from '../src/core/toy/formOfPart';
import { stuffingGrams } from '../src/core/supplies/stuffing';
import { showThrough } from '../src/core/shape/form/showThrough';
import { yarnOf } from '../src/core/toy/yarnOf';
import type { Problem } from '../src/core/notation/problem';
import type { FeaturePlacement } from '../src/core/place/resolve/placement';
import { eyeAddress, eyeDirections, featureWords } from '../src/core/place/words/directions';
import { eyeColourCheck } from '../src/core/place/words/colourSteps';
import { landmarkSentences } from '../src/core/place/words/fromThere';
import { markWords, markerPlan } from '../src/core/place/words/markerPlan';
import { generalCaution } from '../src/core/safety/cautions';
import { audienceWords } from '../src/core/safety/audience';
import { safetyOf } from '../src/core/toy/safetyOf';
import { toolUseWords } from '../src/core/toy/supplies/tools';
import { needLines, suppliesOf } from '../src/core/toy/supplies/suppliesOf';
import { minutesOf } from '../src/core/plan/time';
import { orderWords } from '../src/core/toy/orderWords';
import { actTitle, bulksOf } from '../src/core/toy/sheet/stopWords';
import { buildSheet } from '../src/core/toy/sheet/buildSheet';
import type { Terms } from '../src/core/notation/terms';
import { patternForOthers } from '../src/core/toy/sheet/forOthers';
import { patternHtml, patternMarkdown } from '../src/core/toy/sheet/forOthersMarkup';
import { sheetHtml } from '../src/core/toy/sheet/sheetHtml';
import { sheetMarkdown } from '../src/core/toy/sheet/sheetMarkdown';
import { sheetText } from '../src/core/toy/sheet/sheetText';

/** The rounds a line of holes lies between, as the maker numbers them. */
const gapAt = ({ label }: Fabric, line: number): [number, number] => [
  label[line - 1] ?? line,
  label[line] ?? line + 1,
];
const round2 = (value: number) => Math.round(value * 100) / 100;

export interface Options {
  text: boolean;
  format: string;
  firmness: Firmness | undefined;
  /** whose hands the stops are for */
  hands: Hands;
  /** for whom a pattern is written out; as the toy has it where nothing is said */
  terms: Terms | undefined;
  hand: 'right' | 'left' | undefined;
}

const forReader = (toy: ToyAnalysis, { terms, hand }: Options) =>
  patternForOthers(toy, {
    terms: terms ?? toy.pattern.terms.value,
    hand: hand ?? toy.pattern.header.hand,
  });

/** What each verb prints. */
export const verbs: Record<string, (toy: ToyAnalysis, options: Options) => unknown> = {
  check: (toy) => ({
    parts: toy.parts.map((part) => ({
      id: part.source.id,
      name: part.source.name,
      make: part.source.make,
      rounds: part.checks.map(({ round, worked, stated, ok, line }) => ({ round, worked, stated, ok, line })),
      stitches: part.checks.reduce((sum, check) => sum + check.worked, 0),
      freeEdges: freeEdges(part.fabric, part.taken).map(({ round, loop, count }) => ({ round, loop, count })),
    })),
    problems: toy.problems,
    notes: toy.pattern.notes,
    terms: toy.pattern.terms,
  }),

  shape: (toy, { firmness }) => ({
    parts: toy.parts.map((part) => {
      const { measures } = measurePart(part, firmness);
      return {
        name: part.source.name,
        widthMm: round2(measures.widthMm),
        depthMm: round2(measures.depthMm),
        heightMm: round2(measures.heightMm),
        volumeMl: round2(measures.volumeMl),
        rounds: measures.rounds.map(({ count, radiusMm, heightMm }, i) => ({
          round: part.fabric.label[i],
          count,
          radiusMm: round2(radiusMm),
          heightMm: round2(heightMm),
        })),
      };
    }),
  }),

  place: (toy) => ({
    markers: toy.parts.flatMap(({ fabric, features, source }) =>
      markerPlan(fabric, features).flatMap(({ label, marks }) =>
        marks.map(({ stitch, seat, what }) => ({ part: source.name, round: label, stitch, seat, for: what })),
      ),
    ),
    lines: toy.parts.flatMap(({ source, fabric, lines }) =>
      lines.map(({ thing, along, until, over, holes }) => ({
        part: source.name,
        thing,
        along,
        until,
        over,
        holes: holes.map(({ line, hole, of, off, shift }) => ({
          gap: gapAt(fabric, line),
          hole,
          of,
          offStitches: round2(off),
          shift,
        })),
      })),
    ),
    placements: toy.parts.flatMap((part) =>
      part.features.flatMap((feature) => {
        const placed = placementJson(part, feature);
        return unitsOf(part).map((unit) => ({ ...placed, unit }));
      }),
    ),
  }),

  joins: ({ joined, parts }) => {
    const nameOf = (id: string) => parts.find(({ source }) => source.id === id)?.source.name ?? id;
    const named = (ledger: readonly LedgerLine[]) =>
      ledger.map((entry) => ('plain' in entry ? entry : { ...entry, part: nameOf(entry.part) }));
    const joinJson = ({
      unit,
      on,
      centre: _centre,
      ledger,
      otherLedgers,
      missMm,
      pins,
      path,
      covers,
      row: _row,
      sentence: _sentence,
      called: _called,
      facing: _facing,
      ...join
    }: Join) => ({
      ...join,
      turned: round2(join.turned),
      part: nameOf(unit.part),
      unit: unit.unit,
      name: unit.name,
      side: unit.side,
      on: nameOf(on.part),
      onUnit: on.unit,
      ledger: ledger && named(ledger),
      otherLedgers: otherLedgers.map(named),
      missMm: round2(missMm),
      covers: covers && { rounds: covers.rounds, stitches: covers.stitches },
      path: path && path.map(({ edge, round, stitch }) => ({ edge, round, stitch })),
      pins: pins && pins.map((pin) => pinJson(parts, on.part, pin)),
    });
    return {
      units: [...joined.units, ...joined.loose].map(({ part, ...unit }) => ({ part: nameOf(part), ...unit })),
      joins: joined.joins.map((join) => joinJson(join)),
      workedOn: joined.workedOn.map((join) => joinJson(join)),
      problems: joined.problems,
    };
  },

  stops: (toy) => ({
    stops: toy.parts.flatMap((part) =>
      unitsOf(part).flatMap((unit) =>
        part.stops.stops.map(({ part: name, after, earliest, latest, openingMm, acts }) => ({
          part: name,
          unit,
          after,
          earliest,
          latest,
          openingMm: round2(openingMm),
          acts: acts.map(({ act, feature, part: worked, fills, why }) => ({
            act,
            ...(worked ? { part: worked } : { feature }),
            ...(fills ? { fills: { ...fills, grams: round2(fills.grams) } } : {}),
            why,
          })),
        })),
      ),
    ),
    order: toy.order.steps.map((step) => ({
      do: step.do,
      part: nameOfPart(toy, step.part),
      unit: step.unit,
      from: step.from,
      to: step.to,
      about: step.about,
      minutes: round2(minutesOf(step)),
    })),
    impossible: toy.parts.flatMap(({ source, stops }) =>
      stops.impossible.map(({ act, message }) => ({ part: source.name, act, message })),
    ),
  }),

  supplies: (toy) => {
    const supplies = suppliesOf(toy);
    const { yarns, byPart, stuffingG, hardware, felt, tools, threadM, tails } = supplies;
    return {
      yarns: yarns.map(({ name, kind, strands, metres, grams }) => ({
        name,
        kind,
        strands,
        metres: round2(metres),
        grams: round2(grams),
      })),
      parts: byPart.map(({ part, yarn, metres }) => ({ part, yarn, metres: round2(metres) })),
      stuffingG: round2(stuffingG),
      hardware,
      felt: felt.map(({ colour, pieces, areaMm2 }) => ({ colour, pieces, areaMm2: round2(areaMm2) })),
      tools: tools.map(({ kind, sizeMm, count, use }) => ({
        kind,
        sizeMm,
        count,
        why: use ? toolUseWords(use) : null,
      })),
      threadM: round2(threadM),
      uncounted: supplies.uncounted.map(({ what }) => what),
      mixedStrands: supplies.mixedStrands,
      tails: tails.map(({ part, unit, mm, for: use }) => ({ part, unit, mm, for: use })),
    };
  },

  safety: (toy) => {
    const { audience, findings } = safetyOf(toy);
    return {
      audience,
      findings: findings.map(({ code, severity, part, feature, message, why, remedies, source }) => ({
        code,
        severity,
        part,
        feature,
        message,
        why,
        remedy: remedies[0].words,
        edits: remedies[0].edits,
        others: remedies.slice(1).map(({ words, edits }) => ({ remedy: words, edits })),
        source,
      })),
      note: generalCaution,
    };
  },

  pattern: (toy, options) => {
    const pattern = forReader(toy, options);
    return options.format === 'html'
      ? patternHtml(pattern)
      : options.format === 'txt'
        ? pattern.text
        : patternMarkdown(pattern);
  },
  sheet: (toy, { format }) => {
    const sheet = buildSheet(toy);
    return format === 'html' ? sheetHtml(sheet) : format === 'txt' ? sheetText(sheet) : sheetMarkdown(sheet);
  },
};

/** What a part is called, by its id in the text. */
const nameOfPart = (toy: ToyAnalysis, id: string): string =>
  toy.parts.find(({ source }) => source.id === id)?.source.name ?? id;

/** The units of a part, from 1. */
const unitsOf = ({ source }: PartAnalysis): number[] => Array.from({ length: source.make }, (_, i) => i + 1);

/** A pin of what is joined to a part, with the word for where it is. */
function pinJson(parts: readonly PartAnalysis[], wall: string, { round, stitch, at }: Pin) {
  const on = parts.find(({ source }) => source.id === wall);
  return { round, stitch, where: on ? pinWord(joinPart(on), at) : at };
}

/** One feature as the contract gives it, on whichever unit. */
function placementJson({ fabric, source }: PartAnalysis, feature: FeaturePlacement) {
  const { id, gap, units, seat, apart, showing, surfaceMm, straightMm, missStitches, needle, problems } =
    feature;
  const posts = units.flatMap(({ side, ...unit }) => {
    const first = { side, gap: gapAt(fabric, unit.fromLine), stitch: unit.from, of: unit.of };
    const last = { side, gap: gapAt(fabric, unit.toLine), stitch: unit.to, of: unit.toOf };
    return unit.from === unit.to && unit.fromLine === unit.toLine ? [first] : [first, last];
  });
  return {
    part: source.name,
    partId: source.id,
    feature: id,
    gap,
    round: null,
    seat,
    posts,
    apart,
    showing,
    surfaceMm: round2(surfaceMm),
    straightMm: round2(straightMm),
    missStitches: round2(missStitches),
    needle: needle && {
      points: needle.points.map(({ act, gap: between, hole }) => ({ act, gap: between, hole })),
      knot: needle.knot,
      strands: needle.strands,
      threadMm: needle.threadMm,
    },
    problems,
  };
}

const problemLines = (problems: readonly Problem[]) =>
  problems.flatMap(({ line, message, suggestions }) => [
    `  Line ${line ?? '-'}: ${message}`,
    ...suggestions.map(({ title, edits }) => `      ${title}: ${edits.map(({ text }) => text).join(' / ')}`),
  ]);

function eyeLines({ form, source }: PartAnalysis, eyes: FeaturePlacement): string[] {
  const { count, check } = eyeDirections(form, eyes);
  const { gap, showing } = eyeAddress(form, eyes);
  const posts = eyes.units.map(({ side, from }) => `${side} ${from}`).join(', ');
  const told = [count, ...landmarkSentences(form, eyes), check, eyeColourCheck(form, eyes)];
  return [
    `${source.name}: eyes ${gap.replaceAll(/rounds? /g, '')}, ${posts} of ${eyes.units[0]?.of}; ${showing}`,
    ...told.filter((line) => line !== null).map((line) => `  ${line}`),
    ...problemLines(eyes.problems),
  ];
}

function featureLines(part: PartAnalysis, feature: FeaturePlacement): string[] {
  if (feature === part.eyes) return eyeLines(part, feature);
  const { address, count, there, check, needle } = featureWords(feature, frameOfPart(part), part.eyes);
  return [
    `${part.source.name}: ${address}`,
    ...[count, there, check, ...needle].filter(Boolean).map((line) => `  ${line}`),
    ...problemLines(feature.problems),
  ];
}

/** The same answers for people. */
export const plainVerbs: Record<string, (toy: ToyAnalysis, options: Options) => string> = {
  shape: (toy, { firmness }) =>
    toy.parts
      .map((part) => {
        const { measures, form } = measurePart(part, firmness);
        const said = finishOfPart(part, firmness).firmness;
        const grams = stuffingGrams(measures.volumeMl, said);
        const shows =
          said === 'none'
            ? []
            : showThrough(part.fabric, form, part.form.gauge.widthMm, yarnOf(toy).thicknessMm).rounds;
        return [
          `${part.source.name}: ${Math.round(measures.widthMm)} mm wide, ${Math.round(measures.heightMm)} high, ${Math.round(measures.depthMm)} deep${grams > 0 ? `; ${Math.round(measures.volumeMl)} ml, about ${grams.toFixed(1)} g of stuffing (${said})` : ''}`,
          ...(shows.length > 0 ? [`  Stuffing may show in round ${shows.join(', ')}.`] : []),
        ].join('\n');
      })
      .join('\n'),
  check: (toy) =>
    [
      ...toy.parts.flatMap((part) => [
        `${part.source.name}${part.source.make > 1 ? ` (make ${part.source.make})` : ''}`,
        ...part.checks.map(
          (check) =>
            `  ${String(check.round).padStart(3)}  ${String(check.worked).padStart(4)}${check.stated !== null && check.stated !== check.worked ? `  says ${check.stated}` : ''}${check.ok ? '' : '  look here'}`,
        ),
      ]),
      ...toy.problems.flatMap((problem) => [
        `Line ${problem.line ?? '-'}: ${problem.message}`,
        ...problem.suggestions.map(
          (suggestion) => `    ${suggestion.title}: ${suggestion.edits.map((edit) => edit.text).join(' / ')}`,
        ),
      ]),
      ...toy.pattern.notes.map((note) => `Kept as a note, line ${note.line}: ${note.text}`),
    ].join('\n'),
  place: (toy) =>
    toy.parts
      .flatMap((part) => [
        ...part.features.flatMap((feature) => featureLines(part, feature)),
        ...markerPlan(part.fabric, part.features).map(
          ({ label, marks }) =>
            `${part.source.name}: while working round ${label}, a marker into ${markWords(marks)}`,
        ),
      ])
      .join('\n') || 'Nothing is placed in this text.',
  joins: (toy) =>
    buildSheet(toy)
      .joins.flatMap(({ heading, sentences }) => [heading, ...sentences.map((sentence) => `  ${sentence}`)])
      .join('\n') || 'No sentence joins anything.',
  stops: (toy) =>
    toy.parts
      .flatMap((part) =>
        part.stops.stops.map(
          (stop) =>
            `${stop.part}, after round ${stop.after}: ${stop.acts.map((act) => actTitle(act, bulksOf(part.stops))).join(', ')} (last call ${stop.latest})`,
        ),
      )
      .concat(
        '',
        orderWords(toy).map(({ unit, words }) => `${unit}: ${words}`),
      )
      .join('\n')
      .trim() || 'No stops.',
  supplies: (toy) => needLines(suppliesOf(toy)).join('\n') || 'Nothing is worked yet.',
  safety: (toy) => {
    const { audience, findings } = safetyOf(toy);
    return [
      audience ? `For: ${audienceWords[audience]}` : 'For: not said',
      ...findings.flatMap(({ severity, message, remedies, source }) => [
        `${severity === 'error' ? 'Stops it' : severity === 'warning' ? 'Look' : 'Note'}: ${message}`,
        `    ${remedies.map(({ words }) => words).join(' ')} (${source})`,
      ]),
      ...(findings.length === 0 ? ['Nothing found by the rules Hoppla knows.'] : []),
      generalCaution,
    ].join('\n');
  },
  pattern: (toy, options) => forReader(toy, options).text,
  sheet: (toy) => sheetText(buildSheet(toy)),
};

export { analyseToy };
