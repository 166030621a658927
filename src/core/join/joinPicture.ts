import { sayTerm } from '../words/said';
import { t } from '../words/language';
import * as vec3 from 'gl-matrix/vec3';
import pluralize from 'pluralize';
import { roundCount } from '../fabric/fabric';
import { direction } from '../place/frame/direction';
import { stitchAtAzimuth, stitchAzimuth, turn, wrapAngle } from '../shape/azimuth';
import { withHalf } from './directions';
import type { Join, JoinedToy, JoinPart, LedgerLine, UnitRef } from './joined';
import { labelOf } from './numbers';
import { flatPiece, xOf } from './outline';
import { pinWord } from './pins';
import { endOf } from './placing';
import { alongAt, inSpace, radiusAt, wallOf, type Wall, type WallPoint } from './wall';
import { sizeWords } from '../words/measures';

/** What a mark of a picture stands for: the line of a round, a stitch of the fabric, the edge or piece that comes to it, the way of the needle, a pin. */
export type MarkTone = 'round' | 'fabric' | 'piece' | 'way' | 'pin';

/** One mark of a picture; y goes down. */
export type PictureMark =
  | { kind: 'line'; tone: MarkTone; points: readonly (readonly [x: number, y: number])[] }
  | { kind: 'dot'; tone: MarkTone; x: number; y: number; radius: number }
  | { kind: 'words'; x: number; y: number; words: string; anchor: 'start' | 'middle' | 'end' };

/** A drawing of one join, as wide as `pictureWidth`. */
export interface JoinPicture {
  height: number;
  marks: PictureMark[];
  /** how it is looked at */
  says: string;
}

export const pictureWidth = 320;
/** Height of the words in a picture. */
export const wordsHeight = 11;
const margin = 26;
const centreX = pictureWidth / 2;

const words = (
  x: number,
  y: number,
  said: string,
  anchor: 'start' | 'middle' | 'end' = 'middle',
): PictureMark => ({
  kind: 'words',
  x,
  y: y + wordsHeight * 0.36,
  words: sayTerm(said),
  anchor,
});

/** How a spot of a wall is looked at: from outside, up as the toy stands. */
interface View {
  origin: vec3;
  right: vec3;
  up: vec3;
  outward: vec3;
}

const placed = (surface: Wall, point: WallPoint): vec3 => vec3.fromValues(...inSpace(surface, point));

/** Ways along the wall and around it at a place, each of length one. */
function waysAt(surface: Wall, { along, azimuth }: WallPoint): { onward: vec3; around: vec3 } {
  const last = surface.along.at(-1) ?? 0;
  const step = Math.max(0.5, last * 0.01);
  const [before, after] = [Math.max(0, along - step), Math.min(last, along + step)];
  const onward = vec3.sub(
    vec3.create(),
    placed(surface, { along: after, azimuth }),
    placed(surface, { along: before, azimuth }),
  );
  vec3.normalize(onward, onward);
  return { onward, around: vec3.fromValues(-Math.sin(azimuth), Math.cos(azimuth), 0) };
}

function viewOf(wall: JoinPart, surface: Wall, centre: WallPoint): View {
  const { onward, around } = waysAt(surface, centre);
  const { lying, start } = wall.orientation;
  const isStartFirst = start === 'top';
  const toEnd = vec3.scale(vec3.create(), onward, isStartFirst ? 1 : -1);
  const rises = vec3.scale(vec3.create(), around, direction(wall.orientation));
  const right = lying ? toEnd : rises;
  const up = lying ? rises : vec3.negate(vec3.create(), toEnd);
  return { origin: placed(surface, centre), right, up, outward: vec3.cross(vec3.create(), right, up) };
}

/** A stitch of the wall on the page of a view, in mm. */
interface SeenStitch {
  row: number;
  stitch: number;
  x: number;
  y: number;
  /** 1 where it is looked at straight on, 0 on the rim */
  facing: number;
}

function seenStitch(
  wall: JoinPart,
  surface: Wall,
  view: View,
  at: { row: number; stitch: number },
): SeenStitch {
  const { row, stitch } = at;
  const point = {
    along: alongAt(surface, row),
    azimuth: stitchAzimuth(wall.fabric, wall.starts, row, stitch),
  };
  const off = vec3.sub(vec3.create(), placed(surface, point), view.origin);
  const { onward, around } = waysAt(surface, point);
  const normal = vec3.cross(vec3.create(), onward, around);
  const facing = Math.abs(vec3.dot(normal, view.outward));
  const isBehind = vec3.dot(off, view.outward) < -vec3.length(off) * 0.8;
  return {
    row,
    stitch,
    x: vec3.dot(off, view.right),
    y: -vec3.dot(off, view.up),
    facing: isBehind ? 0 : facing,
  };
}

