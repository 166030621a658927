import { t } from '../words/language';
import { roundCards, setOneRound } from './editRounds';
import { roundCount } from '../fabric/fabric';
import type { Join, LedgerLine } from '../join/joined';
import { applyEdits } from '../notation/applyEdits';
import { overSentences } from '../notation/editText';
import { stitchKinds, stitchWord } from '../notation/stitchKinds';
import { analyseToy } from '../toy/analyse';
import type { PartAnalysis, ToyAnalysis } from '../toy/analysis';
import { roundNumbered } from '../fabric/rounds';

/** The text with a round written as it is worked, parts and all, or why that can't be. */
export type LedgerWritten = { ok: true; text: string } | { ok: false; why: string };

const no = (why: string): LedgerWritten => ({ ok: false, why });

/** Whether a round is nothing but a stitch into each, in one yarn: what is written instead of it loses nothing. */
function isPlain({ fabric, source }: PartAnalysis, label: number): boolean {
  const round = roundNumbered(fabric, label);
  const count = roundCount(fabric, round);
  const from = fabric.offset[round - 1] ?? 0;
  const stitches = Array.from({ length: count }, (_, i) => from + i);
  const single = stitchKinds.indexOf('sc');
  const isOneByOne = stitches.every(
    (stitch) => fabric.kind[stitch] === single && fabric.parentCount[stitch] === 1,
  );
  const isOneYarn = stitches.every((stitch) => fabric.colour[stitch] === fabric.colour[from]);
  const isWhole = roundCount(fabric, fabric.base[round - 1] ?? 0) === count;
  const isBare = source.rounds[round - 1]?.work.items.length === 1;
  return isOneByOne && isOneYarn && isWhole && isBare && round > 1;
}

/** The joins that are worked in by the same round. */
const together = ({ joined }: ToyAnalysis, { on, round }: Join): Join[] =>
  joined.joins.filter((one) => one.kind === 'no-sew' && one.on.part === on.part && one.round === round);

/**
 * Writes a no-sew round into the pattern in place of the sentences that ask for it. Only a plain round is written over; the new text is
 * worked out whole, and is given only where every part comes to the stitches it has in the ledger.
 *
 * @param ledger the round as it is worked, where it is not the one that Hoppla takes
 */
export function writeLedgerRound(
  toy: ToyAnalysis,
  join: Join,
  ledger: readonly LedgerLine[] | null = join.ledger,
): LedgerWritten {
  const { round, on, loops } = join;
  const wall = toy.parts.find(({ source }) => source.id === on.part);
  const card =
    wall &&
    roundCards(wall.source).find(({ first, last }) => round !== null && first <= round && round <= last);
  if (!wall || !card || !ledger || round === null || join.asWritten)
    return no(t`There is no round to write.`);
  if (loops !== 'both' && loops !== null)
    return no(t`It is worked into one loop only: write that round yourself.`);
  if (!isPlain(wall, round))
    return no(
      t`Round ${round} is more than plain stitches: write the parts into it yourself, so that nothing of it is lost.`,
    );
  const joins = together(toy, join);
  const sentences = [...new Set(joins.map(({ sentence }) => sentence))];
  const others = toy.joined.joins.some((one) => sentences.includes(one.sentence) && !joins.includes(one));
  if (others)
    return no(
      t`The sentence that joins them joins other parts too. Give those a sentence of their own first.`,
    );
  const cut = applyEdits(toy.text, overSentences(sentences.map((said) => ({ said, words: '' }))));
  const body = ledgerBody(ledger, joins, {
    stitch: stitchWord('sc', toy.pattern.terms.value),
    wall: wall.source.name,
  });
  const before = analyseToy(cut, { searches: false });
  const there = before.parts.find(({ source }) => source.id === on.part);
  const again = there && roundCards(there.source).find(({ first, last }) => first <= round && round <= last);
  if (!again) return no(t`There is no round to write.`);
  const text = setOneRound(cut, again, round, body);
  return comesOut(analyseToy(text, { searches: false }), joins, ledger)
    ? { ok: true, text }
    : no(t`Written out it does not come to the same stitches: write the round yourself.`);
}

function ledgerBody(
  ledger: readonly LedgerLine[],
  joins: readonly Join[],
  { stitch, wall }: { stitch: string; wall: string },
): string {
  const nameOf = (part: string, unit: number) =>
    joins.find((one) => one.unit.part === part && one.unit.unit === unit)?.unit.name ?? part;
  return ledger
    .map((entry) =>
      'plain' in entry
        ? `${entry.plain} ${stitch}`
        : `${entry.stitches} ${stitch} through the ${nameOf(entry.part, entry.unit)} and the ${wall.toLowerCase()}`,
    )
    .join(', ');
}

/** First and last stitch of each unit in a round; the first lies behind the last where it goes over the beginning. */
function coveredIn(ledger: readonly LedgerLine[]): Map<string, [number, number]> {
  const covered = new Map<string, [number, number]>();
  let before = 0;
  for (const entry of ledger) {
    const stitches = 'plain' in entry ? entry.plain : entry.stitches;
    if (!('plain' in entry)) {
      const key = `${entry.part}/${entry.unit}`;
      const earlier = covered.get(key);
      covered.set(key, [before + 1, earlier?.[1] ?? before + stitches]);
    }
    before += stitches;
  }
  return covered;
}

/** Whether what is written now works the same units into the stitches of the ledger. */
function comesOut({ joined }: ToyAnalysis, joins: readonly Join[], ledger: readonly LedgerLine[]): boolean {
  const placed = ({ unit, round }: Join, stitches: readonly number[] | undefined) =>
    [unit.part, unit.side, round, stitches?.join('-')].join('/');
  const now = joined.joins
    .filter(({ asWritten }) => asWritten)
    .map((join) => placed(join, join.covers?.stitches));
  const covered = coveredIn(ledger);
  return joins.every((join) =>
    now.includes(placed(join, covered.get(`${join.unit.part}/${join.unit.unit}`))),
  );
}
