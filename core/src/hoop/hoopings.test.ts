import fc from 'fast-check';
import { boxAbout, boxOf, cornersOf } from '../geometry/box';
import { turn } from '../geometry/point';
import { planTicket } from '../plan';
import { DEFAULT_HOUSE_RULES } from '../rules/schema';
import { measuredTicket, SAMPLE_SHELF } from '../testing/samples';
import { applyChange } from '../ticket';
import { say } from '../units/phrase';
import { hoopingsFor } from './hoopings';

const motif = (x: number, y: number, w = 40, h = 30) => cornersOf(boxAbout({ x, y }, w, h));
const FIELD = { widthMm: 130, heightMm: 180, turnDeg: 0 };

describe('hoopings of several copies', () => {
  it('take in neighbours along a hem, from left to right', () => {
    const row = [0, 60, -60, 120, -120].map((x) => motif(x, 0));
    expect(hoopingsFor(row, FIELD).map((h) => h.copies)).toEqual([[2, 4], [0, 1], [3]]);
    expect(hoopingsFor(row, FIELD)[0]?.centre).toEqual({ x: -90, y: 0 });
  });

  it('give a copy larger than the field a hooping of its own', () => {
    expect(hoopingsFor([motif(0, 0, 200, 30), motif(10, 0)], FIELD).map((h) => h.copies)).toEqual([[0], [1]]);
  });

  it('hold every copy exactly once, and each group fits its field', () => {
    const at = fc.record({ x: fc.integer({ min: -400, max: 400 }), y: fc.integer({ min: -400, max: 400 }) });
    fc.assert(
      fc.property(
        fc.array(at, { minLength: 1, maxLength: 25 }),
        fc.integer({ min: 0, max: 359 }),
        (spots, turnDeg) => {
          const footprints = spots.map(({ x, y }) => motif(x, y));
          const groups = hoopingsFor(footprints, { ...FIELD, turnDeg });
          const all = groups.flatMap((g) => g.copies).sort((a, b) => a - b);
          const fits = groups.every((g) => {
            const box = boxOf(g.copies.flatMap((i) => (footprints[i] ?? []).map((p) => turn(p, -turnDeg))));
            return (
              g.copies.length === 1 || (box.right - box.left <= 130.001 && box.bottom - box.top <= 180.001)
            );
          });
          return fits && all.every((v, i) => v === i) && all.length === spots.length;
        },
      ),
    );
  });

  it('are the fewest there can be along one line', () => {
    const gaps = fc.array(fc.integer({ min: 1, max: 120 }), { minLength: 1, maxLength: 9 });
    fc.assert(
      fc.property(gaps, (steps) => {
        let x = 0;
        const xs = [0, ...steps.map((s) => (x += s + 5))];
        const groups = hoopingsFor(
          xs.map((at) => motif(at, 0)),
          FIELD,
        ).length;
        return groups === fewestByTrying(xs, 130 - 40);
      }),
    );
  });

  const ticketAt = (placement: string, hoopId: string | null) => {
    const ticket = measuredTicket('skirt-hem', placement, [60, 40]);
    return { ...ticket, hoop: { ...ticket.hoop, hoopId } };
  };
  const planAt = (placement: string, hoopId: string | null) =>
    planTicket(ticketAt(placement, hoopId), SAMPLE_SHELF, DEFAULT_HOUSE_RULES);

  it('stand on the hoop’s plan, none where there is one copy', () => {
    const { hoop, place } = planAt('hem-border', 'hoop-200x200');
    expect(place?.copies).toHaveLength(16);
    expect(hoop?.hoopings).toHaveLength(8);
    expect(planAt('hem-middle', 'hoop-200x200').hoop?.hoopings).toEqual([]);
  });

  it('a hoop that needs fewer is offered, with both counts', () => {
    const plan = planAt('hem-border', 'hoop-60x40');
    const offer = plan.findings.find((f) => f.code === 'hoop-fewer-hoopings');
    expect(say(offer?.text ?? [], { system: 'mm' })).toBe('16 copies take 16 hoopings in this hoop.');
    expect(say(offer?.mends[0]?.label ?? [], { system: 'mm' })).toBe('Take the 200 × 200 magnetic hoop');
    const change = offer?.mends[0]?.change;
    if (!change) throw new Error('no mend');
    const mended = planTicket(
      applyChange(ticketAt('hem-border', 'hoop-60x40'), change),
      SAMPLE_SHELF,
      DEFAULT_HOUSE_RULES,
    );
    expect(mended.hoop?.hoopings).toHaveLength(8);
    expect(mended.findings.map((f) => f.code)).not.toContain('hoop-fewer-hoopings');
  });
});

/** Every way to cut the row into runs no longer than `span`; the fewest runs. */
function fewestByTrying(xs: readonly number[], span: number): number {
  if (xs.length === 0) return 0;
  let best = Infinity;
  for (let n = 1; n <= xs.length; n++) {
    if ((xs[n - 1] ?? 0) - (xs[0] ?? 0) > span) break;
    best = Math.min(best, 1 + fewestByTrying(xs.slice(n), span));
  }
  return best;
}
