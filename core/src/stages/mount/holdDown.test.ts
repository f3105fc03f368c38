import fc from 'fast-check';
import { boxAbout, cornersOf } from '../../base/geometry/box';
import { hullOf } from '../../base/geometry/polygon';
import { SIDES } from '../../model/shelf';
import { hoop } from '../../testing/samples';
import { holdDownFor } from './holdDown';
import { obstacleOutline } from './obstacles';

const FOOT = { footMm: 6, leastMm: 2 };
const RING = hoop('hoop-100x100', [100, 100], [132, 140]);
const box = (w: number, h: number, x = 0, y = 0) => cornersOf(boxAbout({ x, y }, w, h));
const sides = (path: ReturnType<typeof box>, bracket: (typeof SIDES)[number] = 'left') =>
  holdDownFor(path, { ...RING, bracket }, FOOT);

describe('where pins and clips may go', () => {
  it('is what the foot leaves free inside the ring’s wall, side by side', () => {
    // wall 6: inner half-sides 60 and 64; design 88 × 51; foot 6 and least clearance 2
    expect(sides(box(88, 51)).map((s) => [s.side, s.roomMm])).toEqual([
      ['left', 8],
      ['right', 8],
      ['back', 30.5],
      ['front', 30.5],
    ]);
  });

  it('leaves no room for a pin on a side the design comes near', () => {
    const close = sides(box(98, 51, 1, 0));
    expect(close.map((s) => [s.side, s.pin])).toEqual([
      ['left', true],
      ['right', false],
      ['back', true],
      ['front', true],
    ]);
  });

  it('puts no clip on the bracket, nor where the foot would meet it', () => {
    for (const bracket of SIDES)
      expect(
        sides(box(40, 40), bracket)
          .filter((s) => !s.clip)
          .map((s) => s.side),
      ).toEqual([bracket]);
    expect(
      sides(box(98, 90))
        .filter((s) => s.clip)
        .map((s) => s.side),
    ).toEqual(['back', 'front']);
  });

  it('never lets a clip come nearer to the foot’s sweep than the least, by brute force', () => {
    const coordinate = fc.integer({ min: -48, max: 48 });
    const hulls = fc
      .array(fc.record({ x: coordinate, y: coordinate }), { minLength: 3, maxLength: 8 })
      .map((points) => hullOf(points));
    fc.assert(
      fc.property(hulls, (path) => {
        const clipAt = { left: [-66, 0], right: [66, 0], back: [0, -70], front: [0, 70] } as const;
        return holdDownFor(path, RING, FOOT).every(({ side, clip }) => {
          if (!clip) return true;
          const [x, y] = clipAt[side];
          const outline = obstacleOutline({ kind: 'clip', x, y, turnDeg: x === 0 ? 0 : 90 });
          return path.every((p) => outline.every((q) => Math.hypot(p.x - q.x, p.y - q.y) > 8 - 1e-9));
        });
      }),
      { numRuns: 300 },
    );
  });
});
