import { bin, run } from './lib.mjs';
import { ensureChromium, ensurePackages } from './packages.mjs';

const inJest = (test) => [bin('jest'), ['--selectProjects', 'server', '--runTestsByPath', test]];

/** Long drills of what `npm test` does shortly: `npm run drill -- kill 300`, `-- browser 60`, `-- fuzz 30000`. */
const DRILLS = {
  kill: { command: inJest('server/src/killing.long.test.ts'), env: 'KILLS', usual: '300' },
  fuzz: { command: inJest('server/src/fuzz.long.test.ts'), env: 'BODIES', usual: '30000' },
  browser: {
    command: [
      bin('playwright'),
      ['test', '-c', 'e2e/playwright.config.ts', '--retries=0', '--project=phone', 'killing.spec.ts'],
    ],
    env: 'BROWSER_KILLS',
    usual: '60',
  },
};

ensurePackages();
const [name = '', times] = process.argv.slice(2);
const drill = DRILLS[name];
if (!drill) {
  console.error(`Say which: ${Object.keys(DRILLS).join(' or ')}.`);
  process.exit(2);
}
if (name === 'browser') {
  await import('./build/main.mjs');
  ensureChromium();
}
const [command, args] = drill.command;
run(command, args, { env: { [drill.env]: times ?? drill.usual } });
