import { analyseToy } from '../core/toy/analyse';
import { habitIn, withHabit } from './habits';

jest.mock('./storage', () => ({ storage: { getItem: async () => null, setItem: async () => undefined } }));

const bare = 'Head\nR1: 6 sc in ring\nR2: inc x 6\nR3: sc around\nEyes: 6 mm, between R2 and R3, 4 apart.\n';

test('what 8 apart means to a maker is written into a text that leaves it open, once', () => {
  const kept = withHabit(bare, 'showing');
  expect(kept).toContain('Apart: stitches showing');
  expect(analyseToy(kept).problems.map(({ code }) => code)).not.toContain('apart-reading');
  expect(withHabit(kept, 'posts')).toBe(kept);
  expect(withHabit(bare, null)).toBe(bare);
});

test('a text that says it keeps what it says', () => {
  const said = bare.replace('4 apart', '4 apart (3 showing)');
  expect(withHabit(said, 'showing')).toBe(said);
});

test('a tap on one of the two readings tells of the habit, another remedy does not', () => {
  const [asked] = analyseToy(bare).problems.filter(({ code }) => code === 'apart-reading');
  expect(asked!.suggestions.map(({ edits }) => habitIn(edits))).toEqual(['posts', 'showing']);
  expect(habitIn([{ text: 'Eyes: 6 mm, between R2 and R3.' }])).toBeNull();
});
