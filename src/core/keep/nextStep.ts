import { t } from '../words/language';
import { actTitle, bulksOf } from '../toy/sheet/stopWords';
import type { ToyAnalysis } from '../toy/analyse';

const lowered = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);

/** What comes next on a toy, in one line. */
export function nextStep(toy: ToyAnalysis): string {
  const wrong = toy.problems.filter((problem) => problem.severity === 'error');
  const rounds = new Set(wrong.map((problem) => problem.round).filter((round) => round !== undefined));
  if (toy.parts.every((part) => part.fabric.rounds === 0)) return t`Write the first round`;
  if (rounds.size > 0)
    return rounds.size === 1
      ? t`Round ${[...rounds][0]} does not add up`
      : t`${rounds.size} rounds do not add up`;
  if (wrong[0])
    return wrong[0].code === 'terms-ambiguous'
      ? t`Say whether it is in US or UK terms`
      : t`Something needs an answer`;
  const looks = toy.problems.filter((problem) => problem.severity === 'warning');
  if (looks.length > 0)
    return looks.length === 1 ? t`One thing to look at` : t`${looks.length} things to look at`;
  const stop = toy.parts.flatMap((part) => part.stops.stops.map((found) => ({ found, part })))[0];
  const [act] = stop?.found.acts ?? [];
  if (stop && act)
    return t`${stop.part.source.name}, after round ${stop.found.after}: ${lowered(actTitle(act, bulksOf(stop.part.stops)))}`;
  return t`Ready to make`;
}