/** A place of a wall on the page, in mm from the middle of a spot. */
type SeenAt = (at: { row: number; stitch: number }) => SeenStitch;

/** Further round than this a wall is not drawn, in radians. */
const furthestRound = 1.2;

/**
 * A place of a wall laid flat about a spot: as far up as it is along the wall, as far aside as it is around its round. Rounds lie under each
 * other in their order, also where a wall bends from a crown down its side.
 */
function unrolledStitch(
  { fabric, starts, orientation }: JoinPart,
  surface: Wall,
  centre: WallPoint,
  { row, stitch }: { row: number; stitch: number },
): SeenStitch {
  const along = alongAt(surface, row);
  const round = wrapAngle(stitchAzimuth(fabric, starts, row, stitch) - centre.azimuth);
  const { lying, start } = orientation;
  const toEnd = (along - centre.along) * (start === 'top' ? 1 : -1);
  const rises = direction(orientation) * round * radiusAt(surface, along);
  return {
    row,
    stitch,
    x: lying ? toEnd : rises,
    y: lying ? -rises : toEnd,
    facing: Math.abs(round) < furthestRound ? 1 : 0,
  };
}

/** Whether a join reaches so far around its wall that it can't be laid flat: it goes about the start or end, or nearly round a thin part. */
function reachesRound({ fabric, starts }: JoinPart, { along }: Wall, { centre, path }: Join): boolean {
  if (!centre || centre.along <= 0 || centre.along >= (along.at(-1) ?? 0)) return true;
  return (path ?? []).some(({ row, stitch }) => {
    const off = wrapAngle(stitchAzimuth(fabric, starts, row, stitch) - centre.azimuth);
    return Math.abs(off) > furthestRound;
  });
}

/** How the stitches of a wall are seen about the middle of a join: laid flat where they can be, else from outside. */
function seenAbout(join: Join, wall: JoinPart, row: number): { seenAt: SeenAt; isFlat: boolean } | null {
  const { centre, stitch } = join;
  if (wall.fabric.row[0] === 1) {
    const { rows } = flatPiece(wall);
    const placeOf = (at: { row: number; stitch: number }) => {
      const own = rows[Math.max(0, Math.min(rows.length, Math.round(at.row)) - 1)];
      return own ? { x: xOf(own, at.stitch), y: (own.from + own.to) / 2 } : { x: 0, y: 0 };
    };
    const middle = placeOf({ row, stitch: stitch ?? 1 });
    const seenAt: SeenAt = (at) => {
      const { x, y } = placeOf(at);
      return { ...at, x: x - middle.x, y: middle.y - y, facing: 1 };
    };
    return { seenAt, isFlat: true };
  }
  if (!centre) return null;
  const surface = wallOf(wall.fabric, wall.starts, wall.profile, !endOf(wall).open);
  if (!reachesRound(wall, surface, join))
    return { seenAt: (at) => unrolledStitch(wall, surface, centre, at), isFlat: true };
  const view = viewOf(wall, surface, centre);
  return { seenAt: (at) => seenStitch(wall, surface, view, at), isFlat: false };
}

/** Rows about what is covered that are drawn, stitches beside it, and how far round the rim a stitch still shows. */
const rowsBeside = 2;
const stitchesBeside = 2.4;
const leastFacing = 0.45;
/** What is shown is round, so that the numbers at its left side are in the order of the rounds; a little wider than half the page. */
const roundSpot = 1.1;
/** More numbers than this run into each other. */
const mostNumbers = 20;

/** A stitch seen from outside: a small V; looked at along an edge it is flatter. */
function vOf({ x, y }: { x: number; y: number }, size: number, isDown: boolean, steep = 1): PictureMark {
  const up = isDown ? -steep : steep;
  return {
    kind: 'line',
    tone: 'fabric',
    points: [
      [x - size, y - size * 0.7 * up],
      [x, y + size * 0.6 * up],
      [x + size, y - size * 0.7 * up],
    ],
  };
}

