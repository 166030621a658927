import { t } from '../words/language';
import { sayTerm } from '../words/said';
import { cutSentence } from '../notation/editText';
import type { LineEdit } from '../notation/problem';
import type { ReinforceSentence } from '../notation/sentence/reinforce';
import { reinforcedIn } from '../notation/sentence/reinforced';
import type { Said } from '../notation/sentence/said';
import type { FeaturePlacement } from '../place/resolve/placement';
import { discMm, washerMm } from '../place/rule/hardware';
import { hasPost } from '../place/rule/rule';
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
import type { PartAnalysis, ToyAnalysis } from './analysis';
import { mendsOfFeature, mendsOfSeam } from './mends';
import { unitName } from './orderWords';
import { hasSeam, isJoinedTwice } from './seams';

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

const isSamePlace = (a: Said, b: Said): boolean => a.line === b.line && a.span.from === b.span.from;

/** Between the plain way and the reinforced one: a sentence put in, or those that say so taken out. */
function switching(
  plain: HoldingWay['key'],
  stronger: HoldingWay['key'],
  {
    said,
    put,
    steps,
  }: { said: readonly ReinforceSentence[]; put: LineEdit[] | null; steps: readonly Said[] },
): Holding['edits'] {
  const edits = new Map<HoldingWay['key'], LineEdit[]>();
  // What stuffs besides is not taken out for that.
  const isAlone = said.every((one) => steps.every((step) => step === one || !isSamePlace(step, one)));
  if (said.length > 0 && isAlone) edits.set(plain, said.map(cutSentence));
  else if (said.length === 0 && put) edits.set(stronger, put);
  return edits;
}

function holdingOfPart(
  part: PartAnalysis,
  toy: ToyAnalysis,
  audience: Audience | null,
  book: RuleBook,
): Holding[] {
  const joins = toy.joined.joins.filter(
    (join) => join.unit.part === part.source.id && (join.kind === 'no-sew' || hasSeam(join)),
  );
  const [first] = joins;
  if (!first) return [];
  const noSew = joins.every(({ kind }) => kind === 'no-sew');
  const isTwice = joins.every((join) => isJoinedTwice(join, toy));
  const stitches = Math.min(...joins.map(({ path }) => path?.length ?? 0));
  const saysIt = joins.some(({ sentence }) => sentence.twice === true);
  const { steps } = part.source;
  const said = reinforcedIn(steps, 'twice', null);
  return [
    {
      ...holdingOfJoin({ stitches, noSew, isTwice }, audience, book),
      id: `seam ${part.source.id}`,
      title: joins.map(({ unit }) => unitName(toy, unit.part, unit.unit)).join(', '),
      sewnPart: noSew ? null : part.source.id,
      edits:
        noSew || saysIt ? new Map() : switching('once', 'twice', { said, put: mendsOfSeam(part), steps }),
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
  const called = sayTerm(id);
  const title = t`${called.charAt(0).toUpperCase() + called.slice(1)} of the ${part.source.name.toLowerCase()}`;
  const mends = mendsOfFeature(part, feature);
  const named = { id: `${id} ${part.source.id}`, title, sewnPart: null };
  const isPressed = hasPost(rule);
  if (isPressed) {
    const sizeMm = rule.sizeMm ?? 2 * Math.max(0, ...units.map(({ halfMm }) => halfMm));
    const said = reinforcedIn(part.source.steps, 'backing', kind);
    const disc = said.at(-1)?.discMm ?? discMm(sizeMm);
    return [
      {
        ...named,
        ...holdingOfPost({ washer: washerMm(sizeMm), disc, isBacked: said.length > 0 }, audience, book),
        edits: switching('washer', 'disc', { said, put: mends.back ?? null, steps: part.source.steps }),
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
      edits: switching('once', 'twice', { said, put: mends.twice, steps: part.source.steps }),
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
