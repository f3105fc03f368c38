import { boxOf } from '../src/base/geometry/box';
import type { Clipper, Region, Ring } from '../src/base/geometry/clip';
import { stitchDesign } from '../src/stages/design/stitches/stitchDesign';
import { boxRing, USUAL_STITCHING } from '../src/testing/stitched';
import { toolsInNode } from '../src/testing/toolsInNode';

const { clip } = await toolsInNode();

/** A plain way to fill: every row a thin box, cut by the shape with a general clipping library, each piece two ends. */
function plainRows(region: Region, rowMm: number, clipper: Clipper): number {
  const { left, top, right, bottom } = boxOf(region.flat());
  let stitches = 0;
  for (let y = top + rowMm / 2; y < bottom; y += rowMm) {
    const row: Ring = boxRing(left - 1, y - 0.01, right - left + 2, 0.02);
    for (const piece of clipper.intersect([row], region)) {
      const box = boxOf([...piece]);
      stitches += 2 + Math.floor((box.right - box.left) / USUAL_STITCHING.fillStitchMm);
    }
  }
  return stitches;
}

function allStitches(region: Region): number {
  const work = stitchDesign([{ region, stop: 0, how: USUAL_STITCHING }], clip);
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value.x.length;
}

/** A drawing of so many corners: a disc whose rim runs in waves. */
const wavy = (corners: number): Region =>
  clip.union([
    Array.from({ length: corners }, (_, i) => {
      const a = (2 * Math.PI * i) / corners;
      const r = 55 * (1 + 0.1 * Math.sin(a * 23) + 0.05 * Math.sin(a * 61 + 1));
      return { x: r * Math.cos(a), y: r * Math.sin(a) };
    }),
  ]);

const msOf = (work: () => unknown): number => {
  const times = Array.from({ length: 5 }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  });
  return times.sort((a, b) => a - b)[2] ?? 0;
};

function beside(name: string, region: Region): void {
  const own = msOf(() => allStitches(region));
  const plain = msOf(() => plainRows(region, USUAL_STITCHING.fillRowMm, clip));
  console.log(
    `stitches, ${name}: ${allStitches(region)} in ${own.toFixed(0)} ms, ${(own / plain).toFixed(1)} × bare rows cut by the clipping library (${plain.toFixed(0)} ms)`,
  );
}

allStitches([boxRing(0, 0, 20, 20)]);
beside('120 × 120 mm full', [boxRing(0, 0, 120, 120)]);
beside('a drawing of 10 000 corners', wavy(10_000));

/** How it grows: squares side by side, until there are so many stitches. */
for (const wanted of [10_000, 50_000, 200_000]) {
  const elements = Array.from({ length: Math.round(wanted / 620) }, (_, i) => ({
    region: [boxRing((i % 20) * 30, Math.floor(i / 20) * 30, 25, 25)],
    stop: 0,
    how: USUAL_STITCHING,
  }));
  globalThis.gc?.();
  const before = process.memoryUsage().arrayBuffers + process.memoryUsage().heapUsed;
  const from = performance.now();
  const work = stitchDesign(elements, clip);
  let [step, most] = [work.next(), before];
  while (!step.done) {
    const { arrayBuffers, heapUsed } = process.memoryUsage();
    most = Math.max(most, arrayBuffers + heapUsed);
    step = work.next();
  }
  const ms = performance.now() - from;
  console.log(
    `stitches, grown: ${step.value.x.length} in ${ms.toFixed(0)} ms, at most ${((most - before) / 1e6).toFixed(0)} MB more`,
  );
}
