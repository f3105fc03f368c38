import { ensureServer } from './build/server.mjs';
import { bin, run } from './lib.mjs';
import { ensurePackages } from './packages.mjs';

ensurePackages();
await ensureServer();
for (const bench of ['planTicket', 'place', 'hoop', 'layers', 'order', 'stitches', 'nest', 'cutPlan', 'day'])
  run(bin('tsx'), [`core/bench/${bench}.ts`]);
for (const bench of ['load', 'logbook', 'shop']) run(bin('tsx'), [`server/bench/${bench}.ts`]);
for (const bench of ['benchGrowth', 'benchBrowser', 'benchScroll'])
  run(process.execPath, [`scripts/${bench}.mjs`]);
