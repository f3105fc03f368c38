import { nearestPair } from '../../base/geometry/nearestPair';
import { ORIGIN, type Point } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import { mm, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { MOUNT_NUMBERS } from '../../catalogue/numbers/mount';
import { type Finding, finding } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import type { Hoop } from '../../model/shelf';
import type { Obstacle } from '../../model/ticket/mount';
import type { DesignFacts } from '../design/designFacts';
import { holdDownFor, type SideHold } from './holdDown';
import { hullAsKeyed, type Keys } from './keys';
import { OBSTACLE_SIZES, obstacleOutline } from './obstacles';

/** What the foot would come near, and how near. Hoop frame, mm. */
export interface TraceClearance {
  name: string;
  /** Between the foot's edge and the thing; below nothing where the foot meets it. */
  mm: number;
  /** On the path of the needle, and on the thing. */
  on: [Point, Point];
}

export interface TracePlan {
  /** The path of the needle round the design, hoop frame, mm. */
  path: Point[];
  footMm: number;
  /** What is to be kept clear, mm. */
  leastMm: number;
  /** Nearest first. */
  clearances: TraceClearance[];
  /** Where pins and clips may go. */
  holdDown: SideHold[];
  findings: Finding[];
}

/** From the path to the ring's inner wall, less the foot; a round ring by its circle. */
function ringClearance(path: Polygon, hoop: Hoop, footMm: number): TraceClearance {
  const [w, h] = [hoop.ringWidthMm / 2 - hoop.wallMm, hoop.ringHeightMm / 2 - hoop.wallMm];
  let best: TraceClearance = {
    name: 'ring',
    mm: Infinity,
    on: [ORIGIN, ORIGIN],
  };
  for (const p of path) {
    const reach = Math.hypot(p.x, p.y) || 1;
    const walls: [number, Point][] = hoop.round
      ? [[w - reach, { x: (p.x / reach) * w, y: (p.y / reach) * w }]]
      : [
          [w - Math.abs(p.x), { x: Math.sign(p.x) * w, y: p.y }],
          [h - Math.abs(p.y), { x: p.x, y: Math.sign(p.y) * h }],
        ];
    for (const [apart, on] of walls)
      if (apart - footMm < best.mm) best = { name: 'ring', mm: apart - footMm, on: [p, on] };
  }
  return best;
}

function findingOf(near: TraceClearance, least: number): Finding[] {
  if (near.mm >= least) return [];
  const meets = near.mm < 0;
  return [
    finding(
      'mount',
      meets ? 'mount-trace-meets' : 'mount-trace-near',
      meets ? 'stop' : 'warn',
      meets
        ? phrase`The foot meets the ${near.name}: ${mm(-near.mm)} too near. A needle on it can shatter: move one or the other.`
        : phrase`The foot passes the ${near.name} with ${mm(near.mm)} to spare; keep ${mm(least)}.`,
      { field: 'obstacles' },
    ),
  ];
}

/**
 * Sweeps the presser foot round the design's hull as it will be stitched and reports how near it comes to the ring
 * and to what was put down on the hoop. Distances are exact for the hull; a foot is a disc about the needle.
 */
export function planTrace(
  facts: DesignFacts,
  keys: Keys,
  on: { hoop: Hoop; obstacles: readonly Obstacle[] },
  rules: HouseRules,
): TracePlan {
  const path = hullAsKeyed(facts, keys);
  const footMm = numberFor(rules, MOUNT_NUMBERS.footRadiusMm);
  const things = on.obstacles.map((obstacle): TraceClearance => {
    const near = nearestPair(path, obstacleOutline(obstacle));
    return { name: OBSTACLE_SIZES[obstacle.kind].name, mm: near.mm - footMm, on: near.on };
  });
  const clearances = [...things, ringClearance(path, on.hoop, footMm)].sort((a, b) => a.mm - b.mm);
  const leastMm = numberFor(rules, MOUNT_NUMBERS.traceLeastMm);
  return {
    path,
    footMm,
    leastMm,
    clearances,
    holdDown: holdDownFor(path, on.hoop, { footMm, leastMm }),
    findings: clearances.slice(0, 3).flatMap((near) => findingOf(near, leastMm)),
  };
}
