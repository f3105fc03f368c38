const preset = require('jest-expo/jest-preset');
const SCRIPTS = '\\.[jt]sx?$';
const [transformer, options] = preset.transform[SCRIPTS];
// Compiled as the app is.
const babel = [transformer, { ...options, caller: { ...options.caller, supportsReactCompiler: true } }];

module.exports = {
  displayName: 'app',
  preset: 'jest-expo',
  rootDir: __dirname,
  // As in the other projects: a global is found some thirty times quicker so.
  sandboxInjectedGlobals: ['Array', 'JSON', 'Map', 'Math', 'Object', 'Set'],
  globals: { ...preset.globals, LONG: process.env.LONG === '1' },
  setupFilesAfterEnv: [
    ...(preset.setupFilesAfterEnv ?? []),
    `${__dirname}/../jest.clock.cjs`,
    `${__dirname}/src/testing/patience.ts`,
  ],
  testMatch: ['<rootDir>/src/**/*.test.ts?(x)'],
  transformIgnorePatterns: [
    '/node_modules/(?!(\\.pnpm|(jest-)?react-native|@react-native(-community)?|expo|@expo|@expo-google-fonts|@rneui|react-native-.*|@reduxjs|immer|react-redux|d3-array|internmap|d3-polygon|d3-random|culori|clipper2-ts|fraction.js|svgson|svgpath|uuid|comlink|lucide-react-native)(/|$|-))',
  ],
  transform: { ...preset.transform, [SCRIPTS]: babel, '\\.mjs$': babel },
  moduleNameMapper: {
    '\\.woff2$': '<rootDir>/src/testing/fontStub.ts',
    '^@zt/core$': '<rootDir>/../core/src/index.ts',
    '^@zt/core/(.*)$': '<rootDir>/../core/src/$1.ts',
    '^@react-native-vector-icons/.*$': '<rootDir>/src/testing/iconStub.ts',
    '^react-native-vector-icons/.*$': '<rootDir>/src/testing/iconStub.ts',
  },
};
