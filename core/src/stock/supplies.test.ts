import { say } from '../base/units/phrase';
import { applyMend } from '../model/finding';
import { DEFAULT_HOUSE_RULES } from '../model/houseRules';
import { type Machine, type Shelf, SUPPLY_TYPES, type Supply } from '../model/shelf';
import { applyChange } from '../model/ticket';
import { planTicket } from '../planner/plan';
import { designed } from '../testing/designed';
import { exampleA, SAMPLE_SHELF, sheet } from '../testing/samples';
import { changeNeedle, isOut, needlesOf, SUPPLIES, suppliesFor, withNeedle } from './supplies';

const MM = { system: 'mm' } as const;
const RULES = DEFAULT_HOUSE_RULES;
const supply = (type: Supply['type'], left: number, machineId: string | null = null): Supply => ({
  id: `supply-${type}-${machineId ?? 'all'}-${left}`,
  name: type,
  type,
  left,
  machineId,
});
const holding = (...supplies: Supply[]): Shelf => ({ ...SAMPLE_SHELF, supplies });

it('every supply has a name of its own', () => {
  expect(new Set(SUPPLY_TYPES.map((type) => SUPPLIES[type].name)).size).toBe(SUPPLY_TYPES.length);
});

describe('the needles of a machine', () => {
  const [flat] = SAMPLE_SHELF.machines;
  const machine: Machine = { ...(flat as Machine), needles: 3, fitted: [{ type: '90', hours: 4 }] };

  it('are as many as it has; those nobody spoke of are new', () => {
    expect(needlesOf(machine)).toEqual([
      { type: '90', hours: 4 },
      { type: null, hours: 0 },
      { type: null, hours: 0 },
    ]);
  });

  it('changed for a new one of the machine’s own supply count from nothing, and take one of it', () => {
    const shelf = holding(supply('65', 4), supply('65', 1.5, 'machine-flat'));
    const changed = changeNeedle(machine, 1, '65', shelf);
    expect(changed.machine.fitted[1]).toEqual({ type: '65', hours: 0 });
    expect(changed.supply).toMatchObject({ machineId: 'machine-flat', left: 0.5 });
    expect(changeNeedle(machine, 0, '90', shelf)).toMatchObject({ supply: null });
  });

  it('are changed one at a time', () => {
    const changed = withNeedle(machine, 2, { type: '65', hours: 0 });
    expect(changed.fitted.map((n) => n.type)).toEqual(['90', null, '65']);
    expect(machine.fitted).toHaveLength(1);
  });
});

describe('whether a supply is out', () => {
  it('is not known while the shop counts nothing like it', () => {
    expect(isOut('75-ballpoint', holding())).toBe(false);
    expect(isOut('75-ballpoint', holding(supply('spray', 1)))).toBe(false);
  });

  it('is when it counts such things and has none, in a drawer or in a machine', () => {
    expect(isOut('75-ballpoint', holding(supply('90', 3)))).toBe(true);
    expect(isOut('75-ballpoint', holding(supply('75-ballpoint', 0)))).toBe(true);
    const fitted = [{ type: '75-ballpoint' as const, hours: 7 }];
    const machines = SAMPLE_SHELF.machines.map((m) => ({ ...m, fitted }));
    expect(isOut('75-ballpoint', { ...holding(supply('90', 3)), machines })).toBe(false);
  });
});

it('a machine takes its own supplies before those for all, and some before none', () => {
  const [flat = null] = SAMPLE_SHELF.machines;
  const own = supply('90', 2, 'machine-flat');
  const order = suppliesFor('90', flat, holding(supply('90', 5), supply('90', 0, 'machine-flat'), own));
  expect(order.map((s) => [s.machineId, s.left])).toEqual([
    ['machine-flat', 2],
    [null, 5],
    ['machine-flat', 0],
  ]);
  expect(suppliesFor('90', flat, holding(supply('90', 5, 'another')))).toEqual([]);
});

