const { transform } = require('esbuild');

/** Metro's minifier: shortens a module's code. No source map is kept of what is shipped. */
module.exports = async ({ code }) => {
  const { code: minified } = await transform(code, { minify: true, target: 'es2022', legalComments: 'none' });
  return { code: minified.trimEnd() };
};
