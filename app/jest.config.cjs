const preset = require('jest-expo/jest-preset');
const SCRIPTS = '\\.[jt]sx?$';
/** Our own modules need no more than their types taken off: so a fresh copy is compiled in seconds. */
const OURS = '/(app|core)/src/.*\\.tsx?$';
const swc = [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true },
      transform: { react: { runtime: 'automatic' } },
      target: 'es2022',
    },
    module: { type: 'commonjs' },
  },
];

module.exports = {
  displayName: 'app',
  preset: 'jest-expo',
  rootDir: __dirname,
  // As in the other projects: a global is found some thirty times quicker so.
  sandboxInjectedGlobals: ['Array', 'JSON', 'Map', 'Math', 'Object', 'Set'],
  globals: preset.globals,
  setupFilesAfterEnv: [
    ...(preset.setupFilesAfterEnv ?? []),
    `${__dirname}/../jest.clock.cjs`,
    `${__dirname}/src/testing/patience.ts`,
  ],
  testMatch: ['<rootDir>/src/**/*.test.ts?(x)'],
  transformIgnorePatterns: [
    '/node_modules/(?!(\\.pnpm|(jest-)?react-native|@react-native(-community)?|expo|@expo|@expo-google-fonts|@rneui|react-native-.*|@reduxjs|immer|react-redux|d3-array|internmap|d3-polygon|d3-random|culori|clipper2-ts|fraction.js|svgson|svgpath|uuid|comlink|lucide-react-native)(/|$|-))',
  ],
  transform: { [OURS]: swc, ...preset.transform, '\\.mjs$': preset.transform[SCRIPTS] },
  moduleNameMapper: {
    '\\.woff2$': '<rootDir>/src/testing/fontStub.ts',
    '^@zt/core/(.*)$': '<rootDir>/../core/src/$1.ts',
    '^@react-native-vector-icons/.*$': '<rootDir>/src/testing/iconStub.ts',
    '^react-native-vector-icons/.*$': '<rootDir>/src/testing/iconStub.ts',
  },
};
