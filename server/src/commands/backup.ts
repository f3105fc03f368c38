import { createClient } from '@libsql/client';
import { makeBackup } from '../backup/backup';
import { readConfig } from '../config/config';
import { endSaying, Unusable } from '../unusable';

/** `npm run backup -- file`: the shop in one file, made while it goes on. */
async function run(to: string | undefined) {
  if (!to) throw new Unusable('Say where: npm run backup -- my-shop.zip');
  const client = createClient({ url: readConfig(process.env).databaseUrl });
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
