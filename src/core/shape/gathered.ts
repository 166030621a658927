import type { PictureShape } from './picture';

/** A face of the drawing on the page, x and y in turn, convex, in the shade it has there. */
export interface PageFace {
  corners: number[];
  colour: string;
}

/** Twice the area of a face, less than 0 where its corners go round against the others. */
function turnOf(corners: readonly number[]): number {
  let turn = 0;
  for (let i = 0; i < corners.length / 2; i += 1) {
    const [ax, ay, bx, by] = edgeOf(corners, i);
    turn += ax * by - bx * ay;
  }
  return turn;
}

/** A face as the path of a drawing. All go round one way: of two in one path that lie over each other none cuts a hole in the other. */
export function outline(corners: readonly number[]): string {
  const points: string[] = [];
  for (let i = 0; i < corners.length; i += 2) points.push(`${corners[i] ?? 0} ${corners[i + 1] ?? 0}`);
  if (turnOf(corners) < 0) points.reverse();
  return `M${points.join('L')}Z`;
}

/** So far apart or overlapping by no more than this, in units of the page, faces only touch: they stand on whole units. */
const touching = 0.75;

/** Is there a straight line along an edge of the first face that has the second on its other side? */
function isApart(one: readonly number[], other: readonly number[]): boolean {
  const count = one.length / 2;
  const turn = turnOf(one);
  for (let i = 0; i < count; i += 1) {
    const [ax, ay, bx, by] = edgeOf(one, i);
    const length = Math.hypot(bx - ax, by - ay);
    if (length === 0) continue;
    // How deep the other face reaches over this edge to the side the first one lies on.
    let deepest = -Infinity;
    for (let j = 0; j < other.length; j += 2) {
      const inside = ((bx - ax) * ((other[j + 1] ?? 0) - ay) - (by - ay) * ((other[j] ?? 0) - ax)) / length;
      deepest = Math.max(deepest, turn >= 0 ? inside : -inside);
    }
    if (deepest <= touching) return true;
  }
  return false;
}

/** The ends of an edge of a face: x, y, x, y. */
function edgeOf(corners: readonly number[], edge: number): [number, number, number, number] {
  const from = edge * 2;
  const to = (from + 2) % corners.length;
  return [corners[from] ?? 0, corners[from + 1] ?? 0, corners[to] ?? 0, corners[to + 1] ?? 0];
}

const overlap = (one: readonly number[], other: readonly number[]): boolean =>
  !isApart(one, other) && !isApart(other, one);

/** So many patches back a face looks for one of its colour. */
const looksBack = 160;

/**
 * Few patches of one colour each: a face joins a patch that was drawn before where it covers nothing drawn since. A browser slowed to a
 * phone's speed needs seconds for the thousands of single faces of a shelf.
 */
export function gathered(faces: readonly PageFace[]): Extract<PictureShape, { kind: 'patch' }>[] {
  const patches: { colour: string; faces: PageFace[] }[] = [];
  for (const face of faces) {
    let joined = null;
    const oldest = Math.max(0, patches.length - looksBack);
    for (let index = patches.length - 1; index >= oldest; index -= 1) {
      const patch = patches[index];
      if (!patch) break;
      if (patch.colour === face.colour) {
        joined = patch;
        break;
      }
      if (patch.faces.some(({ corners }) => overlap(corners, face.corners))) break;
    }
    if (joined) joined.faces.push(face);
    else patches.push({ colour: face.colour, faces: [face] });
  }
  return patches.map(({ colour, faces: own }) => ({
    kind: 'patch',
    d: own.map(({ corners }) => outline(corners)).join(''),
    colour,
  }));
}
