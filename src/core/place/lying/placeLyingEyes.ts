import type { Problem, Suggestion } from '../../notation/problem';
import { roundCount } from '../../fabric/fabric';
import type { EyePlacement, Post } from '../eyes';
import { eyeStep, writeEyes, type EyeRule } from '../eyeSentence';
import { roundIndex } from '../frontLine';
import { smallestEyeMm, washerMm, widestEyeInStitches } from '../hardware';
import type { PartForm } from '../partForm';
import { underWasher, underWasherWords } from '../washers';
import { heightUp, levelPair, placeOf, type LevelHole, type LyingFrame } from './frame';
import { linesApart, withLines } from './lyingEyesRule';

/** From this miss on, in rounds, the face looks off. */
const offFrom = 0.2;
/** From this share of a stitch on one eye is seen to be higher. */
const levelWithin = 0.3;
const mm = (value: number) => `${value < 10 ? Math.round(value * 10) / 10 : Math.round(value)} mm`;

/** The lines of holes of a rule, first worked first. */
export function linesOf({ fabric }: PartForm, { gap, other = gap }: EyeRule): [number, number] {
  return [roundIndex(fabric, gap[0]), roundIndex(fabric, other[0])];
}

function seated(form: PartForm, frame: LyingFrame, rule: EyeRule): [LevelHole, LevelHole] {
  return levelPair(
    form,
    frame,
    linesOf(form, rule),
    heightUp(form, frame, 0, rule.rise ?? 0) ?? 0,
    rule.seat,
  );
}

/**
 * Places the eyes of a part that lies on its side: each on a line of holes of its own, level with each other.
 *
 * @param said the rule, by `lyingEyesRule`
 */
export function placeLyingEyes(
  form: PartForm,
  frame: LyingFrame,
  said: { rule: EyeRule; problems: Problem[] },
): EyePlacement {
  const { part, profile } = form;
  const { rule } = said;
  const holes = seated(form, frame, rule);
  const places = holes.map((hole) => placeOf(form, frame, hole)) as [
    [number, number, number],
    [number, number, number],
  ];
  const [first, second] = places;
  const straightMm = Math.hypot(first[0] - second[0], first[1] - second[1], first[2] - second[2]);
  const post = ({ line, hole, of, azimuth }: LevelHole, side: Post['side']): Post => ({
    side,
    stitch: hole,
    of,
    line,
    azimuth,
  });
  const posts: [Post, Post] =
    frame.right === 1
      ? [post(holes[0], 'left'), post(holes[1], 'right')]
      : [post(holes[1], 'left'), post(holes[0], 'right')];
  const miss = (holes[0].line + holes[1].line) / 2 - frame.middle;
  const [left, right] = frame.right === 1 ? places : [second, first];
  const size = (place: readonly number[]) => Math.hypot(...place) || 1;
  const cos =
    first.reduce((sum, value, axis) => sum + value * (second[axis] ?? 0), 0) / size(first) / size(second);
  const placement: EyePlacement = {
    part: part.name,
    feature: 'eyes',
    rule,
    round: holes[0].line,
    posts,
    showing: rule.apart,
    surfaceMm: Math.abs((profile.along[holes[1].line - 1] ?? 0) - (profile.along[holes[0].line - 1] ?? 0)),
    straightMm,
    angleDeg: (Math.acos(Math.max(-1, Math.min(1, cos))) * 180) / Math.PI,
    shareOfWidth: straightMm / Math.max(0.001, ...profile.z),
    missStitches: miss,
    missMm: Math.abs(first[0] + second[0]) / 2,
    missSide: Math.abs(miss) < 0.005 ? null : miss * frame.right > 0 ? 'right' : 'left',
    levelMm: Math.abs(left[1] - right[1]),
    lower: Math.abs(left[1] - right[1]) < 0.05 ? null : left[1] < right[1] ? 'left' : 'right',
    washerMm: washerMm(rule.sizeMm),
    frontAzimuth: frame.front,
    problems: [...said.problems],
  };
  placement.problems.push(...lyingEyeProblems(form, frame, placement));
  return placement;
}

