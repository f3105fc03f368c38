import { createServer } from 'node:https';
import { join } from 'node:path';
import { serve } from '@hono/node-server';
import { backUpWhatIsDue } from './backup/schedule';
import { readConfig } from './config/config';
import { createContext } from './context';
import { createApp } from './create-app';
import { openDataFile } from './db/openDataFile';
import { seedDemo } from './demo/seedDemo';
import { packPlans } from './features/logbook/writer';
import { forgetOldSendings } from './features/sending';
import { certificatesFor } from './http/certificates';
import { isOpenToAll, namesOf } from './http/guard';
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

  const app = createApp(context);
  const server = serve({ fetch: app.fetch, port: config.port, hostname: config.host }, async ({ port }) => {
    const name = isOpenToAll(config.host) ? 'localhost' : config.host;
    // Only other devices need it: this computer is secure to itself.
    if (isOpenToAll(config.host) && data.folder) context.secure = await speakHttps(app, port);
    console.log(`Zealous Thimble is ready: http://${name}:${port}`);
    if (context.secure) console.log(`For paired devices, also https at port ${context.secure.port}.`);
    if (readOnly) console.log(readOnly);
  });
  server.once('error', (error: NodeJS.ErrnoException) => {
    const why =
      error.code === 'EADDRINUSE'
        ? `Port ${config.port} is in use: another program answers there, perhaps this one. Stop it, or name another with PORT.`
        : `Nothing can be answered at ${config.host}:${config.port} (${error.code}). Name another address with HOST and PORT.`;
    void data.close().then(() => endSaying(new Unusable(why)));
  });

  /** Speaks https at the port after the one of http, or at any that is free; says so where it cannot. */
  async function speakHttps({ fetch }: ReturnType<typeof createApp>, httpPort: number) {
    const { authority, key, cert } = await certificatesFor(
      namesOf(config.host),
      join(data.folder ?? '', 'certificates'),
      Date.now(),
    );
    const listen = (port: number) =>
      new Promise<number | null>((listening) => {
        const secure = serve(
          { fetch, port, hostname: config.host, createServer, serverOptions: { key, cert } },
          (at) => listening(at.port),
        );
        secure.once('error', () => listening(null));
      });
    const port = (config.port === 0 ? null : await listen(httpPort + 1)) ?? (await listen(0));
    return port === null ? null : { authority, port };
  }

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
