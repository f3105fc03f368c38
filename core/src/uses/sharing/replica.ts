import isEqual from 'fast-deep-equal';
import type { Three } from './merge';

/** Puts together what two devices made of one thing. */
type Merge<T> = (three: Three<T>) => T;

/** A thing as the shop's computer keeps it, with the count of its saves and what each device last sent. */
export interface KeptAt<T> {
  rev: number;
  value: T;
  /** The id of the last sending that was taken, by device: the same sending is never taken twice. */
  taken: Readonly<Record<string, string>>;
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

export const replicaOf = <T>({ rev, value }: Pick<KeptAt<T>, 'rev' | 'value'>): Replica<T> => ({
  rev,
  base: value,
  value,
  inFlight: null,
});

/** Whether something on this device is not acknowledged yet. */
export const isUnsent = <T>({ base, value, inFlight }: Replica<T>): boolean =>
  inFlight !== null || !isEqual(base, value);

/** The replica with what it sends next: what is in flight once more, else all that was changed since. */
export function sending<T>(
  replica: Replica<T>,
  { id, device }: Pick<Sending<T>, 'id' | 'device'>,
): Replica<T> & { inFlight: Sending<T> } {
  const { rev, base, value } = replica;
  return { ...replica, inFlight: replica.inFlight ?? { id, device, rev, base, value } };
}

/** Of so many devices it is remembered what they last sent: more never work on one thing in a day. */
const MOST_REMEMBERED = 12;

/** The shop's computer hears a device. A sending that it has taken before changes nothing. */
export function received<T>(kept: KeptAt<T>, sent: Sending<T>, merge: Merge<T>): KeptAt<T> {
  const { id, device, rev, base, value: mine } = sent;
  if (kept.taken[device] === id) return kept;
  const value = rev === kept.rev ? mine : merge({ base, mine, theirs: kept.value });
  const { [device]: _, ...others } = kept.taken;
  const latest = Object.entries(others).slice(1 - MOST_REMEMBERED);
  return { rev: kept.rev + 1, value, taken: { ...Object.fromEntries(latest), [device]: id } };
}

/** A device hears what is kept now. While its own sending is not answered it waits: the answer tells it all. */
export function heard<T>(
  replica: Replica<T>,
  kept: Pick<KeptAt<T>, 'rev' | 'value'>,
  merge: Merge<T>,
): Replica<T> {
  if (replica.inFlight || kept.rev <= replica.rev) return replica;
  const { base, value: mine } = replica;
  const value = merge({ base, mine, theirs: kept.value });
  return { rev: kept.rev, base: kept.value, value, inFlight: null };
}

/** The answer to what is in flight: what it became. What was changed since it was sent stands on top of it. */
export function acknowledged<T>(
  replica: Replica<T>,
  kept: Pick<KeptAt<T>, 'rev' | 'value'>,
  merge: Merge<T>,
): Replica<T> {
  const { inFlight, value: mine } = replica;
  if (!inFlight) return replica;
  const value = merge({ base: inFlight.value, mine, theirs: kept.value });
  return { rev: kept.rev, base: kept.value, value, inFlight: null };
}
