import { analyseToy } from './analyse';
import { pagesOf, papers, templatePages, type PaperName } from './sheet/templatesSvg';
import { heightOf, templatesOf, widthOf, type Template } from './templates';

const head = [
  'Gauge: 5 mm x 5 mm',
  '',
  'Head',
  'R1: 6 sc in ring',
  'R2: inc x 6',
  'R3: (sc, inc) x 6',
  'R4: (2 sc, inc) x 6',
  'R5-R10: sc around',
];
const cut = (...lines: string[]) =>
  templatesOf(analyseToy([...head, ...lines].join('\n'))).map(
    (template) => `${template.name}: ${size(template)}, cut ${template.cut}`,
  );
const size = (template: Template) =>
  `${Math.round(widthOf(template) * 10) / 10} × ${Math.round(heightOf(template) * 10) / 10}`;

test.each([
  ['Sew a felt nose 20 mm wide between R7 and R8.', 'Nose: 20 × 16, cut 1'],
  ['Sew on felt cheeks of 15 mm, between R8 and R9, 10 apart.', 'Cheeks: 15 × 15, cut 2'],
  ['Sew a felt patch of 40 mm over R6 to R9.', 'Patch: 40 × 40, cut 1'],
  [
    'Insert 8 mm eyes with felt circles of 16 mm between R5 and R6, 6 showing.',
    'Ring behind the eyes: 16 × 16, cut 2',
  ],
  [
    'Insert 9 mm eyes between R5 and R6, 6 showing. Reinforce the eyes: a 25 mm disc of felt behind each washer.',
    'Disc behind the washers of the eyes: 25 × 25, cut 2',
  ],
])('%s', (line, template) => {
  expect(cut(line)).toEqual([template]);
});

test.each([
  'Insert 9 mm eyes between R5 and R6, 6 showing.',
  'Embroider the nose over 3 stitches between R7 and R8.',
  'Sew a crocheted patch of 40 mm over R6 to R9.',
  'Sew a 10 mm button between R7 and R8.',
])('nothing is cut for: %s', (line) => {
  expect(cut(line)).toEqual([]);
});

test('an ear that is laid flat has an inside, a stitch smaller all round; the body a belly', () => {
  const templates = cut(
    '',
    'Ear (make 2)',
    'R1: 6 sc in ring',
    'R2: inc x 6',
    'R3-R8: sc around',
    'Flatten the ears and sew them to the head on round 5, 4 stitches from the front.',
  );
  // 12 stitches of 5 mm lie 30 wide: 20 between one stitch on each side. Rounds 2 to 8 of 5 mm each are 30 high.
  expect(templates).toEqual(['Inside of the ear: 20 × 30, cut 2']);
  const body = analyseToy(
    [
      ...head.map((line) => (line === 'Head' ? 'Body' : line)),
      '',
      'Arm (make 2)',
      'R1: 6 sc in ring',
      'R2-R6: sc around',
      'Sew the arms to the body on round 7, one on each side.',
    ].join('\n'),
  );
  // 24 stitches of 5 mm: a quarter is 30; ten rounds of 5 mm: half is 25.
  expect(templatesOf(body).map((template) => `${template.name} ${size(template)}`)).toEqual([
    'Belly for the body 30 × 25',
  ]);
});

const square = (mm: number, name = 'Square'): Template => ({
  name,
  cut: 1,
  why: '',
  outline: [
    [-mm / 2, -mm / 2],
    [mm / 2, -mm / 2],
    [mm / 2, mm / 2],
    [-mm / 2, mm / 2],
  ],
});

describe.each<PaperName>(['A4', 'Letter'])('on %s', (paper) => {
  const { width, height } = papers[paper];

  test('outlines stand beside each other, none over another, all where a printer reaches', () => {
    const pages = pagesOf(
      [30, 90, 44, 120, 8, 150, 60].map((mm) => square(mm)),
      paper,
    );
    expect(pages.flatMap(({ placed }) => placed)).toHaveLength(7);
    for (const { placed, tile } of pages) {
      expect(tile).toBeNull();
      placed.forEach(({ template, x, y }, i) => {
        const half = widthOf(template) / 2;
        expect(x - half).toBeGreaterThanOrEqual(12 - 1e-9);
        expect(x + half).toBeLessThanOrEqual(width - 12 + 1e-9);
        expect(y + half).toBeLessThanOrEqual(height - 12 - 22);
        for (const other of placed.slice(i + 1)) {
          const apart = half + widthOf(other.template) / 2;
          expect(Math.max(Math.abs(x - other.x), Math.abs(y - other.y))).toBeGreaterThanOrEqual(apart - 1e-9);
        }
      });
    }
  });

  test('what is larger than a sheet goes over several, each with its own piece', () => {
    const pages = pagesOf([square(400, 'Large')], paper);
    expect(pages.map(({ tile }) => tile)).toEqual(
      [1, 2].flatMap((row) => [1, 2, 3].map((column) => `row ${row} of 2, column ${column} of 3`)),
    );
    // The middle of the whole is one place, seen from every sheet: a sheet to the right sees it further to the left.
    const area = { width: width - 24, height: height - 24 - 22 };
    pages.forEach(({ placed }, i) => {
      expect(placed[0]?.x).toBeCloseTo(12 + (1.5 - (i % 3)) * area.width, 6);
      expect(placed[0]?.y).toBeCloseTo(12 + (1 - Math.floor(i / 3)) * area.height, 6);
    });
  });

  test('drawings are in millimetres, with a ruler of a hundred of them, and escape what the maker wrote', () => {
    const [page = ''] = templatePages([square(40, 'Patch <b>')], paper);
    expect(page).toContain(`width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}"`);
    expect(page).toMatch(/class="ruler" d="M12 [\d.]+h100/);
    expect(page).toContain('Patch &lt;b&gt;');
    expect(page).toContain('cut 1 · 40 × 40 mm');
    // What it says of lines and letters is of its own alone.
    const [, style = ''] = /<style>(.*?)<\/style>/.exec(page) ?? [];
    for (const rule of style.split('}').filter(Boolean)) expect(rule).toMatch(/^\.template-page /);
  });
});