/** The spot of a wall that something comes to: its stitches, the way of the needle over them, and the pins. */
function spotPicture(join: Join, wall: JoinPart): JoinPicture | null {
  const { centre, path, pins, covers } = join;
  const row = join.row ?? covers?.rows[0] ?? null;
  if (row === null) return null;
  const { fabric } = wall;
  const seen = seenAbout(join, wall, row);
  if (!seen) return null;
  const { seenAt, isFlat } = seen;
  const middle = Math.max(1, Math.min(fabric.rounds, Math.round(row)));
  const nearest = {
    row: middle,
    stitch: Math.round(
      join.stitch ?? (centre ? stitchAtAzimuth(fabric, wall.starts, middle, centre.azimuth) : 1),
    ),
  };
  const sewn = (path ?? [nearest]).map((at) => seenAt(at));
  const { widthMm } = wall.gauge;
  const half =
    Math.max(...sewn.map(({ x, y }) => Math.max(Math.abs(x), Math.abs(y)))) + stitchesBeside * widthMm;
  const scale = (pictureWidth - 2 * margin) / (2 * half);
  const toPage = ({ x, y }: { x: number; y: number }) => ({
    x: centreX + x * scale,
    y: centreX - margin / 2 + y * scale,
  });
  const rows = covers?.rows ?? [middle, middle];
  const [first, last] = [Math.max(1, rows[0] - rowsBeside), Math.min(fabric.rounds, rows[1] + rowsBeside)];
  const stitches: SeenStitch[] = [];
  for (let r = first; r <= last; r += 1)
    for (let stitch = 1; stitch <= roundCount(fabric, r); stitch += 1)
      stitches.push(seenAt({ row: r, stitch }));
  const shown = stitches.filter(
    ({ x, y, facing }) => facing > leastFacing && Math.hypot(x, y) <= half * roundSpot,
  );
  const numbered = numberedStitches(shown, sewn, half, widthMm);
  const isDown = wall.orientation.start === 'top';
  const size = widthMm * scale * 0.36;
  const height = Math.max(...[...shown, ...sewn].map((one) => toPage(one).y)) + margin + 2 * wordsHeight;
  const marks: PictureMark[] = [
    ...rowLines(shown, toPage, 3 * widthMm * scale),
    ...shown.filter((one) => !numbered.includes(one)).map((one) => vOf(toPage(one), size, isDown)),
    ...numbered.map((one) => {
      const { x, y } = toPage(one);
      return words(x, y, `R${labelOf(wall, one.row)}`);
    }),
    ...needleWay(join, sewn.map(toPage), size),
    ...(pins ?? []).flatMap((pin): PictureMark[] => {
      const at = toPage(seenAt(pin));
      const out = away(at, { x: centreX, y: centreX - margin / 2 }, 22);
      return [
        { kind: 'dot', tone: 'pin', ...at, radius: size * 1.15 },
        words(out.x, out.y, pinWord(wall, pin.at)),
      ];
    }),
  ];
  return { height, marks, says: spotSays(wall, join, isFlat) };
}

/** How a spot is looked at. About the very start or end there is no up: the front is below on a top, and above under a bottom. */
function spotSays({ orientation }: JoinPart, { row, centre }: Join, isFlat: boolean): string {
  if (row !== null || !centre)
    return isFlat
      ? t`Seen from outside and laid flat, up as the toy stands.`
      : t`Seen from outside, up as the toy stands.`;
  const isOnTop = centre.along <= 0 === (orientation.start === 'top');
  return isOnTop ? t`Looked at straight on, the front below.` : t`Looked at straight on, the front above.`;
}

/** Further from a middle by so much. */
function away(
  at: { x: number; y: number },
  from: { x: number; y: number },
  by: number,
): { x: number; y: number } {
  const [x, y] = [at.x - from.x, at.y - from.y];
  const far = Math.max(1e-6, Math.hypot(x, y));
  return { x: at.x + (x / far) * by, y: at.y + (y / far) * by };
}

/** Where numbers stand in a column, as a share of half the spot, to its left. */
const numbersAt = 0.7;

/**
 * The stitch of each row in whose place its number stands: those nearest to one line from below up, so that the numbers are in the order
 * of the rounds, also where rounds curve away.
 */
function numberedStitches(
  shown: readonly SeenStitch[],
  sewn: readonly SeenStitch[],
  half: number,
  widthMm: number,
): SeenStitch[] {
  const isFree = ({ x, y }: SeenStitch) =>
    sewn.every((other) => Math.hypot(other.x - x, other.y - y) > 1.2 * widthMm);
  const nearest = new Map<number, SeenStitch>();
  const off = ({ x }: SeenStitch) => Math.abs(x + numbersAt * half);
  for (const one of shown) {
    const before = nearest.get(one.row);
    if (isFree(one) && (!before || off(one) < off(before))) nearest.set(one.row, one);
  }
  const taken: SeenStitch[] = [];
  for (const one of nearest.values()) {
    const isApart = taken.every(({ x, y }) => Math.hypot(x - one.x, y - one.y) > 0.8 * widthMm);
    if (isApart && off(one) < 1.5 * widthMm) taken.push(one);
  }
  return taken;
}

