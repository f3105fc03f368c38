import { add, type Point, rotate } from '../../base/geometry/point';
import { planTicket } from '../../planner/plan';
import type { Plan } from '../../planner/planned';
import type { Keys } from '../../stages/mount/keys';
import { casesOf } from '../../testing/cases';
import { hoopedFurther, markedBy } from '../../testing/followWords';
import { report } from '../../testing/report';
import { SAMPLE_RULES } from '../../testing/samples';
import { variedJob } from '../../testing/variedTickets';
import { deckOf, jobSteps } from './jobSteps';

/** Where a machine stitches the middle of a design in a hoop: the file centred, turned and mirrored about it, then moved. */
function stitchedAt(
  { mount, design, hoop }: Plan,
  hoopAt: Point,
  { keys, onPieceDeg }: { keys: Keys; onPieceDeg: number } = {
    keys: mount?.keys as Keys,
    onPieceDeg: hoop?.laid?.onPieceDeg ?? 0,
  },
  file: Point = hoop?.laid?.split?.part.centre ?? (design?.facts?.fileCentre as Point),
): Point {
  const middle = rotate({ x: keys.mirror ? file.x : -file.x, y: -file.y }, keys.turnDeg);
  return add(hoopAt, rotate(add(keys.move, middle), onPieceDeg));
}

it('a hoop laid as the steps say, and a design keyed as the machine settings say, meet on the marks', () => {
  let [offCentre, followed] = [0, 0];
  const misses = Array.from({ length: casesOf(5000, 150) }, (_, n) => n).flatMap((n) => {
    const { ticket, shelf, rules } = variedJob(n);
    const plan = planTicket(ticket, shelf, { ...rules, units: SAMPLE_RULES.units });
    const { place, hoop, mount } = plan;
    // Copies and parts have hoopings of their own, and marks read off a hoop have settings of their own.
    if (!place || !hoop?.laid || !mount || hoop.laid.split || place.copies.length > 1 || mount.crooked)
      return [];
    if (Object.values(ticket.mount.sample).some(Boolean)) return [];
    const steps = deckOf('hoop', plan, rules);
    if (steps.some(({ id }) => id === 'hoop centre')) offCentre += 1;
    followed += 1;
    const at = stitchedAt(plan, markedBy(steps, place));
    const off = Math.hypot(at.x - place.centre.x, at.y - place.centre.y);
    return off < 1.3 ? [] : [{ n, off }];
  });
  expect(misses).toEqual([]);
  expect(followed).toBeGreaterThan(casesOf(1000, 36));
  expect(offCentre).toBeGreaterThan(casesOf(150, 4));
});

it('every further copy and part lands on its own marks, hooped as its steps say and keyed as its card shows', () => {
  let [rehooped, followed, jobs] = [0, 0, 0];
  const misses = Array.from({ length: casesOf(5000, 180) }, (_, n) => n).flatMap((n) => {
    const { ticket, shelf, rules } = variedJob(n);
    const plan = planTicket(ticket, shelf, { ...rules, units: SAMPLE_RULES.units });
    const { place, hoop, mount } = plan;
    if (!place || !hoop?.laid || !mount || mount.copies.length === 0 || mount.crooked) return [];
    if (Object.values(ticket.mount.sample).some(Boolean)) return [];
    jobs += 1;
    const steps = jobSteps(plan, rules);
    const first = markedBy(deckOf('hoop', plan, rules), place);
    const copies = place.copies.length > 0 ? place.copies : [place];
    const stitched = new Map([[(hoop.laid.split?.index ?? 0) + 1, stitchedAt(plan, first)]]);
    for (const { number, at, onPieceDeg, isHoopedAnew } of hoopedFurther(plan, steps, first)) {
      const copy = mount.copies.find((one) => one.number === number);
      if (!copy) throw new Error(`no keys for no. ${number}`);
      if (isHoopedAnew) rehooped += 1;
      const part = hoop.laid.split?.split.parts[(copy.part ?? 0) - 1];
      stitched.set(number, stitchedAt(plan, at, { keys: copy.keys, onPieceDeg }, part?.centre));
    }
    const parts = hoop.laid.split?.split;
    // A hoop that is latched in another place moves its field, and the part keyed in it, by a step of its own.
    if (parts?.byPositions) return [];
    const inHand = hoop.laid.split?.index ?? 0;
    return copies.flatMap(({ centre }, i) =>
      Array.from({ length: parts?.parts.length ?? 1 }, (_, part) => {
        if (i === 0 && part < inHand) return [];
        followed += 1;
        const number = i * (parts?.parts.length ?? 1) + part + 1;
        const at = stitched.get(number);
        const off = at ? Math.hypot(at.x - centre.x, at.y - centre.y) : Number.POSITIVE_INFINITY;
        return off < 1.3 ? [] : [{ n, number, off: Math.round(off * 10) / 10 }];
      }).flat(),
    );
  });
  report(
    `${followed} copies and parts of ${jobs} jobs stitched where their marks are, ${rehooped} of them hooped again`,
  );
  expect(misses).toEqual([]);
  expect(followed).toBeGreaterThan(casesOf(1000, 36));
  expect(rehooped).toBeGreaterThan(casesOf(400, 18));
});
