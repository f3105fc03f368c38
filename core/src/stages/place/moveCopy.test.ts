import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { applyChange, type Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { movedCopy, posesOf } from './moveCopy';

const SNAP = { units: { system: 'mm' }, withinMm: 4 } as const;
const placeOf = (ticket: Ticket) => {
  const { place } = planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
  if (!place) throw new Error('nothing was placed');
  return place;
};

describe('dragging one of several copies', () => {
  it('in four corners, the one under the finger follows it, and the others keep the same rule', () => {
    const cloth = measuredTicket('bread-cloth', 'four-corners', [60, 40]);
    const before = posesOf(placeOf(cloth));
    before.forEach((_, k) => {
      const set = movedCopy(cloth.place, placeOf(cloth), k, { x: 20, y: -10 }, SNAP);
      const after = posesOf(placeOf(applyChange(cloth, { stage: 'place', set })));
      expect((after[k]?.centre.x ?? 0) - (before[k]?.centre.x ?? 0)).toBeCloseTo(20, 6);
      expect((after[k]?.centre.y ?? 0) - (before[k]?.centre.y ?? 0)).toBeCloseTo(-10, 6);
      expect(set.offset && Math.hypot(set.offset.x, set.offset.y)).toBeCloseTo(Math.hypot(20, 10), 6);
    });
  });

  it('of a scatter, it alone moves', () => {
    const panel = measuredTicket('panel', 'scatter', [30, 30]);
    const spots = [
      { x: -80, y: 200, turnDeg: 0 },
      { x: 80, y: 300, turnDeg: 90 },
    ];
    const scattered = applyChange(panel, {
      stage: 'place',
      set: { scatter: { ...panel.place.scatter, count: 2, spots } },
    });
    const set = movedCopy(scattered.place, placeOf(scattered), 1, { x: 3, y: 4 }, SNAP);
    expect(set.scatter?.spots).toEqual([spots[0], { x: 83, y: 304, turnDeg: 90 }]);
  });

  it('alone, it snaps to the rule and to the grid', () => {
    const tee = measuredTicket('t-shirt', 'left-chest', [60, 40]);
    expect(movedCopy(tee.place, placeOf(tee), 0, { x: 3, y: 12.4 }, SNAP)).toEqual({
      offset: { x: 0, y: 10 },
    });
  });

  it('alone and without snapping, it lies where it was let go, to a tenth', () => {
    const tee = measuredTicket('t-shirt', 'left-chest', [60, 40]);
    const free = { ...tee.place, snaps: false };
    expect(movedCopy(free, placeOf(tee), 0, { x: 3.04, y: 12.4 }, SNAP)).toEqual({
      offset: { x: 3, y: 12.4 },
    });
  });
});
