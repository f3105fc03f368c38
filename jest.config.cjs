const swc = [
  '@swc/jest',
  { jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2022' }, module: { type: 'commonjs' } },
];
const esmPackages =
  'd3-array|internmap|d3-polygon|d3-random|culori|clipper2-ts|fraction.js|svgson|svgpath|hono|@hono|@libsql|uuid|delaunator|robust-predicates';

/** Whether all cases of what enumerates are gone through, or the first of them (`npm run test:long`). */
const LONG = process.env.LONG === '1';

const plain = (name, { globals = {}, ...more } = {}) => ({
  displayName: name,
  rootDir: `${__dirname}/${name}`,
  testEnvironment: 'node',
  // A test runs in a context of its own, where looking up a global costs some thirty times a local name.
  sandboxInjectedGlobals: ['Array', 'JSON', 'Map', 'Math', 'Object', 'Set'],
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  globals: { LONG, ...globals },
  setupFiles: [`${__dirname}/jest.seed.cjs`],
  setupFilesAfterEnv: [`${__dirname}/jest.clock.cjs`],
  transform: { '^.+\\.(ts|tsx|js|mjs)$': swc },
  transformIgnorePatterns: [`/node_modules/(?!(${esmPackages})/)`],
  moduleNameMapper: {
    '^@zt/core$': `${__dirname}/core/src/index.ts`,
    '^@zt/core/(.*)$': `${__dirname}/core/src/$1.ts`,
  },
  ...more,
});

module.exports = {
  // One more than jest would take on two cores: the run's own process mostly waits.
  maxWorkers: '100%',
  projects: [
    plain('core'),
    plain('server', { globals: { ENGINE: 'file' } }),
    // The same server over a database server; without what works on the file itself, and what takes long.
    plain('server', {
      displayName: 'elsewhere',
      globals: { ENGINE: 'server' },
      testPathIgnorePatterns: ['\\.long\\.test', '/backup/', '/backups/', '/standIn/', '/wholeFile'],
    }),
    '<rootDir>/app/jest.config.cjs',
  ],
};
