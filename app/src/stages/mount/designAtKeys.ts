import { factsInHoop, minus, type Plan, type Point, turn } from '@zt/core';

/** Where the design's visible centre lies in the hoop once the keys are pressed, hoop frame, mm. */
export function designAtKeys({ mount, hoop, design }: Plan, mirror: boolean): Point {
  const laid = hoop?.laid;
  if (!mount || !laid || !design.facts) return { x: 0, y: 0 };
  if (!mount.crooked?.lie.ok) return laid.designAt;
  const { x, y } = factsInHoop(design.facts, laid).fileCentre;
  return minus(mount.keys.move, turn({ x: mirror ? -x : x, y }, mount.keys.turnDeg));
}
