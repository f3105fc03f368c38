import fc from 'fast-check';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import { applyChange } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { closedRun, countClearOfSideSeams, openRun } from './repeats';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const wish = fc.record({
  lengthMm: fc.double({ min: 100, max: 5000, noNaN: true }),
  widthMm: fc.double({ min: 10, max: 300, noNaN: true }),
  gapMm: fc.double({ min: 0, max: 200, noNaN: true }),
  leastGapMm: fc.double({ min: 0, max: 20, noNaN: true }),
});

describe('a closed hem', () => {
  it('of 148 cm with a 120 mm motif and a wished gap of 35: ten at 148.0, gap 28.0', () => {
    const run = closedRun({ lengthMm: 1480, widthMm: 120, gapMm: 35, leastGapMm: 5 });
    expect(run?.count).toBe(10);
    expect(run?.pitchMm).toBeCloseTo(148, 9);
    expect(run?.gapMm).toBeCloseTo(28, 9);
  });

  it('sums to the run exactly, and keeps the least gap', () => {
    fc.assert(
      fc.property(wish, (w) => {
        const run = closedRun(w);
        if (!run) return w.lengthMm < w.widthMm + w.leastGapMm;
        const sum = run.count * (w.widthMm + run.gapMm);
        const closing = (run.positions[0] ?? 0) + w.lengthMm - (run.positions.at(-1) ?? 0);
        return (
          Math.abs(sum - w.lengthMm) < 1e-6 &&
          run.gapMm >= w.leastGapMm - 1e-9 &&
          run.positions.length === run.count &&
          Math.abs(closing - run.pitchMm) < 1e-6
        );
      }),
    );
  });

  it('names no other count nearer the wished gap that keeps the least one', () => {
    fc.assert(
      fc.property(wish, (w) => {
        const run = closedRun(w);
        if (!run) return true;
        const off = (n: number) => Math.abs(n - w.lengthMm / (w.widthMm + w.gapMm));
        const rivals = [run.count + 1].filter((n) => w.lengthMm / n - w.widthMm >= w.leastGapMm);
        return rivals.every((n) => off(n) >= off(run.count) - 1e-9);
      }),
    );
  });

  it('leaves both side seams in a gap at the count it proposes', () => {
    fc.assert(
      fc.property(wish, fc.integer({ min: 1, max: 60 }), (w, wished) => {
        const n = countClearOfSideSeams(wished, w);
        if (n === null) return true;
        const run = closedRun({ ...w, gapMm: w.lengthMm / n - w.widthMm });
        const seam = w.lengthMm / 4;
        return (
          run?.count === n &&
          run.positions.every((x) => Math.abs(Math.abs(x) - seam) >= w.widthMm / 2 + run.gapMm / 2 - 1e-6)
        );
      }),
    );
  });
});

describe('an open hem', () => {
  it('sums to the run exactly, whichever is kept, symmetrical about its middle', () => {
    const margin = fc.double({ min: 0, max: 60, noNaN: true });
    fc.assert(
      fc.property(wish, margin, fc.constantFrom('gap' as const, 'ends' as const), (w, m, keep) => {
        const run = openRun(w, m, keep);
        if (!run) return w.lengthMm - 2 * m < w.widthMm + 1e-6;
        const sum = 2 * run.marginMm + run.count * w.widthMm + (run.count - 1) * run.gapMm;
        const mirror = run.positions.every(
          (x, i) => Math.abs(x + (run.positions[run.count - 1 - i] ?? 0)) < 1e-6,
        );
        return (
          Math.abs(sum - w.lengthMm) < 1e-6 &&
          run.marginMm >= m - 1e-6 &&
          run.gapMm >= Math.max(w.leastGapMm, keep === 'gap' ? w.gapMm : 0) - 1e-6 &&
          mirror
        );
      }),
    );
  });

  it('keeps the ends or keeps the gap', () => {
    const asked = { lengthMm: 740, widthMm: 80, gapMm: 30, leastGapMm: 5 };
    expect(openRun(asked, 20, 'gap')).toMatchObject({ count: 6, gapMm: 30, marginMm: 55 });
    expect(openRun(asked, 20, 'ends')).toMatchObject({ count: 6, gapMm: 44, marginMm: 20 });
  });
});

describe('a border on a ticket', () => {
  const border = applyChange(measuredTicket('skirt-hem', 'hem-border', [120, 60]), {
    stage: 'place',
    set: { repeat: { gapMm: 35, marginMm: null, keep: 'gap' } },
  });

  it('reads each position from the middle, and says so at the back', () => {
    const { place } = planTicket(border, SAMPLE_SHELF, RULES);
    expect(place?.copies.map((c) => say(c.reading, MM)).slice(0, 3)).toEqual([
      'at the middle',
      '148 mm to your right of the middle',
      '148 mm to your left of the middle',
    ]);
    expect(say(place?.copies.at(-1)?.reading ?? [], MM)).toBe('turned over, at the middle of the back');
    expect(place?.findings).toEqual([]);
    const sum = place?.reasons.find((r) => r.about === 'repeats')?.arithmetic?.map((a) => say(a, MM));
    expect(sum?.[0]).toBe('1480 mm ÷ (120 mm + 35 mm) = 9.55: 10 of them');
  });

  it('over a side seam it is said, with the count that clears them', () => {
    const over = applyChange(border, {
      stage: 'place',
      set: { repeat: { gapMm: 60, marginMm: null, keep: 'gap' } },
    });
    const found = planTicket(over, SAMPLE_SHELF, RULES).place?.findings.find(
      (f) => f.code === 'repeats-over-seams',
    );
    expect(say(found?.mends[0]?.label ?? [], MM)).toBe('Make it 10');
    const change = found?.mends[0]?.change;
    if (!change) throw new Error('no mend');
    const mended = planTicket(applyChange(over, change), SAMPLE_SHELF, RULES).place;
    expect(mended?.run?.count).toBe(10);
    expect(mended?.findings).toEqual([]);
  });

  it('says when not even one fits', () => {
    const wide = measuredTicket('skirt-panel', 'hem-border', [720, 60]);
    const found = planTicket(wide, SAMPLE_SHELF, RULES).findings.find((f) => f.code === 'repeats-none-fit');
    expect(say(found?.text ?? [], MM)).toBe(
      'One design of 720 mm does not fit the run of 740 mm less 20 mm at either end.',
    );
  });
});