/** Each round as a thin line through its stitches that are seen. */
function rowLines(
  shown: readonly SeenStitch[],
  toPage: (at: { x: number; y: number }) => { x: number; y: number },
  far: number,
): PictureMark[] {
  return shown.flatMap((one, i): PictureMark[] => {
    const next = shown[i + 1];
    if (next?.row !== one.row) return [];
    const [a, b] = [toPage(one), toPage(next)];
    if (Math.hypot(a.x - b.x, a.y - b.y) > far) return [];
    return [
      {
        kind: 'line',
        tone: 'round',
        points: [
          [a.x, a.y],
          [b.x, b.y],
        ],
      },
    ];
  });
}

/** The way of the needle with the numbers of the edge; closed where it goes all round. */
function needleWay(
  { kind, path }: Join,
  places: readonly { x: number; y: number }[],
  size: number,
): PictureMark[] {
  const isClosed = kind === 'open-on-wall' || kind === 'closed-on-wall' || kind === 'outline';
  const points = places.map(({ x, y }) => [x, y] as const);
  const [begin] = points;
  const way = isClosed && begin ? [...points, begin] : points;
  const every = Math.ceil(places.length / mostNumbers);
  const middle = {
    x: places.reduce((sum, { x }) => sum + x, 0) / Math.max(1, places.length),
    y: places.reduce((sum, { y }) => sum + y, 0) / Math.max(1, places.length),
  };
  const numbers = (path ?? []).flatMap(({ edge }, i): PictureMark[] => {
    const at = places[i];
    if (!at || (edge - 1) % every !== 0) return [];
    const inside = isClosed ? away(at, middle, -14) : { x: at.x, y: at.y - 14 };
    return [words(inside.x, inside.y, String(edge))];
  });
  return [
    { kind: 'line', tone: 'way', points: way },
    ...places.map(({ x, y }): PictureMark => ({ kind: 'dot', tone: 'piece', x, y, radius: size * 0.7 })),
    ...(isFlatTwice(kind) ? [] : numbers),
  ];
}

/** Of what is flattened two stitches of the edge share a place: their numbers are in the list. */
const isFlatTwice = (kind: Join['kind']): boolean => kind === 'flattened' || kind === 'pinched';

/** Pairs of stitches in one line of a picture of two edges. */
const pairsInLine = 12;
const lineHeight = 78;
const flatter = 0.4;

/** Two rows of stitches that meet: of each edge every stitch, and threads between those that are sewn or worked together. */
function edgesPicture(
  pairs: readonly (readonly [own: number, other: number])[],
  names: readonly [own: string, other: string],
): JoinPicture {
  const lines = Math.ceil(pairs.length / pairsInLine);
  const apart = (pictureWidth - 2 * margin) / (pairsInLine - 0.5);
  const marks: PictureMark[] = [];
  for (let line = 0; line < lines; line += 1) {
    const here = pairs.slice(line * pairsInLine, (line + 1) * pairsInLine);
    const top = 22 + line * lineHeight;
    const bottom = top + 28;
    here.forEach(([own, other], i) => {
      const x = margin + apart * (i + 0.25);
      const before = here[i - 1];
      // A stitch that takes two stands between them, once.
      const isOwnAgain = before?.[0] === own;
      const isOtherAgain = before?.[1] === other;
      const upper = isOwnAgain ? x - apart / 2 : here[i + 1]?.[0] === own ? x + apart / 2 : x;
      const lower = isOtherAgain ? x - apart / 2 : here[i + 1]?.[1] === other ? x + apart / 2 : x;
      if (!isOwnAgain)
        marks.push(vOf({ x: upper, y: top }, 8, true, flatter), words(upper, top - 14, String(own)));
      if (!isOtherAgain)
        marks.push(vOf({ x: lower, y: bottom }, 8, false, flatter), words(lower, bottom + 15, String(other)));
      marks.push({
        kind: 'line',
        tone: 'way',
        points: [
          [upper, top + 5],
          [lower, bottom - 5],
        ],
      });
    });
  }
  return {
    height: lines * lineHeight + 4,
    marks,
    says: t`Above the ${names[0]}, below the ${names[1]}, by stitch.`,
  };
}

