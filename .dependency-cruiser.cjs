/**
 * The house's floors: whoever stands on one imports only from those below it, types included. `npm run lint` holds
 * it, `npm run graph` draws it, and core/src/floors.long.test.ts proves that it fails on a planted import.
 */

/** The floors of core from the ground up; from `sync` on they are the rooms that take a finished plan. */
const FLOORS = [
  'base',
  'model',
  'catalogue',
  'stock',
  'stages',
  'planner',
  'sync',
  'ledger',
  'records',
  'files',
  'table',
  'business',
  'paper',
];

/** The stages in the order of work. */
const STAGES = ['piece', 'design', 'place', 'hoop', 'layers', 'mount', 'stitch', 'finish', 'log'];

/** The floors of the app from the ground up; what stands on one line may lean on each other. */
const APP_FLOORS = [
  'theme|shims|types|everyone|files',
  'workers',
  'components',
  'services',
  'store',
  'shop',
  'hooks',
  'stitches',
  'sheet',
  'tape',
  'example',
  'stages',
  'day',
  'features',
  'app',
];

const TESTS = '\\.test\\.tsx?$|/testing/|^core/bench/';
const anyOf = (names) => `(${names.join('|')})`;

/** Forbids what stands in a list of folders to import from those after it. */
const upwards = (name, root, folders, comment) =>
  folders.slice(0, -1).map((folder, i) => ({
    name: `${name}: ${folder}`,
    comment,
    severity: 'error',
    from: { path: `^${root}/(${folder})/`, pathNot: TESTS },
    to: { path: `^${root}/${anyOf(folders.slice(i + 1))}/` },
  }));

module.exports = {
  forbidden: [
    {
      name: 'circle',
      comment: 'Files that import one another cannot be read one after the other.',
      severity: 'error',
      from: { pathNot: TESTS },
      to: { circular: true },
    },
    ...upwards('up a floor of core', 'core/src', FLOORS, 'A floor imports only from those below it.'),
    ...upwards('a later stage', 'core/src/stages', STAGES, 'A stage imports earlier ones only.'),
    ...upwards('up a floor of the app', 'app/src', APP_FLOORS, 'A floor imports only from those below it.'),
    {
      name: 'core leans on nothing',
      comment: 'core knows no interface and no server.',
      severity: 'error',
      from: { path: '^core/src/' },
      to: { path: '^(app|server|e2e|scripts)/' },
    },
    {
      name: 'tests only',
      comment: 'What is made for tests is not shipped.',
      severity: 'error',
      from: { path: '^(core|app|server)/src/', pathNot: TESTS },
      to: { path: '^(core|app|server)/src/testing/' },
    },
    {
      name: 'between features',
      comment: 'Features never import one another.',
      severity: 'error',
      from: { path: '^app/src/features/([^/]+)/', pathNot: TESTS },
      to: { path: '^app/src/features/', pathNot: '^app/src/features/$1/' },
    },
    {
      name: "another noun's routes",
      comment: 'What another noun keeps is read and written through its reader and writer.',
      severity: 'error',
      from: { path: '^server/src/features/([^/]+)/', pathNot: TESTS },
      to: { path: '^server/src/features/[^/]+/(routes|map)', pathNot: '^server/src/features/$1/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(node_modules|dist|drizzle|migrations)/' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.mjs', '.js', '.json'] },
    tsConfig: { fileName: 'tsconfig.base.json' },
  },
};
