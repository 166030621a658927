import { cutSentence } from '../notation/editText';
import type { LineEdit } from '../notation/problem';
import type { ReinforceSentence } from '../notation/sentence/reinforce';
import { reinforcedIn } from '../notation/sentence/reinforced';
import type { FeaturePlacement } from '../place/resolve/placement';
import { discMm, washerMm } from '../place/rule/hardware';
import type { Audience } from '../safety/audience';
import {
  holdingOfJoin,
  holdingOfPatch,
  holdingOfPost,
  holdingOfStitching,
  type HoldingWay,
  type Reinforcement,
} from '../safety/reinforce';
import type { RuleBook } from '../safety/ruleBook';
import type { Join } from '../join/joined';
import type { PartAnalysis, ToyAnalysis } from './analysis';
import { mendsOfFeature, mendsOfSeam } from './mends';
import { unitName } from './orderWords';

/** A join or a feature, how it holds, and what takes another way. */
export interface Holding extends Reinforcement {
  id: string;
  /** `Left ear, right ear`, `Eyes of the head` */
  title: string;
  /** edits that take a way; a way that the text's own words forbid is not among them */
  edits: ReadonlyMap<HoldingWay['key'], LineEdit[]>;
  /** the part that is sewn on and might be worked in instead; null of anything else */
  sewnPart: string | null;
}

/** Between the plain way and the reinforced one: a sentence put in, or those that say so taken out. */
function switching(
  plain: HoldingWay['key'],
  stronger: HoldingWay['key'],
  said: readonly ReinforceSentence[],
  put: LineEdit[] | null,
): Holding['edits'] {
  const edits = new Map<HoldingWay['key'], LineEdit[]>();
  if (said.length > 0) edits.set(plain, said.map(cutSentence));
  else if (put) edits.set(stronger, put);
  return edits;
}

/** Whether the seam of a unit is gone round twice: its own sentence says so, or one that reinforces its part. */
export function isJoinedTwice({ unit, sentence }: Join, { parts }: Pick<ToyAnalysis, 'parts'>): boolean {
  const part = parts.find(({ source }) => source.id === unit.part);
  const isReinforced = part !== undefined && reinforcedIn(part.source.steps, 'twice', null).length > 0;
  return sentence.twice === true || isReinforced;
}

/** The same of a part: of all its seams, or where nothing joins it yet. */
export function isPartSewnTwice({ source }: PartAnalysis, { joined, parts }: ToyAnalysis): boolean {
  const seams = joined.joins.filter(({ unit }) => unit.part === source.id);
  const isReinforced = reinforcedIn(source.steps, 'twice', null).length > 0;
  return isReinforced || (seams.length > 0 && seams.every((join) => isJoinedTwice(join, { parts })));
}

function holdingOfPart(
  part: PartAnalysis,
  toy: ToyAnalysis,
  audience: Audience | null,
  book: RuleBook,
): Holding[] {
  const joins = toy.joined.joins.filter(
    ({ unit, kind }) => unit.part === part.source.id && kind !== 'worked-on',
  );
  const [first] = joins;
  if (!first) return [];
  const noSew = joins.every(({ kind }) => kind === 'no-sew');
  const isTwice = joins.every((join) => isJoinedTwice(join, toy));
  const stitches = Math.min(...joins.map(({ path }) => path?.length ?? 0));
  const saysIt = joins.some(({ sentence }) => sentence.twice === true);
  const said = reinforcedIn(part.source.steps, 'twice', null);
  return [
    {
      ...holdingOfJoin({ stitches, noSew, isTwice }, audience, book),
      id: `seam ${part.source.id}`,
      title: joins.map(({ unit }) => unitName(toy, unit.part, unit.unit)).join(', '),
      sewnPart: noSew ? null : part.source.id,
      edits: noSew || saysIt ? new Map() : switching('once', 'twice', said, mendsOfSeam(part)),
    },
  ];
}

function holdingOfFeature(
  part: PartAnalysis,
  feature: FeaturePlacement,
  audience: Audience | null,
  book: RuleBook,
): Holding[] {
  const { id, kind, rule, units, needle } = feature;
  const title = `${id.charAt(0).toUpperCase()}${id.slice(1)} of the ${part.source.name.toLowerCase()}`;
  const mends = mendsOfFeature(part, feature);
  const named = { id: `${id} ${part.source.id}`, title, sewnPart: null };
  const isPressed = (kind === 'eyes' || kind === 'nose') && !rule.embroidered;
  if (isPressed) {
    const sizeMm = rule.sizeMm ?? 2 * Math.max(0, ...units.map(({ halfMm }) => halfMm));
    const said = reinforcedIn(part.source.steps, 'backing', kind);
    const disc = said.at(-1)?.discMm ?? discMm(sizeMm);
    return [
      {
        ...named,
        ...holdingOfPost({ washer: washerMm(sizeMm), disc, isBacked: said.length > 0 }, audience, book),
        edits: switching('washer', 'disc', said, mends.back ?? null),
      },
    ];
  }
  if (needle) return [{ ...named, ...holdingOfStitching(needle.strands, book), edits: new Map() }];
  if (!mends.twice) return [];
  const said = reinforcedIn(part.source.steps, 'twice', kind);
  return [
    {
      ...named,
      ...holdingOfPatch({ isTwice: said.length > 0 }, audience, book),
      edits: switching('once', 'twice', said, mends.twice),
    },
  ];
}

/** What holds every join and every feature of a toy. */
export function holdingsOf(toy: ToyAnalysis, audience: Audience | null, book: RuleBook): Holding[] {
  const joins = toy.parts.flatMap((part) => holdingOfPart(part, toy, audience, book));
  const features = toy.parts.flatMap((part) =>
    part.features.flatMap((feature) => holdingOfFeature(part, feature, audience, book)),
  );
  return [...joins, ...features];
}

/** How a seam is sewn, as the text says it: for the sheet, and for beside the maker. */
export function seamWords(join: Join, toy: ToyAnalysis): string | null {
  if (join.path === null || join.ledger) return null;
  return isJoinedTwice(join, toy)
    ? 'Once round, then once more the other way into the same stitches. Three times through the first and last stitch and at each pin; bury the tail in three directions.'
    : 'Three times through the first and last stitch and at each pin; bury the tail in three directions.';
}
