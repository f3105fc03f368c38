import { randomLcg } from 'd3-random';
import { say } from '../../base/units/phrase';
import { codeOf, type Stitches } from '../design/stitches/stitches';
import { bobbinWords, whereBobbinEnds } from './bobbinEnd';

const PER_STITCH = { factor: 1.15, extraMm: 0.6 };

/** Stitches here and there in some stops, with trims now and then. */
function varied(seed: number): Stitches {
  const next = randomLcg(seed);
  const n = 60 + Math.floor(next() * 400);
  const stops = 1 + Math.floor(next() * 4);
  const stop = Uint16Array.from({ length: n }, (_, i) => Math.floor((i * stops) / n));
  const kind = Uint8Array.from({ length: n }, (_, i) =>
    i === 0 || stop[i] !== stop[i - 1] || next() < 0.02 ? codeOf('trim') : codeOf('fill'),
  );
  return {
    x: Float32Array.from({ length: n }, () => next() * 40),
    y: Float32Array.from({ length: n }, () => next() * 40),
    kind,
    stop,
    element: new Uint32Array(n),
  };
}

/** The same by adding up, stitch after stitch, from a list. */
function summed({ x, y, kind, stop }: Stitches, neededM: readonly number[], leftM: number): number | null {
  const uses = Array.from(x, (_, i) => {
    if (kind[i] === codeOf('trim')) return 0;
    const isNew = i === 0 || stop[i] !== stop[i - 1];
    const long = isNew
      ? 0
      : Math.sqrt(((x[i] ?? 0) - (x[i - 1] ?? 0)) ** 2 + ((y[i] ?? 0) - (y[i - 1] ?? 0)) ** 2);
    return 1.15 * long + 0.6;
  });
  const whole = neededM.map((_, s) => uses.filter((_use, i) => stop[i] === s).reduce((a, b) => a + b, 0));
  const metres = uses.map((use, i) => (use / (whole[stop[i] ?? 0] ?? 1)) * (neededM[stop[i] ?? 0] ?? 0));
  const at = metres.findIndex((_, i) => metres.slice(0, i + 1).reduce((a, b) => a + b, 0) > leftM);
  return at < 0 ? null : at;
}

it('ends where adding up ends it, on a hundred runs', () => {
  const next = randomLcg(0.7);
  for (let k = 1; k <= 100; k++) {
    const stitches = varied(k / 101);
    const stops = (stitches.stop[stitches.stop.length - 1] ?? 0) + 1;
    const neededM = Array.from({ length: stops }, () => 1 + next() * 5);
    const leftM = next() * 1.2 * neededM.reduce((a, b) => a + b, 0);
    const found = whereBobbinEnds(stitches, { neededM, leftM, perStitch: PER_STITCH });
    expect(found?.stitch ?? null).toBe(summed(stitches, neededM, leftM));
  }
});

it('is better changed where the thread is new, before it ends', () => {
  const stitches = varied(0.42);
  const stops = (stitches.stop[stitches.stop.length - 1] ?? 0) + 1;
  const found = whereBobbinEnds(stitches, {
    neededM: Array.from({ length: stops }, () => 2),
    leftM: stops * 1.6,
    perStitch: PER_STITCH,
  });
  if (!found) throw new Error('it lasts');
  expect(found.changeAt).toBeLessThanOrEqual(found.stitch);
  expect(stitches.kind[found.changeAt]).toBe(codeOf('trim'));
  const later = Array.from(
    { length: found.stitch - found.changeAt },
    (_, i) => stitches.kind[found.changeAt + 1 + i],
  );
  expect(later).not.toContain(codeOf('trim'));
});

it('a full bobbin lasts, an empty one ends at the first stitch', () => {
  const stitches = varied(0.2);
  const stops = (stitches.stop[stitches.stop.length - 1] ?? 0) + 1;
  const neededM = Array.from({ length: stops }, () => 1);
  expect(whereBobbinEnds(stitches, { neededM, leftM: 99, perStitch: PER_STITCH })).toBeNull();
  expect(whereBobbinEnds(stitches, { neededM, leftM: 0, perStitch: PER_STITCH })?.stitch).toBe(1);
});

it('says where it ends and where it is better changed', () => {
  const called = (stitch: number) => (stitch < 500 ? 'navy' : 'oak');
  const words = (changeAt: number, stitchings: number) =>
    say(bobbinWords({ stitch: 612, changeAt, stitching: 2 }, { stitchings, called }), { system: 'mm' });
  expect(words(430, 1)).toBe(
    'The bobbin ends at stitch 613, in oak. Change it before stitch 431, in navy: the thread is new there.',
  );
  expect(words(0, 3)).toBe(
    'In stitching 2 the bobbin ends at stitch 613, in oak. Change it before you start.',
  );
});
