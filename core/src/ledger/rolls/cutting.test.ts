import fc from 'fast-check';
import { contains, heightOf, widthOf } from '../../base/geometry/box';
import { LOOSE_BOUNDS, type LooseSheets, type Material, MaterialSchema } from '../../model/shelf';
import { cutPieces, layoutOf, type SheetSize, withLoose } from './cutting';

const size = (widthMm: number, heightMm: number): SheetSize => ({ widthMm, heightMm });
const material = (
  widthMm: number,
  metresLeft: number,
  loose: LooseSheets[] = [],
  id = 'material-roll',
): Material => ({
  id,
  name: 'Tear-away',
  type: 'tear-away',
  widthMm,
  metresLeft,
  loose,
});
const sheets = (widthMm: number, heightMm: number, count = 1): LooseSheets => ({ widthMm, heightMm, count });

describe('cutting from a roll', () => {
  it('takes whole rows the way that is shorter, and keeps what is left beside them', () => {
    const { from, after, missing } = cutPieces(size(200, 150), 1, [material(500, 3)], 100);
    expect(missing).toBe(0);
    expect(from).toMatchObject([
      { metres: 0.15, count: 1, lies: size(200, 150), perRow: 2, offcuts: [size(300, 150)] },
    ]);
    expect(after[0]).toMatchObject({ metresLeft: 2.85, loose: [sheets(300, 150)] });
  });

  it('keeps a strip beside full rows and the rest of the last one apart', () => {
    const { from } = cutPieces(size(200, 190), 5, [material(500, 9)], 60);
    // turned, 190 across: two to a row, 120 mm beside; the fifth alone in the third row
    expect(from[0]).toMatchObject({ metres: 0.57, offcuts: [size(100, 380), size(300, 190)] });
  });

  it('keeps nothing too small, and takes a roll with enough before one without', () => {
    const rolls = [material(400, 0.1, [], 'material-short'), material(400, 5, [], 'material-long')];
    const { from } = cutPieces(size(320, 320), 1, rolls, 100);
    expect(from).toMatchObject([{ material: { id: 'material-long' }, offcuts: [] }]);
  });

  it('that is too short is left as it is, and says what is missing', () => {
    const { after, missing } = cutPieces(size(200, 150), 1, [material(500, 0.1)], 100);
    expect([after[0], missing]).toMatchObject([{ metresLeft: 0.1, loose: [] }, 1]);
  });

  it('takes from as many rolls as it needs: four pieces off two rolls of 0.3 m', () => {
    const rolls = ['a', 'b'].map((id) => ({ ...material(200, 0.3), id: `roll-of-${id}` }));
    const { from, after, missing } = cutPieces(size(200, 150), 4, rolls, 100);
    expect(from.map(({ material: { id }, count, metres }) => [id, count, metres])).toEqual([
      ['roll-of-a', 2, 0.3],
      ['roll-of-b', 2, 0.3],
    ]);
    expect([after.map((m) => m.metresLeft), missing]).toEqual([[0, 0], 0]);
  });

  it('says how many pieces nothing is wide enough for', () => {
    expect(cutPieces(size(600, 700), 3, [material(500, 9)], 100)).toMatchObject({ from: [], missing: 3 });
    expect(cutPieces(size(60, 70), 3, [], 100)).toMatchObject({ from: [], missing: 3 });
  });
});

