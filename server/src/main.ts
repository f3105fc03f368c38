import { serve } from '@hono/node-server';
import { backUpWhatIsDue } from './backup/schedule';
import { readConfig } from './config/config';
import { createContext } from './context';
import { createApp } from './create-app';
import { openDataFile } from './db/openDataFile';
import { seedDemo } from './demo/seedDemo';
import { packPlans } from './features/logbook/writer';
import { forgetOldSendings } from './features/sending';
import { endSaying, Unusable } from './unusable';

const HOUR_MS = 60 * 60 * 1000;
const now = () => new Date().toISOString();

async function run() {
  const config = readConfig(process.env);
  const data = await openDataFile(config, now);
  const { store, readOnly, backups } = data;
  const context = await createContext(config, { store, readOnly, backups, now });
  if (config.demo && !readOnly) await seedDemo(context);

  /** A backup that cannot be made is said, and hinders nobody. */
  const backUp = () =>
    backups &&
    backUpWhatIsDue(store.db.$client, backups, now()).catch((error: unknown) =>
      process.stderr.write(`No backup could be made: ${error instanceof Error ? error.message : error}\n`),
    );
  await backUp();
  if (!readOnly) {
    await store.write((tx) => forgetOldSendings(tx, now()));
    // Nobody waits for it.
    void packPlans(store).catch((error: Error) =>
      process.stderr.write(`Plans were not packed: ${error.message}\n`),
    );
  }
  setInterval(backUp, HOUR_MS).unref();

  const server = serve(
    { fetch: createApp(context).fetch, port: config.port, hostname: config.host },
    ({ port }) => {
      const name = config.host === '0.0.0.0' ? 'localhost' : config.host;
      console.log(`Zealous Thimble is ready: http://${name}:${port}`);
      if (readOnly) console.log(readOnly);
    },
  );
  server.once('error', (error: NodeJS.ErrnoException) => {
    const why =
      error.code === 'EADDRINUSE'
        ? `Port ${config.port} is in use: another program answers there, perhaps this one. Stop it, or name another with PORT.`
        : `Nothing can be answered at ${config.host}:${config.port} (${error.code}). Name another address with HOST and PORT.`;
    void data.close().then(() => endSaying(new Unusable(why)));
  });

  /** Answers no more, finishes what was asked to be written, and leaves one whole file. */
  const stop = async () => {
    server.close();
    await data.close();
    process.exit(0);
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

await run().catch(endSaying);
