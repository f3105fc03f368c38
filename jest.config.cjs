const { availableParallelism } = require('node:os');

const swc = [
  '@swc/jest',
  { jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2022' }, module: { type: 'commonjs' } },
];
const esmPackages =
  'd3-array|internmap|d3-polygon|d3-random|culori|clipper2-ts|fraction.js|svgson|svgpath|hono|@hono|@libsql|uuid|delaunator|robust-predicates';

const plain = (name, { globals = {}, ...more } = {}) => ({
  displayName: name,
  rootDir: `${__dirname}/${name}`,
  testEnvironment: 'node',
  // A test runs in a context of its own, where looking up a global costs some thirty times a local name.
  sandboxInjectedGlobals: ['Array', 'JSON', 'Map', 'Math', 'Object', 'Set'],
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  globals,
  setupFiles: [`${__dirname}/jest.seed.cjs`],
  setupFilesAfterEnv: [`${__dirname}/jest.clock.cjs`],
  transform: { '^.+\\.(ts|tsx|js|mjs)$': swc },
  transformIgnorePatterns: [`/node_modules/(?!(${esmPackages})/)`],
  moduleNameMapper: {
    '^@zt/core/(.*)$': `${__dirname}/core/src/$1.ts`,
  },
  ...more,
});

/** What asks any database the same plain questions, and what asks none: over a database server in the long run only. */
const READ_ALIKE = [
  '/(paper|exported|logbook|practice|drawings|cutter|drills|photos|weeks|http|devices|orders|day|history)/',
  '/(server|paging|bounds|caching|inTurns|stitchFileSchema)\\.test',
];

module.exports = {
  // One more than there are cores: what waits for a program to start or for a second try leaves its core to another.
  maxWorkers: availableParallelism() + 1,
  projects: [
    plain('core'),
    plain('server', {
      globals: { ENGINE: 'file' },
      globalSetup: `${__dirname}/server/src/testing/builtServer.mjs`,
    }),
    // The same server over a database server; without what works on the file itself, and what takes long.
    plain('server', {
      displayName: 'elsewhere',
      globals: { ENGINE: 'server' },
      testPathIgnorePatterns: [
        '\\.long\\.test',
        '/backup/',
        '/backups/',
        '/standIn/',
        '/wholeFile',
        ...(process.env.LONG === '1' ? [] : READ_ALIKE),
      ],
    }),
    '<rootDir>/app/jest.config.cjs',
  ],
};
