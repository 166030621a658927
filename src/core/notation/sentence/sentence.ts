import type { CloseSentence } from './close';
import type { CutSentence } from './cut';
import type { EncloseSentence } from './enclose';
import type { FeatureSentence } from './feature';
import type { FoldSentence } from './fold';
import type { JoinSentence, PinSentence } from './join';
import type { ReinforceSentence } from './reinforce';
import type { SurfaceSentence } from './surface';
import type { StuffSentence } from './stuff';

/** An assembly sentence, read: one value a kind, each with what that kind says. */
export type Sentence =
  | FeatureSentence
  | StuffSentence
  | CloseSentence
  | JoinSentence
  | PinSentence
  | FoldSentence
  | CutSentence
  | ReinforceSentence
  | EncloseSentence
  | SurfaceSentence;

export type SentenceKind = Sentence['kind'];
