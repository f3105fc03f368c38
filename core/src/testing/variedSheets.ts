import { randomLcg } from 'd3-random';
import type { Wanted } from '../business/cutPlan/guillotine';

/** Hoops of a shop by their rings, mm, each with its allowance on every side. */
const RINGS = [
  [84, 72],
  [132, 140],
  [164, 222],
  [178, 178],
  [236, 240],
  [300, 380],
] as const;
const ALLOWANCE_MM = 25;

/** What a bench of so many sorts of pieces wants of one material: a few of each ring, films and patches of any size. */
export function variedSheets(seed: number, sorts: number): Wanted[] {
  const random = randomLcg(seed / 2 ** 20);
  const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  return Array.from({ length: sorts }, (_, i) => {
    const ring = RINGS[whole(0, RINGS.length - 1)] ?? RINGS[0];
    const isRing = random() < 0.7;
    const size = isRing
      ? { widthMm: ring[0] + 2 * ALLOWANCE_MM, heightMm: ring[1] + 2 * ALLOWANCE_MM }
      : { widthMm: whole(60, 320), heightMm: whole(60, 320) };
    return Array.from({ length: whole(1, 6) }, (_unused, n) => ({ id: `${i}-${n}`, ...size }));
  }).flat();
}
