import { stuffingGrams, usualDensities, weighedDensities } from './stuffing';
import { gaugeOfYarn, leanOfYarn, readYarn, type Yarn } from './yarn';

const yarn: Yarn = {
  id: 'a',
  name: 'River cotton',
  weight: 'medium',
  hookMm: 3.5,
  swatch: null,
  wandered: null,
};

describe('stuffing', () => {
  test('a litre takes 20, 35 or 50 g by firmness, an empty part none', () => {
    expect(stuffingGrams(1000, 'light')).toBe(20);
    expect(stuffingGrams(1000, 'medium')).toBe(35);
    expect(stuffingGrams(320, 'firm')).toBeCloseTo(16, 9);
    expect(stuffingGrams(320, 'none')).toBe(0);
  });

  test('one weighing makes all firmnesses the maker’s own, in proportion', () => {
    const own = weighedDensities(500, 'medium', 21)!;
    expect(own.medium).toBeCloseTo(42, 9);
    expect(own.firm / own.medium).toBeCloseTo(usualDensities.firm / usualDensities.medium, 9);
    expect(stuffingGrams(500, 'medium', own)).toBeCloseTo(21, 9);
  });

  test.each([
    [0, 10],
    [500, 0],
    [500, 900],
    [500, Number.NaN],
  ])('%d ml and %d g is no weighing', (volume, grams) => {
    expect(weighedDensities(volume, 'medium', grams)).toBeNull();
  });
});

describe('yarn', () => {
  test('by the table until a swatch is measured, then by the swatch', () => {
    expect(gaugeOfYarn(yarn)).toEqual({ widthMm: 5, heightMm: 4.1, assumed: true });
    expect(gaugeOfYarn({ ...yarn, swatch: { tenStitchesMm: 52, tenRoundsMm: 47 } })).toEqual({
      widthMm: 5.2,
      heightMm: 4.7,
      assumed: false,
    });
  });

  test('the lean is a tenth of what the marker wandered over ten rounds', () => {
    expect(leanOfYarn(yarn)).toBe(0.25);
    expect(leanOfYarn({ ...yarn, wandered: 2.3 })).toBeCloseTo(0.23, 9);
    expect(leanOfYarn({ ...yarn, wandered: 0 })).toBe(0);
  });

  test('what can’t be a yarn is refused with what to mend', () => {
    expect(readYarn(yarn)).toEqual({ ok: true, yarn });
    expect(readYarn({ ...yarn, name: ' ' })).toEqual({ ok: false, message: expect.stringContaining('name') });
    expect(readYarn({ ...yarn, name: 'cotton, blue' })).toEqual({
      ok: false,
      message: 'A yarn’s name can’t hold a comma.',
    });
    expect(readYarn({ ...yarn, hookMm: 99 }).ok).toBe(false);
    expect(readYarn({ ...yarn, swatch: { tenStitchesMm: 50 } }).ok).toBe(false);
    expect(readYarn(null).ok).toBe(false);
  });
});
