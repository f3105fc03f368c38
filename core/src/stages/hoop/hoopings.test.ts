import fc from 'fast-check';
import { boxAbout, boxOf, cornersOf } from '../../base/geometry/box';
import { rotate, subtract } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { Hoop } from '../../model/shelf';
import { applyChange } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { hoop, measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import type { PieceOutline } from '../piece/geometry';
import { groupingField, hoopingsFor, layHoopings } from './hoopings';
import { ringOnPiece } from './ring';

const rectangle = (left: number, top: number, right: number, bottom: number) =>
  cornersOf({ left, top, right, bottom });
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
            const box = boxOf(g.copies.flatMap((i) => (footprints[i] ?? []).map((p) => rotate(p, -turnDeg))));
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
    expect(say(offer?.mends[0]?.label ?? [], { system: 'mm' })).toBe('Take the 130 × 180 screw hoop');
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

describe('the ring of each hooping', () => {
  const CLEAR = 10;
  const outlineOf = (hoopable: ReturnType<typeof rectangle>): PieceOutline =>
    ({ outline: hoopable, hoopable, noGo: [] }) as unknown as PieceOutline;
  const face = outlineOf(rectangle(-300, -300, 300, 300));
  const on = (footprints: Polygon[], kind: Hoop, turnDeg = 0, outline = face) => {
    const groups = hoopingsFor(footprints, { ...groupingField(kind), turnDeg });
    return layHoopings(groups, footprints, { hoop: kind, turnDeg }, { outline, clearanceMm: CLEAR });
  };
  const long = hoop('hoop-130x180', [130, 180], [164, 222]);

  it('lies over the middle of its copies where it can, else is moved as far as they leave free', () => {
    expect(on([motif(0, 0)], long)).toEqual([{ copies: [0], centre: { x: 0, y: 0 }, lies: true }]);
    // the ring reaches 82 mm and wants 10 mm more; the field reaches 65 mm, the motif 20 mm
    const [near] = on([motif(230, 0)], long);
    expect(near?.lies).toBe(true);
    expect(near?.centre.x).toBeLessThanOrEqual(300 - CLEAR - 82);
    const [tooNear] = on([motif(270, 0)], long);
    expect(tooNear).toEqual({ copies: [0], centre: { x: 270, y: 0 }, lies: false });
  });

  it('is clear of the edge and holds its copies wherever it says it lies', () => {
    const at = fc.integer({ min: -280, max: 280 });
    const spots = fc.array(fc.record({ x: at, y: at }), { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(spots, fc.integer({ min: 0, max: 359 }), (all, turnDeg) => {
        const footprints = all.map(({ x, y }) => motif(x, y));
        for (const { copies, centre, lies } of on(footprints, long, turnDeg)) {
          if (!lies) continue;
          const ring = ringOnPiece(long, { centre, turnDeg });
          for (const corner of ring)
            expect(Math.max(Math.abs(corner.x), Math.abs(corner.y))).toBeLessThanOrEqual(300 - CLEAR + 1e-6);
          for (const p of copies.flatMap((i) => footprints[i] ?? [])) {
            const inHoop = rotate(subtract(p, centre), -turnDeg);
            expect(Math.abs(inHoop.x)).toBeLessThanOrEqual(65 + 1e-6);
            expect(Math.abs(inHoop.y)).toBeLessThanOrEqual(90 + 1e-6);
          }
        }
      }),
    );
  });

  it('of a round hoop takes only what its round field takes', () => {
    const round = hoop('hoop-round150', [150, 150], [178, 178], { round: true });
    const corners = [motif(-50, -55), motif(50, 55)];
    const groups = on(corners, round);
    expect(groups.map((g) => g.copies)).toEqual([[0], [1]]);
    const pair = on([motif(-25, 0), motif(25, 0)], round);
    expect(pair.map((g) => g.copies)).toEqual([[0, 1]]);
    for (const { copies, centre } of pair)
      for (const p of copies.flatMap((i) => [motif(-25, 0), motif(25, 0)][i] ?? []))
        expect(Math.hypot(p.x - centre.x, p.y - centre.y)).toBeLessThanOrEqual(75);
  });

  const scattered = (spots: { x: number; y: number; turnDeg: number }[]) => {
    const panel = measuredTicket('panel', 'scatter', [40, 30]);
    const ticket = {
      ...panel,
      hoop: { ...panel.hoop, method: 'hooped' as const, hoopId: 'hoop-100x100' },
      place: { ...panel.place, scatter: { ...panel.place.scatter, count: spots.length, spots } },
    };
    return planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
  };

  it('stops the plan where it cannot be closed for one of them, though it can for the first', () => {
    const code = 'hoop-hooping-cannot-close';
    const middle = { x: 0, y: 250, turnDeg: 0 };
    expect(scattered([middle, { x: 120, y: 250, turnDeg: 0 }]).findings.map((f) => f.code)).not.toContain(
      code,
    );
    const plan = scattered([middle, { x: 355, y: 250, turnDeg: 0 }]);
    const finding = plan.findings.find((f) => f.code === code);
    expect(finding?.severity).toBe('stop');
    expect(say(finding?.text ?? [], { system: 'mm' })).toMatch(
      /^100 × 100 screw hoop does not lie clear of seams and bands for hooping \d of 2\.$/,
    );
    expect(say(finding?.mends[0]?.label ?? [], { system: 'mm' })).toBe('Float it');
  });

  it('goes round a closed hem without an end at the edge of the drawing', () => {
    const ticket = measuredTicket('skirt-hem', 'hem-border', [60, 40]);
    const placed = applyChange(ticket, { stage: 'place', set: { offset: { x: 0, y: -120 } } });
    const hooped = applyChange(placed, { stage: 'hoop', set: { method: 'hooped', hoopId: 'hoop-100x100' } });
    const { hoop: plan } = planTicket(hooped, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
    expect(plan?.hoopings.length).toBeGreaterThan(8);
    expect(plan?.hoopings.every(({ lies }) => lies)).toBe(true);
  });
});
