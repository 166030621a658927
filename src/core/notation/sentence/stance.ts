import { numberWords } from '../tokens';

/** Which way a piece is turned about its own axis: as one looks at it from outside, or by where its front comes to. */
export type TurnWay = 'clockwise' | 'anticlockwise' | 'up' | 'down' | 'outward' | 'inward';

/** How far a piece is turned about its own axis. Clockwise or not is said of one, or of the left of two: the right is its mirror image. */
export interface TurnSaid {
  by: number;
  unit: 'degrees' | 'stitches';
  way: TurnWay;
}

/** How a piece stands where it is joined, beside straight off the wall with its front to the front; angles in degrees. */
export interface StanceSaid {
  turned?: TurnSaid;
  /** its far end is lower; less than 0: higher */
  droop?: number;
  /** its far end is further to the front of the toy; less than 0: to its back */
  lean?: number;
  /** its far end is further to its own side of the toy; less than 0: to the middle */
  spread?: number;
}

const degrees = String.raw`(\d{1,3}) ?-?(?:degrees?|deg\b|°)`;
const about = String.raw`(?:(?:by|at|about|of|with|to) |an? (?:angle|slant) of |roughly |around )*`;
const them = String.raw`(?: (?:them|it|both|its ends?|their ends?|the ends?))?`;
const tilting = String.raw`(?:angl(?:ed|e|ing)|tilt(?:ed|ing)?|slant(?:ed|ing)?|slop(?:ed|ing)|lean(?:ed|ing|s)?|point(?:ed|ing|s)?|hang(?:ing|s)?|held|bent|fac(?:ing|es?))`;
const aim = String.raw`(down(?:wards?)?|up(?:wards?)?|forwards?|(?:to|towards) the front|back(?:wards?)?|(?:to|towards) the back|outwards?|inwards?|apart)`;
const turning = String.raw`(?:turn(?:ed|ing)?|rotat(?:ed|e|ing)|roll(?:ed)?|twist(?:ed)?)`;
const turnAmount = String.raw`(?:${degrees}|(\d{1,2}|${Object.keys(numberWords).join('|')}|a) (?:sts?|stitch(?:es)?)|(an? (?:quarter|half|eighth)|half)(?: of)?(?: a)?(?: turn)?)`;
const turnWay = String.raw`((?:anti|counter)-?clockwise|clockwise|up(?:wards?)?|down(?:wards?)?|outwards?|inwards?)`;

const wayOf = (word: string): TurnWay => {
  if (/^(?:anti|counter)/.test(word)) return 'anticlockwise';
  return word.replace(/(?<=ward)s$/, '').replace(/^(up|down)wards?$/, '$1') as TurnWay;
};

/** A tilt by the way the far end goes. */
function tilt(word: string, by: number): StanceSaid {
  if (word.startsWith('down')) return { droop: by };
  if (word.startsWith('up')) return { droop: -by };
  if (/^(?:out|apart)/.test(word)) return { spread: by };
  if (word.startsWith('in')) return { spread: -by };
  return { lean: /back/.test(word) ? -by : by };
}

const shareOfTurn: Readonly<Record<string, number>> = { eighth: 45, quarter: 90, half: 180 };

/** A turn by what says how far and which way. */
function turned(amount: readonly (string | undefined)[], way: string): StanceSaid {
  const [byDegrees, byStitches, byShare] = amount;
  if (byStitches !== undefined) {
    const by = byStitches === 'a' ? 1 : (numberWords[byStitches] ?? Number(byStitches));
    return { turned: { by, unit: 'stitches', way: wayOf(way) } };
  }
  const share = byShare?.replace(/^an? /, '') ?? '';
  const by = byDegrees === undefined ? (shareOfTurn[share] ?? 0) : Number(byDegrees);
  return { turned: { by, unit: 'degrees', way: wayOf(way) } };
}

/** One manner of saying a stance. */
interface Manner {
  read: RegExp;
  stance: (found: readonly (string | undefined)[]) => StanceSaid;
}

