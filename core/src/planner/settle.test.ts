import { say } from '../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../model/houseRules';
import { STAGES, type Stage } from '../model/stages';
import { applyChange, type Ticket } from '../model/ticket';
import { designed } from '../testing/designed';
import { exampleA, measuredTicket, SAMPLE_SHELF } from '../testing/samples';
import { planTicket } from './plan';
import { answerOf } from './settle';
import { stageStates } from './stageStates';

const INCHES = { system: 'in', denominator: 16 } as const;
const MM = { system: 'mm' } as const;
const planOf = (ticket: Ticket) => planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
const settled = (ticket: Ticket, ...stages: Stage[]): Ticket => {
  const plan = planOf(ticket);
  return {
    ...ticket,
    settled: stages,
    settledAs: Object.fromEntries(stages.map((stage) => [stage, answerOf(stage, plan)])),
  };
};
const changed = (ticket: Ticket) => planOf(ticket).findings.filter((f) => f.code.endsWith('-changed'));
const isSettled = (ticket: Ticket, stage: Stage) =>
  stageStates(ticket, planOf(ticket)).find((s) => s.stage === stage)?.settled;

describe('a settled stage whose answer changes', () => {
  it('says nothing while it stays', () => {
    const ticket = settled(exampleA(), ...STAGES);
    expect(changed(ticket)).toEqual([]);
    expect(isSettled(ticket, 'place')).toBe(true);
  });

  it('at Place is un-ticked when a later change moves the chalk, with the old and the new figure', () => {
    const hem = measuredTicket('hoodie', 'hem-corner-left', [90, 60]);
    const marked = settled(hem, 'piece', 'design', 'place');
    const shrunk = designed(marked, { scalePercent: 88 });
    const [warning] = changed(shrunk).filter((f) => f.stage === 'place');
    expect(warning?.severity).toBe('warn');
    expect(say(warning?.text ?? [], INCHES)).toMatch(
      /^The chalk no longer holds: centre \d.* in from the hem edge was marked; centre \d.* in from the hem edge it is now\. Make the centre and both axis ends anew/,
    );
    const [was, is] = say(warning?.text ?? [], INCHES).match(/centre [\d /]+ in/g) ?? [];
    expect(was).not.toBe(is);
    expect(isSettled(shrunk, 'place')).toBe(false);
    expect(isSettled(settled(shrunk, 'piece', 'design', 'place'), 'place')).toBe(true);
  });

  it('at any other stage is told with what it was and what it is', () => {
    const ticket = settled(exampleA(), 'hoop', 'layers', 'mount');
    const other = applyChange(ticket, { stage: 'hoop', set: { hoopId: 'hoop-130x180', method: 'floated' } });
    const told = changed(other).map((f) => say(f.text, MM));
    expect(
      told.some((text) =>
        /^Settled as “100 × 100 screw hoop, hooped”; it is “130 × 180 screw hoop, floated” now/.test(text),
      ),
    ).toBe(true);
    expect(changed(other).map((f) => f.stage)).toEqual(expect.arrayContaining(['hoop', 'layers']));
  });
});
