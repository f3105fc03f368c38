import { getConnInfo } from '@hono/node-server/conninfo';
import type { Context as Asked } from 'hono';

const THIS_COMPUTER = /^(127\.|::1$|::ffff:127\.)/;

/** Whether an address is this computer's own; what comes by no network is. */
export const isThisComputer = (address: string | null): boolean =>
  address === null || THIS_COMPUTER.test(address);

/** The address that a request comes from; null where it comes by no network. */
export function remoteOf(c: Asked): string | null {
  try {
    return getConnInfo(c).remote.address ?? null;
  } catch {
    return null;
  }
}
