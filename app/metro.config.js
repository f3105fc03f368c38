const http = require('node:http');
const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
const { compileQuickly } = require('./bundling/compiledQuickly.cjs');
const { isLeftOut } = require('./bundling/packages.cjs');
const { noteShipped } = require('./bundling/shipped.cjs');

const config = getDefaultConfig(__dirname);
if (!config.resolver.assetExts.includes('woff2')) config.resolver.assetExts.push('woff2');
compileQuickly(config);
noteShipped(config);
config.watchFolders = [path.resolve(__dirname, '..')];
config.resolver.nodeModulesPaths = [
  path.resolve(__dirname, 'node_modules'),
  path.resolve(__dirname, '../node_modules'),
];

const shim = (name) => ({ type: 'sourceFile', filePath: path.resolve(__dirname, 'src/shims', name) });

/** Elements asks for nineteen icon fonts; the app draws its few signs itself. */
config.resolver.resolveRequest = (context, name, platform) => {
  if (name.startsWith('@react-native-vector-icons/')) return shim('noIcons.ts');
  if (name.startsWith('react-native-vector-icons/')) return { type: 'empty' };
  if (isLeftOut(name, context.originModulePath)) return { type: 'empty' };
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
