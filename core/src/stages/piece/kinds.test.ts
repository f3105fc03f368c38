import fc from 'fast-check';
import { boxOf } from '../../base/geometry/box';
import { overhang } from '../../base/geometry/polygon';
import { FABRICS } from '../../catalogue/fabrics';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { PIECE_KIND_IDS, type PieceKindId } from '../../model/pieceKindIds';
import { newTicket } from '../../planner/newTicket';
import { typicalReadings } from '../../testing/samples';
import { PIECE_FAMILIES, type PieceView } from './geometry';
import { PIECE_KINDS } from './kinds';
import { planPiece } from './planPiece';

const VIEWS = PIECE_KIND_IDS.flatMap((id) =>
  PIECE_KINDS[id].views.map((view): [PieceKindId, string, PieceView] => [id, view.id, view]),
);
const pieceOf = (id: PieceKindId, readings: Record<string, number>) => ({
  ...newTicket('any-ticket', id).piece,
  readings,
});

describe('the registry of kinds', () => {
  it.each(PIECE_KIND_IDS)(
    '%s: consistent, of a known cloth and family, each placement on one of its faces',
    (id) => {
      const kind = PIECE_KINDS[id];
      expect(kind.contradictions(typicalReadings(id))).toEqual([]);
      expect(FABRICS.map((f) => f.id)).toContain(kind.usual.fabricId);
      expect(PIECE_FAMILIES).toContain(kind.family);
      const views = kind.views.map((v) => v.id);
      for (const placement of kind.placements) expect(views).toContain(placement.view);
      expect(new Set(kind.placements.map((p) => p.id)).size).toBe(kind.placements.length);
      for (const reading of kind.readings) {
        if (reading.on !== undefined) expect(views).toContain(reading.on);
        for (const view of reading.needed ?? []) expect(views).toContain(view);
      }
    },
  );
});

describe.each(VIEWS)('the outline of a %s, %s', (id, viewId, view) => {
  const kind = PIECE_KINDS[id];
  const typical = typicalReadings(id);
  const outline = view.outlineOf(typical);

  it('has both landmarks of each of its readings, and the tape between them reads it', () => {
    const laidHere = kind.readings.filter((r) => (r.on ?? kind.views[0].id) === viewId);
    for (const reading of laidHere) {
      const { [reading.from]: from, [reading.to]: to } = outline.landmarks;
      expect(from && to).toBeTruthy();
      if (from && to)
        expect(Math.hypot(to.x - from.x, to.y - from.y)).toBeCloseTo(typical[reading.id] ?? NaN, 6);
    }
  });

  it('can be halved', () => {
    const { left, right, second } = view.halving;
    expect(outline.landmarks[left]?.x).toBeCloseTo(-(outline.landmarks[right]?.x ?? NaN), 9);
    if (second) expect(outline.landmarks[second.landmark]).toBeDefined();
  });

  it('keeps the hoopable face inside the piece, and has one', () => {
    expect(overhang(outline.hoopable, outline.outline)?.mm ?? 0).toBeLessThan(1e-6);
    const face = boxOf(outline.hoopable);
    expect(face.right - face.left).toBeGreaterThan(20);
    expect(face.bottom - face.top).toBeGreaterThan(20);
  });

  it('is symmetrical', () => {
    const box = boxOf(outline.outline);
    expect(box.left).toBeCloseTo(-box.right, 9);
  });

  it('can always be sketched, whatever was typed', () => {
    const value = fc.oneof(fc.double({ noNaN: false }), fc.constant(-1));
    fc.assert(
      fc.property(fc.dictionary(fc.constantFrom(...kind.readings.map((r) => r.id)), value), (readings) => {
        const plan = planPiece(pieceOf(id, readings), DEFAULT_HOUSE_RULES, { viewId });
        return plan.sketch.outline.every((p) => Number.isFinite(p.x) && Number.isFinite(p.y));
      }),
    );
  });

  it('asks for no more than it needs', () => {
    const asked = planPiece(pieceOf(id, {}), DEFAULT_HOUSE_RULES, { viewId }).asked.map((r) => r.id);
    const taken = Object.fromEntries(asked.map((r) => [r, typical[r] ?? 0]));
    const plan = planPiece(pieceOf(id, taken), DEFAULT_HOUSE_RULES, { viewId });
    expect(plan.findings.filter((f) => f.severity === 'stop')).toEqual([]);
    expect(plan.geometry).not.toBeNull();
  });
});
