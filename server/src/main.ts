import { serve } from '@hono/node-server';
import { readConfig } from './config/config';
import { createContext } from './context';
import { createApp } from './create-app';
import { seedDemo } from './demo/seedDemo';

const config = readConfig(process.env);
const context = await createContext(config);
if (config.demo) await seedDemo(context);

const server = serve(
  { fetch: createApp(context).fetch, port: config.port, hostname: config.host },
  ({ port }) => {
    console.log(
      `Zealous Thimble is ready: http://${config.host === '0.0.0.0' ? 'localhost' : config.host}:${port}`,
    );
  },
);

/** Answers no more, finishes what was asked to be written, and leaves one whole file. */
async function stop() {
  server.close();
  await context.store.close();
  process.exit(0);
}
process.once('SIGINT', stop);
process.once('SIGTERM', stop);
