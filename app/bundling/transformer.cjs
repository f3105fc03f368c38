const { resolve } = require('node:path');
const expo = require('@expo/metro-config/build/transform-worker/transform-worker.js');
const { transformModern } = require('./modern.cjs');
const { shaken } = require('./shaken.cjs');

/** What is left to Expo: routes and what is fetched later, what a build is told, pictures and typefaces, other languages. */
const EXPOS = /\bimport\(|\brequire\.\w|process\.env\.(?!NODE_ENV|EXPO_OS)|@flow\b|\.(png|ttf|woff2)['"]/;
const SCRIPT = /\.(tsx?|jsx?|mjs)$/;

module.exports = {
  ...expo,

  /** While the app is being worked on, Expo does all: what is shipped is compiled here where that is quicker. */
  async transform(config, projectRoot, filename, data, options) {
    const isShipped = !options.dev && options.type === 'module' && SCRIPT.test(filename);
    const file = resolve(projectRoot, filename);
    const source = (isShipped && (await shaken(file))) || data.toString('utf8');
    return isShipped && !EXPOS.test(source)
      ? transformModern(file, source)
      : expo.transform(config, projectRoot, filename, data, options);
  },
};
