import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { bin, ROOT, run } from './lib.mjs';
import { ensureChromium, ensurePackages } from './packages.mjs';

/** Everything, from types to the real interface; ends with one line over all of it. */
ensurePackages();
const results = join(ROOT, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

const counts = { passed: 0, failed: 0 };
const failures = [];

function check(name, command, args, options) {
  console.log(`\n— ${name}`);
  if (run(command, args, { must: false, ...options }) !== 0) failures.push(name);
}

function add(file, read) {
  const path = join(results, file);
  if (!existsSync(path)) {
    failures.push(`${file}: no result`);
    return;
  }
  const { passed, failed } = read(JSON.parse(readFileSync(path, 'utf8')));
  counts.passed += passed;
  counts.failed += failed;
}

/** So many browser tests may need a second try; more are a fault of their own. */
const MOST_FLAKY = 2;

/** Names of the browser tests that failed and then passed. */
function flakyIn(suites = []) {
  return suites.flatMap((suite) => [
    ...(suite.specs ?? [])
      .filter((spec) => spec.tests.some((one) => one.status === 'flaky'))
      .map((spec) => `${suite.file}: ${spec.title}`),
    ...flakyIn(suite.suites),
  ]);
}

/** Does steps one after the other beside the rest; what they say is told once they are done. */
function beside(name, steps) {
  return new Promise((done) => {
    const child = spawn('sh', ['-c', steps.join(' && ')], { cwd: ROOT, env: { ...process.env, CI: '1' } });
    let said = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk) => {
        said += chunk;
      });
    child.once('exit', (code) => {
      console.log(`\n— ${name}\n${said}`);
      if (code !== 0) failures.push(name);
      done();
    });
  });
}

/** Types and lint use one core each while the web app is built with the other. */
const checks = beside('types and lint', [
  `(cd app && ${bin('expo')} customize tsconfig.json)`,
  'npm run --silent types',
  'npm run --silent lint',
]);
const build = beside('web app', [`${process.execPath} scripts/build/main.mjs`]);
await Promise.all([checks, build]);
check('unit and server tests', bin('jest'), ['--json', `--outputFile=${join(results, 'jest.json')}`]);
add('jest.json', (r) => ({
  passed: r.numPassedTests,
  failed: r.numFailedTests + r.numRuntimeErrorTestSuites,
}));

if (ensureChromium()) {
  const output = join(ROOT, '.build/playwright.json');
  rmSync(output, { force: true });
  check('browser tests', bin('playwright'), ['test', '-c', 'e2e/playwright.config.ts'], {
    env: { PLAYWRIGHT_JSON_OUTPUT_NAME: output },
  });
  add('../.build/playwright.json', (r) => {
    const flaky = flakyIn(r.suites);
    for (const name of flaky) console.log(`flaky, passed on its second try: ${name}`);
    const tooMany = flaky.length > MOST_FLAKY ? flaky.length : 0;
    return { passed: r.stats.expected + flaky.length - tooMany, failed: r.stats.unexpected + tooMany };
  });
} else {
  failures.push('browser tests: no browser');
}

const failed = Math.max(counts.failed, failures.length);
if (failures.length > 0) console.error(`\nFailed: ${failures.join('; ')}`);
console.log(`\n${counts.passed} passed, ${failed} failed`);
process.exit(failed > 0 || counts.passed === 0 ? 1 : 0);
