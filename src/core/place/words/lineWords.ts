import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import type { Fabric } from '../../fabric/fabric';
import { hangingMm, knotMm, type SurfaceLine } from '../resolve/surfaceLine';
import { plural } from '../../words/counted';
import { sizeWords, yarnWords } from '../../words/measures';

const everyWords = (every: number): string =>
  every === 1 ? t`each stitch` : every === 2 ? t`every second stitch` : t`every ${every} stitches`;

const placeWords = {
  front: t`the middle of the front`,
  back: t`the middle of the back`,
  left: t`the left side`,
  right: t`the right side`,
};

/** What is worked where: `Crest along the middle of the back, R4 to R14`. */
export function lineHeading(
  { label }: Fabric,
  { thing, along, until, over, around, holes }: SurfaceLine,
): string {
  const name = thing.charAt(0).toUpperCase() + thing.slice(1);
  if (around) return t`${name} all round, round ${around.round}, ${everyWords(around.every)}`;
  const [first, last] = [holes[0], holes.at(-1)];
  if (!first || !last) return name;
  const goesOut = over === null && first.line <= last.line;
  if (over !== null) {
    // Towards the start a line ends under its round, towards the end over it.
    const at = over === 'start' ? 0 : -1;
    const [from, to] = [label[first.line + at], label[last.line + at]];
    return t`${name} from round ${from} at the ${sayTerm(along)}, over the ${sayTerm(over)}, to round ${to} at the ${sayTerm(until)}`;
  }
  const [from, to] = goesOut
    ? [label[first.line - 1], label[last.line]]
    : [label[first.line], label[last.line - 1]];
  return t`${name} along ${placeWords[along]}, from round ${from} to round ${to}`;
}

/** Every hole of a line, lines of holes with their rounds: `R4|5: hole 12 of 30`; all round one round every stitch. */
export const lineHoles = ({ label }: Fabric, { holes, around }: SurfaceLine): string[] =>
  holes.map(({ line, hole, of }) =>
    around
      ? t`R${label[line]}: stitch ${hole} of ${of}`
      : t`R${label[line - 1]}|${label[line]}: hole ${hole} of ${of}`,
  );

/** How strands are knotted in, how many, and how much yarn that is. */
function fringeDirections({ holes, around, sentence }: SurfaceLine): string {
  const every = around?.every ?? 1;
  const [first] = holes;
  const last = first ? ((first.of - 1) % every) + 1 : every;
  const closer =
    last === every ? '' : t` The last is ${last} from the first again: the others are ${every} apart.`;
  const { strandMm } = sentence;
  const yarn =
    strandMm === null
      ? t` Cut each twice as long as it should hang, and ${sizeWords(knotMm)} for the knot.`
      : t` Cut ${holes.length} of ${sizeWords(strandMm)}, ${yarnWords((holes.length * strandMm) / 1000, 1)} in all; they hang ${sizeWords(hangingMm(strandMm))} long.`;
  return t`${holes.length} strands, from stitch 1 on, ${everyWords(every)}.${closer}${yarn} Fold each in half, draw the fold through under its stitch, draw both ends through the fold and pull tight. Loose strands come off and are swallowed: not on a toy for small children; tug at each.`;
}

const stepWords = (shift: number): string => {
  const count = Math.abs(shift) === 1 ? t`one hole` : t`${Math.abs(shift)} holes`;
  return `${count} ${shift > 0 ? 'on' : 'back'}`;
};

/** How to follow it on the piece without counting each round: the column of holes, and where to step to the one beside. */
export function lineDirections({ label }: Fabric, surfaceLine: SurfaceLine): string {
  const { holes, around } = surfaceLine;
  if (around) return fringeDirections(surfaceLine);
  const steps = holes.filter(({ shift }) => shift !== 0);
  const stitches = t`${plural(holes.length, 'hole')}, so ${plural(holes.length - 1, 'stitch')} from hole to hole.`;
  if (steps.length === 0) return t`${stitches} Follow the column of holes straight on.`;
  const where = steps
    .map(({ line, shift }) => t`at R${label[line - 1]}|${label[line]} ${stepWords(shift)}`)
    .join(', ');
  return t`${stitches} Follow the column of holes and step to the one beside ${where}; “on” is the way you crochet.`;
}
