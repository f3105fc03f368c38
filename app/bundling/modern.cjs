const { transform: compile } = require('esbuild');
const { byPlace, ofWebParts, runWhenUsed } = require('./imports.cjs');
const { memoized } = require('./memoized.cjs');
const { isEager } = require('./packages.cjs');

const DEFINED = {
  'process.env.NODE_ENV': '"production"',
  'process.env.EXPO_OS': '"web"',
  __DEV__: 'false',
};
const TARGET = 'es2022';

/** A module as the bundler runs it: the last parameter says which module each of its requires is. */
const HEAD = '__d(function(global,require,importDefault,importAll,module,exports,dependencyMap){';

/** What the compiler writes at the head of each module, its own functions for modules: modules.js has them for all. */
const OWN_HEAD =
  /^("use strict";\n)?(?:var __(?:create|defProp|getOwnPropDesc|getOwnPropNames|getProtoOf|hasOwnProp|export|copyProps|reExport|toESM|toCommonJS)\b[\s\S]*?;\n(?=[^\s})]|$))+/;

/**
 * A compiled module without those functions. It keeps them where it gives nothing to others, since its own code may follow
 * at once, and where its package was compiled so before: they are its own there.
 */
function withoutHead(code, source) {
  const [, own] = /\bmodule\.exports = __toCommonJS\((\w+)\)/.exec(code) ?? [];
  if (!own || source.includes('__defProp')) return code;
  const rest = code.replace(OWN_HEAD, '$1');
  const isDeclared = new RegExp(`\\b${own} = \\{\\}`).test(rest);
  return isDeclared ? rest : `var ${own} = {};\n${rest}`;
}

/** What is done only where there is no window is not shipped to where there is one. */
const inBrowser = (code) =>
  code
    .replace(/typeof window === ['"]undefined['"]/g, 'false')
    .replace(/typeof window !== ['"]undefined['"]/g, 'true');

/**
 * Makes a module of the bundle from modern code, TypeScript, or either with elements in it: what Expo's own transformer
 * does, in a fifth of its time. Returns what a transformer of Metro returns.
 */
async function transformModern(file, source) {
  const code = inBrowser((await memoized(file)) ?? source);
  const { code: headed } = await compile(code, {
    loader: file.endsWith('.ts') ? 'ts' : file.endsWith('.tsx') ? 'tsx' : 'jsx',
    format: 'cjs',
    jsx: 'automatic',
    target: TARGET,
    define: DEFINED,
    minifySyntax: true,
    // Told `.mjs`, the compiler would take what such a file imports by the rules of Node, which bundles know nothing of.
    sourcefile: file.replace(/\.mjs$/, '.js'),
  });
  const common = withoutHead(headed, source);
  // Where a module says such a name itself, uses of an import cannot be told from it.
  const isPlain = isEager(file) || /\bimport_\w/.test(source);
  const { names, code: placed } = byPlace(isPlain ? common : runWhenUsed(ofWebParts(common)));
  const isESMImport = /^\s*(import|export)\b/m.test(source);
  const { code: minified } = await compile(`${HEAD}${isESMImport ? '"use strict";' : ''}${placed}\n});`, {
    minify: true,
    target: TARGET,
    legalComments: 'none',
  });
  return {
    dependencies: names.map((name) => ({
      name,
      data: { key: name, asyncType: null, isESMImport, locs: [], exportNames: ['*'] },
    })),
    output: [
      {
        type: 'js/module',
        data: {
          code: minified.trimEnd(),
          lineCount: 1,
          map: [],
          functionMap: null,
          hasCjsExports: !isESMImport,
        },
      },
    ],
  };
}

module.exports = { transformModern };
