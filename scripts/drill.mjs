import { bin, ensurePackages, run } from './lib.mjs';

/** Long drills of what `npm test` does shortly: `npm run drill -- kill 300`, `npm run drill -- fuzz 30000`. */
const DRILLS = {
  kill: { test: 'server/src/killing.long.test.ts', env: 'KILLS', usual: '300' },
  fuzz: { test: 'server/src/fuzz.long.test.ts', env: 'BODIES', usual: '30000' },
};

ensurePackages();
const [name = '', times] = process.argv.slice(2);
const drill = DRILLS[name];
if (!drill) {
  console.error(`Say which: ${Object.keys(DRILLS).join(' or ')}.`);
  process.exit(2);
}
run(bin('jest'), ['--selectProjects', 'server', '--runTestsByPath', drill.test], {
  env: { [drill.env]: times ?? drill.usual },
});
