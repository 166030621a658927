import { t } from '../words/language';
import type { Closing } from '../plan/closing';
import type { Audience } from './audience';
import { byHand, mended, type Mends, type Remedy } from './remedies';
import type { RuleBook, RuleCode, Weight } from './ruleBook';
import { wholeMm } from '../words/counted';

/** Something screening found. It certifies nothing. */
export interface Finding {
  code: RuleCode | 'audience-unknown';
  severity: 'error' | 'warning' | 'info';
  part: string | null;
  /** part by its id */
  partId: string | null;
  feature: string | null;
  /** what was found, with its figures */
  message: string;
  why: string;
  /** what can be done, the best first; at least one */
  remedies: readonly [Remedy, ...Remedy[]];
  source: string;
}

/** A piece by its size, in mm, the longest first. */
export type Extent = readonly [number, number, number];

/** A feature as far as it can hurt. */
export interface SafetyFeature {
  id: string;
  kind: 'pressed' | 'button' | 'sewn-on' | 'key-ring' | 'strands';
  sizeMm: number;
  /** the round it is on, by its number, and how wide stuffing stretches a stitch there, where that is more than the yarn covers */
  stretched: { round: number; stitchMm: number } | null;
  /** what the text says is done so that it holds */
  held: string | null;
  mends: Mends;
}

/** A chain or strand that hangs free, in mm, by the number of its round. */
export interface SafetyCord {
  lengthMm: number;
  round: number;
}

/** A part as far as it can hurt. */
export interface SafetyPart {
  id: string;
  name: string;
  extent: Extent;
  isStuffed: boolean;
  /** it hangs on something: sewn, worked in, or something grows out of it */
  isJoined: boolean;
  /** it has a seam, or will have one; what is worked in has none */
  isSewn: boolean;
  /** the text says its seam is gone round twice */
  isSewnTwice: boolean;
  /** the text says its chains are sewn down all along */
  isSewnDown: boolean;
  /** stitches of its end, and how that is closed */
  end: { stitches: number; how: Closing['how'] };
  features: readonly SafetyFeature[];
  /** chains that hang free */
  cords: readonly SafetyCord[];
  /** chains that leave the fabric and come back to it, by their way all round */
  loops: readonly { aroundMm: number; round: number }[];
  /** number of the round that gapes most, where stuffing will show */
  gapes: number | null;
  mends: Mends;
}

/** A join as far as it can come apart. */
export interface SafetyJoin {
  partId: string;
  /** of the unit: `left ear` */
  name: string;
  stitches: number;
  /** with needle and thread; what is worked in has no seam */
  isSewn: boolean;
  isSewnTwice: boolean;
  mends: Mends;
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
    | 'loose-filling'
    | 'knots-outside'
    | 'sewn-on'
    | 'key-ring'
    | 'strands'
    | 'battery'
    | 'stick'
    | 'colouring';
  word: string;
  part: string | null;
  mends: Mends;
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

/** What is reinforced weighs less by one; what stops a toy it does not let pass. */
const reinforcedWeight: Record<Weight, Weight> = { stop: 'stop', look: 'note', note: 'none', none: 'none' };

/** Where nobody says for whom, a toy is screened as for children from three on, and it is asked. */
const usualAudience: Audience = '3-and-over';

const tenth = (value: number) => `${Math.round(value * 10) / 10} mm`;

/** Whether a piece goes into the small-parts cylinder, which is cut slantwise: from 25.4 to 57.1 mm deep. */
export function fitsCylinder([longest, middle]: Extent, { figures }: RuleBook): boolean {
  return middle <= figures.cylinderWidthMm && longest <= figures.cylinderDepthMm;
}

interface Found extends Pick<Finding, 'part' | 'partId' | 'feature' | 'message' | 'remedies'> {
  /** what the text says is done so that it holds: `sewn twice round` */
  held?: string | null;
}

const twiceWords = t`Sew twice round, the second time the other way, three times through the first and last stitch and at each pin.`;

class Screening {
  readonly findings: Finding[] = [];
  private readonly audience: Audience;

  constructor(private readonly input: SafetyInput) {
    this.audience = input.audience ?? usualAudience;
  }

  put(code: RuleCode, { held = null, ...found }: Found): void {
    const rule = this.input.book.rules[code];
    const plain = rule.weights[this.audience];
    const weight = held === null ? plain : reinforcedWeight[plain];
    if (weight === 'none') return;
    const message = held === null ? found.message : t`${found.message} The text has it ${held}.`;
    const { name: _name, weights: _weights, ...reasons } = rule;
    const remedies = this.openRemedies(found.remedies, weight, held !== null);
    this.findings.push({ code, severity: severityOf[weight], ...reasons, ...found, message, remedies });
  }

