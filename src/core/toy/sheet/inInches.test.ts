import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { chooseMeasures } from '../../words/measures';
import { analyseToy } from '../analyse';
import { buildSheet } from './buildSheet';
import { patternForOthers, sameToy } from './forOthers';

// Words of a part are made once: what was said in mm before would stay so.
chooseMeasures({ length: 'inches', weight: 'ounces', locale: 'de-AT' });

describe.each(['otter', 'hedgehog', 'owl', 'frog', 'toadstool'])('the %s', (name) => {
  const toy = analyseToy(readFileSync(resolve(__dirname, `../../../../demo/${name}.txt`), 'utf8'));

  test('is written out in inches, yards and ounces, with her comma, and read back as the same toy', () => {
    const { text } = patternForOthers(toy, { terms: 'us', hand: 'right' });
    expect(text).toMatch(/Finished size: about [\d/ ]+ in high and [\d/ ]+ in wide\./);
    expect(text).toMatch(/\d+ yd, about \d+(,\d+)? oz/);
    expect(text.match(/.*\d (m|g|cm)\b.*/)).toBeNull();
    expect(sameToy(analyseToy(text))).toBe(sameToy(toy));
  });

  test('has a sheet with stops, tails and supplies in her measures, and eyes and safety figures in mm', () => {
    const said = JSON.stringify(buildSheet(toy));
    expect(said.match(/Leave a tail of \d+ in\./)).not.toBeNull();
    expect(said.match(/[^"]*\d (m|g|cm)\b[^"]*/)).toBeNull();
    // An opening, a part: nothing of 10 mm and more but what is sold in mm and what a standard says.
    const larger = [...said.matchAll(/[^"]{0,40}\b\d{2,}(,\d)? mm[^"]{0,20}/g)].map(([words]) => words);
    expect(
      larger.filter((words) => !/eye|washer|felt|button|cylinder|Gauge|fits|disc|cord|loop/i.test(words)),
    ).toEqual([]);
  });
});
