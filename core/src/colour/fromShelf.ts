import { converter, parse } from 'culori';
import { randomLcg } from 'd3-random';
import type { Thread } from '../shelf/schema';
import { colourDifference, lightnessOf } from './colour';

const toLch = converter('lch65');

/** Threads this much apart in lightness (CIE L*) read as steps of one tone. */
const STEP = 8;
/** Hues nearer than this, degrees, are the same to the eye. */
const SAME_HUE_DEG = 16;
/** A colour with less chroma than this is a grey: it has no hue. */
const GREY_CHROMA = 8;

/** Whether two colours are of one hue; greys are of one hue with greys only. */
export function sameHue(a: string, b: string): boolean {
  const [one, other] = [toLch(parse(a)), toLch(parse(b))];
  if (!one || !other) return false;
  const [greyOne, greyOther] = [one.c < GREY_CHROMA, other.c < GREY_CHROMA];
  if (greyOne || greyOther) return greyOne && greyOther;
  const apart = Math.abs((((one.h ?? 0) - (other.h ?? 0) + 540) % 360) - 180);
  return apart <= SAME_HUE_DEG;
}

/**
 * A tone-on-tone ladder from the threads owned: of one hue with a colour, from dark to light, each at least 8 in L*
 * from the one before. Empty when no thread is of that hue.
 */
export function toneLadder(hex: string, threads: readonly Thread[]): Thread[] {
  const tones = threads
    .filter((thread) => sameHue(hex, thread.hex))
    .sort((a, b) => lightnessOf(a.hex) - lightnessOf(b.hex));
  const ladder: Thread[] = [];
  for (const thread of tones) {
    const last = ladder[ladder.length - 1];
    if (!last || lightnessOf(thread.hex) - lightnessOf(last.hex) >= STEP) ladder.push(thread);
  }
  return ladder;
}

/**
 * As many threads as asked, drawn from those owned: different ones while there are enough, the same for the same
 * seed. Each differs from the ground by at least `leastContrast` in L*, where enough of them do.
 */
export function shuffledThreads(
  threads: readonly Thread[],
  count: number,
  on: { ground: string; leastContrast: number; seed: number },
): Thread[] {
  const seen = threads.filter(
    (t) => Math.abs(lightnessOf(t.hex) - lightnessOf(on.ground)) >= on.leastContrast,
  );
  const pool = [...(seen.length >= count ? seen : threads)];
  const random = randomLcg((on.seed + 1) / 2 ** 32);
  for (let i = pool.length - 1; i > 0; i--) {
    const k = Math.floor(random() * (i + 1));
    const [a, b] = [pool[i], pool[k]];
    if (a && b) [pool[i], pool[k]] = [b, a];
  }
  return pool.length === 0 ? [] : Array.from({ length: count }, (_, i) => pool[i % pool.length] as Thread);
}

/** The thread owned that is nearest to a colour by CIEDE2000; null without threads. */
export function nearestOwned(hex: string, threads: readonly Thread[]): Thread | null {
  return threads.reduce<Thread | null>(
    (best, t) => (!best || colourDifference(t.hex, hex) < colourDifference(best.hex, hex) ? t : best),
    null,
  );
}
