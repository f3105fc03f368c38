import { boxOf, widthOf } from '../../base/geometry/box';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { PIECE_KIND_IDS, type PieceKindId } from '../../model/pieceKindIds';
import { planTicket } from '../../planner/plan';
import type { Plan } from '../../planner/planned';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { PIECE_KINDS } from '../piece/kinds';
import { nearestThings, offPiece } from './footprint';

const SIZES: readonly [number, number][] = [
  [40, 30],
  [90, 70],
  [260, 300],
];
const CASES = PIECE_KIND_IDS.flatMap((kind) =>
  PIECE_KINDS[kind].placements.flatMap((p) =>
    SIZES.map((size): [PieceKindId, string, [number, number]] => [kind, p.id, size]),
  ),
);
const CLEAR_MM = 10;
const EXPLAINS = ['place-off-piece', 'place-crosses', 'place-close', 'repeats-none-fit', 'scatter-outside'];

/** What lies wrong, found apart from the checks: off the piece, over something, or too near it. */
function wrongWith(plan: Plan): string[] {
  const { place, piece } = plan;
  const { geometry } = piece;
  if (!place || !geometry) return ['no place'];
  const footprints = place.copies.length > 0 ? place.copies.map((c) => c.footprint) : [place.footprint];
  return footprints.flatMap((footprint) => [
    ...(offPiece(footprint, geometry) ? ['off the piece'] : []),
    ...nearestThings(footprint, geometry, Infinity)
      .filter((t) => t.crossed || t.clearance.mm < CLEAR_MM - 1e-9)
      .map((t) => t.name),
  ]);
}

describe.each(CASES)('%s, %s, %j mm', (kind, placement, size) => {
  const plan = planTicket(measuredTicket(kind, placement, size), SAMPLE_SHELF, DEFAULT_HOUSE_RULES);

  it('lies well, or a finding says why not', () => {
    const { place } = plan;
    expect(place?.placement.id).toBe(placement);
    const said = place?.findings.filter((f) => EXPLAINS.includes(f.code)) ?? [];
    expect(said.length > 0).toBe(
      wrongWith(plan).length > 0 || said.some((f) => f.code === 'repeats-none-fit'),
    );
  });

  it('has marks that end in a centre, and figures that are numbers', () => {
    const { place } = plan;
    expect(place?.marks.length).toBeGreaterThan(2);
    expect(place?.marks.some((m) => m.cross !== null)).toBe(true);
    const figures = place?.marks.flatMap((m) => (m.figure && 'mm' in m.figure ? [m.figure.mm] : [])) ?? [];
    for (const mm of figures) expect(mm).toBeGreaterThanOrEqual(0);
    expect([place?.centre.x, place?.centre.y, place?.depthMm, place?.acrossMm].every(Number.isFinite)).toBe(
      true,
    );
  });
});

/** Where even a small design at its usual place lies over something, whoever measures it. */
const IN_THE_WAY: Readonly<Record<string, string>> = {
  'polo centre-chest': 'The design lies over the button placket.',
  'polo full-front': 'The design lies over the button placket.',
};
const SMALL = PIECE_KIND_IDS.flatMap((kind) =>
  PIECE_KINDS[kind].placements.map((p): [PieceKindId, string] => [kind, p.id]),
);

describe.each(SMALL)('a small design on a %s, %s', (kind, placement) => {
  it('lies clear, but for a placket', () => {
    const plan = planTicket(measuredTicket(kind, placement, [40, 30]), SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
    const stops = plan.place?.findings.filter((f) => f.severity === 'stop') ?? [];
    const expected = IN_THE_WAY[`${kind} ${placement}`];
    expect(stops.map((f) => say(f.text, { system: 'mm' }))).toEqual(expected ? [expected] : []);
    expect(widthOf(boxOf(plan.place?.footprint ?? []))).toBeGreaterThan(29);
  });
});

/** Placements that are each other's mirror image, and those that stand on the centre line. */
const TWINS: readonly [string, string][] = [
  ['left-chest', 'right-chest'],
  ['hem-corner-left', 'hem-corner-right'],
  ['gap-from-left', 'gap-from-right'],
];

describe.each(PIECE_KIND_IDS)('a symmetric %s', (kind) => {
  const at = (placement: string) =>
    planTicket(measuredTicket(kind, placement, [40, 30]), SAMPLE_SHELF, DEFAULT_HOUSE_RULES).place;
  const ids: string[] = PIECE_KINDS[kind].placements.map((p) => p.id);

  it('gives symmetric marks', () => {
    for (const [one, other] of TWINS.filter(([a, b]) => ids.includes(a) && ids.includes(b))) {
      const [left, right] = [at(one), at(other)];
      expect(left?.centre.x).toBeCloseTo(-(right?.centre.x ?? NaN), 9);
      expect(left?.centre.y).toBeCloseTo(right?.centre.y ?? NaN, 9);
      const mirror = left?.axisEnds.map((p) => -p.x).sort((a, b) => a - b) ?? [];
      const own = right?.axisEnds.map((p) => p.x).sort((a, b) => a - b) ?? [];
      for (const [i, x] of own.entries()) expect(x).toBeCloseTo(mirror[i] ?? NaN, 9);
    }
    const paired = TWINS.flat();
    for (const id of ids.filter((i) => !paired.includes(i) && !i.includes('corner'))) {
      const place = at(id);
      if (place?.placement.copies === 'closed hem') continue;
      const xs =
        place && place.copies.length > 0 ? place.copies.map((c) => c.centre.x) : [place?.centre.x ?? NaN];
      expect(xs.reduce((sum, x) => sum + x, 0)).toBeCloseTo(0, 6);
    }
  });
});
