import type { Problem } from '../../notation/problem';
import type { Said } from '../../words/problems/problems';

/** A problem of one feature, before it is told of which part and sentence it is. */
export type Finding = Said &
  Pick<Problem, 'severity' | 'where'> & {
    suggestions?: Problem['suggestions'];
  };

export type Report = (finding: Finding) => void;
