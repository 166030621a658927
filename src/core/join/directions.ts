import { t } from '../words/language';
import { sayTerm } from '../words/said';
import { roundCount } from '../fabric/fabric';
import { stitchAtAzimuth, turn, wrapAngle } from '../shape/azimuth';
import type { Join, JoinedToy, JoinPart, LedgerLine, Pin } from './joined';
import { outlineOf, outlineWords } from './outline';
import { pinWord } from './pins';
import { sizeWords } from '../words/measures';

/** What a maker does to join one unit. */
export interface JoinDirections {
  /** `Left arm` */
  title: string;
  /** the numbers, short enough to be read at arm's length */
  address: string;
  /** what it covers, how to count there, why two sides differ */
  lines: string[];
  /** the places to pin first: `front: round 24, stitch 16` */
  pins: string[];
  /** every stitch of the edge and where it goes */
  path: string[];
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** A number with its half: `6½`. */
export function withHalf(value: number): string {
  const whole = Math.floor(value + 1e-9);
  const isHalf = value - whole > 0.25;
  if (!isHalf) return String(whole);
  return whole === 0 ? '½' : `${whole}½`;
}

const isFlat = ({ fabric }: JoinPart): boolean => fabric.row[0] === 1;

/** A round by its number; of a flat wall a row. */
const roundOf = (wall: JoinPart, round: number): string =>
  isFlat(wall) ? t`row ${round}` : t`round ${round}`;

function roundWords(wall: JoinPart, round: number): string {
  if (Number.isInteger(round)) return roundOf(wall, round);
  const [below, above] = [Math.floor(round), Math.ceil(round)];
  return isFlat(wall) ? t`between rows ${below} and ${above}` : t`between rounds ${below} and ${above}`;
}

/** `rounds 4 to 9` */
function roundsWords(wall: JoinPart, [from, to]: readonly [number, number]): string {
  if (from === to) return roundOf(wall, from);
  return isFlat(wall) ? t`rows ${from} to ${to}` : t`rounds ${from} to ${to}`;
}

/** A half stitch lies between two. */
function stitchWords(stitch: number, count: number): string {
  if (Number.isInteger(stitch)) return t`stitch ${stitch}`;
  const before = Math.floor(stitch);
  return t`between stitches ${before === 0 ? count : before} and ${before + 1 > count ? 1 : before + 1}`;
}

/** What the stitches of an outline are called, one after the other; null of an edge, whose stitches go by their numbers. */
function namesOfOutline({ kind, unit }: Join, parts: readonly JoinPart[]): string[] | null {
  const piece = kind === 'outline' ? parts.find(({ part }) => part.id === unit.part) : undefined;
  return piece ? outlineOf(piece).map((stitch) => outlineWords(stitch, piece)) : null;
}

/** Which of its own stitches meets a stitch of the wall: `its stitch 4 to `. */
function edgeWords({ path }: Join, { row, stitch }: Pin, names: readonly string[] | null): string {
  const edges = (path ?? []).filter((sewn) => sewn.row === row && sewn.stitch === stitch);
  if (edges.length === 0) return '';
  if (names) return t`${edges.map(({ edge }) => names[edge - 1] ?? '').join(t` and `)} to `;
  const numbers = edges.map(({ edge }) => edge).join(t` and `);
  return edges.length === 1 ? t`its stitch ${numbers} to ` : t`its stitches ${numbers} to `;
}

/** Each pin with the stitches it holds together: `top: its stitch 4 to round 6, stitch 9`. */
function pinsSaid(join: Join, wall: JoinPart, names: readonly string[] | null = null): string[] {
  return (join.pins ?? []).map((pin) => {
    const to = t`${roundOf(wall, pin.round)}, stitch ${pin.stitch}`;
    return `${sayTerm(pinWord(wall, pin.at))}: ${edgeWords(join, pin, names)}${to}`;
  });
}

/** One entry of a no-sew round in words. */
function ledgerWords(entry: LedgerLine, nameOf: (part: string, unit: number) => string): string {
  if ('plain' in entry) return t`${entry.plain} plain`;
  return t`${entry.stitches} through the ${nameOf(entry.part, entry.unit)} and the fabric together`;
}

/** Edge stitches that follow each other onto one wall stitch or on along a round, in a few words each. */
function pathWords(
  wall: JoinPart,
  path: NonNullable<Join['path']>,
  names: readonly string[] | null,
): string[] {
  return path.map(
    ({ edge, round, stitch }) => t`${names?.[edge - 1] ?? edge} to ${roundOf(wall, round)}, stitch ${stitch}`,
  );
}

/** Stitches of the round that a middle is on; of what lies between two of the later. */
const countAbout = ({ fabric }: JoinPart, row: number | null): number =>
  roundCount(fabric, Math.max(1, Math.round(row ?? 1)));

/** The other of a pair: as far from the front line, on the other side of the same round. */
const otherOf = (join: Join, wall: JoinPart, { joins, fronts }: JoinedToy): Join | undefined => {
  const front = fronts.get(wall.part.id) ?? wall.front;
  const offOf = ({ centre }: Join) => wrapAngle((centre?.azimuth ?? front) - front);
  const count = countAbout(wall, join.row);
  const halfStitch = turn / Math.max(1, count) / 2;
  return joins.find((other) => {
    const { unit, on, row } = other;
    const isThere = unit.part === join.unit.part && on.part === join.on.part && row === join.row;
    const isAcross = unit.side !== null && unit.side !== join.unit.side;
    return isThere && isAcross && Math.abs(wrapAngle(offOf(join) + offOf(other))) <= halfStitch + 1e-6;
  });
};

function wallLines(join: Join, wall: JoinPart, toy: JoinedToy): string[] {
  const { fronts } = toy;
  const { row, round, stitch, covers, unit } = join;
  const lines: string[] = [];
  if (covers) {
    lines.push(
      t`It covers ${roundsWords(wall, covers.rounds)}, stitches ${covers.stitches[0]} to ${covers.stitches[1]}.`,
    );
  }
  if (row === null || round === null || stitch === null) return lines;
  const count = countAbout(wall, row);
  if (isFlat(wall)) {
    lines.push(
      t`Row ${Math.round(round)} has ${count} stitches, its middle is at ${withHalf((count + 1) / 2)}. Every other row is counted back; top, left and right are with its right side towards you.`,
    );
    return lines;
  }
  const front = fronts.get(wall.part.id) ?? wall.front;
  const frontStitch = stitchAtAzimuth(wall.fabric, wall.starts, Math.max(1, Math.round(row)), front);
  lines.push(
    t`Round ${Math.round(round)} has ${count} stitches; the front line passes it at ${withHalf(Math.round(frontStitch * 2) / 2)}.`,
  );
  const other = otherOf(join, wall, toy);
  if (other?.stitch !== null && other?.stitch !== undefined && unit.side === 'left') {
    const there = stitchWords(other.stitch, count);
    lines.push(
      t`The ${other.unit.name} is ${Number.isInteger(other.stitch) ? t`at ${there}` : there}: the two lie as far from the front line, and their numbers differ because stitches are counted from the start of the round.`,
    );
  }
  return lines;
}

/** Of what is said of one unit, all but its name. */
type Said = Omit<JoinDirections, 'title'>;

const capitalised = (said: Said): Said => ({ ...said, address: capital(said.address) });

const nothing = { lines: [], pins: [], path: [] };

function edgeDirections(join: Join, wall: JoinPart): Said {
  const { path, doubles } = join;
  const wallName = wall.part.name.toLowerCase();
  if (!path) return { ...nothing, address: t`not to the edge of the ${wallName} as it is` };
  const twice =
    doubles && doubles.length > 0
      ? t`The edges differ: sew stitch ${doubles.join(', ')} of the smaller edge to two of the larger.`
      : t`Both edges have as many stitches: sew stitch to stitch.`;
  return {
    ...nothing,
    address: t`its edge to the edge of the ${wallName}`,
    lines: [twice, t`Bring the fronts together and begin at the back.`],
    pins: pinsSaid(join, wall),
    path: path.map(({ edge, stitch }) => t`${edge} to ${stitch}`),
  };
}

function fittedDirections(join: Join, wall: JoinPart): Said {
  const { round, path, doubles, ring } = join;
  const wallName = wall.part.name.toLowerCase();
  if (round === null) return { ...nothing, address: t`on the ${wallName}: how deep is not said yet` };
  const twice =
    doubles && doubles.length > 0
      ? [t`The counts differ: stitch ${doubles.join(', ')} of the smaller takes two of the larger.`]
      : [];
  const where = ring?.end === 'start' ? 'start' : 'end';
  return {
    ...nothing,
    address: t`its edge to round ${round} of the ${wallName}, all the way round`,
    lines: [
      t`It goes about the ${sayTerm(where)} of the ${wallName}: pin front, back and both sides to round ${round} first, then sew round.`,
      ...twice,
    ],
    pins: pinsSaid(join, wall),
    path: (path ?? []).map(({ edge, stitch }) => t`${edge} to ${stitch}`),
  };
}

/** Who lies over the beginning of a round: its end comes first, its beginning last. */
function overStart(ledger: readonly LedgerLine[], nameOf: (part: string, unit: number) => string): string[] {
  const [first] = ledger;
  const last = ledger.at(-1);
  if (!first || !last || first === last || 'plain' in first || 'plain' in last) return [];
  if (first.part !== last.part || first.unit !== last.unit) return [];
  return [
    t`The ${nameOf(first.part, first.unit)} lies over the beginning of the round: begin with its last ${first.stitches}, and end with its first ${last.stitches}.`,
  ];
}

/** What a unit is called. */
const namesOf =
  ({ units }: JoinedToy) =>
  (part: string, unit: number): string =>
    units.find((one) => one.part === part && one.unit === unit)?.name ?? part;

/** A no-sew round from its first stitch to its last, in words. */
export const ledgerSaid = (ledger: readonly LedgerLine[], toy: JoinedToy): string =>
  ledger.map((entry) => ledgerWords(entry, namesOf(toy))).join(', ');

function noSewDirections({ round, base, loops, ledger }: Join, wallName: string, toy: JoinedToy): Said {
  const number = round ?? '?';
  const address = t`worked in, round ${number} of the ${wallName}`;
  if (!ledger) return { ...nothing, address };
  const into = loops === 'both' || loops === null ? t`both loops` : t`the ${sayTerm(loops)} loops only`;
  const below = base === null ? '' : t` of round ${base}`;
  return {
    ...nothing,
    address,
    lines: [
      t`Work round ${number} into ${into}${below}: ${ledgerSaid(ledger, toy)}.`,
      ...overStart(ledger, namesOf(toy)),
      t`Hold it flat against the outside, its edge along yours and its closed end over the rounds already worked, the side that is to show away from the fabric. The hook goes through its two layers first, then through the fabric; its tail goes inside.`,
    ],
  };
}

/** What comes next on a thread. */
function strungDirections(wallName: string, { sentence }: Join): Said {
  const gap = sentence.way?.gapMm;
  const apart = gap === undefined ? '' : t`, ${sizeWords(gap)} below it`;
  return {
    ...nothing,
    address: t`on the same thread, after the ${wallName}${apart}`,
    lines: [
      t`Draw the thread through the middle of both its ends with a long needle, from its top to its bottom, straight through the stuffing. Knot it there so that it can’t slip.`,
    ],
  };
}

/** What is begun in loops of another part, or gone on from. */
function workedOnDirections(
  { unit, round, covers, loops, path }: Join,
  wall: JoinPart,
  parts: readonly JoinPart[],
): Said {
  const wallName = wall.part.name.toLowerCase();
  const [from, to] = covers?.stitches ?? [1, 1];
  const count = path?.length ?? 0;
  const isGoneOnFrom = wall.part.grown?.edges.some((edge) => edge.part === unit.part) === true;
  if (isGoneOnFrom) {
    const leg = parts.find(({ part }) => part.id === unit.part);
    const last = leg ? (leg.fabric.label[leg.fabric.rounds - 1] ?? leg.fabric.rounds) : 0;
    return {
      ...nothing,
      address: t`stitches ${from} to ${to} of round ${round ?? 1} of the ${wallName}`,
      lines: [
        t`The ${wallName} goes on from it: its round ${round ?? 1} is worked into ${count} stitches of round ${last} of the ${unit.name}. Nothing is sewn.`,
      ],
      path: (path ?? []).map(({ edge, stitch }) => t`${edge} takes stitch ${stitch} of the ${wallName}`),
    };
  }
  const which = loops === 'front' || loops === 'back' ? t`${sayTerm(loops)} loops` : 'loops';
  return {
    ...nothing,
    address: t`${which} of round ${round ?? ''} of the ${wallName}`,
    lines: [
      t`It is begun in the ${which} that round ${round ?? ''} has left, ${count} stitches from stitch ${from} to ${to}. Join the yarn at stitch ${path?.[0]?.stitch ?? from} and work on from there. Nothing is sewn.`,
    ],
    path: (path ?? []).map(({ edge, stitch }) => t`${edge} into stitch ${stitch}`),
  };
}

/** The two places it goes in and out by. */
function throughDirections(
  { row, round, insideMm }: Join,
  wall: JoinPart,
  pins: NonNullable<Join['pins']>,
): Omit<Said, 'path'> {
  const wallName = wall.part.name.toLowerCase();
  const count = countAbout(wall, row);
  const [first, second] = pins.map(
    ({ stitch }) => `${Number.isInteger(stitch) ? 'at ' : ''}${stitchWords(stitch, count)}`,
  );
  return {
    address: t`${roundWords(wall, round ?? 0)} of the ${wallName}, in ${first ?? ''}, out ${second ?? ''}`,
    lines: [
      t`Draw it straight through before stuffing: about ${sizeWords(insideMm ?? 0)} lie inside. Even out both ends, then catch it with a stitch where it comes out on each side.`,
    ],
    pins: [],
  };
}

const degreesWords = (degrees: number): string => `${Math.round(Math.abs(degrees))}°`;

/** How it is held while it is pinned and sewn, where that is not straight off the wall with its front to the front. */
function stanceLines({ turned, path, kind, sentence: { stance } }: Join): string[] {
  const { droop = 0, lean = 0, spread = 0 } = stance ?? {};
  const lines: string[] = [];
  if (Math.abs(turned) > 0.5) {
    const count = path?.length ?? 0;
    const isRing = kind === 'open-on-wall' || kind === 'closed-on-wall';
    const stitches = withHalf(Math.round((Math.abs(turned) / 360) * count * 2) / 2);
    const way = turned > 0 ? 'clockwise' : 'anticlockwise';
    const share = isRing ? t`, ${stitches} of its ${count} stitches` : '';
    lines.push(
      t`Turned ${degreesWords(turned)} ${sayTerm(way)} as you look at it from outside${share}: the pins have it so.`,
    );
  }
  const held = [
    droop === 0 ? '' : droop > 0 ? t`${degreesWords(droop)} lower` : t`${degreesWords(droop)} higher`,
    lean === 0
      ? ''
      : lean > 0
        ? t`${degreesWords(lean)} further forward`
        : t`${degreesWords(lean)} further back`,
    spread === 0
      ? ''
      : spread > 0
        ? t`${degreesWords(spread)} further out to its side`
        : t`${degreesWords(spread)} further in to the middle`,
  ].filter((words) => words !== '');
  if (held.length > 0)
    lines.push(t`Hold its far end ${held.join(t` and `)} than straight off the fabric while you sew.`);
  return lines;
}

/** What of a flat piece is sewn, and how it is counted. */
function flatLines({ kind, path, sentence }: Join): string[] {
  if (kind === 'by-row') {
    const by = sentence.sewnBy ?? 'last row';
    return [t`Sew its ${sayTerm(by)} to the fabric, stitch by stitch; the rest of it stays free.`];
  }
  if (kind !== 'outline' || !path) return [];
  return [
    t`Lay it flat and sew it down all round, ${path.length} stitches: along its last row, down the ends of its rows, under its first row, and up the other ends. Left and right are as it lies before you.`,
  ];
}

function wallDirections(join: Join, wall: JoinPart, toy: JoinedToy, names: readonly string[] | null): Said {
  const { row, round, stitch, covers, pins, path, centre, through, unit } = join;
  const wallName = wall.part.name.toLowerCase();
  const closed =
    through === null
      ? []
      : [
          t`The ${unit.name} ends closed: sew through its round ${through}, a ring of ${path?.length ?? 0} stitches around that end. The stitches below are those of round ${through}.`,
        ];
  const strand =
    join.kind === 'by-end'
      ? [
          t`Draw both tails of one end in through that place, a stitch apart, knot them to each other inside and bury them.`,
        ]
      : [];
  if (join.kind === 'through' && pins) return { ...throughDirections(join, wall, pins), path: [] };
  const lines = [
    ...closed,
    ...strand,
    ...flatLines(join),
    ...wallLines(join, wall, toy),
    ...stanceLines(join),
  ];
  const said = { lines, path: pathWords(wall, path ?? [], names) };
  const isAround = round === null && covers !== null;
  if (isAround)
    return {
      ...said,
      pins: pinsSaid(join, wall, names),
      address:
        centre?.along === 0 ? t`around the start of the ${wallName}` : t`around the end of the ${wallName}`,
    };
  if (round === null || stitch === null)
    return { ...nothing, address: t`on the ${wallName}: where is not said yet` };
  const placed = {
    address: t`${roundWords(wall, round)} of the ${wallName}, ${stitchWords(stitch, countAbout(wall, row))}`,
    pins: pinsSaid(join, wall, names),
  };
  return { ...said, ...placed };
}

/**
 * How one unit is joined, in a maker's words.
 *
 * @param toy the joined toy
 * @param parts its parts
 */
export function joinDirections(join: Join, toy: JoinedToy, parts: readonly JoinPart[]): JoinDirections {
  const title = capital(join.unit.name);
  const wall = parts.find(({ part }) => part.id === join.on.part);
  if (!wall) return { ...nothing, title, address: '' };
  const wallName = wall.part.name.toLowerCase();
  if (join.kind === 'edge-to-edge') return { title, ...capitalised(edgeDirections(join, wall)) };
  if (join.kind === 'pushed-in') return { title, ...capitalised(fittedDirections(join, wall)) };
  if (join.kind === 'strung') return { title, ...capitalised(strungDirections(wallName, join)) };
  if (join.kind === 'worked-on') return { title, ...capitalised(workedOnDirections(join, wall, parts)) };
  if (join.kind === 'no-sew') return { title, ...capitalised(noSewDirections(join, wallName, toy)) };
  return { title, ...capitalised(wallDirections(join, wall, toy, namesOfOutline(join, parts))) };
}
