import { bin, ensurePackages, run } from './lib.mjs';

ensurePackages();
for (const bench of ['planTicket', 'place']) run(bin('tsx'), [`core/bench/${bench}.ts`]);