  /** Those that answer it: none that reinforces what stops a toy, or what is reinforced already. */
  private openRemedies(all: Found['remedies'], weight: Weight, isHeld: boolean): Found['remedies'] {
    const [first, ...more] = all.filter(({ reinforces }) => !reinforces || (weight !== 'stop' && !isHeld));
    return first ? [first, ...more] : [{ ...all[0], tap: null, edits: null }];
  }

  feature(part: SafetyPart, feature: SafetyFeature): void {
    const { id, kind, sizeMm, mends, held } = feature;
    const at = { part: part.name, partId: part.id, feature: id, held };
    const name = part.name.toLowerCase();
    const size = sizeMm > 0 ? `${wholeMm(sizeMm)} ` : '';
    if (kind === 'pressed')
      this.put('pressed-part', {
        ...at,
        message: t`The ${id} of the ${name}: ${size}with a post and a washer.`,
        remedies: [
          mended('embroider', mends, t`Embroider instead, as large and in the same place.`),
          mended(
            'back',
            mends,
            t`Or lay a disc of felt behind each washer, wider than the washer all round.`,
          ),
        ],
      });
    if (kind === 'button')
      this.put('button', {
        ...at,
        message: t`The ${id} of the ${name}: ${size}across.`,
        remedies: [mended('stitch-spot', mends, t`Stitch a spot of the same size instead.`)],
      });
    if (kind === 'sewn-on')
      this.put('sewn-on', {
        ...at,
        message: t`The ${id} of the ${name}: ${size}sewn on.`,
        remedies: [
          mended(
            'twice',
            mends,
            t`Sew all round the edge with small stitches, twice, the knots inside; or embroider it.`,
          ),
        ],
      });
    if (kind === 'key-ring')
      this.put('key-ring', {
        ...at,
        message: t`The ring of the ${name}.`,
        remedies: [mended('leave-out', mends, t`Leave it off, or say that this is a keepsake and no toy.`)],
      });
    if (kind === 'strands') this.strands(part, feature);
    if (feature.stretched && (kind === 'pressed' || kind === 'button')) this.stretched(part, feature);
  }

  private strands({ name, id: partId }: SafetyPart, { id, sizeMm, held, mends }: SafetyFeature): void {
    const at = { part: name, partId, feature: id, held };
    const { cordMm } = this.input.book.figures;
    this.put('strands', {
      ...at,
      message: t`The ${id} of the ${name.toLowerCase()}: strands knotted in.`,
      remedies: [
        mended(
          'leave-out',
          mends,
          t`Work the hair in surface stitches or in loops sewn down, without free ends; or leave it off.`,
        ),
      ],
    });
    if (sizeMm > cordMm)
      this.put('cord-length', {
        ...at,
        message: t`The ${id} of the ${name.toLowerCase()}: strands of ${wholeMm(sizeMm)}; at most ${wholeMm(cordMm)}.`,
        remedies: [byHand(t`Cut them shorter.`)],
      });
  }

  private stretched({ name, id: partId }: SafetyPart, { id, stretched, held, mends }: SafetyFeature): void {
    if (!stretched) return;
    this.put('stretched-place', {
      part: name,
      partId,
      feature: id,
      held,
      message: t`The ${id} of the ${name.toLowerCase()}: at round ${stretched.round} a stitch is stretched to ${tenth(stretched.stitchMm)}, wider than the yarn covers.`,
      remedies: [
        mended('back', mends, t`Lay a disc of felt behind each washer, wider than the washer all round.`),
        mended('finer-hook', mends, t`Or work more tightly, or stuff less hard.`),
      ],
    });
  }

