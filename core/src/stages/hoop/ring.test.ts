import fc from 'fast-check';
import { boxAbout, cornersOf } from '../../base/geometry/box';
import { distanceToSegment, type Point } from '../../base/geometry/point';
import { containsPoint, segmentsOf } from '../../base/geometry/polygon';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { planTicket } from '../../planner/plan';
import { hoop, measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import type { PieceOutline } from '../piece/geometry';
import { inHoopFrame, ringLies, ringOnPiece } from './ring';

const HOOP = hoop('hoop-100x100', [100, 100], [132, 140]);
const square = (width: number, height: number, at: Point = { x: 0, y: 0 }) =>
  cornersOf(boxAbout(at, width, height));
/** A wide cloth with one pocket on it. */
const pocketed = (pocket: Point[]): PieceOutline =>
  ({
    outline: square(900, 900),
    hoopable: square(880, 880),
    noGo: [{ id: 'pocket', name: 'pocket', area: pocket }],
    seams: [],
    opening: null,
  }) as unknown as PieceOutline;

/** Points along a ring, close together. */
const along = (ring: readonly Point[]): Point[] =>
  segmentsOf(ring, true).flatMap(([a, b]) =>
    Array.from({ length: 400 }, (_, i) => ({
      x: a.x + ((b.x - a.x) * i) / 400,
      y: a.y + ((b.y - a.y) * i) / 400,
    })),
  );

describe('a ring and an area it may not press', () => {
  const pocket = square(180, 160, { x: 40, y: 30 });
  const edges = segmentsOf(pocket, true);
  const off = (p: Point) => Math.min(...edges.map(([a, b]) => distanceToSegment(p, a, b)));
  const place = fc.record({
    centre: fc.record({ x: fc.integer({ min: -250, max: 250 }), y: fc.integer({ min: -250, max: 250 }) }),
    turnDeg: fc.integer({ min: 0, max: 359 }),
  });

  it('does not lie where any point of its edge is over it, and lies where none is near', () => {
    fc.assert(
      fc.property(place, (pose) => {
        const ring = ringOnPiece(HOOP, pose);
        const points = along(ring);
        const lies = ringLies(ring, pocketed(pocket), 10);
        if (points.some((p) => containsPoint(pocket, p) && off(p) > 0.5)) return !lies;
        return points.some((p) => off(p) < 0.5) || lies;
      }),
      { numRuns: 400 },
    );
  });

  it('lies with a small area wholly inside it, where its edge presses nothing', () => {
    const button = square(12, 12);
    const ring = (x: number) => ringOnPiece(HOOP, { centre: { x, y: 0 }, turnDeg: 0 });
    expect(ringLies(ring(0), pocketed(button), 10)).toBe(true);
    expect(ringLies(ring(66), pocketed(button), 10)).toBe(false);
  });

  it('does not lie inside an area that is larger than it', () => {
    expect(
      ringLies(ringOnPiece(HOOP, { centre: { x: 0, y: 0 }, turnDeg: 0 }), pocketed(square(300, 300)), 10),
    ).toBe(false);
  });

  it('is kept off the pocket of a hoodie: there the design floats or moves', () => {
    const ticket = measuredTicket('hoodie', 'left-chest', [80, 50]);
    const plan = (y: number) =>
      planTicket(
        {
          ...ticket,
          piece: { ...ticket.piece, fabricId: 'stable-cotton' },
          place: { ...ticket.place, offset: { x: 0, y } },
          hoop: { ...ticket.hoop, hoopId: 'hoop-100x100', method: 'hooped' },
        },
        SAMPLE_SHELF,
        DEFAULT_HOUSE_RULES,
      );
    const closes = (y: number) => !plan(y).findings.some((f) => f.code === 'hoop-cannot-close');
    const outline = plan(0).piece.geometry;
    const top = Math.min(...(outline?.noGo.find((n) => n.id === 'pocket')?.area ?? []).map((p) => p.y));
    const at = plan(0).place?.centre.y ?? 0;
    expect(Number.isFinite(top)).toBe(true);
    expect(closes(0)).toBe(true);
    expect(closes(top - at)).toBe(false);
  });
});

it('a point of the piece is found in the hoop where the ring’s corners say', () => {
  const pose = { centre: { x: 120, y: -40 }, turnDeg: 90 };
  const [corner] = ringOnPiece(HOOP, pose);
  const seen = corner && inHoopFrame(corner, { centre: pose.centre, onPieceDeg: pose.turnDeg });
  expect(seen?.x).toBeCloseTo(-66, 9);
  expect(seen?.y).toBeCloseTo(-70, 9);
});
