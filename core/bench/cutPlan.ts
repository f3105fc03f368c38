import { createRequire } from 'node:module';
import type * as Guillotine from 'guillotine-packer';
import type * as Rectangles from 'maxrects-packer';
import { checkCuts } from '../src/business/cutPlan/checkCuts';
import { cutFromRoll, type Wanted } from '../src/business/cutPlan/guillotine';
import { variedSheets } from '../src/testing/variedSheets';

// The packages are found by Node's older way alone.
const require = createRequire(import.meta.url);
const { packer } = require('guillotine-packer') as typeof Guillotine;
const { MaxRectsPacker } = require('maxrects-packer') as typeof Rectangles;

const ROLL_MM = 500;
const BENCHES = 100;
/** The length of a roll is sought to so much, mm. */
const TO_MM = 2;

/** The shortest length of roll on which a packer gets all pieces in one, by halving. */
function shortest(least: number, most: number, fits: (lengthMm: number) => boolean): number {
  let [low, high] = [least, most];
  while (high - low > TO_MM) {
    const middle = (low + high) / 2;
    if (fits(middle)) high = middle;
    else low = middle;
  }
  return high;
}

const guillotineFits = (pieces: readonly Wanted[], lengthMm: number): boolean => {
  const items = pieces.map(({ id, widthMm, heightMm }) => ({ name: id, width: widthMm, height: heightMm }));
  const bins = packer(
    { binWidth: ROLL_MM, binHeight: lengthMm, items },
    { kerfSize: 0, allowRotation: true },
  );
  return bins !== null && bins.length === 1;
};
const rectanglesFit = (pieces: readonly Wanted[], lengthMm: number): boolean => {
  const bins = new MaxRectsPacker(ROLL_MM, lengthMm, 0, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: true,
  });
  for (const { id, widthMm, heightMm } of pieces) bins.add(widthMm, heightMm, id);
  return bins.bins.length === 1 && bins.bins.every(({ rects }) => rects.every(({ oversized }) => !oversized));
};

interface Tally {
  lengthMm: number;
  ms: number;
}
const tally: Record<'ours' | 'guillotine' | 'rectangles', Tally> = {
  ours: { lengthMm: 0, ms: 0 },
  guillotine: { lengthMm: 0, ms: 0 },
  rectangles: { lengthMm: 0, ms: 0 },
};
const timed = (name: keyof typeof tally, work: () => number): number => {
  const from = performance.now();
  const lengthMm = work();
  tally[name].ms += performance.now() - from;
  tally[name].lengthMm += lengthMm;
  return lengthMm;
};
let areaMm2 = 0;
let pieceCount = 0;
let better = 0;
for (let seed = 1; seed <= BENCHES; seed += 1) {
  const pieces = variedSheets(seed * 53, 1 + (seed % 12));
  const area = pieces.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0);
  areaMm2 += area;
  pieceCount += pieces.length;
  const own = timed('ours', () => {
    const cut = cutFromRoll(pieces, ROLL_MM, 100_000);
    const wrong = checkCuts({ left: 0, top: 0, right: cut.lengthMm, bottom: ROLL_MM }, cut.placed);
    if (wrong.length > 0 || cut.notPlaced.length > 0) throw new Error(wrong.join());
    return cut.lengthMm;
  });
  // Their longer side across the roll, as a packer takes them; no shorter than the longest of the other sides.
  const lying = pieces.map(({ id, widthMm, heightMm }): Wanted => {
    const [short, long] = [Math.min(widthMm, heightMm), Math.max(widthMm, heightMm)];
    return long <= ROLL_MM ? { id, widthMm: long, heightMm: short } : { id, widthMm: short, heightMm: long };
  });
  const [least, most] = [Math.max(area / ROLL_MM, ...lying.map(({ heightMm }) => heightMm)), own * 2];
  const other = timed('guillotine', () => shortest(least, most, (mm) => guillotineFits(lying, mm)));
  timed('rectangles', () => shortest(least, most, (mm) => rectanglesFit(lying, mm)));
  if (own <= other) better += 1;
}
const waste = (lengthMm: number): string => `${((1 - areaMm2 / (lengthMm * ROLL_MM)) * 100).toFixed(1)} %`;
const { ours, guillotine, rectangles } = tally;
const said = ({ lengthMm, ms }: Tally): string =>
  `${(lengthMm / 1000).toFixed(1)} m, ${waste(lengthMm)} waste, ${(ms / BENCHES).toFixed(1)} ms a bench`;
console.log(
  `sheets off a roll, ${BENCHES} benches of ${pieceCount} pieces: ${said(ours)}; a guillotine packer ${said(guillotine)} (${(ours.lengthMm / guillotine.lengthMm).toFixed(3)} × its length, no longer on ${better}); a packer bound to no straight cuts ${said(rectangles)} (${(ours.lengthMm / rectangles.lengthMm).toFixed(3)} ×)`,
);
