/** Folders from the ground up: each may use those before it. */
const core = [
  'words',
  'notation',
  'fabric',
  'shape',
  'place',
  'join',
  'plan',
  'make',
  'safety',
  'supplies',
  'toy',
  'edit',
  'invent',
  'keep',
];
const place = ['frame', 'rule', 'resolve', 'move', 'check', 'seated', 'words'];

/** Nothing in a folder imports a later one. */
const downward = (root, folders) =>
  folders.slice(0, -1).map((folder, i) => ({
    name: `${root}/${folder} stands below ${folders.slice(i + 1).join(', ')}`,
    severity: 'error',
    from: { path: `^${root}/${folder}/`, pathNot: '\\.test\\.' },
    to: { path: `^${root}/(${folders.slice(i + 1).join('|')})/` },
  }));

/** What is built on something is unknown to it. */
const unknown = (name, from, to) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.' },
  to: { path: to },
});

module.exports = {
  forbidden: [
    {
      name: 'no circles, of types neither',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    ...downward('src/core', core),
    ...downward('src/core/place', place),
    unknown(
      'the core knows nothing of what is built on it',
      '^src/core/',
      '^(app|server|cli|demo|src/(features|data|ui|workers))/',
    ),
    unknown('workers use the core only', '^src/workers/', '^(app|src/(features|data|ui))/'),
    unknown('controls know no data', '^src/ui/', '^(app|src/(features|data|workers))/'),
    unknown('data knows no screens', '^src/data/', '^(app|src/features)/'),
    unknown('features know no routes', '^src/features/', '^app/'),
    unknown('routes are thin: they compose features', '^app/', '^src/core/(?!words/language)'),
    unknown(
      'joins know nothing of how units stand in space',
      '^src/core/join/[^/]+$',
      '^src/core/join/pose/',
    ),
    unknown('tests help tests', '^src/', '^src/core/__tests__/'),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(\\.test\\.tsx?$|/__tests__/|\\.tmp\\.)' },
    tsConfig: { fileName: 'tsconfig.json' },
    // Imports of types are imports.
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.web.ts', '.web.tsx', '.js', '.mjs', '.cjs', '.json'],
    },
  },
};
