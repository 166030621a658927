import type { EyePlacement, Post } from './eyes';

/** The words for one seat: holes are counted as holes, splits as the stitch before them. */
export function seatWord(seat: 'foot' | 'split', many = true): string {
  if (seat === 'foot') return many ? 'holes' : 'hole';
  return many ? 'splits after stitches' : 'split after stitch';
}

const inOrder = (posts: readonly Post[]) => posts.map((post) => post.stitch).sort((a, b) => a - b);

/** `between round 12 and 13`, `holes 15 and 22`, `6 show`. */
export function eyeAddress(eyes: EyePlacement): { gap: string; holes: string; showing: string } {
  const [first, second] = inOrder(eyes.posts);
  return {
    gap: `between round ${eyes.rule.gap[0]} and ${eyes.rule.gap[1]}`,
    holes: `${seatWord(eyes.rule.seat)} ${first} and ${second}`,
    showing: `${eyes.showing} ${eyes.showing === 1 ? 'shows' : 'show'}`,
  };
}

/** How to find the places three ways: counting from the start of the round, by markers put in while working, and as a check. */
export function eyeDirections(eyes: EyePlacement): { count: string; markers: string; check: string; sides: string } {
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
