import { v4 } from 'uuid';

/** Who sends: a page of its own, and what people call the device it is on. */
export interface Device {
  id: string;
  name: string;
}

/** What a device is called until somebody names it. */
const usualName = (): string =>
  /Mobi|Android|iPhone/.test(globalThis.navigator?.userAgent ?? '') ? 'a phone' : 'a computer';

/** What a storage of the browser has under a key; what is given is put there where it has nothing. */
function keptIn(storage: 'localStorage' | 'sessionStorage', key: string, first: () => string): string {
  try {
    const kept = globalThis[storage].getItem(key) ?? first();
    globalThis[storage].setItem(key, kept);
    return kept;
  } catch {
    // Where nothing may be kept it is another each time.
    return first();
  }
}

/** The longest name that the shop's computer takes. */
export const MOST_LETTERS = 60;

let known: Device | null = null;

/** Calls this device by another name from now on. */
export function callThisDevice(name: string): void {
  known = { ...thisDevice(), name: name.slice(0, MOST_LETTERS) };
  try {
    globalThis.localStorage.setItem('device', known.name);
  } catch {}
}

/** This page on this device. Two pages of one browser are two: each has work of its own in hand. */
export function thisDevice(): Device {
  known ??= {
    id: keptIn('sessionStorage', 'page', v4),
    name: keptIn('localStorage', 'device', usualName).slice(0, MOST_LETTERS),
  };
  return known;
}
