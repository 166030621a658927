import { logbookOf } from '../make/logbook';
import type { RunEvent } from '../make/run';
import { analyseToy } from './analyse';
import { asMadeMarkdown } from './sheet/asMade';
import { tasksOf } from './tasksOf';

const text =
  'Toy: Mouse\nHead\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3-R5: sc around [12]\nR6: dec x 6 [6]\n';
const longer = text.replace('R3-R5', 'R3-R7').replace('R6', 'R8');
const start = Date.parse('2026-11-20T18:00:00Z');
const day = (at: number) => new Date(at).toISOString().slice(0, 10);
const run = { id: 'r', toy: 't', name: 'Mouse', text, copies: 2, started: new Date(start).toISOString() };
const made = (events: readonly RunEvent[]) => {
  const book = logbookOf(run, events, (one) => tasksOf(analyseToy(one)));
  return asMadeMarkdown(analyseToy(book.text), book, day);
};

test('the sheet of what was made has its own rounds, and what was written down', () => {
  const sheet = made([
    { kind: 'on', by: 'round', at: start + 60_000 },
    {
      kind: 'text',
      text: longer,
      why: 'Two rounds more like round 3.',
      place: { copy: 0, task: 1, move: 0 },
      at: start + 120_000,
    },
    { kind: 'note', text: 'Ears next:\nbrown is out', at: start + 180_000 },
  ]);
  expect(sheet).toContain('R3–7');
  expect(sheet).not.toContain('R3–5');
  expect(sheet).toContain('Begun 2026-11-20, not finished yet, 2 toys, 2 minutes by the taps.');
  expect(sheet).toMatch(/- 2026-11-20, Head, round \d, toy 1: Two rounds more like round 3\.\n/);
  expect(sheet).toMatch(/- 2026-11-20, Head, round 2, toy 1: Ears next: brown is out\n$/);
});

test('where nothing was written down it says so', () => {
  expect(made([])).toContain('Nothing was written down.');
});
