import type { Fabric } from '../../fabric/fabric';
import type { SurfaceLine } from '../resolve/surfaceLine';

const placeWords = {
  front: 'the middle of the front',
  back: 'the middle of the back',
  left: 'the left side',
  right: 'the right side',
};

/** What is worked where: `Crest along the middle of the back, R4 to R14`. */
export function lineHeading({ label }: Fabric, { thing, along, until, over, holes }: SurfaceLine): string {
  const name = thing.charAt(0).toUpperCase() + thing.slice(1);
  const [first, last] = [holes[0], holes.at(-1)];
  if (!first || !last) return name;
  const goesOut = over === null && first.line <= last.line;
  if (over !== null) {
    // Towards the start a line ends under its round, towards the end over it.
    const at = over === 'start' ? 0 : -1;
    const [from, to] = [label[first.line + at], label[last.line + at]];
    return `${name} from round ${from} at the ${along}, over the ${over}, to round ${to} at the ${until}`;
  }
  const [from, to] = goesOut
    ? [label[first.line - 1], label[last.line]]
    : [label[first.line], label[last.line - 1]];
  return `${name} along ${placeWords[along]}, from round ${from} to round ${to}`;
}

/** Every hole of a line, lines of holes with their rounds: `R4|5: hole 12 of 30`. */
export const lineHoles = ({ label }: Fabric, { holes }: SurfaceLine): string[] =>
  holes.map(({ line, hole, of }) => `R${label[line - 1]}|${label[line]}: hole ${hole} of ${of}`);

const stepWords = (shift: number): string => {
  const count = Math.abs(shift) === 1 ? 'one hole' : `${Math.abs(shift)} holes`;
  return `${count} ${shift > 0 ? 'on' : 'back'}`;
};

/** How to follow it on the piece without counting each round: the column of holes, and where to step to the one beside. */
export function lineDirections({ label }: Fabric, { holes }: SurfaceLine): string {
  const steps = holes.filter(({ shift }) => shift !== 0);
  const stitches = `${holes.length} holes, so ${holes.length - 1} stitches from hole to hole.`;
  if (steps.length === 0) return `${stitches} Follow the column of holes straight on.`;
  const where = steps
    .map(({ line, shift }) => `at R${label[line - 1]}|${label[line]} ${stepWords(shift)}`)
    .join(', ');
  return `${stitches} Follow the column of holes and step to the one beside ${where}; “on” is the way you crochet.`;
}
