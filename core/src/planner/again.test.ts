import { DEFAULT_HOUSE_RULES } from '../model/houseRules';
import { TicketSchema } from '../model/ticket';
import { USUAL_LETTERING } from '../model/ticket/lettering';
import { EMPTY_PART } from '../model/ticket/part';
import { rowOfName } from '../testing/rowOfName';
import { exampleA, exampleB, SAMPLE_SHELF } from '../testing/samples';
import { again } from './again';
import { planTicket } from './plan';
import { titleOf } from './titleOf';

it.each([exampleA(), exampleB()])(
  'the same piece again plans the same, and nothing of it is done',
  (ticket) => {
    const worked = {
      ...ticket,
      settled: ['place' as const],
      stitch: { ...ticket.stitch, stopsDone: 1 },
      finish: { done: ['press'] },
      mount: { ...ticket.mount, checked: ['carriage'] },
      log: { ...ticket.log, faults: { puckering: 2 } },
    };
    const next = again(worked, 'the-next-piece');
    expect(TicketSchema.parse(next)).toEqual(next);
    const planOf = (t: typeof ticket) => planTicket(t, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
    const [now, then] = [planOf(next), planOf(ticket)];
    for (const stage of ['place', 'hoop', 'layers', 'mount'] as const)
      expect(now[stage]).toEqual(then[stage]);
    expect([next.settled, next.mount.checked, next.finish.done, next.log.faults]).toEqual([[], [], [], {}]);
    expect(next.id).toBe('the-next-piece');
  },
);

it('a ticket without a name is called by its design and its piece', () => {
  const bare = { ...exampleA(), name: ' ' };
  expect(titleOf({ ...bare, design: { ...bare.design, name: 'Crossed oars' } })).toBe(
    'Crossed oars, T-shirt',
  );
  const letters = { ...USUAL_LETTERING, text: 'Rosa\nMarie' };
  const lettered = { ...bare.design, name: '', parts: [{ ...EMPTY_PART, letters }] };
  expect(titleOf({ ...bare, design: lettered })).toBe('Rosa Marie, T-shirt');
  const rows = ['Alma', 'Bo'].map(rowOfName);
  const names = { part: EMPTY_PART.id, allowedMm: null, onTable: 'row-of-name-0', rows };
  expect(titleOf({ ...bare, design: { ...lettered, names } })).toBe('2 names, T-shirt');
  expect(titleOf({ ...bare, design: { ...bare.design, name: '' } })).toBe('New: T-shirt');
  expect(titleOf(exampleA())).toBe(exampleA().name);
});
