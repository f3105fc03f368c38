import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { applyChange } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { designed } from '../../testing/designed';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { largestIn } from './largestIn';

const laidWith = (size: [number, number]) => {
  const ticket = applyChange(measuredTicket('panel', 'middle', size), {
    stage: 'hoop',
    set: { hoopId: 'hoop-100x100' },
  });
  const { design, hoop } = planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
  if (!design.facts || !hoop?.laid) throw new Error('not laid');
  return { ticket, facts: design.facts, laid: hoop.laid };
};

it('is what just fits: so large it lies in the field, larger it does not', () => {
  const { ticket, facts, laid } = laidWith([50, 40]);
  const most = largestIn(laid, facts);
  expect(most?.widthMm).toBeCloseTo(100, 0);
  expect((most?.heightMm ?? 0) / (most?.widthMm ?? 1)).toBeCloseTo(0.8, 6);
  const fits = (by: number) => {
    const larger = designed(ticket, {
      widthMm: (most?.widthMm ?? 0) * by,
      heightMm: (most?.heightMm ?? 0) * by,
    });
    return planTicket(larger, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).hoop?.laid?.verdict.fits;
  };
  expect([fits(0.999), fits(1.02)]).toEqual([true, false]);
});

it('is not said of one that fills its field, misses it, or lies in none', () => {
  const full = laidWith([100, 80]);
  expect(largestIn(full.laid, full.facts)).toBeNull();
  const over = laidWith([120, 80]);
  expect(largestIn(over.laid, over.facts)).toBeNull();
  expect(largestIn(null, full.facts)).toBeNull();
});
