import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { Machine } from '../../model/shelf';
import { applyChange, type Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { designed } from '../../testing/designed';
import { exampleA, exampleB, measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { displayFor } from './display';

const MM = { system: 'mm' } as const;
const RULES = { ...DEFAULT_HOUSE_RULES, units: MM };
const planOf = (ticket: Ticket, machine: Partial<Machine> = {}) =>
  planTicket(
    ticket,
    { ...SAMPLE_SHELF, machines: SAMPLE_SHELF.machines.map((m) => ({ ...m, ...machine })) },
    RULES,
  );
const finding = (ticket: Ticket, code: string, machine?: Partial<Machine>) =>
  planOf(ticket, machine).findings.find((f) => f.code === code);
const figure = (looks: 'left' | 'right', ticket: Ticket = exampleA()) => designed(ticket, { looks });

describe('what the display must show', () => {
  const facts = planOf(figure('right')).design.facts;
  it.each([
    [0, false, 'up', 'to the right'],
    [180, false, 'down', 'to the left'],
    [90, false, 'to the right', 'down'],
    [270, false, 'to the left', 'up'],
    [0, true, 'up', 'to the left'],
    [180, true, 'down', 'to the right'],
  ])('turned %s°, mirrored %s: its top %s, its figure %s', (turnDeg, mirror, topPoints, looks) => {
    expect(facts && displayFor(facts, { turnDeg, mirror })).toMatchObject({ topPoints, looks });
  });

  it('says nothing of a top or a look that there is not', () => {
    const plain = planOf(designed(exampleA(), { hasUp: false })).design.facts;
    expect(plain && displayFor(plain, { turnDeg: 90, mirror: false })).toEqual({
      topPoints: null,
      looks: null,
      text: 'as it was drawn',
    });
    expect(facts && displayFor(facts, { turnDeg: 90, mirror: true }).text).toBe(
      'its top points to the right, its figure looks up, mirrored',
    );
  });
});

describe('which way a figure looks', () => {
  it('is towards the centre: on the wearer’s left chest, to the viewer’s left', () => {
    expect(finding(figure('left'), 'mount-looks-away')).toBeUndefined();
    const away = finding(figure('right'), 'mount-looks-away');
    expect(say(away?.text ?? [], MM)).toBe('Its figure looks away from the centre.');
    const mend = away?.mends[0];
    expect(mend && finding(applyChange(figure('right'), mend.change), 'mount-looks-away')).toBeUndefined();
  });

  it('is towards the pocket where there is one', () => {
    const hoodie = figure('right', measuredTicket('hoodie', 'left-chest', [80, 50]));
    expect(say(finding(hoodie, 'mount-looks-away')?.text ?? [], MM)).toBe(
      'Its figure looks away from the pocket.',
    );
  });

  it('is never mended by mirroring letters', () => {
    const letters = designed(figure('right'), { lettering: true });
    expect(finding(letters, 'mount-looks-away')).toBeUndefined();
    expect(finding(exampleB(), 'mount-looks-away')).toBeUndefined();
  });
});

describe('what a machine’s screen cannot do', () => {
  it('is done in the file: a mirror, and a size beyond its limits', () => {
    const mirrored = applyChange(exampleA(), { stage: 'mount', set: { mirror: true } });
    expect(finding(mirrored, 'mount-no-mirror')).toBeUndefined();
    expect(say(finding(mirrored, 'mount-no-mirror', { mirrors: false })?.text ?? [], MM)).toContain(
      'save the file mirrored',
    );
    const small = designed(exampleA(), { scalePercent: 85 });
    expect(finding(small, 'mount-resize')).toBeUndefined();
    const limits = { resize: { leastPercent: 90, mostPercent: 120 } };
    expect(say(finding(small, 'mount-resize', limits)?.text ?? [], MM)).toContain(
      'from 90 % to 120 %: save the file at 85 %',
    );
  });
});
