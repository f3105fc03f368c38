import type { Ticket } from '../../model/ticket';
import { withChoice } from '../../model/ticket/layers';

/**
 * The ticket as it was really made: what the log says was used stands in place of what was planned. Partly hooped
 * counts as it was planned: its ring is cut for either way.
 */
export function asUsed(ticket: Ticket): Ticket {
  const { method, hoopId, sheets, topper, needle, bobbin } = ticket.log.used;
  const why = 'used';
  const chosen = { topper, needle, bobbin };
  let choices = ticket.layers.choices;
  for (const part of ['topper', 'needle', 'bobbin'] as const) {
    const choice = chosen[part];
    if (choice !== null) choices = withChoice(choices, part, choice, why);
  }
  return {
    ...ticket,
    hoop: {
      ...ticket.hoop,
      method: method === 'partly' ? ticket.hoop.method : (method ?? ticket.hoop.method),
      hoopId: hoopId ?? ticket.hoop.hoopId,
    },
    layers: { support: sheets ? { sheets, why } : ticket.layers.support, choices },
  };
}
