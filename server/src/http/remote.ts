import { getConnInfo } from '@hono/node-server/conninfo';
import type { Context as Asked } from 'hono';

const THIS_COMPUTER = /^(127\.|::1$|::ffff:127\.)/;

/** Whether an address is proven to be this computer's own. */
export const isThisComputer = (address: string | null): boolean =>
  address !== null && THIS_COMPUTER.test(address);

/**
 * The address that a request comes from. Null where that cannot be told: a connection that was reset before it was
 * taken has none any more, though what was sent over it is still read. Who asks so is a stranger.
 */
export function remoteOf(c: Asked): string | null {
  try {
    return getConnInfo(c).remote.address ?? null;
  } catch {
    return null;
  }
}
