import { boxAbout, cornersOf } from '../../base/geometry/box';
import { type Point, rotate } from '../../base/geometry/point';
import { placed } from '../../base/geometry/polygon';
import type { Obstacle, ObstacleKind } from '../../model/ticket/mount';

/** How large a thing on the hoop is: its sides in mm, or both its diameter when it is round. */
export const OBSTACLE_SIZES: Readonly<
  Record<ObstacleKind, { name: string; widthMm: number; heightMm: number; round: boolean }>
> = {
  pin: { name: 'pin', widthMm: 34, heightMm: 3, round: false },
  clip: { name: 'clip', widthMm: 12, heightMm: 30, round: false },
  magnet: { name: 'magnet', widthMm: 20, heightMm: 20, round: true },
  zip: { name: 'zip', widthMm: 60, heightMm: 8, round: false },
  button: { name: 'button', widthMm: 15, heightMm: 15, round: true },
};
const ROUND_CORNERS = 24;

/** A thing's outline where it lies on the hoop. */
export function obstacleOutline({ kind, x, y, turnDeg }: Obstacle): Point[] {
  const { widthMm, heightMm, round } = OBSTACLE_SIZES[kind];
  const shape = round
    ? Array.from({ length: ROUND_CORNERS }, (_, i) =>
        rotate({ x: widthMm / 2, y: 0 }, (360 * i) / ROUND_CORNERS),
      )
    : cornersOf(boxAbout({ x: 0, y: 0 }, widthMm, heightMm));
  return placed(shape, turnDeg, { x, y });
}
