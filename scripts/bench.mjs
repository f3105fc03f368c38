import { bin, ensurePackages, run } from './lib.mjs';

ensurePackages();
run(bin('tsx'), ['core/bench/planTicket.ts']);
