// What sentences of each kind come to. Each is a test; the app reads none of them.
import type { CloseSentence } from './close';
import type { CutSentence } from './cut';
import type { EncloseSentence } from './enclose';
import type { FoldSentence } from './fold';
import type { JoinSentence, PinSentence } from './join';
import type { ReinforceSentence } from './reinforce';
import type { SurfaceSentence } from './surface';
import type { StuffSentence } from './stuff';
import type { NamedPart, NamedUnits } from './names';

const named = (name: string): NamedPart => ({ id: name.toLowerCase(), name });
const part = (
  name: string,
  count: NamedUnits['count'] = null,
  side: NamedUnits['side'] = null,
): NamedUnits => ({ ...named(name), count, side });
const wall = named;

/** What sentences about stuffing come to. */
export const stuffExamples: readonly (readonly [string, Partial<StuffSentence>])[] = [
  ['Stuff firmly.', { firmness: 'firm', portion: null }],
  ['Stuff the body lightly.', { firmness: 'light', part: named('Body') }],
  ['Do not stuff.', { firmness: 'none' }],
  ['No need to stuff the ears.', { firmness: 'none', part: named('Ears') }],
  ['Stuff the lower half only.', { firmness: null, portion: { by: 'end', end: 'lower' } }],
  ['Don’t stuff the last 4 rounds.', { firmness: null, empty: { by: 'rounds', rounds: 4, at: 'last' } }],
  [
    'Leave the last two rounds unstuffed.',
    { firmness: null, empty: { by: 'rounds', rounds: 2, at: 'last' } },
  ],
  ['Do not stuff the top half.', { firmness: null, empty: { by: 'end', end: 'upper' } }],
  ['After round 9, stuff firmly.', { firmness: 'firm', after: 9 }],
  ['When 18 stitches are left, stuff.', { left: 18 }],
  ['Stuff firmly once there are 12 stitches remaining.', { firmness: 'firm', left: 12 }],
];

/** What sentences about closing come to. */
export const closeExamples: readonly (readonly [string, Partial<CloseSentence>])[] = [
  ['Close the hole.', { how: 'gathered', stitches: null }],
  ['Close the hole from the inside out.', { how: 'gathered', school: 'inside-out' }],
  ['Close the hole with a last slip stitch.', { how: 'gathered', slips: true }],
  ['Close the hole as a star, without a slip stitch.', { how: 'gathered', school: 'star' }],
  [
    'Weave the tail through the last 6 front loops from outside to inside and pull tight.',
    { how: 'gathered', school: 'outside-in' },
  ],
  ['Close the hole with a star stitch.', { how: 'gathered', school: 'star' }],
  ['Weave the tail through the last 6 stitches and pull tight.', { how: 'gathered', stitches: 6 }],
  ['Sew the opening shut.', { how: 'sewn' }],
  ['Do not close the hole.', { how: 'open' }],
  ['Leave the bottom open.', { how: 'open' }],
  ['After round 18, close the hole.', { how: 'gathered', after: 18 }],
];

/** What sentences about folding come to. */
export const foldExamples: readonly (readonly [string, Partial<FoldSentence>])[] = [
  ['Fold the ear in half.', { how: 'folded', part: named('Ears') }],
  ['Flatten the arm.', { how: 'flattened', part: named('Arm') }],
  ['Fold it flat and sc 5 through both layers to close.', { how: 'folded', shut: true }],
  ['Press flat and sc 5 through both sides to close.', { how: 'flattened', shut: true }],
  ['Pinch the bottom and sew it closed.', { how: 'pinched', shut: true }],
  ['Pinch the base of the ear.', { how: 'pinched', part: named('Ears') }],
];

/** What sentences about cutting come to. */
export const cutExamples: readonly (readonly [string, Partial<CutSentence>])[] = [
  ['Cut the yarn, leaving a 20 cm tail.', { tailMm: 200 }],
  ['Fasten off, leave a long tail for sewing.', { tailMm: null }],
  ['Leave a tail of 300 mm.', { tailMm: 300 }],
];

