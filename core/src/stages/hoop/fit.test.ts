import { randomLcg } from 'd3-random';
import type { Point } from '../../base/geometry/point';
import { hullOf } from '../../base/geometry/polygon';
import { type Field, type Pose, whyDesignDoesNotFit } from './fit';

const CASES = 100_000;
/** Nearer to the edge than this, the case may be judged either way. */
const HAIR_MM = 0.01;
const STEPS = 8;

/** By how much the worst of many points round the turned outline lies outside the field; negative when all lie inside. */
function worstOutside(hull: readonly Point[], field: Field, pose: Pose): number {
  const [cos, sin] = [Math.cos((pose.turnDeg * Math.PI) / 180), Math.sin((pose.turnDeg * Math.PI) / 180)];
  let worst = -Infinity;
  hull.forEach((a, i) => {
    const b = hull[(i + 1) % hull.length] ?? a;
    for (let k = 0; k < STEPS; k++) {
      const [px, py] = [a.x + ((b.x - a.x) * k) / STEPS, a.y + ((b.y - a.y) * k) / STEPS];
      const [x, y] = [px * cos - py * sin + pose.x, px * sin + py * cos + pose.y];
      const out = field.round
        ? Math.sqrt(x * x + y * y) - field.widthMm / 2
        : Math.max(Math.abs(x) - field.widthMm / 2, Math.abs(y) - field.heightMm / 2);
      if (out > worst) worst = out;
    }
  });
  return worst;
}

it(`agrees with sampling the outline closely, in ${CASES} random cases`, () => {
  const random = randomLcg(0.31);
  const between = (least: number, most: number) => least + random() * (most - least);
  let [fitted, missed, wrong] = [0, 0, 0];
  for (let i = 0; i < CASES; i++) {
    const reach = between(10, 80);
    const corners = 3 + Math.floor(random() * 7);
    const hull = hullOf(
      Array.from({ length: corners }, () => ({ x: between(-reach, reach), y: between(-reach, reach) })),
    );
    const width = between(60, 200);
    const round = random() < 0.25;
    const field = { widthMm: width, heightMm: round ? width : between(60, 200), round };
    const pose = { turnDeg: between(-360, 360), x: between(-25, 25), y: between(-25, 25) };
    const worst = worstOutside(hull, field, pose);
    const fits = whyDesignDoesNotFit(hull, field, pose) === null;
    if (fits ? worst > 0 : worst <= -HAIR_MM) wrong++;
    if (fits) fitted++;
    else missed++;
  }
  expect(wrong).toBe(0);
  expect(Math.min(fitted, missed)).toBeGreaterThan(CASES / 10);
});

it('says by how much: moved in by it, the design fits', () => {
  const random = randomLcg(0.77);
  const between = (least: number, most: number) => least + random() * (most - least);
  for (let i = 0; i < 2000; i++) {
    const hull = hullOf(Array.from({ length: 6 }, () => ({ x: between(-45, 45), y: between(-45, 45) })));
    const field = { widthMm: 100, heightMm: 100, round: false };
    const pose = { turnDeg: 0, x: between(-60, 60), y: between(-60, 60) };
    const miss = whyDesignDoesNotFit(hull, field, pose);
    const moved = {
      ...pose,
      x: pose.x - Math.sign(pose.x) * ((miss?.widthMm ?? 0) + 1e-9),
      y: pose.y - Math.sign(pose.y) * ((miss?.heightMm ?? 0) + 1e-9),
    };
    expect(whyDesignDoesNotFit(hull, field, moved)).toBeNull();
  }
});
