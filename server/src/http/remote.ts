import { getConnInfo } from '@hono/node-server/conninfo';
import type { Context as Asked } from 'hono';

/** The address that a request comes from; null where it comes by no network. */
export function remoteOf(c: Asked): string | null {
  try {
    return getConnInfo(c).remote.address ?? null;
  } catch {
    return null;
  }
}
