import { analyseToy, frameOfPart } from '../../toy/analyse';
import { applyEdits } from '../applyEdits';
import { readPattern } from '../readPattern';
import { raised } from '../../place/move/step';
import { proposedRule } from '../../place/rule/proposeRule';
import { writeRule } from '../../place/rule/writeRule';

const ball = (name: string) =>
  `${name}\nR1: 6 sc in ring (6)\nR2: inc x 6 (12)\nR3: (1 sc, inc) x 6 (18)\nR4-R9: sc (18)\nR10: (1 sc, dec) x 6 (12)\n`;
const toy = `Badger\n\n${ball('Head')}\n${ball('Body')}\n${ball('Arm (make 2)')}`;
/** Who has what: `Head: eyes nose`. */
const owned = (text: string) =>
  readPattern(text).parts.map(({ name, steps }) =>
    `${name}: ${steps.map((step) => (step.kind === 'feature' ? step.feature : step.kind)).join(' ')}`.trim(),
  );

test.each([
  [
    'a face goes on the head',
    'Assembly\nInsert 7 mm safety eyes between rounds 5 and 6, 4 showing.\nEmbroider the nose 1 round below the eyes, 3 wide.',
    ['Head: eyes nose', 'Body:', 'Arm:'],
  ],
  [
    'a part that is named',
    '## Making up\nSew a 10 mm button on the body between rounds 5 and 6.\nEmbroider brows between R4 and R5 on the head, 5 apart.',
    ['Head: brows', 'Body: button', 'Arm:'],
  ],
  [
    'named first, with a colon',
    'FINISHING:\nBody: sew a 10 mm button between rounds 5 and 6.\nSew a 6 mm button 2 rounds below the ridge.',
    ['Head:', 'Body: button button', 'Arm:'],
  ],
  [
    'what names nothing follows the one before, a face the eyes',
    'Details\nPlace 6 mm eyes between R5 and R6 of the arm, 3 showing.\nEmbroider a mouth 2 rounds below the eyes.',
    ['Head:', 'Body:', 'Arm: eyes mouth'],
  ],
  [
    'what goes by the eyes goes where they are',
    'Face\nEyes: 7 mm, between R5 and R6, 4 showing.\nSew a 10 mm button on the body between R5 and R6.\nSew a bow 3 rounds above the eyes.',
    ['Head: eyes bow', 'Body: button', 'Arm:'],
  ],
  [
    'beside a part is not on it',
    'Assembly\nEmbroider spots on both sides of the arm, between R4 and R5 of the body, 5 apart.',
    ['Head:', 'Body: spots', 'Arm:'],
  ],
  [
    'sewing stays, stuffing goes where it is said',
    'Assembly\nStuff the body firmly. Sew the arms to the body.',
    ['Head:', 'Body: stuff', 'Arm: sew'],
  ],
  [
    'a face of rounds is a part',
    'Face\nR1: 6 sc in ring (6)\nInsert 7 mm eyes between R1 and R2, 2 showing.',
    ['Head:', 'Body:', 'Arm:', 'Face: eyes'],
  ],
])('under a heading over several parts: %s', (_, section, parts) => {
  expect(owned(`${toy}\n${section}\n`)).toEqual(parts);
});

test('a sentence in one part that is about another goes there; places are no parts', () => {
  const text = toy.replace(
    '\nArm',
    'Sew a 20 mm felt patch between R4 and R5 of the head.\nSew a 10 mm button on the back between R5 and R6.\nSew the body to the head.\n\nArm',
  );
  expect(owned(text)).toEqual(['Head: patch', 'Body: button sew', 'Arm:']);
});

test('under such a heading nothing is a note, and rounds go on belonging to their parts', () => {
  const pattern = readPattern(
    `${toy}\nAssembly:\nInsert 7 mm safety eyes between rounds 5 and 6 of the head, 4 showing.\n`,
  );
  expect(pattern.notes).toEqual([]);
  expect(pattern.lineKinds.at(-3)).toBe('heading');
  expect(pattern.parts.map(({ rounds }) => rounds.length)).toEqual([10, 10, 10]);
});

test('what is written over goes on naming its part; what is new stands with its part', () => {
  const text = `${toy}\nAssembly\nSew a 10 mm button on the body between rounds 5 and 6.\n`;
  const body = analyseToy(text).parts[1]!;
  const [button] = body.features;
  const after = applyEdits(text, [writeRule(body.source, 'button', raised(frameOfPart(body), button!, 1)!)]);
  expect(after).toContain('Button: 10 mm, between R4 and R5, on the body.');
  expect(
    analyseToy(after).parts.map(({ features }) => features.map(({ id, line }) => `${id} ${line}`)),
  ).toEqual([[], ['button 4'], []]);
  const arm = analyseToy(text).parts[2]!;
  const added = applyEdits(text, [
    writeRule(arm.source, null, proposedRule('spots', arm.form, 0, arm.map.front)),
  ]);
  expect(analyseToy(added).parts.map(({ features }) => features.map(({ id }) => id))).toEqual([
    [],
    ['button'],
    ['spots'],
  ]);
});
