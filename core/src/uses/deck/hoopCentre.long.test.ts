import { add, type Point, rotate } from '../../base/geometry/point';
import { say } from '../../base/units/phrase';
import { planTicket } from '../../planner/plan';
import type { Plan } from '../../planner/planned';
import type { Keys } from '../../stages/mount/keys';
import { casesOf } from '../../testing/cases';
import { report } from '../../testing/report';
import { SAMPLE_RULES } from '../../testing/samples';
import { variedJob } from '../../testing/variedTickets';
import { deckOf, jobSteps } from './jobSteps';
import type { Step } from './step';

const WAYS: Record<string, Point> = {
  left: { x: -1, y: 0 },
  right: { x: 1, y: 0 },
  up: { x: 0, y: -1 },
  down: { x: 0, y: 1 },
};

/** Of the axis line and the line square to it, the ways there are to go; the one that is meant leads most as it is said. */
function unitAlong(axisDeg: number, word: string, how: string): Point {
  const a = ((how === 'along' ? axisDeg : axisDeg + 90) * Math.PI) / 180;
  const line = { x: Math.cos(a), y: Math.sin(a) };
  const said = WAYS[word] as Point;
  const sign = line.x * said.x + line.y * said.y > 0 ? 1 : -1;
  return { x: line.x * sign, y: line.y * sign };
}

/** Where a hand marks the hoop centre that does what the steps say, with nothing but the chalked marks before it. */
function markedBy(steps: readonly Step[], { centre, axisEnds: [left, right] }: NonNullable<Plan['place']>) {
  const step = steps.find(({ id }) => id === 'hoop centre');
  if (!step) return centre;
  const axisDeg = (Math.atan2(right.y - left.y, right.x - left.x) * 180) / Math.PI;
  return goneFrom(centre, axisDeg, step);
}

/** Where a hand comes that goes from a mark as a step says. */
function goneFrom(mark: Point, axisDeg: number, step: Step): Point {
  const text = say(step.text, { system: 'mm' });
  const legs = [...text.matchAll(/([\d.]+) mm (left|right|up|down) (along|square)/g)];
  expect(legs.length).toBeGreaterThan(0);
  return legs.reduce((at, [, by, word = '', how = '']) => {
    const unit = unitAlong(axisDeg, word, how);
    return { x: at.x + unit.x * Number(by), y: at.y + unit.y * Number(by) };
  }, mark);
}

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
  const misses = Array.from({ length: casesOf(5000, 700) }, (_, n) => n).flatMap((n) => {
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
  expect(followed).toBeGreaterThan(200);
  expect(offCentre).toBeGreaterThan(30);
});

it('every further copy and part lands on its own marks, hooped as its steps say and keyed as its card shows', () => {
  let [rehooped, followed, jobs] = [0, 0, 0];
  const misses = Array.from({ length: casesOf(5000, 900) }, (_, n) => n).flatMap((n) => {
    const { ticket, shelf, rules } = variedJob(n);
    const plan = planTicket(ticket, shelf, { ...rules, units: SAMPLE_RULES.units });
    const { place, hoop, mount } = plan;
    if (!place || !hoop?.laid || !mount || mount.copies.length === 0 || mount.crooked) return [];
    if (Object.values(ticket.mount.sample).some(Boolean)) return [];
    jobs += 1;
    const steps = jobSteps(plan, rules);
    const first = markedBy(deckOf('hoop', plan, rules), place);
    const copies = place.copies.length > 0 ? place.copies : [place];
    let hands = { at: first, onPieceDeg: hoop.laid.onPieceDeg };
    const stitched = new Map([[(hoop.laid.split?.index ?? 0) + 1, stitchedAt(plan, first)]]);
    for (const step of steps.filter(({ phase }) => phase === 'further copies')) {
      const text = say(step.text, { system: 'mm' });
      if (step.id.startsWith('turn '))
        hands = {
          ...hands,
          onPieceDeg: hoop.laid.onPieceDeg + Number(/Turn the hoop ([\d.-]+)°/.exec(text)?.[1]),
        };
      if (step.id.startsWith('off ')) hands = { ...hands, onPieceDeg: hoop.laid.onPieceDeg };
      if (step.id.startsWith('hoop centre ') || step.id.startsWith('notches ')) {
        const from = copies[Number(/centre mark(?: and both axis marks)? of no\. (\d+)/.exec(text)?.[1]) - 1];
        if (step.id.startsWith('hoop centre ') || /centre mark/.test(text)) {
          rehooped += 1;
          if (!from) throw new Error(`no mark in: ${text}`);
          const at = / go /.test(text) ? goneFrom(from.centre, from.turnDeg, step) : from.centre;
          hands = { ...hands, at };
        }
      }
      if (step.keys !== null) {
        const copy = mount.copies.find(({ number }) => number === step.keys);
        if (!copy) throw new Error(`no keys for no. ${step.keys}`);
        const part = hoop.laid.split?.split.parts[(copy.part ?? 0) - 1];
        stitched.set(
          step.keys,
          stitchedAt(plan, hands.at, { keys: copy.keys, onPieceDeg: hands.onPieceDeg }, part?.centre),
        );
      }
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
  expect(followed).toBeGreaterThan(200);
  expect(rehooped).toBeGreaterThan(80);
});
