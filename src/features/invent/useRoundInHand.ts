import { t } from '../../core/words/language';
import { mannerIn, tapsIn, withRoundDone, withTaps } from '../../core/invent/soFar';
import { plainToEnd, sameToEnd, workedBy, type RoundManner, type Tap } from '../../core/invent/taps';
import { withRounds, type NextRound } from '../../core/invent/waysOn';
import { stitchWord } from '../../core/notation/stitchKinds';
import { analyseToy, type PartAnalysis, type ToyAnalysis } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';

/** Largest count a ring is begun with. */
const mostInRing = 60;
/** Fewer stitches close no ring. */
const leastInRing = 3;

/** Colours a toy names: of its yarns, and of its rounds. */
function coloursOf({ pattern, parts }: ToyAnalysis): string[] {
  const named = [
    ...pattern.header.yarns.map(({ name }) => name),
    ...parts.flatMap(({ fabric }) => fabric.palette),
  ];
  return [...new Set(named.filter((name) => name !== ''))];
}

/** The text with the round in hand written behind the others. */
function roundDone(text: string, { source, checks }: PartAnalysis, word: string): string {
  const taps = tapsIn(text, source);
  const below = checks.at(-1)?.worked ?? 0;
  return withRoundDone(text, source, { taps, below, count: workedBy(taps).made, word });
}

/** The round of a part that is being worked, as far as it is tapped, and what a tap changes about it. */
export function useRoundInHand(part: PartAnalysis) {
  const { analysis, editor, text } = useToy();
  const { source, checks } = part;
  const word = stitchWord('sc', analysis.pattern.terms.value);
  const below = checks.at(-1)?.worked ?? 0;
  const inRing = below === 0;
  const taps = tapsIn(text, source);
  const manner = mannerIn(text, source);
  const { used, made } = workedBy(taps);
  const left = Math.max(0, below - used);
  const isFull = !inRing && left === 0;
  const same = isFull ? null : sameToEnd(taps, below);

  /** The part as the text stands now: two quick taps must both count. */
  const change = (next: (text: string, part: PartAnalysis) => string, amends = false) => {
    const { text: now } = editor.store.getState();
    const current =
      now === analysis.text ? part : analyseToy(now).parts.find((one) => one.source.id === source.id);
    if (!current) return;
    if (amends) editor.amend(next(now, current));
    else editor.step(next(now, current));
  };
  // The taps of a round are one step of undo.
  const put = (next: (taps: readonly Tap[]) => readonly Tap[]) =>
    change((now, { source: current }) => withTaps(now, current, next(tapsIn(now, current))), taps.length > 0);
  const say = (some: Partial<RoundManner>) =>
    change(
      (now, { source: current }) =>
        withTaps(now, current, tapsIn(now, current), { ...mannerIn(now, current), ...some }),
      taps.length > 0,
    );
  return {
    number: (source.rounds.at(-1)?.number ?? 0) + 1,
    /** `Round`, or `Row` where it is worked to and fro */
    called: manner.rows ? t`Row` : t`Round`,
    word,
    taps,
    manner,
    /** says something of the whole round */
    say,
    /** colours that the toy has so far, by the names its rounds call them by */
    colours: coloursOf(analysis),
    below,
    made,
    /** stitches of the round below that are not worked into yet */
    left,
    inRing,
    /** how many more it may take */
    room: inRing ? mostInRing - made : left,
    isFull,
    /** a ring has no end but the maker's */
    canClose: isFull || (inRing && made >= leastInRing),
    tap: (tap: Tap, times: number) =>
      put((before) => [...before, ...Array.from({ length: times }, () => tap)]),
    back: taps.length > 0 ? () => put((before) => before.slice(0, -1)) : undefined,
    same: same ? () => put((before) => sameToEnd(before, below) ?? before) : undefined,
    plain: left > 0 ? () => put((before) => plainToEnd(before, below)) : undefined,
    finish: () => change((now, current) => roundDone(now, current, word)),
    write: (rounds: readonly NextRound[]) =>
      change((now, current) => withRounds(now, current.source, rounds, word)),
  };
}

/** The round in hand, with what can be done to it. */
export type RoundInHand = ReturnType<typeof useRoundInHand>;
