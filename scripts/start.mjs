import { ensurePackages, ensureWebApp, startServer } from './lib.mjs';

/**
 * Real use: your own data file, data/workshop.db unless ZT_DATA names another. With --lan other devices in the
 * network can be paired with this computer.
 */
ensurePackages();
ensureWebApp();
const isLan = process.argv.includes('--lan');
startServer({ PORT: process.env.PORT ?? '4600', ...(isLan ? { HOST: '0.0.0.0' } : {}) });
