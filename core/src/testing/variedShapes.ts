import { randomLcg } from 'd3-random';
import type { Clipper, Region, Ring } from '../base/geometry/clip';

/** A closed ring about a middle whose distance from it changes as it goes round. */
const blob = (next: () => number): Ring => {
  const [cx, cy, r] = [next() * 30, next() * 30, 2 + next() * 12];
  const waves = Array.from({ length: 3 }, (_, i) => ({ n: i + 2, by: next() * 0.2, at: next() * 6 }));
  return Array.from({ length: 60 }, (_, i) => {
    const a = (2 * Math.PI * i) / 60;
    const far = r * (1 + waves.reduce((sum, { n, by, at }) => sum + by * Math.sin(n * a + at), 0));
    return { x: cx + far * Math.cos(a), y: cy + far * Math.sin(a) };
  });
};

/** A bar of any length, width and turn. */
const bar = (next: () => number): Ring => {
  const [cx, cy, long, wide, turn] = [
    next() * 40,
    next() * 40,
    3 + next() * 40,
    0.4 + next() ** 2 * 14,
    next() * 3.2,
  ];
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return [
    [-long, -wide],
    [long, -wide],
    [long, wide],
    [-long, wide],
  ].map(([u = 0, v = 0]) => ({ x: cx + (u * cos - v * sin) / 2, y: cy + (u * sin + v * cos) / 2 }));
};

/** A ribbon along a wave. */
const ribbon = (next: () => number): Ring => {
  const [wide, high, wave] = [0.5 + next() * 6, next() * 12, 0.05 + next() * 0.25];
  const rail = (off: number) =>
    Array.from({ length: 80 }, (_, i) => ({ x: i * 0.6, y: 15 + high * Math.sin(i * 0.6 * wave) + off }));
  return [...rail(0), ...rail(wide).reverse()];
};

/** Corners anywhere: rings that cross themselves. */
const scrawl = (next: () => number): Ring =>
  Array.from({ length: 3 + Math.floor(next() * 6) }, () => ({ x: next() * 40, y: next() * 40 }));

const KINDS = [blob, bar, bar, ribbon, scrawl];

/** A shape of one of many kinds, with holes or without; the same seed gives the same shape. mm. */
export function variedShape(seed: number, clip: Clipper): Region {
  const next = randomLcg((seed * 0.61803398875) % 1);
  const pick = (): Ring => (KINDS[Math.floor(next() * KINDS.length)] ?? blob)(next);
  const drawn = Array.from({ length: 1 + Math.floor(next() * 3) }, pick);
  const whole = clip.union(drawn, next() < 0.3 ? 'evenodd' : 'nonzero');
  return next() < 0.3 ? clip.subtract(whole, clip.union([blob(next)])) : whole;
}