/** What sentences that join come to. */
export const joinExamples: readonly (readonly [string, Partial<JoinSentence | PinSentence>])[] = [
  [
    'Sew the ears to the head between R4 and R5.',
    { kind: 'sew', joined: [{ parts: [part('Ears')], wall: wall('Head') }], gap: [4, 5] },
  ],
  [
    'Sew the left arm to the body at round 20.',
    { kind: 'sew', joined: [{ parts: [part('Arm', 1, 'left')], wall: wall('Body') }], round: 20 },
  ],
  [
    'Sew the head and the two legs onto the body.',
    { joined: [{ parts: [part('Head', 1), part('Legs', 2)], wall: wall('Body') }] },
  ],
  [
    'Sew the ears to the head between R4 and R5, twice round.',
    { kind: 'sew', joined: [{ parts: [part('Ears')], wall: wall('Head') }], gap: [4, 5], twice: true },
  ],
  [
    'Sew the ears to the head and the head to the body.',
    {
      joined: [
        { parts: [part('Ears')], wall: wall('Head') },
        { parts: [part('Head', 1)], wall: wall('Body') },
      ],
    },
  ],
  [
    'Sew the ears to the head, their points at the middle of the crown, only the outer edge sewn.',
    { place: { point: { at: 'top' } } },
  ],
  [
    'Sew only the outer edge of the ears to the head, with their tips at the start.',
    { joined: [{ parts: [part('Ears')], wall: wall('Head') }] },
  ],
  [
    'Pin the tail to the body, at the back.',
    { kind: 'pin', joined: [{ parts: [part('Tail', 1)], wall: wall('Body') }], back: true },
  ],
  [
    'Sew the arms to the body 8 rounds above the legs, straight above them.',
    {
      joined: [{ parts: [part('Arm', null)], wall: wall('Body') }],
      place: { ofPart: { part: wall('Legs'), direction: 'above', rounds: 8 }, inLineWith: wall('Legs') },
    },
  ],
  [
    'Sew the arms to the body directly under the head.',
    { place: { ofPart: { part: wall('Head'), direction: 'below', rounds: null } } },
  ],
  [
    'Sew the ears to the head, two rounds out from the start.',
    { place: { outFrom: { rounds: 2, end: 'start' } } },
  ],
  [
    'Sew the legs to the body at round 5, 4 stitches from the front.',
    { round: 5, place: { aside: { stitches: 4, of: 'front' } } },
  ],
  ['Sew the legs evenly around round 6 of the body.', { round: 6, place: { evenly: true } }],
  [
    'Sew the tail to the top of the body.',
    { joined: [{ parts: [part('Tail', 1)], wall: wall('Body') }], place: { around: 'top' } },
  ],
  [
    'Flatten the ears and sew them to the head.',
    { kind: 'sew', edge: 'flattened', joined: [{ parts: [part('Ears')], wall: wall('Head') }] },
  ],
];

/** What sentences that reinforce come to. */
export const reinforceExamples: readonly (readonly [string, Partial<ReinforceSentence>])[] = [
  [
    'Reinforce the ears: sew twice round, in opposite directions.',
    { how: 'twice', part: named('Ears'), feature: null },
  ],
  ['Sew around the ears twice.', { how: 'twice', part: named('Ears') }],
  ['Sew round the seam twice.', { how: 'twice', part: null }],
  ['Reinforce the cheeks: sew twice round the edge.', { how: 'twice', feature: 'cheeks' }],
  ['Reinforce the eyes: a 20 mm disc of felt behind each washer.', { how: 'backing', discMm: 20 }],
  ['Put a piece of felt behind the washers.', { how: 'backing', feature: 'eyes', discMm: null }],
  ['Reinforce the chains: sew them down all along.', { how: 'sewn-down', feature: null }],
];

/** What sentences that put something inside come to. */
export const encloseExamples: readonly (readonly [string, Partial<EncloseSentence>])[] = [
  ['Put a bell inside.', { kind: 'enclose', thing: 'bell', sizeMm: null, part: null }],
  ['Insert a 30 mm rattle.', { thing: 'rattle', sizeMm: 30 }],
  ['Slip a 2.5 cm magnet into the body.', { thing: 'magnet', sizeMm: 25, part: named('Body') }],
  ['After round 15, put a squeaker inside.', { thing: 'squeaker', after: 15 }],
  ['Tuck a small bag of pellets in the tail.', { thing: 'bag of pellets', part: named('Tail') }],
];

/** What sentences that work along a line come to. */
export const surfaceExamples: readonly (readonly [string, Partial<SurfaceSentence>])[] = [
  [
    'Knot a fringe of 8 cm strands into every second stitch of round 24 of the body.',
    { kind: 'surface', thing: 'fringe', around: { round: 24, every: 2 }, strandMm: 80, part: named('Body') },
  ],
  ['Hook yarn strands into each stitch of R12.', { thing: 'yarn strands', around: { round: 12, every: 1 } }],
  [
    'Attach tassels all around round 9, in every 4th stitch.',
    { thing: 'tassels', around: { round: 9, every: 4 }, strandMm: null },
  ],
  [
    'Work a crest along the back from R4 to R14.',
    { kind: 'surface', thing: 'crest', along: ['back'], rounds: [4, 14], over: null },
  ],
  [
    'Surface crochet spines down the middle of the back of the body, from round 3 to round 12.',
    { thing: 'spines', along: ['back'], rounds: [3, 12], part: named('Body') },
  ],
  [
    'Make a row of slip stitches along both sides of the body between R3 and R9.',
    { thing: 'row of slip stitches', along: ['left', 'right'] },
  ],
  [
    'Crochet a mane from R8 at the front, over the top, to R12 at the back.',
    { thing: 'mane', along: ['front', 'back'], rounds: [8, 12], over: 'top' },
  ],
  ['Work a fringe along the back.', { along: ['back'], rounds: null }],
];
