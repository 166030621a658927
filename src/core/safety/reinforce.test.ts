import { holdingOfJoin, holdingOfPatch, holdingOfPost, holdingOfStitching } from './reinforce';
import { shippedRules } from './ruleBook';

test('holding: two ways of a seam are compared by their threads; twice is advised for the smallest and for thin joins', () => {
  const seam = { stitches: 12, noSew: false, isTwice: false };
  const few = holdingOfJoin({ ...seam, stitches: 4 }, '3-and-over', shippedRules);
  const usual = holdingOfJoin(seam, '3-and-over', shippedRules);
  const small = holdingOfJoin(seam, 'under-3', shippedRules);
  const done = holdingOfJoin({ ...seam, isTwice: true }, 'under-3', shippedRules);
  expect([few, usual, small, done].map(({ taken, advised }) => [taken.key, advised.key])).toEqual([
    ['once', 'twice'],
    ['once', 'once'],
    ['once', 'twice'],
    ['twice', 'twice'],
  ]);
  // A disc of 24 mm behind a washer of 14: (24 / 14)² is 2.9.
  const post = holdingOfPost({ washer: 14, disc: 24, isBacked: false }, '3-and-over', shippedRules);
  expect(post.advised.carries).toContain('2.9 times');
  const patch = holdingOfPatch({ isTwice: false }, 'under-3', shippedRules);
  const thread = holdingOfStitching('half its strands', shippedRules);
  for (const { ways, test: trial } of [few, usual, small, done, post, patch, thread])
    for (const { how, carries } of ways)
      expect(`${how} ${carries} ${trial}`).not.toMatch(/\b(safe|certif\w*|guarantee\w*|approved|meets)\b/i);
});