function lyingEyeProblems(form: PartForm, frame: LyingFrame, eyes: EyePlacement): Problem[] {
  const { part, fabric, gauge, profile } = form;
  const { rule, posts } = eyes;
  const step = eyeStep(part);
  const problems: Problem[] = [];
  const change = (title: string, next: EyeRule): Suggestion => ({ title, edits: [writeEyes(part, next)] });
  const add = (
    code: string,
    severity: Problem['severity'],
    message: string,
    suggestions: Suggestion[] = [],
  ) =>
    problems.push({
      code,
      severity,
      part: part.name,
      line: step?.line,
      column: (step?.span.from ?? 0) + 1,
      message,
      suggestions,
    });
  const room = fabric.rounds - 2;
  const roundsApart = (apart: number): Suggestion[] =>
    apart >= 1 && apart <= room
      ? [
          change(
            `${apart} ${apart === 1 ? 'round' : 'rounds'} apart`,
            withLines(form, rule, linesApart(form, frame, apart)),
          ),
        ]
      : [];
  const missOf = (apart: number) => {
    const [a, b] = linesApart(form, frame, apart);
    return Math.abs((a + b) / 2 - frame.middle);
  };

  if (Math.abs(eyes.missStitches) >= offFrom) {
    const better = [rule.apart, rule.apart + 1, rule.apart - 1]
      .filter((apart) => apart >= 1 && apart <= room && missOf(apart) < Math.abs(eyes.missStitches) - 0.05)
      .sort((a, b) => missOf(a) - missOf(b));
    add(
      'not-centred',
      'warning',
      `The middle between the eyes falls ${Math.round(Math.abs(eyes.missStitches) * 100) / 100} of a round ${eyes.missSide} of the middle of the face, ${mm(eyes.missMm)}.`,
      better.flatMap(roundsApart).slice(0, 3),
    );
  }
  if (eyes.levelMm > gauge.widthMm * levelWithin) {
    const others: [string, EyeRule][] = [
      [
        rule.seat === 'foot' ? 'In the splits' : 'In the holes',
        { ...rule, seat: rule.seat === 'foot' ? 'split' : 'foot' },
      ],
      ['1 stitch up', { ...rule, rise: (rule.rise ?? 0) + 1 }],
      ['1 stitch down', { ...rule, rise: (rule.rise ?? 0) - 1 }],
      ...[1, -1, 2, -2]
        .map((by) => rule.apart + by)
        .filter((apart) => apart >= 1 && apart <= room)
        .map(
          (apart) =>
            [`${apart} rounds apart`, withLines(form, rule, linesApart(form, frame, apart))] as [
              string,
              EyeRule,
            ],
        ),
    ];
    const offOf = (other: EyeRule) => {
      const [a, b] = seated(form, frame, other);
      return Math.abs(a.heightMm - b.heightMm);
    };
    const better = others
      .map(([title, other]) => ({ title, other, off: offOf(other) }))
      .filter(({ off }) => off < eyes.levelMm - 0.2)
      .sort((a, b) => a.off - b.off);
    add(
      'not-level',
      'warning',
      `The ${eyes.lower} eye's hole lies ${mm(eyes.levelMm)} lower than the other: no two holes of these lines are nearer to level.`,
      better.slice(0, 3).map(({ title, other }) => change(title, other)),
    );
  }
  const wider = (widthMm: number): Suggestion[] => {
    for (let apart = rule.apart + 1; apart <= room; apart += 1) {
      const [a, b] = linesApart(form, frame, apart);
      if (Math.abs((profile.z[b - 1] ?? 0) - (profile.z[a - 1] ?? 0)) >= widthMm) {
        return [
          ...roundsApart(apart),
          ...(rule.sizeMm > smallestEyeMm
            ? [
                change(`Eyes of ${Math.max(smallestEyeMm, rule.sizeMm - 2)} mm`, {
                  ...rule,
                  sizeMm: Math.max(smallestEyeMm, rule.sizeMm - 2),
                }),
              ]
            : []),
        ];
      }
    }
    return [];
  };
  if (eyes.straightMm < rule.sizeMm)
    add(
      'eyes-overlap',
      'error',
      `The eyes are ${mm(rule.sizeMm)} wide but only ${mm(eyes.straightMm)} apart: they overlap.`,
      wider(rule.sizeMm),
    );
  else if (eyes.straightMm < eyes.washerMm)
    add(
      'washers-overlap',
      'error',
      `The washers inside are about ${mm(eyes.washerMm)} wide, the posts ${mm(eyes.straightMm)} apart: the washers overlap.`,
      wider(eyes.washerMm),
    );
  if (rule.sizeMm > gauge.widthMm * widestEyeInStitches) {
    const fit = Math.floor(gauge.widthMm * widestEyeInStitches);
    add(
      'eye-large',
      'warning',
      `A ${rule.sizeMm} mm eye is more than ${widestEyeInStitches} stitches wide at this gauge and pulls the fabric open around its post.`,
      [change(`${fit} mm`, { ...rule, sizeMm: fit })],
    );
  }
  const closes = roundCount(fabric, fabric.rounds) <= 12;
  for (const { side, line, stitch, azimuth } of posts) {
    const ringMm = 2 * (profile.radius[line - 1] ?? 0);
    const closer = roundsApart(rule.apart - 2);
    if (closes && fabric.rounds - line <= 2)
      add(
        'near-closing',
        'warning',
        `Round ${fabric.label[fabric.rounds - 1]} closes the piece beside the ${side} eye: its washer has no room and the opening is too small to press it.`,
        closer,
      );
    else if (ringMm < eyes.washerMm)
      add(
        'ring-too-small',
        'warning',
        `The piece is only ${mm(ringMm)} across at the ${side} eye; a washer is about ${mm(eyes.washerMm)}.`,
        closer,
      );
    if (rule.seat === 'foot' && (fabric.parentCount[(fabric.offset[line] ?? 0) + stitch - 1] ?? 1) > 1) {
      add(
        'on-decrease',
        'warning',
        `The ${side} eye falls on a decrease (stitch ${stitch} of round ${fabric.label[line]}): its hole is tight and off to one side.`,
        [
          change('1 stitch up', { ...rule, rise: (rule.rise ?? 0) + 1 }),
          change('1 stitch down', { ...rule, rise: (rule.rise ?? 0) - 1 }),
        ],
      );
    }
    const under = underWasherWords(underWasher(form, line, azimuth, eyes.washerMm), fabric.label);
    if (under)
      add(
        under.code,
        'warning',
        `The washer of the ${side} eye, about ${mm(eyes.washerMm)} across, ${under.words}: it will not sit flat.`,
        [...roundsApart(rule.apart - 2), ...roundsApart(rule.apart + 2)],
      );
  }
  return problems;
}
