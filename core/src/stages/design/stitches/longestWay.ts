import type { Region } from '../../../base/geometry/clip';

/** A shape whose two principal spreads differ by less than this share has no longest way. */
const ROUND = 0.05;

/**
 * The angle of the longest way through a shape, clockwise from the x axis, −90 to 90°: of the axis about which its area
 * has the least second moment. 0 for what is as long as wide, and for a region without area.
 */
export function longestWayDeg(region: Region): number {
  // Moments of a polygon by its edges (Steger 1996), holes with the other sign.
  let [area, sx, sy, xx, yy, xy] = [0, 0, 0, 0, 0, 0];
  for (const ring of region) {
    let a = ring[ring.length - 1];
    for (const b of ring) {
      if (a) {
        const cross = a.x * b.y - b.x * a.y;
        area += cross / 2;
        sx += ((a.x + b.x) * cross) / 6;
        sy += ((a.y + b.y) * cross) / 6;
        xx += ((a.x * a.x + a.x * b.x + b.x * b.x) * cross) / 12;
        yy += ((a.y * a.y + a.y * b.y + b.y * b.y) * cross) / 12;
        xy += ((a.x * b.y + 2 * a.x * a.y + 2 * b.x * b.y + b.x * a.y) * cross) / 24;
      }
      a = b;
    }
  }
  if (area === 0) return 0;
  const [mx, my] = [sx / area, sy / area];
  const [vx, vy, c] = [xx / area - mx * mx, yy / area - my * my, xy / area - mx * my];
  const spread = Math.hypot(vx - vy, 2 * c);
  if (spread <= ROUND * (vx + vy)) return 0;
  return (Math.atan2(2 * c, vx - vy) * 90) / Math.PI;
}