const ringRadius = 70;
const ringY = 112;

/** Where a share of the way round an opening is: the front below, as one looks down on the round, numbers going on as they are worked. */
function onRing(share: number, radius: number, sense: 1 | -1): readonly [number, number] {
  const angle = turn / 4 + sense * turn * share;
  return [centreX + radius * Math.cos(angle), ringY + radius * Math.sin(angle)];
}

const arc = (from: number, to: number, radius: number, sense: 1 | -1): (readonly [number, number])[] => {
  const steps = Math.max(2, Math.ceil((to - from) * 60));
  return Array.from({ length: steps + 1 }, (_, i) => onRing(from + ((to - from) * i) / steps, radius, sense));
};

/** Looked down on from the end that is up, stitches go on to the right past the front, or to the left. */
const ringSense = (wall: JoinPart): 1 | -1 => (direction(wall.orientation) === 1 ? -1 : 1);

/** A no-sew round as one looks down on the opening: which stitches take which part. */
function ledgerPicture(join: Join, wall: JoinPart, toy: JoinedToy): JoinPicture | null {
  const { ledger, row } = join;
  if (!ledger || row === null) return null;
  const count = ledger.reduce((sum, line) => sum + stitchesOf(line), 0);
  const front = toy.fronts.get(wall.part.id) ?? wall.front;
  const frontStitch = stitchAtAzimuth(wall.fabric, wall.starts, Math.max(1, Math.round(row)), front);
  const sense = ringSense(wall);
  const shareOf = (edge: number) => (edge + 0.5 - frontStitch) / count;
  let done = 0;
  const marks: PictureMark[] = [];
  for (const line of ledger) {
    const stitches = stitchesOf(line);
    const [from, to] = [shareOf(done), shareOf(done + stitches)];
    done += stitches;
    const isPlain = 'plain' in line;
    marks.push({
      kind: 'line',
      tone: isPlain ? 'fabric' : 'piece',
      points: arc(from, to, ringRadius, sense),
    });
    if (!isPlain) marks.push({ kind: 'line', tone: 'piece', points: arc(from, to, ringRadius + 9, sense) });
    const [x, y] = onRing((from + to) / 2, isPlain ? ringRadius - 18 : ringRadius + 22, sense);
    const name = isPlain
      ? null
      : toy.units.find(({ part, unit }) => part === line.part && unit === line.unit);
    if (name) marks.push(words(x, y - wordsHeight * 1.3, name.name, anchorAt(x)));
    marks.push(words(x, y, String(stitches), isPlain ? 'middle' : anchorAt(x)));
  }
  const [sx, sy] = onRing(shareOf(0), ringRadius, sense);
  const [lx, ly] = onRing(shareOf(0), ringRadius + 18, sense);
  marks.push({ kind: 'dot', tone: 'pin', x: sx, y: sy, radius: 4 }, words(lx, ly, 'start'));
  marks.push(words(centreX, ringY + ringRadius + 16, 'front'));
  return {
    height: 2 * ringY,
    marks,
    says: t`Looked down on from above, the front below. Plain stitches inside, parts outside.`,
  };
}

const stitchesOf = (line: LedgerLine): number => ('plain' in line ? line.plain : line.stitches);
const anchorAt = (x: number): 'start' | 'middle' | 'end' =>
  x > centreX + 30 ? 'start' : x < centreX - 30 ? 'end' : 'middle';

