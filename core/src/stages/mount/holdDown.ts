import { boxAbout, boxOf, cornersOf } from '../../base/geometry/box';
import { nearestPair } from '../../base/geometry/nearestPair';
import type { Point } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import { type Hoop, SIDES } from '../../model/shelf';
import { OBSTACLE_SIZES, obstacleOutline } from './obstacles';

/** What may hold cloth out of the way on one side of the hoop, as the operator sees it. */
export interface SideHold {
  side: (typeof SIDES)[number];
  /** Between the foot's sweep, with its least clearance, and the ring's inner wall, mm; negative when there is none. */
  roomMm: number;
  /** A pin laid along the ring, its head outwards. */
  pin: boolean;
  /** A clip on the ring's outer edge; never on the bracket. */
  clip: boolean;
}

const WAY: Readonly<Record<SideHold['side'], Point>> = {
  left: { x: -1, y: 0 },
  right: { x: 1, y: 0 },
  back: { x: 0, y: -1 },
  front: { x: 0, y: 1 },
};

/**
 * Where pins and clips may go, side by side of the hoop: a pin lies along the ring inside it, a clip sits on the
 * ring's edge. Both must keep the least clearance from the foot's sweep round the path. Hoop frame, mm.
 */
export function holdDownFor(
  path: Polygon,
  hoop: Hoop,
  { footMm, leastMm }: { footMm: number; leastMm: number },
): SideHold[] {
  const swept = boxOf(path);
  const inner = boxOf(
    cornersOf(
      boxAbout({ x: 0, y: 0 }, hoop.ringWidthMm - 2 * hoop.wallMm, hoop.ringHeightMm - 2 * hoop.wallMm),
    ),
  );
  const room: Record<SideHold['side'], number> = {
    left: swept.left - inner.left,
    right: inner.right - swept.right,
    back: swept.top - inner.top,
    front: inner.bottom - swept.bottom,
  };
  return SIDES.map((side) => {
    const way = WAY[side];
    const roomMm = room[side] - footMm - leastMm;
    const clip = obstacleOutline({
      kind: 'clip',
      x: (way.x * hoop.ringWidthMm) / 2,
      y: (way.y * hoop.ringHeightMm) / 2,
      turnDeg: way.x === 0 ? 0 : 90,
    });
    return {
      side,
      roomMm,
      pin: roomMm >= OBSTACLE_SIZES.pin.heightMm,
      clip: side !== hoop.bracket && nearestPair(path, clip).mm - footMm >= leastMm,
    };
  });
}
