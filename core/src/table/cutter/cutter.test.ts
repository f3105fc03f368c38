import { say } from '../../base/units/phrase';
import { cutMore, cutterSays, layOnMat, NOTHING_CUT } from './cutter';

const MM = { system: 'mm' } as const;
const square = (x: number, mm: number, hole = '') =>
  `<path data-name="${mm}" d="M${x} 0L${x + mm} 0L${x + mm} ${mm}L${x} ${mm}Z${hole}"/>`;
const svg = (inner: string, [w, h] = [200, 100]) =>
  `<svg width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}"><title>Sun</title>${inner}</svg>`;

it('cuts piece after piece, holes before outlines, and tells how long', () => {
  const laid = layOnMat(svg(square(0, 60, 'M20 20L40 20L40 40L20 40Z') + square(100, 30)));
  if (!laid.ok) throw new Error('refused');
  const { job } = laid;
  expect(job.pieces.map(({ name, cutMm }) => [name, cutMm])).toEqual([
    ['60', 320],
    ['30', 120],
  ]);
  expect(job.pieces[0]?.rings.map((ring) => ring[0])).toEqual([
    { x: 20, y: 20 },
    { x: 0, y: 0 },
  ]);
  // Over to the hole, down, round, up; back to the corner and round.
  const [first] = job.pieces;
  expect(first?.seconds).toBeCloseTo((2 * Math.hypot(20, 20)) / 120 + 2 * 0.8 + 320 / 30, 6);
  const one = cutMore(job, NOTHING_CUT, 1);
  expect(one).toEqual({ cut: 1, seconds: first?.seconds });
  const all = cutMore(job, one, null);
  expect(all.cut).toBe(2);
  expect(cutMore(job, all, 5)).toEqual(all);
  expect([NOTHING_CUT, one, all].map((state) => say(cutterSays(job, state), MM))).toEqual([
    '2 pieces on 200 mm × 100 mm: 18 seconds to cut.',
    '1 of 2 pieces cut, 13 seconds so far.',
    'All 2 pieces are cut, in 18 seconds.',
  ]);
});

it('refuses what is larger than its mat, and what it cannot read', () => {
  const large = layOnMat(svg(square(0, 60), [601, 100]));
  expect(large.ok ? '' : `${large.code}: ${say(large.message, MM)}`).toBe(
    'larger-than-mat: The sheet is 601 mm × 100 mm; the mat takes 600 mm × 900 mm. Cut fewer pieces at once, or from a narrower strip.',
  );
  expect(layOnMat('<p/>')).toMatchObject({ ok: false, code: 'not-a-cut-file' });
});
