import type { DeviceRole } from '@zt/core/model/device';
import type { Context as Asked, MiddlewareHandler } from 'hono';
import { getCookie } from 'hono/cookie';
import type { Context } from '../context';
import { ApiError } from '../errors';
import { deviceShowing } from '../features/devices/reader';
import { markSeen } from '../features/devices/writer';
import { isThisComputer } from './remote';

/** The cookie in which a paired device shows that it is. */
export const DEVICE_COOKIE = 'device';

/** Who asks: the shop's computer itself, or a device that was paired with it. */
export interface Asker {
  /** Null for the shop's computer. */
  deviceId: string | null;
  role: DeviceRole | null;
  isShopsComputer: boolean;
}

declare module 'hono' {
  interface ContextVariableMap {
    asker: Asker;
  }
}

const SEEN_EVERY_MS = 60 * 60_000;

/** Finds out who asks. The shop's computer is its own owner; what it is asked by others they must have been paired for. */
async function askerOf(c: Asked, { store, now, remote, readOnly }: Context): Promise<Asker> {
  if (isThisComputer(remote(c))) return { deviceId: null, role: 'owner', isShopsComputer: true };
  const token = getCookie(c, DEVICE_COOKIE);
  const device = token ? await deviceShowing(store.db, token) : null;
  if (!device) return { deviceId: null, role: null, isShopsComputer: false };
  const isLongAgo = Date.parse(now()) - Date.parse(device.seenAt ?? device.pairedAt) > SEEN_EVERY_MS;
  if (isLongAgo && !readOnly) await store.write((tx) => markSeen(tx, device.id, now()));
  return { deviceId: device.id, role: device.role, isShopsComputer: false };
}

/** What may be asked by whoever is not paired yet: how to be. */
const OPEN = /^\/api\/(health|certificate|devices\/(me|pair))$/;

/** What only an owner may do: with the shop itself, and taking things away. */
const OWNERS: { method: RegExp; path: RegExp }[] = [
  { method: /./, path: /^\/api\/(backups|export)(\/|$)/ },
  { method: /./, path: /^\/api\/devices(\/(?!me$|pair$)|$)/ },
  { method: /^DELETE$/, path: /^\/api\/(tickets|set-aside)\// },
];

/** Sets who asks. */
export function whoAsks(context: Context): MiddlewareHandler {
  return async (c, next) => {
    await context.store.ready;
    c.set('asker', await askerOf(c, context));
    await next();
  };
}

/** Answers only devices that were paired, and of what an owner may do only owners. */
export function onlyPaired(): MiddlewareHandler {
  return async (c, next) => {
    const asker = c.get('asker');
    const { path, method } = c.req;
    if (asker.role === null && !OPEN.test(path))
      throw new ApiError(401, 'not-paired', 'This device is not paired with the shop’s computer.');
    const isOwners = OWNERS.some((one) => one.path.test(path) && one.method.test(method));
    if (isOwners && asker.role === 'helper')
      throw new ApiError(403, 'owners-only', 'Only an owner’s device may do this. Nothing was changed.');
    await next();
  };
}
