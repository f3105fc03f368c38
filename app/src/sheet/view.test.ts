import fc from 'fast-check';
import { placesForFigures } from './placesForFigures';
import { zoomedAbout } from './useSheetGestures';
import { AT_REST, fitView, pathPx, toMm, toPx, transformAt } from './view';

const SIZE = { width: 390, height: 350 };
const BOX = { left: -260, top: -90, right: 260, bottom: 300 };

describe('the view of the sheet', () => {
  it('shows the whole box, in the middle, with its room', () => {
    const view = fitView(BOX, SIZE, 28);
    const [a, b] = [toPx(view, { x: BOX.left, y: BOX.top }), toPx(view, { x: BOX.right, y: BOX.bottom })];
    expect(Math.min(a.x, a.y, SIZE.width - b.x, SIZE.height - b.y)).toBeGreaterThanOrEqual(28 - 1e-9);
    expect((a.x + b.x) / 2).toBeCloseTo(195, 6);
    expect((a.y + b.y) / 2).toBeCloseTo(175, 6);
  });

  it('is one scale both ways: mm to px and back', () => {
    const n = fc.double({ min: -2000, max: 2000, noNaN: true });
    const hand = fc.record({ zoom: fc.double({ min: 0.5, max: 8, noNaN: true }), dx: n, dy: n });
    fc.assert(
      fc.property(fc.record({ x: n, y: n }), hand, (p, held) => {
        const view = fitView(BOX, SIZE, 28, held);
        const back = toMm(view, toPx(view, p));
        return Math.hypot(back.x - p.x, back.y - p.y) < 1e-6;
      }),
    );
  });

  it('shows a box without size', () => {
    const view = fitView({ left: 5, right: 5, top: 5, bottom: 5 }, SIZE, 28);
    expect(Number.isFinite(view.scale)).toBe(true);
    const { x, y } = toPx(view, { x: 5, y: 5 });
    expect([x, y].map(Math.round)).toEqual([195, 175]);
  });

  it('draws paths and places designs in px', () => {
    const view = fitView({ left: 0, right: 334, top: 0, bottom: 294 }, SIZE, 28);
    expect(
      pathPx(
        view,
        [
          { x: 0, y: 0 },
          { x: 10, y: 0 },
        ],
        true,
      ),
    ).toBe('M28 28L38 28Z');
    expect(pathPx(view, [], true)).toBe('');
    expect(transformAt(view, { x: 10, y: 20 }, 45)).toBe('translate(38 48) rotate(45) scale(1)');
  });

  it('zooms about the finger: what lies under it stays', () => {
    const n = fc.double({ min: -150, max: 150, noNaN: true });
    fc.assert(
      fc.property(
        fc.record({ x: n, y: n }),
        fc.double({ min: 0.7, max: 1.6, noNaN: true }),
        (finger, factor) => {
          const at = { x: finger.x + SIZE.width / 2, y: finger.y + SIZE.height / 2 };
          const under = toMm(fitView(BOX, SIZE, 28, AT_REST), at);
          const after = toPx(fitView(BOX, SIZE, 28, zoomedAbout(AT_REST, factor, finger)), under);
          return Math.hypot(after.x - at.x, after.y - at.y) < 1e-6;
        },
      ),
    );
  });

  it('zooms neither out of sight nor into a thread', () => {
    expect(zoomedAbout(AT_REST, 100, { x: 0, y: 0 }).zoom).toBe(8);
    expect(zoomedAbout(AT_REST, 0.001, { x: 0, y: 0 }).zoom).toBe(0.5);
  });
});

describe('figures on the sheet', () => {
  const view = fitView({ left: 0, right: 334, top: 0, bottom: 294 }, SIZE, 28);
  const across = (y: number) => ({ from: { x: 0, y }, to: { x: 334, y }, text: '10 1/4' });

  it('keep to the middle of their line, and give way to those that chose before', () => {
    const [first = 0, second = 0] = placesForFigures(view, [across(100), across(104)]);
    expect(first).toBe(0.5);
    expect(Math.abs(second - first) * 334).toBeGreaterThan(60);
    expect(placesForFigures(view, [across(100), across(200)])).toEqual([0.5, 0.5]);
  });

  it('keep clear of the buttons in the corner, and of the edge', () => {
    const corner = { from: { x: 260, y: 290 }, to: { x: 334, y: 290 }, text: '2 15/16' };
    const [at = 1] = placesForFigures(view, [corner]);
    expect(toPx(view, { x: 260 + 74 * at, y: 290 }).x).toBeLessThan(SIZE.width - 44 - 20);
  });
});
