import { t } from '../words/language';
import { sizeOfToy } from '../join/pose/posed';
import { frameOfPart, type PartAnalysis, type ToyAnalysis } from '../toy/analyse';
import { assembled } from '../toy/assembled';
import { pieceName, suppliesOf } from '../toy/supplies/suppliesOf';
import { minutesOfAll } from '../plan/time';
import { eyeAddress, featureWords } from '../place/words/directions';
import { lineHeading } from '../place/words/lineWords';
import { timeWords } from '../words/time';
import { compareToys, type Change } from './compareToys';
import { roundCards } from './editRounds';
import { number, sizeWords, weightWords, yarnWords } from '../words/measures';

/** What differs between two versions of a toy, under the heading a maker would look for it. */
export interface Difference {
  about: 'whole' | 'parts' | 'rounds' | 'places' | 'joins' | 'takes';
  changes: Change[];
}

/** What stands for something one of them has not. */
const none = '–';

/** What two lists say under the same names, where they say different things; in the order of the second, then what only the first has. */
function differing(
  part: string,
  before: ReadonlyMap<string, string>,
  after: ReadonlyMap<string, string>,
): Change[] {
  const names = [...after.keys(), ...[...before.keys()].filter((name) => !after.has(name))];
  return names.flatMap((what): Change[] => {
    const [was, is] = [before.get(what) ?? none, after.get(what) ?? none];
    return was === is ? [] : [{ part, what, before: was, after: is }];
  });
}

/** What parts are called where several go by one name: `Ear`, `Ear, the second`. */
function calledOf({ parts }: ToyAnalysis, { source }: PartAnalysis): string {
  const alike = parts.filter((other) => other.source.name === source.name);
  const at = alike.findIndex((other) => other.source === source);
  return at === 0 ? source.name : t`${source.name}, number ${at + 1}`;
}

function wholeOf(toy: ToyAnalysis): Map<string, string> {
  const { widthMm, heightMm, depthMm } = sizeOfToy(assembled(toy));
  const isWorked = toy.parts.some(({ checks }) => checks.length > 0);
  return new Map([
    ...(isWorked
      ? ([
          ['high', sizeWords(heightMm)],
          ['wide', sizeWords(widthMm)],
          ['deep', sizeWords(depthMm)],
        ] as const)
      : []),
    [
      t`stitches`,
      `${toy.parts.reduce((sum, { source, fabric }) => sum + source.make * fabric.kind.length, 0)}`,
    ],
    [t`time by usual figures`, timeWords(minutesOfAll(toy.order.steps))],
  ]);
}

const partsOf = (toy: ToyAnalysis) =>
  new Map(
    toy.parts.map((part) => [calledOf(toy, part), t`${part.source.make} × ${part.checks.length} rounds`]),
  );

/** Every round line of a part by its number, with what it comes to. */
function roundsOf({ source, checks }: PartAnalysis): Map<string, string> {
  const said = new Map<string, string>();
  for (const { body, index, first, last } of roundCards(source))
    for (let round = first; round <= last; round += 1) {
      const worked = checks[index + round - first]?.worked;
      said.set(
        `${source.rounds[index]?.row ? t`Row` : t`Round`} ${round}`,
        worked === undefined ? body : `${body} [${worked}]`,
      );
    }
  return said;
}

/** Rounds one after the other that differ alike, in one: `Rounds 6 to 9`. */
function inRuns(changes: readonly Change[]): Change[] {
  const runs: (Change & { first: string; last: string })[] = [];
  for (const change of changes) {
    const number = Number(/\d+/.exec(change.what)?.[0]);
    const run = runs.at(-1);
    const goesOn =
      run && run.before === change.before && run.after === change.after && Number(run.last) + 1 === number;
    if (goesOn) run.last = `${number}`;
    else runs.push({ ...change, first: `${number}`, last: `${number}` });
  }
  return runs.map(({ first, last, ...change }) => {
    if (first === last) return change;
    const isRow = change.what === `${t`Row`} ${first}`;
    return { ...change, what: isRow ? t`Rows ${first} to ${last}` : t`Rounds ${first} to ${last}` };
  });
}

function placesOf(part: PartAnalysis): Map<string, string> {
  const { features, eyes, form, fabric, lines } = part;
  return new Map([
    ...features.map((feature): [string, string] => {
      if (feature !== eyes) return [feature.id, featureWords(feature, frameOfPart(part), eyes).address];
      const { gap, holes } = eyeAddress(form, feature);
      return ['eyes', t`${feature.rule.sizeMm} mm, ${gap}, ${holes}`];
    }),
    ...lines.map((line): [string, string] => [`${line.thing}, ${line.along}`, lineHeading(fabric, line)]),
  ]);
}

function joinsOf({ joined, parts }: ToyAnalysis): Map<string, string> {
  const nameOf = (id: string) =>
    parts.find(({ source }) => source.id === id)?.source.name.toLowerCase() ?? id;
  return new Map(
    joined.joins.map(({ unit, on, round, stitch }) => {
      const where = round === null ? '' : t` round ${round}${stitch === null ? '' : t`, stitch ${stitch}`}`;
      return [unit.name, `${nameOf(on.part)}${where}`];
    }),
  );
}

function takesOf(toy: ToyAnalysis): Map<string, string> {
  const { yarns, stuffingG, hardware } = suppliesOf(toy);
  return new Map([
    ...yarns.map(
      ({ name, metres, grams }) =>
        [name, `${yarnWords(metres)}, ${weightWords(grams, 0, Math.ceil)}`] as const,
    ),
    ['stuffing', weightWords(stuffingG)] as const,
    ...hardware.map(({ kind, sizeMm, count }) => {
      const piece = pieceName(kind);
      return [sizeMm > 0 ? `${piece}, ${number(sizeMm, 1)} mm` : piece, `${count}`] as const;
    }),
  ]);
}

/** The part of another version that one stands for: of the same name. Two versions have no other tie. */
const twinOf = ({ source }: PartAnalysis, toy: ToyAnalysis): PartAnalysis | undefined =>
  toy.parts.find((other) => other.source.id === source.id);

/**
 * Everything that differs between two versions of a toy: the whole, which parts there are, their rounds, what is put on them and where
 * they are joined, what it all takes.
 */
export function compareVersions(before: ToyAnalysis, after: ToyAnalysis): Difference[] {
  const pairs = after.parts.flatMap((part) => {
    const twin = twinOf(part, before);
    return twin ? [{ part, twin }] : [];
  });
  const differences: Difference[] = [
    { about: 'whole', changes: differing(t`The whole toy`, wholeOf(before), wholeOf(after)) },
    { about: 'parts', changes: differing(t`Parts`, partsOf(before), partsOf(after)) },
    {
      about: 'rounds',
      changes: pairs.flatMap(({ part, twin }) =>
        inRuns(differing(calledOf(after, part), roundsOf(twin), roundsOf(part))),
      ),
    },
    {
      about: 'places',
      changes: [
        ...pairs.flatMap(({ part, twin }) =>
          differing(calledOf(after, part), placesOf(twin), placesOf(part)),
        ),
        ...compareToys(before, after).filter(({ what }) => !/^eyes/.test(what)),
      ],
    },
    { about: 'joins', changes: differing(t`Joined to`, joinsOf(before), joinsOf(after)) },
    { about: 'takes', changes: differing(t`What it takes`, takesOf(before), takesOf(after)) },
  ];
  return differences.filter(({ changes }) => changes.length > 0);
}