const manners: readonly Manner[] = [
  {
    // turned 30 degrees clockwise; rotate them by 2 stitches outward
    read: new RegExp(String.raw`\b${turning}${them} ${about}${turnAmount} ${turnWay}`),
    stance: ([, byDegrees, byStitches, byShare, way = '']) => turned([byDegrees, byStitches, byShare], way),
  },
  {
    // turned clockwise by a quarter turn
    read: new RegExp(String.raw`\b${turning}${them} ${turnWay} ${about}${turnAmount}`),
    stance: ([, way = '', ...amount]) => turned(amount, way),
  },
  {
    // turned upside down
    read: new RegExp(String.raw`\b${turning}${them} upside down\b`),
    stance: () => ({ turned: { by: 180, unit: 'degrees', way: 'clockwise' } }),
  },
  {
    // drooping 30 degrees; let them droop by 20°
    read: new RegExp(
      String.raw`\b(?:let )?(?:them |it |both )?(?:droop(?:ing|s|ed)?|sag(?:ging|s)?|lowered)${them}(?: down)? ${about}${degrees}(?: down(?:wards?)?)?`,
    ),
    stance: ([, by]) => ({ droop: Number(by) }),
  },
  {
    // raised 20 degrees
    read: new RegExp(String.raw`\b(?:rais(?:ed|e|ing)|lift(?:ed|ing)?)${them} ${about}${degrees}`),
    stance: ([, by]) => ({ droop: -Number(by) }),
  },
  {
    // tilted forward by 15 degrees
    read: new RegExp(String.raw`\b${tilting}${them} ${aim},? ${about}${degrees}`),
    stance: ([, word = '', by]) => tilt(word, Number(by)),
  },
  {
    // at an angle of 30 degrees downwards; angled 30° to the back
    read: new RegExp(String.raw`\b(?:${tilting}${them} )?${about}\b${degrees} (?:angle )?${aim}`),
    stance: ([, by, word = '']) => tilt(word, Number(by)),
  },
];

const mostTurned = 180;
const mostTilted = 90;

/** Whether there is so much to turn or tilt. */
function isPossible({ turned: turn, droop = 0, lean = 0, spread = 0 }: StanceSaid): boolean {
  const isTurnable = !turn || turn.unit === 'stitches' || turn.by <= mostTurned;
  return isTurnable && [droop, lean, spread].every((by) => Math.abs(by) <= mostTilted);
}

/**
 * What a sentence says of how a piece stands.
 *
 * @param words the sentence in small letters
 * @returns with the rest of the words; null as stance where nothing is said, or nothing that can be
 */
export function readStance(words: string): { stance: StanceSaid | null; rest: string; said: string[] } {
  let stance: StanceSaid = {};
  let rest = words;
  const said: string[] = [];
  for (const { read, stance: stanceOf } of manners) {
    // `Tilted forward 10 degrees, tilted outward 20 degrees`: one manner may say two things.
    for (let found = read.exec(rest); found; found = read.exec(rest)) {
      const own = stanceOf(found);
      if (!isPossible(own)) break;
      stance = { ...own, ...stance };
      said.push(found[0]);
      rest = `${rest.slice(0, found.index)}·${rest.slice(found.index + found[0].length)}`;
    }
  }
  return { stance: said.length > 0 ? stance : null, rest, said };
}

/** The same in words that are read back to it. */
export function writeStance({ turned: turn, droop, lean, spread }: StanceSaid): string[] {
  const tilted = (degreesSaid: number | undefined, more: string, less: string): string =>
    degreesSaid ? `${degreesSaid > 0 ? more : less} ${Math.abs(degreesSaid)} degrees` : '';
  const by = turn && `${turn.by} ${turn.unit === 'stitches' && turn.by === 1 ? 'stitch' : turn.unit}`;
  return [
    turn && turn.by > 0 ? `turned ${by} ${turn.way}` : '',
    tilted(droop, 'drooping', 'raised'),
    tilted(lean, 'leaning forward', 'leaning back'),
    tilted(spread, 'leaning outward', 'leaning inward'),
  ].filter((words) => words !== '');
}
