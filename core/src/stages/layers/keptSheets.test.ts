import { type Ticket, TicketSchema } from '../../model/ticket';
import { newTicket, withTodaysFields } from '../../planner/newTicket';
import { exampleA, sheet } from '../../testing/samples';
import { sheetsOfToday } from './keptSheets';

/** A ticket as it was kept when one word said how a sheet was held. */
const kept = (sheets: unknown, rest: Record<string, unknown> = {}): Ticket =>
  ({
    ...exampleA(),
    layers: { support: { sheets, why: 'as ever' }, choices: {} },
    ...rest,
  }) as unknown as Ticket;

describe('a ticket of an older version', () => {
  it.each([
    ['hooped', sheet('cut-away')],
    ['fused', sheet('cut-away', 'in the ring', 'fused')],
    ['spray', sheet('cut-away', 'in the ring', 'sprayed')],
    ['sticky', sheet('cut-away', 'in the ring', 'sticky')],
    ['basting box', sheet('cut-away', 'in the ring', 'none', 'basting box')],
    ['pins', sheet('cut-away', 'in the ring', 'none', 'pins')],
    ['tape', sheet('cut-away', 'under the ring', 'none', 'tape')],
  ])('held by “%s” says where, bond and fastening', (hold, expected) => {
    const today = withTodaysFields(kept([{ stabilizer: 'cut-away', hold }]));
    expect(today.layers.support).toEqual({ sheets: [expected], why: 'as ever' });
    expect(TicketSchema.safeParse(today).success).toBe(true);
  });

  it('floated, has its fused sheet on the piece beside another, in the ring alone', () => {
    const fused = { stabilizer: 'mesh-fusible' as const, hold: 'fused' as const };
    const tear = { stabilizer: 'tear-away' as const, hold: 'spray' as const };
    expect(sheetsOfToday([fused, tear], 'floated').map((s) => s.where)).toEqual([
      'on the piece',
      'in the ring',
    ]);
    expect(sheetsOfToday([fused], 'floated')[0]?.where).toBe('in the ring');
  });

  it('reads what its log says was used, and leaves out a choice that was never known', () => {
    const { log } = exampleA();
    const used = { ...log.used, method: 'hooped', sheets: [{ stabilizer: 'mesh', hold: 'hooped' }] };
    const today = withTodaysFields(
      kept([], {
        layers: {
          support: null,
          choices: { needle: { choice: '80-none', why: '' }, topper: { choice: 'none', why: 'x' } },
        },
        log: { ...log, used },
      }),
    );
    expect(today.log.used.sheets).toEqual([sheet('mesh')]);
    expect(today.layers.choices).toEqual({ topper: { choice: 'none', why: 'x' } });
    expect(TicketSchema.safeParse(today).success).toBe(true);
  });

  it('of today comes back equal', () => {
    const today = newTicket('ticket-of-today', 'hoodie');
    expect(withTodaysFields(today)).toEqual(today);
  });
});

it('an id that its part does not know is refused, not replaced', () => {
  const unknown = {
    ...exampleA(),
    layers: { support: null, choices: { needle: { choice: '80', why: '' } } },
  };
  const read = TicketSchema.safeParse(unknown);
  expect(read.success).toBe(false);
  expect(read.error?.issues[0]?.path).toEqual(['layers', 'choices', 'needle', 'choice']);
});
