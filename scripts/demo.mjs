import { serve } from './serve.mjs';

/** The demo: a shop of our own with tickets, shelf and logbook, in a data file of its own. */
await serve({ ZT_DEMO: '1', ZT_DATA: process.env.ZT_DATA ?? 'data/demo.db', PORT: process.env.PORT ?? '0' });
