import { createRequire } from 'node:module';
import type * as Packers from 'maxrects-packer';
import { boxOf, heightOf, widthOf } from '../src/base/geometry/box';
import { areaOf } from '../src/base/geometry/clip';
import { nest } from '../src/files/cutFile/nest';
import { toolsInNode } from '../src/testing/toolsInNode';
import { variedShape } from '../src/testing/variedShapes';

// The package is found by Node's older way alone.
const { MaxRectsPacker } = createRequire(import.meta.url)('maxrects-packer') as typeof Packers;
const { clip } = await toolsInNode();
const WIDTH_MM = 300;
const GAP_MM = 5;
const LONGEST_MM = 100_000;

/** The cloth that boxes of the pieces take, laid by a packer of rectangles, mm along it. */
function boxesMm(pieces: readonly { region: ReturnType<typeof variedShape> }[], times: number): number {
  const packer = new MaxRectsPacker(WIDTH_MM + GAP_MM, LONGEST_MM, 0, {
    smart: true,
    pot: false,
    square: false,
    allowRotation: false,
  });
  for (const { region } of pieces)
    for (let i = 0; i < times; i++) {
      const box = boxOf(region.flat());
      packer.add(Math.ceil(widthOf(box) + GAP_MM), Math.ceil(heightOf(box) + GAP_MM), null);
    }
  const bottoms = packer.bins.flatMap(({ rects }) => rects.map(({ y, height }) => y + height));
  return Math.max(0, ...bottoms) - GAP_MM;
}

for (const [many, times] of [
  [8, 1],
  [20, 1],
  [20, 6],
] as const) {
  const pieces = Array.from({ length: many }, (_, i) => ({
    name: `${i}`,
    region: variedShape(i + 11, clip),
  })).filter(({ region }) => areaOf(region) > 4);
  const used = pieces.reduce((sum, { region }) => sum + areaOf(region), 0) * times;
  const from = performance.now();
  const work = nest({ pieces, times, widthMm: WIDTH_MM, gapMm: GAP_MM, alongGrain: true }, clip);
  let step = work.next();
  while (!step.done) step = work.next();
  const ms = performance.now() - from;
  const own = step.value.lengthMm;
  const boxes = boxesMm(pieces, times);
  const waste = (mm: number): string => `${((1 - used / (mm * WIDTH_MM)) * 100).toFixed(0)} %`;
  console.log(
    `pieces on cloth: ${pieces.length * times} on ${own.toFixed(0)} mm, ${waste(own)} waste in ${ms.toFixed(0)} ms; their boxes by a rectangle packer on ${boxes.toFixed(0)} mm, ${waste(boxes)} waste: ${(own / boxes).toFixed(2)} × the cloth`,
  );
}