  private cords(part: SafetyPart): void {
    const { cordMm, loopMm } = this.input.book.figures;
    const at = { part: part.name, partId: part.id, feature: null };
    const name = part.name.toLowerCase();
    for (const { lengthMm, round } of part.cords)
      if (lengthMm > cordMm)
        this.put('cord-length', {
          ...at,
          held: part.isSewnDown ? 'sewn down all along' : null,
          message: t`A free chain of the ${name}${round > 0 ? t`, round ${round}` : ''}: ${wholeMm(lengthMm)} long; at most ${wholeMm(cordMm)}.`,
          remedies: [
            mended('shorten', part.mends, t`Make it shorter than ${wholeMm(cordMm)}.`),
            mended('sew-down', part.mends, t`Or sew it down along its length.`),
          ],
        });
    for (const { aroundMm, round } of part.loops)
      if (aroundMm > loopMm)
        this.put('loop-size', {
          ...at,
          held: part.isSewnDown ? 'sewn down all along' : null,
          message: t`A loop of chains of the ${name}${round > 0 ? t`, round ${round}` : ''}: ${wholeMm(aroundMm)} round; at most ${wholeMm(loopMm)}.`,
          remedies: [
            byHand(t`Make it of fewer chains.`),
            mended('sew-down', part.mends, t`Or sew it down along its length.`),
          ],
        });
  }

  part(part: SafetyPart): void {
    const { figures } = this.input.book;
    const at = { part: part.name, partId: part.id, feature: null };
    const name = part.name.toLowerCase();
    for (const feature of part.features) this.feature(part, feature);
    this.cords(part);
    const isOpen = part.end.how === 'open' && part.isStuffed && !part.isJoined;
    if (isOpen)
      this.put('opening-left', {
        ...at,
        message: t`The ${name} is stuffed and ends with ${part.end.stitches} stitches open, sewn to nothing.`,
        remedies: [
          mended(
            'decrease',
            part.mends,
            t`Work rounds of decreases down to eight stitches or fewer and gather them, or say what it is sewn to.`,
          ),
        ],
      });
    if (part.end.how === 'one-more-round' && part.isStuffed)
      this.put('gather-hole', {
        ...at,
        message: t`The ${name} is gathered with ${part.end.stitches} stitches.`,
        remedies: [
          mended(
            'decrease',
            part.mends,
            t`Work one more round of decreases, or run the thread through twice and feel for a hole.`,
          ),
        ],
      });
    if (part.gapes !== null)
      this.put('stuffing-shows', {
        ...at,
        message: t`Round ${part.gapes} of the ${name} is stretched wider than the yarn covers.`,
        remedies: [
          mended(
            'finer-hook',
            part.mends,
            t`Take a hook half a millimetre smaller, stuff less hard, or line it with fabric.`,
          ),
        ],
      });
    if (this.isSmall(part))
      this.put('small-part', {
        ...at,
        held: part.isSewn && part.isSewnTwice ? 'sewn twice round' : null,
        message: t`The ${name}, ${part.extent.map(wholeMm).join(' × ')}, fits the cylinder of ${figures.cylinderWidthMm} mm.`,
        remedies: part.isSewn
          ? [
              mended('twice', part.mends, t`${twiceWords} Then pull it hard.`),
              byHand(t`Or work it in, or make it larger.`),
            ]
          : [byHand(t`It is worked in: pull it hard, each way; or make it larger.`)],
      });
  }

  private isSmall({ isJoined, extent }: SafetyPart): boolean {
    return isJoined && fitsCylinder(extent, this.input.book);
  }

  join({ partId, name, stitches, isSewn, isSewnTwice, mends }: SafetyJoin): void {
    const part = this.input.parts.find(({ id }) => id === partId);
    const at = { part: part?.name ?? name, partId, feature: null };
    const isThin = stitches > 0 && stitches < this.input.book.figures.fewStitches;
    const remedies: Found['remedies'] = isSewn
      ? [mended('twice', mends, twiceWords)]
      : [byHand(t`Work it in by more stitches, or pull it hard, each way.`)];
    if (isThin)
      this.put('thin-join', {
        ...at,
        held: isSewnTwice ? 'sewn twice round' : null,
        message: t`The ${name} hangs on ${stitches} stitches.`,
        remedies,
      });
    // A small part is told already, and its remedy is the same.
    const isTold = isThin || (part !== undefined && this.isSmall(part));
    if (isSewn && !isSewnTwice && !isTold)
      this.put('single-pass', {
        ...at,
        message: t`The ${name}: its seam is gone round once, as far as the text says.`,
        remedies,
      });
  }

  hazard({ code, word, part, mends }: Hazard): void {
    this.put(code, {
      part,
      partId: null,
      feature: null,
      message: t`The text speaks of ${word}.`,
      remedies: [this.aboutHazard(code, mends)],
    });
  }

