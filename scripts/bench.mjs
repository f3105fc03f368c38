import { bin, ensurePackages, run } from './lib.mjs';

ensurePackages();
for (const bench of ['planTicket', 'place', 'hoop']) run(bin('tsx'), [`core/bench/${bench}.ts`]);
