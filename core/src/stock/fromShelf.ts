import { randomLcg } from 'd3-random';
import { colourDifference, lightnessOf } from '../base/colour/colour';
import { parse, toLch } from '../base/colour/modes';
import { shortTurnDeg } from '../base/geometry/point';
import { numberFor } from '../catalogue/houseNumber';
import { LAYER_NUMBERS } from '../catalogue/numbers/layers';
import type { HouseRules } from '../model/houseRules';
import type { Thread } from '../model/shelf';
import { spoolsOf } from './spools';

/** Hues nearer than this, degrees, are the same to the eye. */
const SAME_HUE_DEG = 16;
/** A colour with less chroma than this is a grey: it has no hue. */
const GREY_CHROMA = 8;

/** Whether a thread of this colour is seen on cloth of that one: by the house's least difference in lightness. */
export const isSeenOn = (ground: string, hex: string, rules: HouseRules): boolean =>
  Math.abs(lightnessOf(hex) - lightnessOf(ground)) >= numberFor(rules, LAYER_NUMBERS.leastContrast);

/** Whether two colours are of one hue; greys are of one hue with greys only. */
export function sameHue(a: string, b: string): boolean {
  const [one, other] = [toLch(parse(a)), toLch(parse(b))];
  if (!one || !other) return false;
  const [greyOne, greyOther] = [one.c < GREY_CHROMA, other.c < GREY_CHROMA];
  if (greyOne || greyOther) return greyOne && greyOther;
  const apart = Math.abs(shortTurnDeg((one.h ?? 0) - (other.h ?? 0)));
  return apart <= SAME_HUE_DEG;
}

/**
 * A tone-on-tone ladder from the threads owned: of one hue with a colour, from dark to light, each at least the
 * house's step in lightness from the one before. Empty when no thread is of that hue.
 */
export function toneLadder(hex: string, threads: readonly Thread[], rules: HouseRules): Thread[] {
  const step = numberFor(rules, LAYER_NUMBERS.toneStep);
  const tones = threads
    .filter((thread) => sameHue(hex, thread.hex))
    .sort((a, b) => lightnessOf(a.hex) - lightnessOf(b.hex));
  const ladder: Thread[] = [];
  for (const thread of tones) {
    const last = ladder[ladder.length - 1];
    if (!last || lightnessOf(thread.hex) - lightnessOf(last.hex) >= step) ladder.push(thread);
  }
  return ladder;
}

/**
 * As many threads as asked, drawn from those owned: different ones while there are enough, the same for the same
 * seed. Each is seen on the ground, where enough of them are.
 */
export function shuffledThreads(
  threads: readonly Thread[],
  count: number,
  on: { ground: string; seed: number; rules: HouseRules },
): Thread[] {
  const seen = threads.filter((t) => isSeenOn(on.ground, t.hex, on.rules));
  const pool = [...(seen.length >= count ? seen : threads)];
  const random = randomLcg((on.seed + 1) / 2 ** 32);
  for (let i = pool.length - 1; i > 0; i--) {
    const k = Math.floor(random() * (i + 1));
    const [a, b] = [pool[i], pool[k]];
    if (a && b) [pool[i], pool[k]] = [b, a];
  }
  return pool.length === 0 ? [] : Array.from({ length: count }, (_, i) => pool[i % pool.length] as Thread);
}

/** How well a thread stands for a colour. */
export type ThreadMatch = 'same' | 'close' | 'substitute' | 'none';

/** The shelf's thread nearest in CIEDE2000: up to 2 the same, up to 5 close, beyond a substitute. */
export function nearestThread(
  hex: string,
  threads: readonly Thread[],
): { thread: Thread | null; match: ThreadMatch } {
  let best: { thread: Thread; difference: number } | null = null;
  for (const thread of threads) {
    const difference = thread.hex === hex ? 0 : colourDifference(thread.hex, hex);
    if (!best || difference < best.difference) best = { thread, difference };
    if (difference === 0) break;
  }
  if (!best) return { thread: null, match: 'none' };
  return {
    thread: best.thread,
    match: best.difference <= 2 ? 'same' : best.difference <= 5 ? 'close' : 'substitute',
  };
}

/** Whether a spool is of a kind: its weight and its fibre. */
export const isOfKind = (thread: Thread, kind: Pick<Thread, 'weight' | 'fibre'>): boolean =>
  thread.weight === kind.weight && thread.fibre === kind.fibre;

/**
 * The shelf's thread for a colour: one of the kind wanted while one is close, else the nearest of any kind. A thread
 * of another kind is never more than a substitute.
 */
export function threadFor(
  hex: string,
  kind: Pick<Thread, 'weight' | 'fibre'>,
  threads: readonly Thread[],
): { thread: Thread | null; match: ThreadMatch } {
  const { thread, match } = nearestOf(hex, kind, threads);
  return { thread: thread && spoolWithSome(thread, threads), match };
}

/** Of all spools of a thread one with some left, the one begun first; the thread itself when all are empty. */
const spoolWithSome = (thread: Thread, threads: readonly Thread[]): Thread =>
  spoolsOf(thread, threads)[0] ?? thread;

function nearestOf(
  hex: string,
  kind: Pick<Thread, 'weight' | 'fibre'>,
  threads: readonly Thread[],
): { thread: Thread | null; match: ThreadMatch } {
  const ofKind = nearestThread(
    hex,
    threads.filter((thread) => isOfKind(thread, kind)),
  );
  if (ofKind.match === 'same' || ofKind.match === 'close') return ofKind;
  const any = nearestThread(hex, threads);
  const anyClose = any.match === 'same' || any.match === 'close';
  return anyClose || ofKind.match === 'none' ? { ...any, match: any.thread ? 'substitute' : 'none' } : ofKind;
}
