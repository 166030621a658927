import type { Problem } from '../../notation/problem';

/** A problem of one feature, before it is told of which part and sentence it is. */
export type Finding = Pick<Problem, 'code' | 'severity' | 'message' | 'where'> & {
  suggestions?: Problem['suggestions'];
};

export type Report = (finding: Finding) => void;
