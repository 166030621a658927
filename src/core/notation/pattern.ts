import type { Item, LoopsWord, WorkLine } from './ast';
import type { Problem } from './problem';
import type { NamedUnits } from './sentence/names';
import type { Sentence } from './sentence/sentence';
import type { TermsFound } from './terms';

/** One round or row as written. A line `R4-R8` gives five. */
export interface RoundSource {
  number: number;
  row: boolean;
  /** line in the text, from 1 */
  line: number;
  /** the whole line, as written; of a round that goes over several lines all of them, with a space between */
  text: string;
  /** how many lines of the text it goes over */
  lines: number;
  work: WorkLine;
  /** a chain or ring made in a line of its own before this round */
  foundation: Item[];
}

/** The last round of one unit of another part. */
export interface GrownEdge {
  part: string;
  /** from 1 */
  unit: number;
  /** its last round by number, and how many stitches that has; found when it is counted */
  round: number | null;
  count: number | null;
}

/** A finished piece that is held on and worked through in a round, as the line of the round names it. */
export interface WorksIn {
  /** the round by its number in the maker's text */
  round: number;
  line: number;
  words: string;
  /** null where the words name no part */
  part: NamedUnits | null;
}

export interface PartSource {
  name: string;
  /** name made fit for an address: `head`, `ear-2` */
  id: string;
  make: number;
  /** other names that headings within it and copies of it give: `Leg 2: same as leg 1` */
  alsoCalled?: string[];
  colour: string | null;
  /** line of the heading, or of the first line where there is none */
  line: number;
  /** where round 1 is on the finished toy; of a part that lies on its side, where it would be with the part stood up */
  start: 'top' | 'bottom';
  /** worked from the toy's side: stood up, then turned a quarter to the left, so that a start at the top comes to the left */
  lying: boolean;
  side: 'out' | 'in';
  joined: boolean | null;
  /** where the maker moved the front line: a stitch of a round */
  front: { round: number; stitch: number; line: number } | null;
  /** the round of another part it begins in; how many stitches that has is found when it is counted */
  onto?: { part: string; round: number; loops: LoopsWord; count: number | null };
  /** the edges it grows out of, as a body does of two legs, in the order they are made; how many stitches each has is found when it is counted */
  grown?: { edges: GrownEdge[] };
  /** pieces that its rounds are worked through too, without sewing */
  worksIn?: WorksIn[];
  /** the name of the part that grows out of its last round */
  carries?: string;
  rounds: RoundSource[];
  /** of a part that is nothing but chains: how many, where they stand, and whether they are joined to a ring */
  chain?: { stitches: number; line: number; isRing: boolean };
  /** the chain it is worked on is its round 1 in the text: its rounds of stitches begin with 2 */
  beginsWithChain?: true;
  steps: Sentence[];
  /** first and last line that belong to the part */
  firstLine: number;
  lastLine: number;
}

/** How makers sew a part on: each has its school. */
export type SeamSchool = 'ladder' | 'whip' | 'back' | 'top-loop';

export interface ToyHeader {
  name: string | null;
  hand: 'left' | 'right';
  /** stitch width and round height, whose they are on the yarn shelf, and whether they are only expected */
  gauge: { widthMm: number; heightMm: number; yarn: string | null; assumed: boolean } | null;
  lean: number | null;
  /** what the maker means by a bare “8 apart”: post to post, or stitches showing; null where the text does not say */
  apart: 'posts' | 'showing' | null;
  /** how parts are sewn on where their own sentences don’t say; null where the text does not say */
  seam: SeamSchool | null;
  hook: string | null;
  audience: string | null;
  yarns: { name: string; value: string; line: number }[];
}

export interface Pattern {
  header: ToyHeader;
  parts: PartSource[];
  /** lines kept and not understood, in place */
  notes: { line: number; text: string }[];
  terms: TermsFound;
  problems: Problem[];
  /** what each physical line was read as */
  lineKinds: LineKind[];
}

export type LineKind = 'blank' | 'header' | 'heading' | 'round' | 'step' | 'foundation' | 'note';
