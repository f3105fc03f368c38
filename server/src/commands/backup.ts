import { existsSync } from 'node:fs';
import { createClient } from '@libsql/client';
import { makeBackup } from '../backup/backup';
import { readConfig } from '../config/config';
import { endSaying, Unusable } from '../unusable';

/** `npm run backup -- file`: the shop in one file, made while it goes on. */
async function run(to: string | undefined) {
  if (!to) throw new Unusable('Say where: npm run backup -- my-shop.zip');
  const { databaseUrl: url } = readConfig(process.env);
  if (!url.startsWith('file:')) throw new Unusable('The data is on another computer: back it up there.');
  if (!existsSync(url.slice('file:'.length)))
    throw new Unusable(`There is no data at ${url.slice('file:'.length)}: name its file with ZT_DATA.`);
  const client = createClient({ url });
  try {
    const { tickets, entries, shelfItems } = await makeBackup(client, to, new Date().toISOString());
    console.log(
      `${to} is made and checked: ${tickets} tickets, ${entries} log entries, ${shelfItems} things on the shelf.`,
    );
  } finally {
    client.close();
  }
}

await run(process.argv[2]).catch(endSaying);
