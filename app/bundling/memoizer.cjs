const { readFileSync } = require('node:fs');
const { parentPort } = require('node:worker_threads');
const { transformSync } = require('@babel/core');

/** Components and hooks with React's compiler's memory in them; still TypeScript. */
function memoize(file) {
  const { code } = transformSync(readFileSync(file, 'utf8'), {
    filename: file,
    babelrc: false,
    configFile: false,
    compact: false,
    comments: false,
    parserOpts: { plugins: ['jsx', 'typescript'] },
    plugins: [['babel-plugin-react-compiler', { target: '19' }]],
  });
  return code;
}

parentPort.on('message', (file) => {
  try {
    parentPort.postMessage({ file, code: memoize(file) });
  } catch (error) {
    parentPort.postMessage({ file, error: error.message });
  }
});
