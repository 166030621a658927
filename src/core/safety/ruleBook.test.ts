import { changedRules, readRuleBook, shippedRules, writeRuleBook } from './ruleBook';

test('a rule book: written, read, what differs is told; a broken one is refused with its place', () => {
  const stricter = structuredClone(shippedRules);
  stricter.figures.cordMm = 150;
  stricter.rules.button.weights['3-and-over'] = 'stop';
  const read = readRuleBook(writeRuleBook(stricter));
  expect(read).toEqual({ ok: true, book: stricter });
  expect(changedRules(stricter)).toEqual(['figures.cordMm', 'rules.button.weights.3-and-over']);
  expect(changedRules(shippedRules)).toEqual([]);
  const broken = readRuleBook(writeRuleBook(stricter).replace('"cordMm": 150', '"cordMm": -1'));
  expect(broken).toMatchObject({ ok: false, message: expect.stringContaining('cordMm') });
  expect(readRuleBook('{')).toMatchObject({ ok: false });
});

test('a rule book kept before a rule was there is read, with that rule as it is shipped', () => {
  const older = JSON.parse(writeRuleBook(shippedRules)) as { rules: Record<string, unknown> };
  delete older.rules['loose-filling'];
  const read = readRuleBook(JSON.stringify(older));
  expect(read.ok && read.book).toEqual(shippedRules);
  delete older.rules.glue;
  expect(readRuleBook(JSON.stringify(older)).ok).toBe(false);
});
