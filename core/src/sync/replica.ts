import isEqual from 'fast-deep-equal';
import type { Three } from './merge';

/** Puts together what two devices made of one thing. */
type Merge<T> = (three: Three<T>) => T;

/** A thing as the shop's computer keeps it, with the count of its saves. */
export interface KeptAt<T> {
  rev: number;
  value: T;
}

/** What a device sends: its value, and what it was made from, so that it can be put together with others' work. */
export interface Sending<T> {
  /** Its own id: sent again, it keeps it. */
  id: string;
  device: string;
  rev: number;
  base: T;
  value: T;
}

/** A thing as one device has it. All of it is kept on the device until the shop's computer has acknowledged it. */
export interface Replica<T> {
  /** The count of saves and the value that were last heard; `value` differs while something is not acknowledged. */
  rev: number;
  base: T;
  value: T;
  /** What was sent and is not answered yet; it is sent again as it was. */
  inFlight: Sending<T> | null;
}

export const replicaOf = <T>({ rev, value }: KeptAt<T>): Replica<T> => ({
  rev,
  base: value,
  value,
  inFlight: null,
});

/** Whether something on this device is not acknowledged yet; of what was just started (`rev` 0) nothing is. */
export const isUnsent = <T>({ rev, base, value, inFlight }: Replica<T>): boolean =>
  inFlight !== null || rev === 0 || !isEqual(base, value);

/** The replica with what it sends next: what is in flight once more, else all that was changed since. */
export function sending<T>(
  replica: Replica<T>,
  { id, device }: Pick<Sending<T>, 'id' | 'device'>,
): Replica<T> & { inFlight: Sending<T> } {
  const { rev, base, value } = replica;
  return { ...replica, inFlight: replica.inFlight ?? { id, device, rev, base, value } };
}

/** The shop's computer hears a device: a sending that it has not taken before. */
export const received = <T>(
  kept: KeptAt<T>,
  { rev, base, value: mine }: Pick<Sending<T>, 'rev' | 'base' | 'value'>,
  merge: Merge<T>,
): KeptAt<T> => ({
  rev: kept.rev + 1,
  value: rev === kept.rev ? mine : merge({ base, mine, theirs: kept.value }),
});

/** A device hears what is kept now. While its own sending is not answered it waits: the answer tells it all. */
export function heard<T>(replica: Replica<T>, kept: KeptAt<T>, merge: Merge<T>): Replica<T> {
  if (replica.inFlight || kept.rev <= replica.rev) return replica;
  const { base, value: mine } = replica;
  const value = merge({ base, mine, theirs: kept.value });
  return { rev: kept.rev, base: kept.value, value, inFlight: null };
}

/** The answer to what is in flight: what it became. What was changed since it was sent stands on top of it. */
export function acknowledged<T>(replica: Replica<T>, kept: KeptAt<T>, merge: Merge<T>): Replica<T> {
  const { inFlight, value: mine } = replica;
  if (!inFlight) return replica;
  const value = merge({ base: inFlight.value, mine, theirs: kept.value });
  return { rev: kept.rev, base: kept.value, value, inFlight: null };
}
