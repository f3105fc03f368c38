import { variedJob } from '../testing/variedTickets';
import { placeAhead } from './placeAhead';
import { planTicket } from './plan';

it('lays the design where the whole plan lays it after the move', () => {
  for (let n = 0; n < 200; n += 1) {
    const { ticket, shelf, rules } = variedJob(n);
    const place = { ...ticket.place, offset: { x: 7 - (n % 15), y: (n % 11) - 5 } };
    const before = planTicket(ticket, shelf, rules);
    expect(placeAhead(before, place, rules)).toEqual(planTicket({ ...ticket, place }, shelf, rules).place);
  }
});
