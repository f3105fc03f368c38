import { restoreBackup } from '../backup/restore';
import { readConfig } from '../config/config';
import { endSaying, Unusable } from '../unusable';

/** `npm run restore -- file`: a backup in the place of the data file, which is kept beside it. */
async function run(from: string | undefined) {
  if (!from) throw new Unusable('Say which: npm run restore -- my-shop.zip');
  const { databaseUrl } = readConfig(process.env);
  if (!databaseUrl.startsWith('file:'))
    throw new Unusable('The data is on another computer: restore it there. Nothing was changed.');
  const restored = await restoreBackup(from, databaseUrl.slice('file:'.length), new Date().toISOString());
  const { tickets, entries, shelfItems } = restored.holds;
  console.log(
    `The shop of ${restored.madeAt} is back: ${tickets} tickets, ${entries} log entries, ${shelfItems} things on the shelf.`,
  );
  if (restored.kept) console.log(`What it replaced is kept as ${restored.kept}.`);
}

await run(process.argv[2]).catch(endSaying);
