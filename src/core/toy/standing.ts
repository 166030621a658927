import { t } from '../words/language';
import { balanceOf, type Balance } from '../join/pose/balance';
import { hiddenFeatures } from '../join/pose/drawn';
import type { Unit } from '../join/joined';
import { overlapsOf } from '../join/pose/overlaps';
import { assembled } from './assembled';
import type { ToyAnalysis } from './analysis';
import { memoise } from './memoise';
import { sizeWords } from '../words/measures';

/** How the toy that is put together stands, and what of it is in the way. */
export interface Standing {
  /** what it rests on and whether it stays up; null where no two parts are together */
  balance: string | null;
  /** what hides the face, and what is in each other's way: each a sentence */
  trouble: string[];
}

/** Less than this inside what it rests on, and a push tips it. */
const safelyInsideMm = 4;
const over: Record<NonNullable<Balance['way']>, { leans: string; falls: string; move: string }> = {
  forward: { leans: t`forward`, falls: t`onto its face`, move: t`further forward` },
  back: { leans: t`back`, falls: t`onto its back`, move: t`further back` },
  left: { leans: t`to the left`, falls: t`to the left`, move: t`further to the left` },
  right: { leans: t`to the right`, falls: t`to the right`, move: t`further to the right` },
};

const named = ({ name }: Unit): string => t`the ${name.toLowerCase()}`;
const listed = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : t`${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;

function balanceWords({ rests, insideMm, leans, way, stands }: Balance): string {
  const on = listed(rests.map(named));
  if (!stands && way) {
    const { falls, move } = over[way];
    return t`As it is drawn it falls ${falls}: it rests on ${on} only. Set that ${move}, or give it a wider base.`;
  }
  const leaning = way ? t`leans ${over[way].leans} by ${Math.round(leans)}° and ` : '';
  const steady = insideMm < safelyInsideMm ? t`a push tips it` : t`it stays up`;
  return t`As it is drawn it ${leaning}rests on ${on}; its weight falls ${sizeWords(insideMm)} inside that: ${steady}.`;
}

/** How a toy stands, from the drawing of it: with stuffing and limbs as they are taken to be. */
export const standingOf = memoise((toy: ToyAnalysis): Standing => {
  const posed = assembled(toy).filter(({ loose }) => !loose);
  if (posed.length < 2) return { balance: null, trouble: [] };
  // What is sewn onto a flat piece lies with it.
  const liesFlat = posed[0]?.sheet !== null;
  const balance = liesFlat ? null : balanceOf(posed);
  const nameAt = (index: number) => {
    const unit = posed[index]?.unit;
    return unit ? named(unit) : '';
  };
  const hides = hiddenFeatures(posed).map(
    ({ feature, unit, by }) =>
      t`Seen from the front, ${nameAt(by)} hides the ${feature} of ${nameAt(unit)}. Move it aside, or the ${feature}.`,
  );
  const inTheWay = overlapsOf(posed, toy.joined.joins).map(
    ({ units: [one, other], deepMm }) =>
      t`${named(one).replace(/^t/, 'T')} and ${named(other)} are in each other’s way, about ${sizeWords(deepMm)} deep. Set them further apart, or let one of them give way.`,
  );
  return { balance: balance && balanceWords(balance), trouble: [...hides, ...inTheWay] };
});
