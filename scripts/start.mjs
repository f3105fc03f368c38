import { ensurePackages, ensureWebApp, startServer } from './lib.mjs';

/** Real use: your own data file, data/workshop.db unless ZT_DATA names another. */
ensurePackages();
ensureWebApp();
startServer({ PORT: process.env.PORT ?? '4600' });
