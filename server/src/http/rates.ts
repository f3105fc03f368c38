import type { MiddlewareHandler } from 'hono';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import type { Context } from '../context';
import { ApiError } from '../errors';
import { isThisComputer } from './remote';

/** So often a device may ask in so many seconds, and so often for what takes the shop's computer long. */
export const RATES = {
  any: { points: 600, duration: 10 },
  long: { points: 60, duration: 10 },
  /** A device that is not paired has little to ask. */
  unpaired: { points: 60, duration: 10 },
} as const;

/** Whom those count as whose address cannot be told. */
const NOBODY = 'no address';

/** What is worked out, drawn, packed or written to a file of its own. */
const LONG = /^\/api\/(plan|paper|practice$|cutter$|export|backups|logbook\/(advice|pictures)$)/;

/**
 * Answers another device only so often: one that runs wild leaves the others their turn. This computer itself may ask
 * as it will. Kept in memory, by device, and for unpaired ones by address. Asked too often, a device tries again: its
 * outbox holds what it has.
 */
export function notTooOften({ remote }: Context): MiddlewareHandler {
  const limits = {
    any: new RateLimiterMemory(RATES.any),
    long: new RateLimiterMemory(RATES.long),
    unpaired: new RateLimiterMemory(RATES.unpaired),
  };
  return async (c, next) => {
    const address = remote(c);
    if (isThisComputer(address)) return next();
    const { deviceId } = c.get('asker');
    const asked = deviceId === null ? 'unpaired' : LONG.test(c.req.path) ? 'long' : 'any';
    try {
      await limits[asked].consume(deviceId ?? address ?? NOBODY);
    } catch {
      c.header('retry-after', String(RATES[asked].duration));
      throw new ApiError(
        429,
        'too-often',
        'This device asks too often. What it has is kept; it is tried again.',
      );
    }
    await next();
  };
}
