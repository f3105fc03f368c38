import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { Ticket } from '../../model/ticket';
import { type Applique, USUAL_APPLIQUE } from '../../model/ticket/applique';
import { planTicket } from '../../planner/plan';
import { appliqued } from '../../testing/appliqued';
import { exampleA, exampleB, SAMPLE_SHELF } from '../../testing/samples';

const MM = { system: 'mm' } as const;
const finish = (ticket: Ticket, schools = {}) =>
  planTicket(ticket, SAMPLE_SHELF, { ...DEFAULT_HOUSE_RULES, schools }).finish;
const order = (ticket: Ticket, schools = {}) => finish(ticket, schools)?.steps.map((s) => s.id) ?? [];
const clothed = (ticket: Ticket, fabricId: string): Ticket => ({
  ...ticket,
  piece: { ...ticket.piece, fabricId },
});

describe('the steps follow from the layers, in their order', () => {
  it.each([
    ['a tee on cut-away', exampleA(), ['off', 'jumps', 'cut-away', 'marks', 'press']],
    ['a floated towel', exampleB(), ['off', 'film', 'jumps', 'tear-away', 'marks', 'film-left', 'press']],
    [
      'cotton on tear-away',
      clothed(exampleA(), 'stable-cotton'),
      ['off', 'jumps', 'tear-away', 'marks', 'press'],
    ],
    [
      'floated linen that dissolves',
      clothed(exampleB(), 'linen'),
      ['off', 'film', 'jumps', 'tear-away', 'soak', 'marks', 'film-left', 'press'],
    ],
  ])('%s', (_, ticket, steps) => {
    expect(order(ticket)).toEqual(steps);
  });

  it('leaves out the iron where the cloth takes none', () => {
    const ticket = { ...exampleA(), piece: { ...exampleA().piece, fabricChanges: { iron: 'no' as const } } };
    expect(order(ticket)).not.toContain('press');
  });

  it('soaks what washes away', () => {
    expect(order(exampleA(), { wearableBacking: 'washAway' })).toContain('soak');
  });

  it('trims as the shop does', () => {
    const words = finish(exampleA(), { trim: 'close' })
      ?.steps.map((s) => say(s.text, MM))
      .join(' ');
    expect(words).toContain('Trim what stays close, to 3 mm');
  });

  it('tears one sheet at a time, a thumb on the stitches', () => {
    const words = finish(exampleB())
      ?.steps.map((s) => say(s.text, MM))
      .join(' ');
    expect(words).toContain('one sheet at a time, a thumb on the stitches');
    expect(words).toContain('pressing flattens the pile');
  });

  it('with cloth laid on: its edges are gone over, and its web is pressed last', () => {
    const laid = (rest: Partial<Applique>): Ticket => ({
      ...exampleA(),
      design: { ...exampleA().design, parts: [appliqued(rest)] },
    });
    expect(order(laid({}))).toEqual(['off', 'jumps', 'whiskers', 'cut-away', 'marks', 'press', 'web']);
    expect(order(laid({ way: 'trimmed' }))).toEqual([
      'off',
      'jumps',
      'whiskers',
      'cut-away',
      'marks',
      'press',
    ]);
    expect(order(laid({ way: 'rawEdge', cloth: { ...USUAL_APPLIQUE.cloth, fused: false } }))).toEqual([
      'off',
      'jumps',
      'raw-edge',
      'cut-away',
      'marks',
      'press',
    ]);
    expect(
      finish(laid({}))
        ?.inspect.map((i) => say(i, MM))
        .join(' '),
    ).toContain('No raw edge of the appliqué');
    expect(
      finish(exampleA())
        ?.inspect.map((i) => say(i, MM))
        .join(' '),
    ).not.toContain('appliqué');
  });

  it('carries its cautions and what to look for', () => {
    const plan = finish(exampleA());
    expect(plan?.steps.flatMap((s) => s.caution ?? []).join(' ')).toContain('Scissors away from you');
    expect(plan?.inspect.map((i) => say(i, MM)).join(' ')).toContain('nothing sewn to itself');
  });
});
