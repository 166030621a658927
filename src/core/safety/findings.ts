import type { LineEdit } from '../notation/problem';
import type { Closing } from '../plan/closing';
import type { Audience } from './audience';
import type { RuleBook, RuleCode, Weight } from './ruleBook';

/** What can be done about a finding. */
export interface Remedy {
  words: string;
  /** what it changes in the text; null where it is done by hand */
  edits: LineEdit[] | null;
}

/** Something screening found. It certifies nothing. */
export interface Finding {
  code: RuleCode | 'audience-unknown';
  severity: 'error' | 'warning' | 'info';
  part: string | null;
  /** part by its id, and which making of it */
  partId: string | null;
  feature: string | null;
  /** what was found, with its figures */
  message: string;
  why: string;
  remedy: Remedy;
  source: string;
}

/** A piece by its size, in mm, the longest first. */
export type Extent = readonly [number, number, number];

/** A feature as far as it can hurt. */
export interface SafetyFeature {
  id: string;
  kind: 'pressed' | 'button' | 'sewn-on' | 'key-ring' | 'strands';
  sizeMm: number;
  /** writes it as an embroidered one of the same size and place; null where it can't be */
  embroidered: LineEdit[] | null;
}

/** A part as far as it can hurt. */
export interface SafetyPart {
  id: string;
  name: string;
  extent: Extent;
  isStuffed: boolean;
  /** it hangs on something: sewn, worked in, or something grows out of it */
  isJoined: boolean;
  /** stitches of its end, and how that is closed */
  end: { stitches: number; how: Closing['how'] };
  features: readonly SafetyFeature[];
  /** chains that hang free, in mm, each with where it is */
  cords: readonly { lengthMm: number; round: number }[];
  /** number of the round that gapes most, where stuffing will show */
  gapes: number | null;
}

/** A join as far as it can come apart. */
export interface SafetyJoin {
  part: string;
  name: string;
  stitches: number;
}

/** Words of the text that name something that can hurt, with their line. */
export interface Hazard {
  code:
    | 'glue'
    | 'wire'
    | 'magnet'
    | 'rattle'
    | 'long-pile'
    | 'button'
    | 'loop-size'
    | 'cord-length'
    | 'loose-filling';
  word: string;
  part: string | null;
}

export interface SafetyInput {
  audience: Audience | null;
  parts: readonly SafetyPart[];
  joins: readonly SafetyJoin[];
  hazards: readonly Hazard[];
  /** of the toy put together; null where only one part is known */
  whole: Extent | null;
  book: RuleBook;
}

const severityOf: Record<Exclude<Weight, 'none'>, Finding['severity']> = {
  stop: 'error',
  look: 'warning',
  note: 'info',
};

/** Where nobody says for whom, a toy is screened as for children from three on, and it is asked. */
const usualAudience: Audience = '3-and-over';

const mm = (value: number) => `${Math.round(value)} mm`;

/** Whether a piece goes into the small-parts cylinder, which is cut slantwise: from 25.4 to 57.1 mm deep. */
export function fitsCylinder([longest, middle]: Extent, { figures }: RuleBook): boolean {
  return middle <= figures.cylinderWidthMm && longest <= figures.cylinderDepthMm;
}

type Found = Pick<Finding, 'part' | 'partId' | 'feature' | 'message' | 'remedy'>;

const byHand = (words: string): Remedy => ({ words, edits: null });

class Screening {
  readonly findings: Finding[] = [];
  private readonly audience: Audience;

  constructor(private readonly input: SafetyInput) {
    this.audience = input.audience ?? usualAudience;
  }

  put(code: RuleCode, found: Found): void {
    const rule = this.input.book.rules[code];
    const weight = rule.weights[this.audience];
    if (weight === 'none') return;
    this.findings.push({ code, severity: severityOf[weight], why: rule.why, source: rule.source, ...found });
  }

  feature(part: SafetyPart, { id, kind, sizeMm, embroidered }: SafetyFeature): void {
    const at = { part: part.name, partId: part.id, feature: id };
    const size = sizeMm > 0 ? `${mm(sizeMm)} ` : '';
    if (kind === 'pressed')
      this.put('pressed-part', {
        ...at,
        message: `The ${id} of the ${part.name.toLowerCase()}: ${size}with a post and a washer.`,
        remedy: { words: 'Embroider instead, as large and in the same place.', edits: embroidered },
      });
    if (kind === 'button')
      this.put('button', {
        ...at,
        message: `The ${id} of the ${part.name.toLowerCase()}: ${size}across.`,
        remedy: byHand('Stitch a spot of the same size instead.'),
      });
    if (kind === 'sewn-on')
      this.put('sewn-on', {
        ...at,
        message: `The ${id} of the ${part.name.toLowerCase()}: ${size}sewn on.`,
        remedy: byHand(
          'Sew all round the edge with small stitches, twice, the knots inside; or embroider it.',
        ),
      });
    if (kind === 'key-ring')
      this.put('key-ring', {
        ...at,
        message: `The ring of the ${part.name.toLowerCase()}.`,
        remedy: byHand('Leave it off, or say that this is a keepsake and no toy.'),
      });
    if (kind === 'strands')
      this.put('strands', {
        ...at,
        message: `The ${id} of the ${part.name.toLowerCase()}: strands knotted in.`,
        remedy: byHand('Work the hair in surface stitches or in loops sewn down, without free ends.'),
      });
  }

