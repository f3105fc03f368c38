import { createHash, randomBytes, randomInt } from 'node:crypto';
import type { DeviceRole } from '@zt/core/model/device';

/** So long a code may be entered, ms. */
export const CODE_MS = 5 * 60_000;
/** After so many wrong codes a code counts no more. */
export const MOST_WRONG = 5;
/** From one address so many codes may be tried in so long. */
export const MOST_TRIES = 10;
export const TRIES_MS = 10 * 60_000;

interface Code {
  code: string;
  role: DeviceRole;
  expiresMs: number;
  wrong: number;
}

export type Tried = { ok: true; role: DeviceRole } | { ok: false; why: 'wrong' | 'too-many' };

/** The one code that may be entered now, and who has tried. Kept in memory: a code is gone when the program ends. */
export class Pairing {
  private current: Code | null = null;
  private tries = new Map<string, number[]>();

  /** A new code; one that was asked for before counts no more. */
  ask(role: DeviceRole, nowMs: number): { code: string; expiresMs: number } {
    const code = String(randomInt(0, 1_000_000)).padStart(6, '0');
    this.current = { code, role, expiresMs: nowMs + CODE_MS, wrong: 0 };
    return { code, expiresMs: this.current.expiresMs };
  }

  /** Enters a code from an address. A right one counts once. */
  enter(code: string, from: string, nowMs: number): Tried {
    const recent = (this.tries.get(from) ?? []).filter((at) => nowMs - at < TRIES_MS);
    if (recent.length >= MOST_TRIES) return { ok: false, why: 'too-many' };
    this.tries.set(from, [...recent, nowMs]);
    const { current } = this;
    if (!current || current.expiresMs < nowMs) return { ok: false, why: 'wrong' };
    if (current.code !== code) {
      current.wrong += 1;
      if (current.wrong >= MOST_WRONG) this.current = null;
      return { ok: false, why: 'wrong' };
    }
    this.current = null;
    this.tries.delete(from);
    return { ok: true, role: current.role };
  }
}

/** What a device shows from now on: nobody can guess it, and only its hash is kept. */
export const newToken = (): string => randomBytes(32).toString('base64url');
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