describe('what is used up, in a plan', () => {
  const out = (shelf: Shelf, ticket = exampleA()) =>
    planTicket(ticket, shelf, RULES).findings.filter((f) => f.code === 'layers-supply-out');

  it('the right needle is offered the nearest that is there, with what it costs', () => {
    const shelf = holding(supply('65', 4), supply('75-embroidery', 2));
    const [finding] = out(shelf);
    expect(say(finding?.text ?? [], MM)).toBe(
      '75/11 ballpoint needle: none left. It is on the shopping list.',
    );
    const [mend] = finding?.mends ?? [];
    expect(say(mend?.label ?? [], MM)).toBe('Use 75/11 embroidery instead');
    expect(say(mend?.result ?? [], MM)).toMatch(/^on your shelf; it may catch a loop/);
    const mended = mend ? applyMend(exampleA(), mend) : exampleA();
    expect(out(shelf, mended)).toEqual([]);
    expect(planTicket(mended, shelf, RULES).layers?.parts.needle).toMatchObject({
      overruled: true,
      why: '75/11 ballpoint is not on the shelf',
    });
    expect(out(holding(supply('wing', 1)))[0]?.mends).toEqual([]);
  });

  it('a kind of thread the shop has none of, with what another costs', () => {
    const small = designed(exampleA(), { lettering: true, letterHeightMm: 5 });
    const [finding] = out(holding(), small);
    expect(say(finding?.text ?? [], MM)).toBe(
      '60 wt polyester thread: none left. It is on the shopping list.',
    );
    const [mend] = finding?.mends ?? [];
    expect(say(mend?.result ?? [], MM)).toBe(
      'on your shelf; small letters close up: make them 6 mm or taller',
    );
    const mended = planTicket(mend ? applyMend(small, mend) : small, holding(), RULES);
    expect(mended.findings.filter((f) => f.code === 'layers-supply-out')).toEqual([]);
    expect(mended.stitch?.stops.map((s) => s.match)).toEqual(['same', 'same']);
    expect(planTicket(small, holding(), RULES).stitch?.stops.map((s) => s.match)).toEqual([
      'substitute',
      'substitute',
    ]);
    expect(out({ ...holding(), threads: [] }, small)).toEqual([]);
  });

  it('the other bobbin thread, with its tension to check', () => {
    const [finding] = out(holding(supply('bobbin-90', 4)));
    expect(say(finding?.mends[0]?.label ?? [], MM)).toBe('Use 90 wt bobbin thread instead');
    expect(say(finding?.mends[0]?.result ?? [], MM)).toMatch(/check the top tension/);
  });

  it('spray gives way to the hold that raises the risks least, tape not counted', () => {
    const sprayed = applyChange(exampleA(), {
      stage: 'layers',
      set: { support: { sheets: [sheet('cut-away', 'in the ring', 'sprayed')], why: 'a trial' } },
    });
    const shelf = holding(supply('spray', 0));
    const [finding] = out(shelf, sprayed);
    const [mend] = finding?.mends ?? [];
    expect(say(mend?.label ?? [], MM)).toBe('Cut-away, medium: in the ring, with a basting box instead');
    const mended = mend ? applyMend(sprayed, mend) : sprayed;
    expect(planTicket(mended, shelf, RULES).layers?.sheets).toEqual([
      sheet('cut-away', 'in the ring', 'none', 'basting box'),
    ]);
    expect(out(shelf, mended)).toEqual([]);
    expect(out(holding(), sprayed)).toEqual([]);
  });
});

describe('the rules that gave way', () => {
  const spoke = (part: 'support' | 'needle', rules = RULES) => {
    const { layers } = planTicket(exampleA(), SAMPLE_SHELF, rules);
    const reason = part === 'support' ? layers?.supportReason : layers?.parts[part].reason;
    return (reason?.gaveWay ?? []).map((line) => say(line, MM));
  };

  it('are each told with why: a more particular rule, or a school not followed here', () => {
    expect(spoke('needle')).toContain('any cloth: 75/11 embroidery; gives way to the rule for knit');
    expect(spoke('support')).toContainEqual(
      expect.stringMatching(/^worn, may get wet: Wash-away.*; only where the shop holds “wash-away/),
    );
  });

  it('change places with the one that decided when the school is switched', () => {
    const rules = { ...RULES, schools: { ...RULES.schools, wearableBacking: 'washAway' as const } };
    expect(spoke('support', rules)).toContainEqual(
      expect.stringMatching(/^knit: Cut-away, medium; gives way to the rule for worn, may get wet/),
    );
  });
});
