import fc from 'fast-check';
import { say } from '../units/phrase';
import { PIECE_KIND_IDS, PIECE_KINDS } from './kinds';
import { cutBetweenSeams, SEWING_SUMS, sewingCuts, stripCut } from './sewing';

const MM = { system: 'mm' } as const;

describe('sewing sums', () => {
  it('cut a contrast strip of 150 with a 12.7 turn-under and a 12.7 seam at 175.4', () => {
    const strip = stripCut(150, 400, 12.7, 12.7);
    expect(strip.heightMm).toBeCloseTo(175.4, 9);
    expect(strip.widthMm).toBeCloseTo(425.4, 9);
    expect(say(strip.sums[0] ?? [], MM)).toBe(
      'width: 150 mm + 12.7 mm turned under + 12.7 mm seam = 175.4 mm',
    );
  });

  it('leave the finished length once both seams are sewn', () => {
    const length = fc.double({ min: 0, max: 3000, noNaN: true });
    fc.assert(
      fc.property(
        length,
        fc.double({ min: 0, max: 60, noNaN: true }),
        (f, s) => Math.abs(cutBetweenSeams(f, s) - 2 * s - f) < 1e-9,
      ),
    );
  });

  it('follow what the maker entered, usual lengths standing in', () => {
    const [cut] = sewingCuts(['hem-band'], { bandWidth: 50 }, { circumference: 1480 });
    expect(cut?.pieces[0]?.heightMm).toBeCloseTo(2 * 50 + 2 * 12.7, 9);
    expect(cut?.pieces[0]?.widthMm).toBeCloseTo(1480 + 2 * 12.7, 9);
  });

  it('cut a lining narrower than its bag', () => {
    const [cut] = sewingCuts(['lining'], { seam: 10 }, { width: 380, height: 420 });
    expect(cut?.pieces.map((p) => [p.widthMm, p.heightMm])).toEqual([
      [400, 440],
      [397, 437],
    ]);
  });

  it('make a channel that lets its cord through', () => {
    const [cut] = sewingCuts(['channel'], { cord: 8, ease: 10, turnUnder: 12 }, {});
    expect(cut?.pieces[0]?.heightMm).toBeCloseTo(4 * Math.PI + 22, 9);
  });

  it('are each named by some kind, on which they come out positive', () => {
    const used = new Set(PIECE_KIND_IDS.flatMap((id) => PIECE_KINDS[id].sews ?? []));
    expect([...used].sort()).toEqual(Object.keys(SEWING_SUMS).sort());
    for (const id of PIECE_KIND_IDS) {
      const kind = PIECE_KINDS[id];
      const readings = Object.fromEntries(kind.readings.map((r) => [r.id, r.typicalMm]));
      for (const { pieces } of sewingCuts(kind.sews ?? [], {}, readings))
        for (const piece of pieces) expect(piece.heightMm).toBeGreaterThan(0);
    }
  });
});
