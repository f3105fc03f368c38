import fc from 'fast-check';
import { boxAbout, cornersOf } from '../../base/geometry/box';
import { hullOf } from '../../base/geometry/polygon';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { applyChange } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { exampleA, SAMPLE_SHELF } from '../../testing/samples';
import { allowedRegion, type Field, roomTowards, whyDesignDoesNotFit } from './fit';

const point = fc.record({
  x: fc.double({ min: -60, max: 60, noNaN: true }),
  y: fc.double({ min: -60, max: 60, noNaN: true }),
});
const hull = fc.array(point, { minLength: 3, maxLength: 12 }).map((points) => hullOf(points));
const field = fc.record({
  widthMm: fc.integer({ min: 60, max: 220 }),
  heightMm: fc.integer({ min: 60, max: 220 }),
  round: fc.boolean(),
});
const squared = (f: Field): Field => (f.round ? { ...f, heightMm: f.widthMm } : f);
const turnDeg = fc.integer({ min: 0, max: 359 });

describe('how far a design may still go', () => {
  it('is up to the field’s edge and no farther, along any way', () => {
    fc.assert(
      fc.property(hull, field, turnDeg, turnDeg, (shape, size, turned, towards) => {
        const f = squared(size);
        const pose = { turnDeg: turned, x: 0, y: 0 };
        const t = (towards * Math.PI) / 180;
        const way = { x: Math.cos(t), y: Math.sin(t) };
        const at = (mm: number) => ({ ...pose, x: mm * way.x, y: mm * way.y });
        const room = roomTowards(shape, f, pose, way);
        if (whyDesignDoesNotFit(shape, f, pose)) return room === 0;
        return (
          (room < 1e-6 || whyDesignDoesNotFit(shape, f, at(room - 1e-7)) === null) &&
          whyDesignDoesNotFit(shape, f, at(room + 1e-6)) !== null
        );
      }),
      { numRuns: 2000 },
    );
  });

  it('bounds the region drawn: inside it the design fits, just outside it does not', () => {
    fc.assert(
      fc.property(hull, field, turnDeg, (shape, size, turned) => {
        const f = squared(size);
        const region = allowedRegion(shape, f, turned);
        return region.every((p) => {
          const length = Math.hypot(p.x, p.y) || 1;
          const out = { turnDeg: turned, x: p.x * (1 + 1e-5 / length), y: p.y * (1 + 1e-5 / length) };
          const inside = { turnDeg: turned, x: p.x * (1 - 1e-7), y: p.y * (1 - 1e-7) };
          const centred = whyDesignDoesNotFit(shape, f, { turnDeg: turned, x: 0, y: 0 }) === null;
          return (
            !centred ||
            length < 1e-3 ||
            (whyDesignDoesNotFit(shape, f, inside) === null && whyDesignDoesNotFit(shape, f, out) !== null)
          );
        });
      }),
      { numRuns: 500 },
    );
  });

  it('is told in the piece’s own directions, whichever way the hoop is turned', () => {
    const plans = ([0, 90, 180, 270] as const).map((turn) => {
      const ticket = applyChange(exampleA(), {
        stage: 'hoop',
        set: { hoopId: 'hoop-130x180', turnDeg: turn, method: 'floated' },
      });
      return planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).hoop?.laid?.room;
    });
    expect(plans[0]?.down).toBeCloseTo((180 - 51) / 2, 9);
    expect(plans[0]?.right).toBeCloseTo((130 - 88) / 2, 9);
    expect(plans[1]?.down).toBeCloseTo((130 - 51) / 2, 9);
    expect(plans[1]?.right).toBeCloseTo((180 - 88) / 2, 9);
    expect(plans[2]).toEqual(plans[0]);
  });

  it('a box in a box leaves a box', () => {
    const region = allowedRegion(
      cornersOf(boxAbout({ x: 0, y: 0 }, 40, 20)),
      { widthMm: 100, heightMm: 60, round: false },
      0,
    );
    expect(region).toEqual(cornersOf(boxAbout({ x: 0, y: 0 }, 60, 40)));
  });
});

it('says with the hoop how crooked the design may lie: turned by that it fits, by more it does not', () => {
  const laid = planTicket(exampleA(), SAMPLE_SHELF, DEFAULT_HOUSE_RULES).hoop?.laid;
  const facts = planTicket(exampleA(), SAMPLE_SHELF, DEFAULT_HOUSE_RULES).design.facts;
  if (!laid || !facts) throw new Error('the example has a hoop');
  const field = { widthMm: 100, heightMm: 100, round: false };
  const turned = (by: number) =>
    [1, -1].map((side) =>
      whyDesignDoesNotFit(facts.hull, field, { turnDeg: -laid.turnDeg + side * by, ...laid.designAt }),
    );
  const most = laid.crookedMostDeg ?? 0;
  expect(most).toBeGreaterThan(5);
  expect(turned(most - 0.01)).toEqual([null, null]);
  expect(turned(most + 0.01).some((miss) => miss !== null)).toBe(true);
});