  private aboutHazard(code: Hazard['code'], mends: Mends): Remedy {
    const { cordMm, loopMm } = this.input.book.figures;
    switch (code) {
      case 'glue':
        return mended('sew-instead', mends, t`Sew it on instead.`);
      case 'wire':
        return mended(
          'roll-instead',
          mends,
          t`A tight roll of felt or fabric holds a neck or a limb as well.`,
        );
      case 'magnet':
        return byHand(t`Leave it out.`);
      case 'rattle':
        return byHand(t`Leave it out, or take one that is sold sealed for babies and wrap it in stuffing.`);
      case 'loose-filling':
        return byHand(
          t`Fill with fibre only; or sew the weight into a bag of its own, twice round, and the bag into the toy.`,
        );
      case 'cord-length':
        return byHand(
          t`Keep each free end under ${wholeMm(cordMm)} and sew it down all along, or crochet it on.`,
        );
      case 'long-pile':
        return byHand(t`Take a smooth yarn for what goes into a mouth.`);
      case 'button':
        return byHand(t`Stitch a spot of the same size instead.`);
      case 'loop-size':
        return byHand(t`Keep a hanging loop under ${wholeMm(loopMm)} round, or leave it off.`);
      case 'sewn-on':
        return byHand(t`Crochet a small ball instead, and sew it on twice round.`);
      case 'key-ring':
        return byHand(t`Leave it off, or say that this is a keepsake and no toy.`);
      case 'strands':
        return byHand(t`Stitch them on flat with thread, both ends drawn inside.`);
      case 'battery':
        return byHand(t`Leave it out.`);
      case 'stick':
        return byHand(t`A tight roll of felt or fabric holds a neck or a limb as well.`);
      case 'colouring':
        return byHand(t`Stitch it, or work it in yarn of that colour.`);
      case 'knots-outside':
        return byHand(t`Draw each knot to the inside and bury its ends three ways.`);
    }
  }
}

const order: readonly Finding['severity'][] = ['error', 'warning', 'info'];

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
      message: t`Nobody has said for whom this toy is. It is looked at as for children from three on.`,
      why: t`What is fine for a grown-up’s shelf can choke a baby.`,
      remedies: [byHand(t`Say for whom it is.`)],
      source: t`The age decides which rules hold`,
    });
  if (whole && fitsCylinder(whole, book))
    screening.put('small-toy', {
      part: null,
      partId: null,
      feature: null,
      message: t`The toy, ${whole.map(wholeMm).join(' × ')}, fits the cylinder of ${book.figures.cylinderWidthMm} mm.`,
      remedies: [byHand(t`Make it in a thicker yarn.`)],
    });
  for (const part of parts) screening.part(part);
  for (const join of joins) screening.join(join);
  for (const hazard of hazards) screening.hazard(hazard);
  return screening.findings.sort((a, b) => order.indexOf(a.severity) - order.indexOf(b.severity));
}

/** Findings of one kind and one weight that are mended in the same way, told together. */
export interface ToldTogether {
  first: Finding;
  messages: string[];
  remedies: readonly Remedy[];
}

const isPutIn = ({ edits }: Remedy): boolean =>
  edits === null || edits.every(({ insertAfter }) => insertAfter);
const isSameEdit = (a: NonNullable<Remedy['edits']>[number], b: typeof a): boolean =>
  a.line === b.line && a.text === b.text;

/** The same remedy for both, its edits together, each once. */
function joinedRemedy(a: Remedy, b: Remedy | undefined): Remedy {
  if (!a.edits || !b?.edits) return a;
  const more = b.edits.filter((edit) => !a.edits?.some((own) => isSameEdit(own, edit)));
  return { ...a, edits: [...a.edits, ...more] };
}

/** Tells together what is found for one reason and mended in one way. Edits that rewrite a line stay apart. */
export function toldTogether(findings: readonly Finding[]): ToldTogether[] {
  const told: ToldTogether[] = [];
  for (const finding of findings) {
    const { code, severity, message, remedies } = finding;
    const same = told.find(
      ({ first }) =>
        first.code === code &&
        first.severity === severity &&
        first.remedies.map(({ words }) => words).join() === remedies.map(({ words }) => words).join() &&
        first.remedies.every(({ edits }, i) => (edits === null) === (remedies[i]?.edits === null)) &&
        [...first.remedies, ...remedies].every(isPutIn),
    );
    if (!same) {
      told.push({ first: finding, messages: [message], remedies });
      continue;
    }
    same.messages.push(message);
    same.remedies = same.remedies.map((remedy, i) => joinedRemedy(remedy, remedies[i]));
  }
  return told;
}
