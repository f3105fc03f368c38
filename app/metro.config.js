const http = require('node:http');
const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
if (!config.resolver.assetExts.includes('woff2')) config.resolver.assetExts.push('woff2');
/**
 * Whether the modules that a file names are run only when it first uses them. That costs a look-up at every use: not
 * for what reckons. What notes the address of its own script must be run with that script.
 */
const isLazy = (file) =>
  file.endsWith('core/src/index.ts') ||
  !/core\/src\/|node_modules\/(zod|culori|d3-|clipper2|immer|react-dom|@reduxjs)|winter\/(runtime|ImportMeta)/.test(
    file,
  );
config.transformer.getTransformOptions = async () => ({
  transform: {
    experimentalImportSupport: true,
    inlineRequires: { blockList: new Proxy({}, { has: (_, file) => !isLazy(file) }) },
  },
});
config.watchFolders = [path.resolve(__dirname, '..')];
config.resolver.nodeModulesPaths = [
  path.resolve(__dirname, 'node_modules'),
  path.resolve(__dirname, '../node_modules'),
];

const shim = (name) => ({ type: 'sourceFile', filePath: path.resolve(__dirname, 'src/shims', name) });

/** The files of the colour package behind what core/src/base/colour/modes.ts imports, and what those import beside them. */
const OF_CULORI =
  /^\.\/((hsl|hwb|lab|lab65|lch|lch65|oklab|oklch|rgb|xyz50|xyz65)\/definition|converter|modes|formatter|round|difference|nearest|parse)\.js$/;

/** Elements asks for nineteen icon fonts; the app draws its few signs itself. Translations of zod's messages are not shipped. */
config.resolver.resolveRequest = (context, name, platform) => {
  if (name.startsWith('@react-native-vector-icons/')) return shim('noIcons.ts');
  if (name.startsWith('react-native-vector-icons/')) return { type: 'empty' };
  // Its compiled code is handed to it: it reads no file.
  if (name === 'fs' && /\/(clipper2-wasm|harfbuzzjs)\//.test(context.originModulePath))
    return { type: 'empty' };
  // Nothing here makes a schema of a JSON schema, nor a JSON schema by the older generator, nor compiles one ahead of time.
  if (
    /(from-json-schema|json-schema-generator|\/compile)\.c?js$/.test(name) &&
    context.originModulePath.includes('/zod/')
  )
    return { type: 'empty' };
  if (context.originModulePath.endsWith('culori/src/index-fn.js') && !OF_CULORI.test(name))
    return { type: 'empty' };
  if (
    /zod\/v4\/locales\/index\.c?js$/.test(name) ||
    (name.endsWith('locales/index.js') && context.originModulePath.includes('/zod/'))
  ) {
    return { type: 'empty' };
  }
  return context.resolveRequest(context, name, platform);
};

/** While working on the app, /api goes to the server that `npm run dev` started. */
if (process.env.ZT_API) {
  config.server.enhanceMiddleware = (metro) => (request, response, next) => {
    if (!request.url.startsWith('/api/')) return metro(request, response, next);
    const options = { method: request.method, headers: request.headers };
    const forward = http.request(new URL(request.url, process.env.ZT_API), options, (answer) => {
      response.writeHead(answer.statusCode ?? 502, answer.headers);
      answer.pipe(response);
    });
    forward.on('error', () => response.writeHead(502).end());
    return request.pipe(forward);
  };
}

module.exports = config;
