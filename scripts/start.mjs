import { serve } from './serve.mjs';

/**
 * Real use: your own data file, data/workshop.db unless ZT_DATA names another. With --lan other devices in the
 * network can be paired with this computer.
 */
const isLan = process.argv.includes('--lan');
await serve({ PORT: process.env.PORT ?? '4600', ...(isLan ? { HOST: '0.0.0.0' } : {}) });