/** What is pulled through, as one looks down on a cut through its round. */
function throughPicture(
  { row, pins, insideMm, unit }: Join,
  wall: JoinPart,
  toy: JoinedToy,
): JoinPicture | null {
  const [a, b] = pins ?? [];
  if (!a || !b || row === null) return null;
  const round = Math.max(1, Math.round(row));
  const count = roundCount(wall.fabric, round);
  const front = toy.fronts.get(wall.part.id) ?? wall.front;
  const frontStitch = stitchAtAzimuth(wall.fabric, wall.starts, round, front);
  const sense = ringSense(wall);
  const [from, to] = [a, b].map(({ stitch }) => onRing((stitch - frontStitch) / count, ringRadius, sense));
  if (!from || !to) return null;
  const middle = { x: (from[0] + to[0]) / 2, y: (from[1] + to[1]) / 2 };
  const ends = [from, to].map(([x, y]) => away({ x, y }, middle, 46));
  const marks: PictureMark[] = [
    { kind: 'line', tone: 'fabric', points: arc(0, 1, ringRadius, sense) },
    { kind: 'line', tone: 'piece', points: ends.map(({ x, y }) => [x, y] as const) },
    ...[from, to].flatMap(([x, y], i): PictureMark[] => [
      { kind: 'dot', tone: 'pin', x, y, radius: 5 },
      words(
        x + (x < centreX ? -8 : 8),
        y + 16,
        i === 0
          ? t`in, stitch ${withHalf(i === 0 ? a.stitch : b.stitch)}`
          : t`out, stitch ${withHalf(i === 0 ? a.stitch : b.stitch)}`,
      ),
    ]),
    words(middle.x, middle.y - 12, t`${sizeWords(insideMm ?? 0)} inside`),
    words(centreX, ringY + ringRadius - 14, 'front'),
  ];
  return {
    height: 2 * ringY - 14,
    marks,
    says: t`A cut through the round, looked down on: the ${unit.name} passes straight through.`,
  };
}

/** Room for one piece of a thread, and more of them than that are not drawn each. */
const beadHeight = 34;
const mostBeads = 12;

/** Joins of one thread in the order of what hangs on it, each below the one before. */
function alongThread({ sentence }: Join, { joins }: JoinedToy): Join[] {
  const others = joins.filter((other) => other.kind === 'strung' && other.sentence === sentence);
  const isBelow = (join: Join, { part, unit }: UnitRef) => join.on.part === part && join.on.unit === unit;
  const isFirst = (join: Join) => others.every(({ unit }) => !isBelow(join, unit));
  const ordered = others.filter(isFirst).slice(0, 1);
  for (let last = ordered[0]; last !== undefined;) {
    const { unit }: Join = last;
    last = others.find((join) => isBelow(join, unit));
    if (last) ordered.push(last);
  }
  return ordered;
}

/** What hangs on one thread, the first on top: knots at both ends, and this piece marked by a pin. */
function strungPicture(join: Join, parts: readonly JoinPart[], toy: JoinedToy): JoinPicture {
  const others = alongThread(join, toy);
  const first = parts.find(({ part }) => part.id === others[0]?.on.part);
  const names = [
    pluralize.singular(first?.part.name.toLowerCase() ?? ''),
    ...others.map(({ unit }) => unit.name),
  ];
  const own = others.indexOf(join) + 1;
  const from = Math.max(0, Math.min(own - 1, names.length - mostBeads));
  const shown = names.slice(from, from + mostBeads);
  const yOf = (i: number) => margin + beadHeight * (i + 0.5);
  const end = yOf(shown.length - 1) + beadHeight / 2;
  const marks: PictureMark[] = [
    {
      kind: 'line',
      tone: 'way',
      points: [
        [centreX, margin / 2],
        [centreX, end + margin / 2],
      ],
    },
    ...shown.flatMap((name, i): PictureMark[] => [
      { kind: 'dot', tone: 'piece', x: centreX, y: yOf(i), radius: 11 },
      ...(from + i === own ? [{ kind: 'dot', tone: 'pin', x: centreX, y: yOf(i), radius: 15 } as const] : []),
      words(centreX + 24, yOf(i), `${from + i + 1}. ${name}`, 'start'),
    ]),
  ];
  const says = t`On one thread, the first on top, a knot at both ends${names.length > mostBeads ? t`; ${shown.length} of ${names.length} are drawn` : ''}.`;
  return { height: end + margin, marks, says };
}

/**
 * A drawing of how one unit is joined, on the stitches that it is joined to.
 *
 * @returns null where its place is not known
 */
export function joinPicture(join: Join, toy: JoinedToy, parts: readonly JoinPart[]): JoinPicture | null {
  const wall = parts.find(({ part }) => part.id === join.on.part);
  if (!wall) return null;
  const { kind, path, unit } = join;
  if (kind === 'no-sew') return ledgerPicture(join, wall, toy);
  if (kind === 'through') return throughPicture(join, wall, toy);
  if (kind === 'strung') return strungPicture(join, parts, toy);
  const isByEdges = kind === 'edge-to-edge' || kind === 'pushed-in' || kind === 'worked-on';
  if (!isByEdges) return spotPicture(join, wall);
  const pairs = (path ?? []).map(({ edge, stitch }) => [edge, stitch] as const);
  return pairs.length > 0 ? edgesPicture(pairs, [unit.name, wall.part.name.toLowerCase()]) : null;
}