describe('loose sheets', () => {
  it('come before the roll, the smallest that holds the piece first, either way round', () => {
    const loose = [sheets(160, 210), sheets(300, 300), sheets(140, 400)];
    const { from, after } = cutPieces(size(200, 150), 2, [material(500, 3, loose)], 100);
    expect(from.map((f) => f.sheet)).toEqual([size(160, 210), size(300, 300)]);
    expect(after[0]?.metresLeft).toBe(3);
    // of 300 × 300 less 200 × 150: 100 × 150 beside the piece, 300 × 150 below it
    expect(after[0]?.loose).toEqual([sheets(100, 150), sheets(300, 150), sheets(140, 400)]);
  });

  it('one large enough serves several pieces, and only what is left over comes off the roll', () => {
    const { from, after } = cutPieces(size(200, 150), 5, [material(500, 3, [sheets(400, 300)])], 100);
    expect(from.map((f) => [f.count, f.sheet !== null])).toEqual([
      [1, true],
      [1, true],
      [1, true],
      [1, true],
      [1, false],
    ]);
    expect(after[0]?.loose).toEqual([sheets(300, 150)]);
  });

  it('are counted together by size, never below none', () => {
    const two = withLoose([], [size(100, 200), size(100, 200)], 1);
    expect(two).toEqual([sheets(100, 200, 2)]);
    expect(withLoose(two, [size(100, 200)], -1)).toEqual([sheets(100, 200)]);
    expect(withLoose([], [size(100, 200)], -1)).toEqual([]);
  });

  it('of more sizes than a shelf keeps lose the smallest, so that it can always be read', () => {
    const many = Array.from({ length: LOOSE_BOUNDS.mostSizes + 5 }, (_, i) => size(100 + i, 100));
    const kept = withLoose([], many, 1);
    expect(kept).toHaveLength(LOOSE_BOUNDS.mostSizes);
    expect(kept[0]).toEqual(sheets(105, 100));
    expect(MaterialSchema.safeParse(material(500, 1, kept)).success).toBe(true);
  });
});

it('what is cut is never more than was there, every piece comes from something that holds it, and the rest still reads', () => {
  const side = fc.integer({ min: 40, max: 600 });
  const stack = fc.array(
    fc.record({ widthMm: side, heightMm: side, count: fc.integer({ min: 1, max: 3 }) }),
    { maxLength: 4 },
  );
  const area = ({ widthMm, heightMm }: SheetSize) => widthMm * heightMm;
  const looseArea = (m: Material) => m.loose.reduce((sum, s) => sum + area(s) * s.count, 0);
  fc.assert(
    fc.property(side, side, fc.integer({ min: 1, max: 9 }), side, stack, (w, h, n, roll, loose) => {
      const before = material(
        roll,
        50,
        withLoose(
          [],
          loose.flatMap((s) => Array<SheetSize>(s.count).fill(size(s.widthMm, s.heightMm))),
          1,
        ),
      );
      const { from, missing, after } = cutPieces(size(w, h), n, [before], 100);
      const [now] = after;
      if (!now) throw new Error('the material is still there');
      expect(from.reduce((sum, f) => sum + f.count, 0) + missing).toBe(n);
      if (missing > 0) expect(Math.min(w, h)).toBeGreaterThan(roll);
      for (const each of from) {
        const { source, pieces } = layoutOf(each);
        const whole = { left: 0, top: 0, right: source.widthMm, bottom: source.heightMm };
        expect(pieces).toHaveLength(each.count);
        for (const piece of pieces) {
          expect(contains(whole, piece, 1e-6)).toBe(true);
          expect([widthOf(piece), heightOf(piece)].sort((a, b) => a - b)).toEqual(
            [w, h].sort((a, b) => a - b),
          );
        }
        for (const [i, a] of pieces.entries())
          for (const b of pieces.slice(i + 1))
            expect(a.right <= b.left || b.right <= a.left || a.bottom <= b.top || b.bottom <= a.top).toBe(
              true,
            );
      }
      for (const { sheet } of from)
        if (sheet) {
          const fits = (a: number, b: number) => a <= sheet.widthMm && b <= sheet.heightMm;
          expect(fits(w, h) || fits(h, w)).toBe(true);
        }
      const used = (before.metresLeft - now.metresLeft) * 1000 * roll + looseArea(before) - looseArea(now);
      expect(used).toBeGreaterThanOrEqual(w * h * (n - missing) - 1e-3);
      expect(MaterialSchema.safeParse(now).success).toBe(true);
    }),
  );
});
