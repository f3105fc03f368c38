import { rotate } from '../../base/geometry/point';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { applyChange } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { exampleA, measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { fieldOf } from '../hoop/judgeHoop';
import { whatFollows } from './copyKeys';
import { designAtKeys, missAsKeyed } from './keys';

describe('the keys of further copies', () => {
  it('of four corners bring each design onto its own marks, turned a quarter more each time', () => {
    const cloth = applyChange(measuredTicket('bread-cloth', 'four-corners', [60, 40]), {
      stage: 'hoop',
      set: { turnDeg: 0 },
    });
    const { mount, hoop, place, design } = planTicket(cloth, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
    const laid = hoop?.laid;
    if (!mount || !laid || !place || !design.facts) throw new Error('nothing is mounted');
    expect(mount.copies.map((copy) => copy.number)).toEqual([2, 3, 4]);
    for (const { number, hooping, keys, hoopTurnDeg } of mount.copies) {
      const copy = place.copies[number - 1];
      const centre = hoop.hoopings[hooping - 1]?.centre;
      if (!copy || !centre) throw new Error('a copy is missing');
      expect(missAsKeyed(design.facts, keys, fieldOf(laid.verdict.hoop))).toBeNull();
      expect((hoopTurnDeg + laid.onPieceDeg + keys.turnDeg) % 360).toBe(copy.turnDeg % 360);
      if (hoopTurnDeg !== 0) continue;
      const at = rotate(designAtKeys(design.facts, keys), laid.onPieceDeg);
      expect(Math.hypot(centre.x + at.x - copy.centre.x, centre.y + at.y - copy.centre.y)).toBeLessThan(1.2);
    }
  });

  it('are called by what follows', () => {
    const all = [2, 3, 4].map((copy) => ({ copy, part: null }));
    expect(
      [
        all,
        all.slice(0, 1),
        [
          { copy: 1, part: 2 },
          { copy: 2, part: 1 },
        ],
        [],
      ].map(whatFollows),
    ).toEqual(['no. 2 to 4', 'no. 2', 'part 2 to part 1 of no. 2', '']);
  });

  it('are none where there is one copy', () => {
    expect(planTicket(exampleA(), SAMPLE_SHELF, DEFAULT_HOUSE_RULES).mount?.copies).toEqual([]);
  });
});
