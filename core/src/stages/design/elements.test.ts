import { boxOf, widthOf } from '../../base/geometry/box';
import { clearanceBetween } from '../../base/geometry/polygon';
import { TWO_SQUARES } from '../../testing/samples';
import { arranged, elementsOf, gathered } from './elements';
import { mappedPath } from './pathData';

const hullsOf = (artwork: typeof TWO_SQUARES) => elementsOf(artwork).map((e) => e.hull);

describe('the elements of a drawing', () => {
  it('are what stands apart from the rest', () => {
    expect(elementsOf(TWO_SQUARES).map((e) => e.paths)).toEqual([[0], [1]]);
  });

  it('join where shapes touch, or nearly do, and a bridge joins both sides', () => {
    const bridge = { d: 'M-21 0L21 0', stop: 0, strokeMm: 2 };
    const joined = { ...TWO_SQUARES, paths: [...TWO_SQUARES.paths, bridge] };
    expect(elementsOf(joined).map((e) => e.paths)).toEqual([[0, 1, 2]]);
  });

  it('count a line with its width', () => {
    const line = { ...TWO_SQUARES, paths: [{ d: 'M0 0L30 0', stop: 0, strokeMm: 4 }] };
    expect(boxOf(elementsOf(line)[0]?.hull ?? [])).toEqual({ left: -2, top: -2, right: 32, bottom: 2 });
  });
});

describe('moving elements', () => {
  it('moves their paths, and nothing else', () => {
    const moved = arranged(TWO_SQUARES, [
      { x: 20, y: 0 },
      { x: 0, y: 0 },
    ]);
    expect(boxOf(moved.hull)).toEqual({ left: -40, top: -20, right: 60, bottom: 20 });
    expect(moved.fileCentre).toEqual(TWO_SQUARES.fileCentre);
    expect(moved.paths.map((p) => p.d)).toEqual(['M-40 -20L0 -20L0 20L-40 20Z', TWO_SQUARES.paths[1]?.d]);
    expect(mappedPath('M-1.5 2L0 0Z', ({ x, y }) => ({ x: x + 1.5, y: y - 2 }))).toBe('M0 0L1.5 -2Z');
  });

  it('leaves the drawing where the moves are not for these elements', () => {
    expect(arranged(TWO_SQUARES, [])).toBe(TWO_SQUARES);
    expect(arranged(TWO_SQUARES, [{ x: 1, y: 1 }])).toBe(TWO_SQUARES);
  });
});

describe('drawing elements closer together', () => {
  const narrowerThan = (most: number) => (hull: readonly { x: number; y: number }[]) =>
    widthOf(boxOf(hull)) <= most;

  it('goes no further than it must', () => {
    const found = gathered(elementsOf(TWO_SQUARES), narrowerThan(100), 3);
    const moved = arranged(TWO_SQUARES, found?.moves ?? []);
    expect(widthOf(boxOf(moved.hull))).toBeGreaterThan(97);
    expect(widthOf(boxOf(moved.hull))).toBeLessThanOrEqual(100);
    const [a = [], b = []] = hullsOf(moved);
    expect(clearanceBetween(a, b).mm).toBeCloseTo(found?.gapMm ?? 0, 6);
  });

  it('never brings them nearer than the gap, and gives up sooner', () => {
    expect(gathered(elementsOf(TWO_SQUARES), narrowerThan(82), 3)).toBeNull();
    expect(gathered(elementsOf(TWO_SQUARES), narrowerThan(83.3), 3)?.gapMm).toBeGreaterThanOrEqual(3);
  });

  it('has nothing to do with one element', () => {
    expect(gathered(elementsOf(TWO_SQUARES).slice(0, 1), () => true, 3)).toBeNull();
  });
});
