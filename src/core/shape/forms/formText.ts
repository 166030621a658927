import { t } from '../../words/language';
import { evenRound } from '../../fabric/evenRound';
import { stitchWord } from '../../notation/stitchKinds';
import type { Terms } from '../../notation/terms';
import type { Gauge } from '../gauge';
import { exactCounts, rememberedCounts, roomAlong, type OutlinePoint } from './meridian';
import { ball, cone, disc, ear, egg, leg, tube } from './outlines';

export type FormKind = 'ball' | 'egg' | 'tube' | 'cone' | 'circle' | 'oval' | 'ear' | 'leg';

export interface Form {
  kind: FormKind;
  widthMm: number;
  /** taken where the form has a height of its own */
  heightMm: number;
  /** stitches of the first round, which every round is a multiple of; null for rounds as near to the form as single stitches come */
  start: RepeatStart | null;
}

/** Starts that makers work in. */
export const repeatStarts = [6, 7, 8] as const;
export type RepeatStart = (typeof repeatStarts)[number];

/** Forms by name, with what a maker would begin with, in mm. */
export const forms: Readonly<
  Record<FormKind, { name: string; width: number; height: number | null; flat: boolean }>
> = {
  ball: { name: t`Ball`, width: 70, height: null, flat: false },
  egg: { name: t`Egg`, width: 65, height: 90, flat: false },
  tube: { name: t`Tube with a round end`, width: 30, height: 80, flat: false },
  cone: { name: t`Cone`, width: 40, height: 50, flat: false },
  circle: { name: t`Flat circle`, width: 50, height: null, flat: true },
  oval: { name: t`Oval`, width: 40, height: 70, flat: true },
  ear: { name: t`Ear`, width: 35, height: 35, flat: true },
  leg: { name: t`Leg with foot`, width: 40, height: 70, flat: false },
};

/** The outline of a form; null for an oval, whose rounds go around a chain. */
function outlineOf({ kind, widthMm, heightMm }: Form): { points: OutlinePoint[]; closed: boolean } | null {
  switch (kind) {
    case 'ball':
      return { points: ball(widthMm), closed: true };
    case 'egg':
      return { points: egg(widthMm, heightMm), closed: true };
    case 'tube':
      return { points: tube(widthMm, heightMm), closed: false };
    case 'cone':
      return { points: cone(widthMm, heightMm), closed: false };
    case 'circle':
      return { points: disc(widthMm), closed: false };
    case 'ear':
      return { points: ear(widthMm, heightMm), closed: false };
    case 'leg':
      return { points: leg(widthMm, heightMm), closed: false };
    case 'oval':
      return null;
  }
}

/** The rounds of a form. */
export interface FormRounds {
  counts: number[];
  /** how much wider or narrower than the form it is where it is furthest off, in mm */
  offMm: number;
}

/** The counts of every round of a form; for an oval see `formText`, its rounds go around a chain. */
export function formRounds(form: Form, gauge: Gauge): FormRounds {
  const outline = outlineOf(form);
  if (!outline) return { counts: [], offMm: 0 };
  const room = roomAlong(outline.points, gauge, outline.closed);
  const counts = form.start === null ? exactCounts(room) : rememberedCounts(room, form.start, outline.closed);
  const off = counts.map((count, index) => Math.abs(count - (room[index] ?? 0)));
  return { counts, offMm: (Math.max(0, ...off) * gauge.widthMm) / Math.PI };
}

/**
 * Rounds from their counts: a ring, then each round evenly from the one below.
 *
 * @param staggered every other round is shifted by half a repeat, so that increases do not lie over each other; else each is one repeat
 */
export function roundsFromCounts(counts: readonly number[], staggered: boolean): string[] {
  const lines: { from: number; to: number; body: string; count: number }[] = [];
  counts.forEach((count, index) => {
    const round = index + 1;
    const before = counts[index - 1];
    const body =
      before === undefined
        ? `${count} sc in magic ring`
        : (evenRound(before, count, staggered && round % 2 === 1) ?? 'sc around');
    const last = lines.at(-1);
    if (last && last.body === body && body === 'sc around') last.to = round;
    else lines.push({ from: round, to: round, body, count });
  });
  return lines.map(
    ({ from, to, body, count }) => `${from === to ? `R${from}` : `R${from}-R${to}`}: ${body} [${count}]`,
  );
}

/** An oval grows by six a round, three at each end of its chain. */
function ovalLines({ widthMm, heightMm }: Form, gauge: Gauge): string[] {
  const [narrow, long] = [Math.min(widthMm, heightMm), Math.max(widthMm, heightMm)];
  const rounds = Math.max(1, Math.round(narrow / 2 / gauge.heightMm));
  const straight = Math.max(1, Math.round((long - narrow) / gauge.widthMm));
  const side = straight === 1 ? 'sc' : `sc ${straight}`;
  const lines = [
    `R1: ch ${straight + 3}, sc in 2nd ch from hook, sc in next ${straight} ch, 3 sc in last ch, other side: sc in next ${straight} ch, 2 sc in last ch [${2 * straight + 6}]`,
  ];
  for (let round = 2; round <= rounds; round += 1) {
    const plain = round - 2;
    const grow = (times: number) =>
      plain === 0
        ? times === 1
          ? 'inc'
          : `inc ${times}`
        : times === 1
          ? `sc ${plain}, inc`
          : `(sc ${plain}, inc) x ${times}`;
    lines.push(
      `R${round}: ${grow(1)}, ${side}, ${grow(3)}, ${side}, ${grow(2)} [${2 * straight + 6 * round}]`,
    );
  }
  return lines;
}

/**
 * A part's text for a form: heading, rounds that follow from the form and the gauge, and whether it is stuffed. To be edited like any
 * other text.
 *
 * @param name what the part is called
 */
export function formText(form: Form, name: string, gauge: Gauge, terms: Terms): string {
  const lines =
    form.kind === 'oval'
      ? ovalLines(form, gauge)
      : roundsFromCounts(formRounds(form, gauge).counts, form.start === null);
  const word = stitchWord('sc', terms);
  const rounds = terms === 'us' ? lines : lines.map((line) => line.replace(/\bsc\b/g, word));
  const ending = forms[form.kind].flat
    ? 'Do not stuff.'
    : form.kind === 'ball' || form.kind === 'egg'
      ? 'Stuff firmly. Close the hole.'
      : 'Stuff.';
  // A foot stands on its sole.
  const start = form.kind === 'leg' ? ['Start: bottom'] : [];
  return [`## ${name}`, ...start, ...rounds, ending, ''].join('\n');
}
