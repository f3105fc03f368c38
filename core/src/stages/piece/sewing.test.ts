import fc from 'fast-check';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { PIECE_KIND_IDS } from '../../model/pieceKindIds';
import { applyChange } from '../../model/ticket';
import type { StripEdge } from '../../model/ticket/piece';
import { planTicket } from '../../planner/plan';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { PIECE_KINDS } from './kinds';
import { cutBetweenSeams, SEWING_SUMS, sewingCuts, stripCut } from './sewing';

const MM = { system: 'mm' } as const;

const entered = (sewing: Record<string, number>, stripEdge: StripEdge | null = null) => ({
  sewing,
  stripEdge,
});

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
    const [cut] = sewingCuts(['hem-band'], entered({ bandWidth: 50 }), { circumference: 1480 });
    expect(cut?.pieces[0]?.heightMm).toBeCloseTo(2 * 50 + 2 * 12.7, 9);
    expect(cut?.pieces[0]?.widthMm).toBeCloseTo(1480 + 2 * 12.7, 9);
  });

  it('cut a lining narrower than its bag', () => {
    const [cut] = sewingCuts(['lining'], entered({ seam: 10 }), { width: 380, height: 420 });
    expect(cut?.pieces.map((p) => [p.widthMm, p.heightMm])).toEqual([
      [400, 440],
      [397, 437],
    ]);
  });

  it('make a channel that lets its cord through', () => {
    const [cut] = sewingCuts(['channel'], entered({ cord: 8, ease: 10, turnUnder: 12 }), {});
    expect(cut?.pieces[0]?.heightMm).toBeCloseTo(4 * Math.PI + 22, 9);
  });

  it('are each named by some kind, on which they come out positive', () => {
    const used = new Set(PIECE_KIND_IDS.flatMap((id) => PIECE_KINDS[id].sews ?? []));
    expect([...used].sort()).toEqual(Object.keys(SEWING_SUMS).sort());
    for (const id of PIECE_KIND_IDS) {
      const kind = PIECE_KINDS[id];
      const readings = Object.fromEntries(kind.readings.map((r) => [r.id, r.typicalMm]));
      for (const { pieces } of sewingCuts(kind.sews ?? [], entered({}), readings))
        for (const piece of pieces) expect(piece.heightMm).toBeGreaterThan(0);
    }
  });
});

describe('a contrast strip on a cushion', () => {
  const IN = 25.4;
  const readings = { width: 18 * IN, height: 12 * IN };

  it('is as long as the side it lies on: 18 × 12 in with a side strip is cut 13 in long', () => {
    const lengthOn = (edge: StripEdge) =>
      (sewingCuts(['strip'], entered({}, edge), readings)[0]?.pieces[0]?.widthMm ?? 0) / IN;
    expect(lengthOn('left')).toBeCloseTo(13, 9);
    expect(lengthOn('bottom')).toBeCloseTo(19, 9);
  });

  it('is drawn on the face, and no design may lie under it', () => {
    const gap = applyChange(measuredTicket('cushion', 'gap-from-left', [60, 60]), {
      stage: 'piece',
      set: { readings, stripEdge: 'left', sewing: { stripWidth: 6 * IN } },
    });
    const near = applyChange(gap, { stage: 'place', set: { edgeGapMm: 5 * IN } });
    const plan = planTicket(near, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
    expect(plan.piece.geometry?.noGo.map((area) => area.name)).toContain('contrast strip');
    const stop = plan.findings.find((f) => f.code === 'place-crosses');
    expect(say(stop?.text ?? [], { system: 'mm' })).toBe('The design lies over the contrast strip.');
    const clear = applyChange(gap, { stage: 'place', set: { edgeGapMm: 7 * IN } });
    expect(
      planTicket(clear, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).findings.some((f) => f.code === 'place-crosses'),
    ).toBe(false);
  });
});

it('a wrap round a candle is as long as its round and the overlap', () => {
  const [cut] = sewingCuts(['wrap'], entered({ across: 70, overlap: 12 }), {});
  expect(cut?.pieces[0]?.widthMm).toBeCloseTo(Math.PI * 70 + 12, 9);
});
