import type { Offer, Offers } from '../../model/offer';
import { STAGES } from '../../model/stages';
import { type Ticket, TicketSchema } from '../../model/ticket';
import { mergeThree, type Three } from './merge';

/** The stages of `mine`, offered as a whole. */
const stagesOffered = ({ base, mine }: Three<Ticket>, who: Pick<Offer, 'by' | 'when'>): Offers =>
  Object.fromEntries(
    STAGES.filter((stage) => mine[stage] !== base[stage]).map((stage) => [
      `${stage} of ${who.when}`.slice(0, 40),
      { at: stage, value: JSON.parse(JSON.stringify(mine[stage])), ...who },
    ]),
  );

/**
 * What two devices made of one ticket, put together. Where fields that fit on either side do not fit together, theirs
 * stays as a whole and the stages of mine are offered: what comes out can always be saved.
 */
export function mergeTickets(three: Three<Ticket>, who: Pick<Offer, 'by' | 'when'>): Ticket {
  const merged = mergeThree(three, who);
  if (TicketSchema.safeParse(merged).success) return merged;
  return { ...three.theirs, offers: { ...three.theirs.offers, ...stagesOffered(three, who) } };
}
