import { createServer } from 'node:https';
import type { Socket } from 'node:net';
import { type ServerType, serve } from '@hono/node-server';
import { isOpenToAll, namesOf } from './guard';
import { isThisComputer } from './remote';

const EVERYBODY = '0.0.0.0';
const NOBODY_ELSE = '127.0.0.1';

/**
 * How long a connection at rest is kept. After Node's own five seconds a device that asks again just then is cut off in
 * the middle of its question.
 */
const KEPT_MS = 75_000;

export type Answer = Parameters<typeof serve>[0]['fetch'];

/** How a server is asked: from where, and by https too. */
export interface Reach {
  /** What it listens on. */
  host: string;
  /** The certificate of the shop's own authority, and the port of https; null where it is not spoken. */
  secure: { authority: string; port: number } | null;
  /** Answers other devices in the network from now on, or no more; null where that is not to be switched here. */
  open: ((isOpen: boolean) => Promise<void>) | null;
}

interface Door {
  server: ServerType;
  port: number;
  /** Connections of other devices. */
  others: Set<Socket>;
}

function listening(options: Parameters<typeof serve>[0]): Promise<Door> {
  const others = new Set<Socket>();
  return new Promise((done, failed) => {
    const server = serve(options, ({ port }) => {
      server.off('error', failed);
      done({ server, port, others });
    });
    server.once('error', failed);
    if ('keepAliveTimeout' in server) server.keepAliveTimeout = KEPT_MS;
    server.on('connection', (socket: Socket) => {
      if (isThisComputer(socket.remoteAddress ?? null)) return;
      others.add(socket);
      socket.once('close', () => others.delete(socket));
    });
  });
}

/** Takes no new connection from now on; what this computer itself asked is answered still, other devices are cut off. */
function shut({ server, others }: Door) {
  server.close();
  for (const socket of others) socket.destroy();
}

export interface Doors {
  /** The port of http. */
  port: number;
  close: () => void;
}

/**
 * Answers at a host and port; `reach` says how from then on. For other devices https is spoken too, at the port after
 * the one of http or at any that is free, where a folder keeps its certificates. While open to all, it may be closed to
 * others and opened again as it runs.
 *
 * Throws what listening throws (EADDRINUSE, …).
 */
export async function openDoors(
  fetch: Answer,
  reach: Reach,
  { port: wanted, certificates, nowMs }: { port: number; certificates: string | null; nowMs: () => number },
): Promise<Doors> {
  let plain = await listening({ fetch, port: wanted, hostname: reach.host });
  const { port } = plain;
  let secure: Door | null = null;

  async function speakHttps() {
    if (!certificates) return;
    // What makes certificates takes longer to load than the rest of the server: only who opens to all waits for it.
    const { certificatesFor } = await import('./certificates');
    const { authority, key, cert } = await certificatesFor(namesOf(reach.host), certificates, nowMs());
    const speak = (at: number) =>
      listening({
        fetch,
        port: at,
        hostname: reach.host,
        createServer,
        serverOptions: { key, cert },
      }).catch(() => null);
    // Where any port would do for http, the next one is nobody's habit.
    const door = (wanted === 0 ? null : await speak(port + 1)) ?? (await speak(0));
    if (!door) return;
    secure = door;
    reach.secure = { authority, port: door.port };
  }

  const close = () => {
    shut(plain);
    if (secure) shut(secure);
    secure = null;
    reach.secure = null;
  };

  let switched = Promise.resolve();
  async function open(isOpen: boolean) {
    if (isOpenToAll(reach.host) === isOpen) return;
    close();
    const before = reach.host;
    reach.host = isOpen ? EVERYBODY : NOBODY_ELSE;
    try {
      plain = await listening({ fetch, port, hostname: reach.host });
    } catch (error) {
      // Another program has the port there: as it was before.
      reach.host = before;
      plain = await listening({ fetch, port, hostname: before });
      throw error;
    } finally {
      if (isOpenToAll(reach.host)) await speakHttps();
    }
  }
  if (isOpenToAll(reach.host)) await speakHttps();
  // A host that was named is kept to.
  if (reach.host === NOBODY_ELSE || isOpenToAll(reach.host))
    reach.open = (isOpen) => {
      const done = switched.then(() => open(isOpen));
      switched = done.catch(() => undefined);
      return done;
    };
  return { port, close };
}
