import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { applyChange, type Ticket, TicketSchema } from '../../model/ticket';
import { nameInHand } from '../../planner/onTable';
import { planTicket } from '../../planner/plan';
import { named, plainSetting } from '../../testing/named';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { isDone, tickOff } from '../deck/done';
import { jobSteps } from '../deck/jobSteps';
import { withNameTaken, withPieceMade } from './turn';

const stepsOf = (ticket: Ticket) =>
  jobSteps(planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES), DEFAULT_HOUSE_RULES);
const goneThrough = (ticket: Ticket): Ticket =>
  stepsOf(ticket).reduce((now, step) => {
    const tick = tickOff(step, now);
    return tick ? applyChange(now, tick) : now;
  }, ticket);
const inHand = (ticket: Ticket) => {
  const found = nameInHand(ticket);
  return found && `${found.row.text}, ${found.number} of ${found.of}`;
};

let napkins: Ticket;
beforeAll(async () => {
  const setting = await plainSetting();
  napkins = named(measuredTicket('napkin', 'corner', [50, 12]), ['Alma', 'Bo', 'Cid'], { setting });
});

describe('names, one piece after the other', () => {
  it('a piece that is made is ticked, and the next lies on the table with nothing of it done', () => {
    const made = goneThrough(napkins);
    expect(stepsOf(made).every((step) => isDone(step, made))).toBe(true);
    const next = withPieceMade(made);
    expect(inHand(next)).toBe('Bo, 2 of 3');
    expect(next.design.names?.rows.map(({ done }) => done)).toEqual([true, false, false]);
    const left = stepsOf(next).filter((step) => !isDone(step, next));
    expect(left.some(({ phase }) => phase === 'measure')).toBe(false);
    expect(left.map(({ phase }) => phase)).toEqual(
      expect.arrayContaining(['mark', 'hoop', 'check', 'stitch']),
    );
    expect(TicketSchema.safeParse(next).success).toBe(true);
  });

  it('the whole order is gone through, each name once', () => {
    let [ticket, order] = [napkins, [] as (string | null)[]];
    for (let i = 0; i < 3; i++) {
      order = [...order, inHand(ticket)];
      ticket = withPieceMade(goneThrough(ticket));
    }
    expect(order).toEqual(['Alma, 1 of 3', 'Bo, 2 of 3', 'Cid, 3 of 3']);
    expect(ticket.design.names?.rows.every(({ done }) => done)).toBe(true);
    expect(inHand(ticket)).toBe('Cid, 3 of 3');
  });

  it('who logs it is told how many are not made', () => {
    const told = (ticket: Ticket) =>
      planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES)
        .findings.filter(({ code }) => code === 'log-names-left')
        .map(({ text }) => say(text, { system: 'mm' }));
    const one = withPieceMade(napkins);
    expect(told(one)).toEqual(['2 of 3 names are not ticked as made: it is logged as 3 pieces.']);
    expect(told(withPieceMade(withPieceMade(one)))).toEqual([]);
  });

  it('another may be taken out of its turn', () => {
    const last = napkins.design.names?.rows[2];
    if (!last) throw new Error('no third name');
    const taken = withNameTaken(goneThrough(napkins), last);
    expect(inHand(taken)).toBe('Cid, 3 of 3');
    expect(taken.stitch.stopsDone).toBe(0);
    expect(inHand(withPieceMade(taken))).toBe('Alma, 1 of 3');
  });

  it('a ticket without names stays as it is', () => {
    const plain = measuredTicket('napkin', 'corner', [50, 40]);
    expect(withPieceMade(plain)).toBe(plain);
    expect(inHand(plain)).toBeNull();
  });
});
