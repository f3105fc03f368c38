import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { applyChange, TicketSchema } from '../../model/ticket';
import { NOT_MEASURED, type Trial } from '../../model/ticket/log';
import { planTicket } from '../../planner/plan';
import { trialAnswer, trialInWords } from '../../stages/log/trial';
import { exampleA, SAMPLE_SHELF, sheet } from '../../testing/samples';
import { figuresOf } from '../again/figures';
import { frozenPlan } from '../logbook/frozenPlan';
import { trialOf } from './trial';

const MM = { system: 'mm' } as const;
const planned = (ticket: ReturnType<typeof exampleA>) =>
  planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
const MESH = {
  tried: 'support' as const,
  sheets: [sheet('mesh-fusible', 'in the ring', 'fused')],
  was: 'Cut-away',
  is: 'Fusible mesh',
};
const begun = (swatch = false) => {
  const ticket = exampleA();
  const decides = { clean: 2, bad: 1 };
  const trial = trialOf({ ticket, plan: planned(ticket) }, MESH, { id: 'ticket-of-trial', swatch, decides });
  if (!trial) throw new Error('the example has layers');
  return trial;
};
const warned = (ticket: ReturnType<typeof exampleA>) =>
  planned(ticket).findings.filter(({ code }) => code.startsWith('log-trial'));

it('changes one thing, and nothing else', () => {
  const trial = begun();
  expect(TicketSchema.safeParse(trial).success).toBe(true);
  const figures = (ticket: typeof trial) =>
    new Map(
      figuresOf({ ticket, plan: frozenPlan(planned(ticket)), log: ticket.log }).map(({ id, value }) => [
        id,
        value,
      ]),
    );
  const [before, after] = [figures(exampleA()), figures(trial)];
  expect([...after].filter(([id, value]) => before.get(id) !== value).map(([id]) => id)).toEqual(['stack']);
  expect(warned(trial)).toEqual([]);
  const held = trialOf(
    { ticket: exampleA(), plan: planned(exampleA()) },
    { tried: 'method', method: 'floated', was: 'hooped', is: 'floated' },
    { id: 'ticket-of-float', swatch: true, decides: { clean: null, bad: null } },
  );
  expect(held && planned(held).layers?.sheets).toEqual(planned(exampleA()).layers?.sheets);
  expect(held?.log.swatch).toBe(true);
});

it('warns once a second thing is another, and puts it back; and where nothing is tried any more', () => {
  const needle = { choice: '90', why: '' };
  const trial = begun();
  const two = applyChange(trial, {
    stage: 'layers',
    set: { choices: { ...trial.layers.choices, needle } as never },
  });
  const [found, ...others] = warned(two);
  expect(others).toEqual([]);
  expect(say(found?.text ?? [], MM)).toBe(
    'Fusible mesh is tried, and the needle is another too: two things at once teach nothing of either.',
  );
  const [mend] = found?.mends ?? [];
  if (!mend) throw new Error('it can be put back');
  expect(warned(applyChange(two, mend.change))).toEqual([]);
  const none = applyChange(trial, { stage: 'layers', set: { support: null } });
  expect(warned(none).map(({ code }) => code)).toEqual(['log-trial-nothing']);
});

describe('what decides', () => {
  const { trial } = begun().log;
  if (!trial) throw new Error('something is tried');
  const answer = (log: Parameters<typeof trialAnswer>[1], pieces: number, of: Trial = trial) =>
    say(trialAnswer(of, log, pieces), MM);

  it('is said before, and answered when it is logged', () => {
    expect(say(trialInWords(trial), MM)).toMatch(
      /^Tried for .*: Fusible mesh in place of Cut-away, all else as it was\. 2 clean pieces decide for it, 1 bad one against it\.$/,
    );
    expect(answer({ faults: {}, others: [] }, 1)).toBe(
      'Not decided yet: 1 clean, 0 bad with Fusible mesh. 1 more clean ones would decide it.',
    );
    expect(answer({ faults: {}, others: [] }, 2)).toBe('Answered: take Fusible mesh; 2 came out clean.');
    expect(answer({ faults: { puckering: 1 }, others: [] }, 1)).toBe(
      'Answered: Cut-away stays; 1 of 1 went wrong with Fusible mesh.',
    );
  });

  it('counts the pieces of a run one by one', () => {
    const bad = { piece: 3, faults: { gaps: 2 }, spots: [], off: NOT_MEASURED, note: '' };
    expect(answer({ faults: {}, others: [bad] }, 4, { ...trial, bad: 2 })).toBe(
      'Not decided yet: 3 clean, 1 bad with Fusible mesh.',
    );
  });
});