  part(part: SafetyPart): void {
    const { figures } = this.input.book;
    const at = { part: part.name, partId: part.id, feature: null };
    const name = part.name.toLowerCase();
    for (const feature of part.features) this.feature(part, feature);
    for (const { lengthMm, round } of part.cords)
      if (lengthMm > figures.cordMm)
        this.put('cord-length', {
          ...at,
          message: `A free chain of the ${name}, round ${round}: ${mm(lengthMm)} long; at most ${mm(figures.cordMm)}.`,
          remedy: byHand('Make it shorter, or sew it down along its length.'),
        });
    const isOpen = part.end.how === 'open' && part.isStuffed && !part.isJoined;
    if (isOpen)
      this.put('opening-left', {
        ...at,
        message: `The ${name} is stuffed and ends with ${part.end.stitches} stitches open, sewn to nothing.`,
        remedy: byHand(
          'Work rounds of decreases down to eight stitches or fewer and gather them, or say what it is sewn to.',
        ),
      });
    if (part.end.how === 'one-more-round' && part.isStuffed)
      this.put('gather-hole', {
        ...at,
        message: `The ${name} is gathered with ${part.end.stitches} stitches.`,
        remedy: byHand(
          'Work one more round of decreases, or run the thread through twice and feel for a hole.',
        ),
      });
    if (part.gapes !== null)
      this.put('stuffing-shows', {
        ...at,
        message: `Round ${part.gapes} of the ${name} is stretched wider than the yarn covers.`,
        remedy: byHand('Take a hook half a millimetre smaller, stuff less hard, or line it with fabric.'),
      });
    const isSmall = part.isJoined && fitsCylinder(part.extent, this.input.book);
    if (isSmall)
      this.put('small-part', {
        ...at,
        message: `The ${name}, ${part.extent.map(mm).join(' × ')}, fits the cylinder of ${figures.cylinderWidthMm} mm.`,
        remedy: byHand(
          'Work it in or sew it twice round in opposite directions, and pull it hard; or make it larger.',
        ),
      });
  }

  join({ part, name, stitches }: SafetyJoin): void {
    const { figures } = this.input.book;
    if (stitches <= 0 || stitches >= figures.fewStitches) return;
    this.put('thin-join', {
      part: name,
      partId: part,
      feature: null,
      message: `The ${name} hangs on ${stitches} stitches.`,
      remedy: byHand(
        'Sew round twice, the second time the other way, and go three times through the first and last stitch.',
      ),
    });
  }

  hazard({ code, word, part }: Hazard): void {
    const what: Record<Hazard['code'], string> = {
      glue: 'Sew it on instead.',
      wire: 'A tight roll of felt or fabric holds a neck or a limb as well.',
      magnet: 'Leave it out.',
      rattle: 'Leave it out, or take one that is sold sealed for babies and wrap it in stuffing.',
      'loose-filling':
        'Fill with fibre only; or sew the weight into a bag of its own, twice round, and the bag into the toy.',
      'cord-length': `Keep each free end under ${mm(this.input.book.figures.cordMm)} and sew it down all along, or crochet it on.`,
      'long-pile': 'Take a smooth yarn for what goes into a mouth.',
      button: 'Stitch a spot of the same size instead.',
      'loop-size': `Keep a hanging loop under ${mm(this.input.book.figures.loopMm)} round, or leave it off.`,
    };
    this.put(code, {
      part,
      partId: null,
      feature: null,
      message: `The text speaks of ${word}.`,
      remedy: byHand(what[code]),
    });
  }
}

/**
 * Screens a toy. It shows what careful makers look at; it certifies nothing, and local rules and qualified testing decide.
 *
 * @returns what was found, the most serious first
 */
export function screenToy(input: SafetyInput): Finding[] {
  const screening = new Screening(input);
  const { audience, whole, parts, joins, hazards, book } = input;
  if (audience === null)
    screening.findings.push({
      code: 'audience-unknown',
      severity: 'info',
      part: null,
      partId: null,
      feature: null,
      message: 'Nobody has said for whom this toy is. It is looked at as for children from three on.',
      why: 'What is fine for a grown-up’s shelf can choke a baby.',
      remedy: { words: 'Say for whom it is.', edits: null },
      source: 'The age decides which rules hold',
    });
  if (whole && fitsCylinder(whole, book))
    screening.put('small-toy', {
      part: null,
      partId: null,
      feature: null,
      message: `The toy, ${whole.map(mm).join(' × ')}, fits the cylinder of ${book.figures.cylinderWidthMm} mm.`,
      remedy: byHand('Make it in a thicker yarn.'),
    });
  for (const part of parts) screening.part(part);
  for (const join of joins) screening.join(join);
  for (const hazard of hazards) screening.hazard(hazard);
  const order = ['error', 'warning', 'info'];
  return screening.findings.sort((a, b) => order.indexOf(a.severity) - order.indexOf(b.severity));
}
