import { spawnSync } from 'node:child_process';
import { exampleA } from '@zt/core/testing/samples';
import { createApp } from '../create-app';
import { openTestApp, type TestApp } from '../testing/testApp';
import { type Doors, openDoors } from './network';
import { remoteOf } from './remote';

let shop: TestApp;
let doors: Doors;

beforeEach(async () => {
  shop = await openTestApp({ remote: remoteOf });
  doors = await openDoors(createApp(shop.context).fetch, shop.context.reach, {
    port: 0,
    certificates: null,
    nowMs: Date.now,
  });
});
afterEach(async () => {
  doors.close();
  await shop.close();
});

/** Sends a request over a connection of its own and resets it; ends once that is sent. */
const SENDS_AND_RESETS = `
  const [port, request] = process.argv.slice(1);
  const socket = require('node:net').connect(Number(port), '127.0.0.1', () =>
    socket.write(request, () => socket.resetAndDestroy()),
  );
`;

/** Writes a ticket and resets the connection, all before the server takes the connection: it is not at work meanwhile. */
function writeAndReset(id: string): void {
  const body = JSON.stringify({ ticket: { ...exampleA(), id }, rev: 0 });
  const request = [
    `PUT /api/tickets/${id} HTTP/1.1`,
    `host: 127.0.0.1:${doors.port}`,
    'content-type: application/json',
    `content-length: ${Buffer.byteLength(body)}`,
    '',
    body,
  ].join('\r\n');
  const { status } = spawnSync(process.execPath, ['-e', SENDS_AND_RESETS, String(doors.port), request]);
  expect(status).toBe(0);
}

const ticketIds = async () => {
  const answer = await fetch(`http://127.0.0.1:${doors.port}/api/tickets`);
  expect(answer.status).toBe(200);
  return (await answer.text()).match(/reset-ticket-\d/g) ?? [];
};

it('stores nothing for whom no address can be told, and this computer is answered as before', async () => {
  for (let n = 0; n < 5; n++) writeAndReset(`reset-ticket-${n}`);
  // Asked after them over a connection of its own: taken once theirs are.
  expect(await ticketIds()).toEqual([]);
  expect(await ticketIds()).toEqual([]);
});
