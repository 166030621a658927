import type { EyePlacement, Post } from './eyes';
import { lyingEyeDirections } from './lying/lyingWords';

/** The words for one seat: holes are counted as holes, splits as the stitch before them. */
export function seatWord(seat: 'foot' | 'split', many = true): string {
  if (seat === 'foot') return many ? 'holes' : 'hole';
  return many ? 'splits after stitches' : 'split after stitch';
}

const inOrder = (posts: readonly Post[]) => posts.map((post) => post.stitch).sort((a, b) => a - b);

/** The lines of holes of a pair with what is on each, in the order of work: two lines on a part that lies on its side. */
export function eyePlaces({ rule, posts }: EyePlacement): { gap: [number, number]; holes: string }[] {
  const [first, second] = inOrder(posts);
  if (!rule.other) return [{ gap: rule.gap, holes: `${seatWord(rule.seat)} ${first} and ${second}` }];
  return [...posts]
    .sort((a, b) => a.line - b.line)
    .map(({ stitch }, i) => ({
      gap: (i === 0 ? rule.gap : rule.other)!,
      holes: `${seatWord(rule.seat, false)} ${stitch}`,
    }));
}

/** `between round 12 and 13`, `holes 15 and 22`, `6 show`. */
export function eyeAddress(eyes: EyePlacement): { gap: string; holes: string; showing: string } {
  const places = eyePlaces(eyes);
  if (places.length > 1) {
    return {
      gap: `between rounds ${places.map(({ gap }) => gap.join(' and ')).join(' and between rounds ')}`,
      holes: places.map(({ holes }) => holes).join(' and '),
      showing: `${eyes.showing} ${eyes.showing === 1 ? 'round' : 'rounds'} apart`,
    };
  }
  return {
    gap: `between round ${eyes.rule.gap[0]} and ${eyes.rule.gap[1]}`,
    holes: places[0]?.holes ?? '',
    showing: `${eyes.showing} ${eyes.showing === 1 ? 'shows' : 'show'}`,
  };
}

/** How to find the places three ways: counting from the start of the round, by markers put in while working, and as a check. */
export function eyeDirections(eyes: EyePlacement): {
  count: string;
  markers: string;
  check: string;
  sides: string;
} {
  if (eyes.rule.other) return lyingEyeDirections(eyes);
  const [first = 0, second = 0] = inOrder(eyes.posts);
  const { of } = eyes.posts[0];
  const upper = eyes.rule.gap[1];
  const [left, right] = eyes.posts;
  const hole = eyes.rule.seat === 'foot';
  return {
    sides: `Left eye ${hole ? 'hole' : 'split'} ${left.stitch}, right eye ${hole ? 'hole' : 'split'} ${right.stitch}, as you look at the face.`,
    count: hole
      ? `Count along round ${upper} from its first stitch: the posts go through the feet of stitches ${first} and ${second} of ${of}.`
      : `Count along round ${upper} from its first stitch: the posts go just after stitches ${first} and ${second} of ${of}.`,
    markers: `While working round ${upper}, put a marker into stitches ${first} and ${second} as you pass them, and no counting is needed later.`,
    check: `Check: ${eyes.showing} whole ${eyes.showing === 1 ? 'stitch shows' : 'stitches show'} between the eyes across the face, ${of - (second - first) - (hole ? 1 : 0)} around the back.`,
  };
}
