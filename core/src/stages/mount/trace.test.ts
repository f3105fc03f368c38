import fc from 'fast-check';
import { nearestPair } from '../../base/geometry/nearestPair';
import { distanceToSegment, type Point } from '../../base/geometry/point';
import { hullOf, polygonsOverlap, segmentsOf } from '../../base/geometry/polygon';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import { applyChange, type Ticket } from '../../model/ticket';
import type { Obstacle } from '../../model/ticket/mount';
import { planTicket } from '../../planner/plan';
import { exampleA, SAMPLE_SHELF } from '../../testing/samples';
import { obstacleOutline } from './obstacles';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const withThings = (obstacles: Obstacle[], ticket: Ticket = exampleA()) =>
  planTicket(applyChange(ticket, { stage: 'mount', set: { obstacles } }), SAMPLE_SHELF, RULES);

/** Points along a polygon's edge, close together. */
const along = (polygon: readonly Point[], stepMm: number): Point[] =>
  segmentsOf(polygon, true).flatMap(([a, b]) => {
    const n = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / stepMm));
    return Array.from({ length: n }, (_, i) => ({
      x: a.x + ((b.x - a.x) * i) / n,
      y: a.y + ((b.y - a.y) * i) / n,
    }));
  });

describe('the clearance of hull and obstacle', () => {
  const point = fc.record({
    x: fc.double({ min: -60, max: 60, noNaN: true }),
    y: fc.double({ min: -60, max: 60, noNaN: true }),
  });
  const hull = fc
    .array(point, { minLength: 3, maxLength: 14 })
    .map((points) => hullOf(points))
    .filter((h) => h.length >= 3);
  const thing = fc.record({
    kind: fc.constantFrom(
      'pin' as const,
      'clip' as const,
      'magnet' as const,
      'zip' as const,
      'button' as const,
    ),
    x: fc.integer({ min: -150, max: 150 }),
    y: fc.integer({ min: -150, max: 150 }),
    turnDeg: fc.integer({ min: 0, max: 359 }),
  });

  /** The plain way: points close together along one edge, each against every piece of the other. */
  const fromSamples = (a: readonly Point[], b: readonly Point[]): number => {
    const pieces = segmentsOf(b, true);
    let least = Infinity;
    for (const p of along(a, 2))
      for (const [from, to] of pieces) least = Math.min(least, distanceToSegment(p, from, to));
    return least;
  };

  it('is what many points of both would measure, to 0.05 mm', () => {
    fc.assert(
      fc.property(hull, thing, (path, obstacle) => {
        const outline = obstacleOutline(obstacle);
        const { mm, on } = nearestPair(path, outline);
        const least = Math.min(fromSamples(path, outline), fromSamples(outline, path));
        const [a, b] = on;
        if (mm === 0) return least < 2 || polygonsOverlap(path, outline);
        return (
          least >= mm - 1e-9 && least - mm < 0.05 && Math.abs(Math.hypot(a.x - b.x, a.y - b.y) - mm) < 1e-9
        );
      }),
      { numRuns: 10_000 },
    );
  });
});

describe('the trace', () => {
  it('clears the ring of a hoop that the design fits', () => {
    const trace = withThings([]).mount?.trace;
    expect(trace?.clearances.map((c) => c.name)).toEqual(['ring']);
    expect(trace?.clearances[0]?.mm).toBeGreaterThan(2);
    expect(trace?.findings).toEqual([]);
  });

  it('meets a pin beside the design: said with how much, and not when it is moved away', () => {
    const path = withThings([]).mount?.trace.path ?? [];
    const right = Math.max(...path.map((p) => p.x));
    const pin = (gap: number): Obstacle => ({ kind: 'pin', x: right + gap + 17, y: 0, turnDeg: 0 });
    const plan = withThings([pin(2)]);
    const found = plan.findings.find((f) => f.code === 'mount-trace-meets');
    expect(found?.severity).toBe('stop');
    expect(say(found?.text ?? [], MM)).toContain('The foot meets the pin: 4 mm too near.');
    expect(
      say(withThings([pin(7)]).findings.find((f) => f.code === 'mount-trace-near')?.text ?? [], MM),
    ).toBe('The foot passes the pin with 1 mm to spare; keep 2 mm.');
    expect(withThings([pin(9)]).findings.filter((f) => f.code.startsWith('mount-trace'))).toEqual([]);
  });

  it('follows the keys: mirrored and turned as they say', () => {
    const path = (ticket: Ticket) => planTicket(ticket, SAMPLE_SHELF, RULES).mount?.trace.path ?? [];
    const at = (turnDeg: 0 | 90) =>
      applyChange(exampleA(), {
        stage: 'hoop',
        set: { hoopId: 'hoop-130x180', turnDeg, method: 'floated' },
      });
    const width = (points: readonly Point[]) =>
      Math.max(...points.map((p) => p.x)) - Math.min(...points.map((p) => p.x));
    // The design and its basting box, 5 mm outside it.
    expect(width(path(at(0)))).toBeCloseTo(88 + 10, 6);
    expect(width(path(at(90)))).toBeCloseTo(51 + 10, 6);
  });
});
