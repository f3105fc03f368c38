/** Packages that reckon or keep state: plain modern code. */
const PLAIN =
  /node_modules\/(zod|culori|d3-[\w-]+|internmap|delaunator|robust-predicates|clipper2-ts|fraction\.js|immer|react-dom|scheduler|react|react-redux|redux|redux-thunk|reselect|use-sync-external-store|@reduxjs\/toolkit|@tanstack|comlink|uuid|date-fns|@date-fns|papaparse|ics|jstat|ts-fsrs|fast-deep-equal|idb-keyval|async-mutex|svgpath|svgson|@noble|bidi-js|jsonc-parser)\//;

/** What notes the address of its own script must be run with that script. */
const MARKS_ITS_SCRIPT = /winter\/(runtime|ImportMeta)/;

/**
 * Whether the modules that a file imports are run as soon as it is. So they are where it reckons: looking at every use
 * whether they have run would cost there. Others are run when something of them is first used.
 */
const isEager = (file) => /core\/src\//.test(file) || PLAIN.test(file) || MARKS_ITS_SCRIPT.test(file);

/** The files of the colour package behind what core/src/base/colour/modes.ts imports, and what those import beside them. */
const OF_CULORI =
  /^\.\/((hsl|hwb|lab|lab65|lch|lch65|oklab|oklch|rgb|xyz50|xyz65)\/definition|converter|modes|formatter|round|difference|nearest|parse)\.js$/;

/** Whether a file of a package is not shipped, since nothing here uses it: its name as it is imported, and the file that does. */
function isLeftOut(name, from) {
  // Compiled code is handed to these: they read no file.
  if (name === 'fs') return /\/(clipper2-wasm|harfbuzzjs)\//.test(from);
  // No schema is made of a JSON schema, nor a JSON schema by the older generator, nor one compiled ahead of time; and
  // zod's own messages are never shown in another language.
  if (from.includes('/zod/'))
    return /(from-json-schema|json-schema-generator|\/compile)\.c?js$|locales\/index\.c?js$/.test(name);
  return from.endsWith('culori/src/index-fn.js') && !OF_CULORI.test(name);
}

module.exports = { isEager, isLeftOut };
