import { DEFAULT_HOUSE_RULES } from '../model/houseRules';
import { EMPTY_SHELF, ShelfSchema } from '../model/shelf';
import { planTicket } from '../planner/plan';
import { exampleA, exampleB } from '../testing/samples';
import { MACHINE_SORTS, machineOfSort, usualKit } from './usualKit';

let made = 0;
const newId = () => `usual-kit-${made++}`;

it('a shop that takes the usual kit can make a chest logo and a towel, and is told what is assumed', () => {
  const { machine, hoops, materials } = usualKit(newId);
  const shelf = ShelfSchema.parse({ ...EMPTY_SHELF, machines: [machine], hoops, materials });
  for (const ticket of [exampleA(), exampleB()]) {
    const plan = planTicket(ticket, shelf, DEFAULT_HOUSE_RULES);
    expect(plan.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
    expect(plan.hoop?.laid).not.toBeNull();
    expect(plan.finish).not.toBeNull();
  }
  expect([machine, ...hoops, ...materials].every(({ assumed }) => assumed)).toBe(true);
});

it('each sort of machine is one that the shelf takes', () => {
  for (const sort of MACHINE_SORTS)
    expect(() =>
      ShelfSchema.parse({ ...EMPTY_SHELF, machines: [machineOfSort(sort, newId())] }),
    ).not.toThrow();
});
