import type { Ground } from '../fabric/fabric';
import { isChainRun, loopsTwice, takenBy } from '../fabric/foreign';
import type { Problem } from '../notation/problem';
import type { PartAnalysis } from './analysis';
import { memoise } from './memoise';
import { saying } from '../words/problems/problems';

/** A run as plain data, to be kept by. */
type Run = { [Field in keyof Ground]: Ground[Field] };

/** Loops of another part's round that are worked into there already, where a part begins in them. */
type Clash = Readonly<{ owner: string; round: number; twice: number }>;

function clashProblem({ source }: PartAnalysis, { owner, round, twice }: Clash): Problem {
  const [first] = source.rounds;
  return {
    ...saying('loops-used', { piece: source.name, owner, round, taken: twice }),
    severity: 'error',
    part: source.name,
    partId: source.id,
    round: first?.number,
    line: first?.line ?? source.line,
    column: 1,
    suggestions: [],
  };
}

const withOthers = memoise(
  (part: PartAnalysis, runs: readonly Run[], clashes: readonly Clash[]): PartAnalysis => ({
    ...part,
    taken: takenBy(runs, part.fabric),
    problems: [...part.problems, ...clashes.map((clash) => clashProblem(part, clash))],
  }),
);

const groundsOf = ({ fabric }: PartAnalysis): Run[] =>
  fabric.ground.flatMap((run) => (isChainRun(run) ? [] : [{ ...run }]));

/** The parts with what they have to do with each other: the loops that others take of them, and those they take of others. */
export function amongOthers(parts: readonly PartAnalysis[]): PartAnalysis[] {
  return parts.map((part) => {
    const runs = parts
      .filter((other) => other !== part)
      .flatMap((other) => groundsOf(other).filter((run) => run.part === part.source.id));
    const clashes = groundsOf(part).flatMap((run): Clash[] => {
      const owner = parts.find(({ source }) => source.id === run.part);
      const twice = owner ? loopsTwice(run, owner.fabric) : 0;
      return owner && twice > 0 ? [{ owner: owner.source.name, round: run.round, twice }] : [];
    });
    return runs.length === 0 && clashes.length === 0 ? part : withOthers(part, runs, clashes);
  });
}
