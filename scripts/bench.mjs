import { bin, ensurePackages, run } from './lib.mjs';

ensurePackages();
for (const bench of ['planTicket', 'place', 'hoop', 'layers']) run(bin('tsx'), [`core/bench/${bench}.ts`]);
run(process.execPath, ['scripts/benchBrowser.mjs']);
