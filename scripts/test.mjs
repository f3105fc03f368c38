import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { bin, ROOT, run } from './lib.mjs';
import { listOfLong } from './longTests.mjs';
import { ensureChromium, ensurePackages } from './packages.mjs';

/**
 * Everything, from types to the real interface; ends with one line over all of it. With `long`, all cases of what is
 * enumerated, and nothing else.
 */
const isLong = process.argv.includes('long');
/** A run that takes longer is run too seldom, min. */
const MOST_MIN = isLong ? Number.POSITIVE_INFINITY : 15;
/** So many browser tests may need a second try; more are a fault of their own. */
const MOST_FLAKY = 2;
const SLOWEST = 20;

ensurePackages();
const results = join(ROOT, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

const counts = { passed: 0, failed: 0 };
const failures = [];
/** How long each part took, s. */
const parts = [];
/** Each test by its seconds: of units a file, since what is set up for all of them counts. */
const slow = [];

async function timed(name, work) {
  const begun = performance.now();
  await work();
  parts.push([name, (performance.now() - begun) / 1000]);
}

function check(name, command, args, options) {
  console.log(`\n— ${name}`);
  if (run(command, args, { must: false, ...options }) !== 0) failures.push(name);
}

/** What a part counted in a file of results. */
function add(path, read) {
  if (!existsSync(path)) {
    failures.push(`${relative(ROOT, path)}: no result`);
    return;
  }
  const { passed, failed } = read(JSON.parse(readFileSync(path, 'utf8')));
  counts.passed += passed;
  counts.failed += failed;
}

/** Every browser test of some files, with its file. */
const testsIn = (suites = []) =>
  suites.flatMap((suite) => [
    ...(suite.specs ?? []).flatMap(({ title, tests }) =>
      tests.map(({ status, results: tries, projectName }) => ({
        name: `${suite.file}: ${title} (${projectName})`,
        isFlaky: status === 'flaky',
        contexts: tries.flatMap(({ attachments }) =>
          attachments.filter(({ name }) => name === 'error-context' || name === 'how-it-stands'),
        ),
        seconds: tries.reduce((sum, { duration }) => sum + duration, 0) / 1000,
      })),
    ),
    ...testsIn(suite.suites),
  ]);

/** What stood on the page when a test failed, as it is read; told in so many lines. */
const MOST_LINES = 60;
function tellPage({ path, body }) {
  if (body) return console.log(Buffer.from(body, 'base64').toString());
  const [, page = ''] = readFileSync(path, 'utf8').split(/^```yaml$/m);
  console.log(page.split('\n').slice(0, MOST_LINES).join('\n'));
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

const build = () => beside('web app', [`${process.execPath} scripts/build/main.mjs`]);
/** Types and lint use one core while the web app is built with the other. */
const checks = () =>
  beside('types and lint', [
    `(cd app && ${bin('expo')} customize tsconfig.json)`,
    'npm run --silent types',
    'npm run --silent lint',
  ]);

const env = isLong ? { LONG: '1' } : {};
await timed('types, lint and build', () => Promise.all([build(), ...(isLong ? [] : [checks()])]));

await timed('units', () => {
  const output = join(results, 'jest.json');
  const which = isLong ? ['\\.long\\.test'] : [];
  check('unit and server tests', bin('jest'), [...which, '--json', `--outputFile=${output}`], { env });
  add(output, (r) => {
    for (const { name, startTime, endTime } of r.testResults)
      slow.push([relative(ROOT, name), (endTime - startTime) / 1000]);
    return { passed: r.numPassedTests, failed: r.numFailedTests + r.numRuntimeErrorTestSuites };
  });
});

await timed('browser', () => {
  if (!ensureChromium()) {
    failures.push('browser tests: no browser');
    return;
  }
  const output = join(ROOT, '.build/playwright.json');
  rmSync(output, { force: true });
  const which = isLong ? ['--grep', '@long|@deep|@wide-deep'] : [];
  check('browser tests', bin('playwright'), ['test', '-c', 'e2e/playwright.config.ts', ...which], {
    env: { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: output },
  });
  add(output, (r) => {
    const tests = testsIn(r.suites);
    for (const { name, seconds } of tests) slow.push([name, seconds]);
    for (const { name, contexts } of tests.filter((test) => test.contexts.length > 0)) {
      console.log(`\nthe page where it failed: ${name}`);
      for (const context of contexts) tellPage(context);
    }
    const flaky = tests.filter(({ isFlaky }) => isFlaky);
    for (const { name } of flaky) console.log(`flaky, passed on its second try: ${name}`);
    const tooMany = flaky.length > MOST_FLAKY ? flaky.length : 0;
    return { passed: r.stats.expected + flaky.length - tooMany, failed: r.stats.unexpected + tooMany };
  });
});

const inS = (seconds) => `${seconds.toFixed(1).padStart(7)} s`;
console.log(`\n— the ${SLOWEST} slowest`);
for (const [name, seconds] of slow.sort(([, a], [, b]) => b - a).slice(0, SLOWEST))
  console.log(`${inS(seconds)}  ${name}`);
console.log('\n— time by part');
for (const [name, seconds] of parts) console.log(`${inS(seconds)}  ${name}`);
const minutes = parts.reduce((sum, [, seconds]) => sum + seconds, 0) / 60;
if (minutes > MOST_MIN)
  console.log(`\nThis took ${minutes.toFixed(1)} min; it should take ${MOST_MIN} on two quiet cores.`);
if (isLong) console.log(`\n— what this run added to npm test\n${listOfLong()}`);

const failed = Math.max(counts.failed, failures.length);
if (failures.length > 0) console.error(`\nFailed: ${failures.join('; ')}`);
console.log(`\n${counts.passed} passed, ${failed} failed`);
process.exit(failed > 0 || counts.passed === 0 ? 1 : 0);
