const { readdirSync } = require('node:fs');
const { join, resolve } = require('node:path');
const { Worker } = require('node:worker_threads');

const SOURCES = resolve(__dirname, '../src');
const DRAWS = /\.tsx$|\/use\w+\.ts$/;
/**
 * Left out: what is drawn for one stage alone, and pages that are short. Measured on a drag at a quarter of a phone's
 * processor, what holds and moves the drawing is what counts; a key on the long pages, shelf, bench and rules, takes a
 * quarter of React's time for being remembered, and elsewhere longer. Tests are not shipped.
 */
const LEFT_OUT =
  /src\/(features\/(?!(bench|rules|shelf)\/)|components|stages\/\w+)\/|\.test\.tsx?$|\/testing\//;

/** The components and hooks of this app that are drawn while a finger moves, by their whole paths. */
const drawn = () =>
  readdirSync(SOURCES, { recursive: true })
    .map((name) => join(SOURCES, name))
    .filter((file) => DRAWS.test(file) && !LEFT_OUT.test(file));

let compiled = null;

/**
 * Has React's compiler go through them all at once, on a thread beside the one that bundles: it takes half as long as all
 * the rest. Returns what each will be, by its path.
 */
function compileAll() {
  const worker = new Worker(join(__dirname, 'memoizer.cjs'));
  const asked = new Map(drawn().map((file) => [file, deferred()]));
  let left = asked.size;
  worker.on('message', ({ file, code, error }) => {
    const { done, failed } = asked.get(file);
    if (error) failed(new Error(error));
    else done(code);
    left -= 1;
    if (left === 0) worker.terminate();
  });
  worker.on('error', (error) => {
    for (const { failed } of asked.values()) failed(error);
  });
  for (const [file, { promise }] of asked) {
    // Some are never asked for.
    promise.catch(() => undefined);
    worker.postMessage(file);
  }
  return asked;
}

function deferred() {
  const it = {};
  it.promise = new Promise((done, failed) => Object.assign(it, { done, failed }));
  return it;
}

/** A component or hook as React's compiler leaves it; null for a file that it is not shown. */
function memoized(file) {
  if (!file.startsWith(SOURCES)) return null;
  compiled ??= compileAll();
  return compiled.get(file)?.promise ?? null;
}

module.exports = { memoized };
