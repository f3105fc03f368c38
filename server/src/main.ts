import { join } from 'node:path';
import { backUpWhatIsDue } from './backup/schedule';
import { readConfig } from './config/config';
import { createContext } from './context';
import { createApp } from './create-app';
import { openDataFile } from './db/openDataFile';
import { seedDemo } from './demo/seedDemo';
import { tellFactsAnew } from './features/logbook/facts';
import { packPlans } from './features/logbook/writer';
import { forgetOldSendings } from './features/sending';
import { isOpenToAll } from './http/guard';
import { openDoors } from './http/network';
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
    void packPlans(store)
      .then(() => tellFactsAnew(store))
      .catch((error: Error) =>
        process.stderr.write(`The logbook was not brought up to date: ${error.message}\n`),
      );
  }
  setInterval(backUp, HOUR_MS).unref();

  const { reach } = context;
  const doors = await openDoors(createApp(context).fetch, reach, {
    port: config.port,
    certificates: data.folder && join(data.folder, 'certificates'),
    nowMs: Date.now,
  }).catch(async (error: NodeJS.ErrnoException) => {
    await data.close();
    throw new Unusable(
      error.code === 'EADDRINUSE'
        ? `Port ${config.port} is in use: another program answers there, perhaps this one. Stop it, or name another with PORT.`
        : `Nothing can be answered at ${config.host}:${config.port} (${error.code}). Name another address with HOST and PORT.`,
    );
  });
  const name = isOpenToAll(config.host) ? 'localhost' : config.host;
  console.log(`Zealous Thimble is ready: http://${name}:${doors.port}`);
  if (reach.secure) console.log(`For paired devices, also https at port ${reach.secure.port}.`);
  if (readOnly) console.log(readOnly);

  /** Answers no more, finishes what was asked to be written, and leaves one whole file. */
  const stop = async () => {
    doors.close();
    await data.close();
    process.exit(0);
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

await run().catch(endSaying);
