import type { Ticket } from '../../model/ticket';
import { applyChange } from '../../model/ticket';
import type { Method } from '../../model/ticket/hoop';
import type { Sheet } from '../../model/ticket/layers';
import type { Trial } from '../../model/ticket/log';
import { again } from '../../planner/again';
import type { Plan } from '../../planner/planned';
import { triedAs } from '../../stages/log/trial';

/** One thing to try on a ticket. */
export type OneThing =
  | { tried: 'support'; sheets: Sheet[]; was: string; is: string }
  | { tried: 'method'; method: Method; was: string; is: string };

/**
 * A ticket on which one thing is tried, and everything else is as on the one given: on a scrap, or as its next copy. Null
 * while the plan has no layers. The id is the caller's.
 */
export function trialOf(
  { ticket, plan }: { ticket: Ticket; plan: Plan },
  thing: OneThing,
  of: { id: string; swatch: boolean; decides: Pick<Trial, 'clean' | 'bad'> },
): Ticket | null {
  const { hoop, layers } = plan;
  if (!hoop || !layers) return null;
  const held = {
    method: hoop.method,
    sheets: layers.sheets,
    topper: layers.parts.topper.choice.id,
    needle: layers.parts.needle.choice.id,
  };
  const trial: Trial = {
    of: ticket.id,
    name: ticket.name,
    tried: thing.tried,
    was: thing.was,
    is: thing.is,
    kept: triedAs(held),
    ...of.decides,
  };
  const why = 'tried by itself';
  let next = again(ticket, of.id);
  const { name } = ticket;
  next = { ...next, name: `${name ? `${name}: ` : ''}${of.swatch ? 'swatch' : 'trial'}`.slice(0, 120) };
  next = applyChange(next, { stage: 'log', set: { trial, swatch: of.swatch } });
  // All else is set as it is, whatever a rule would do once one thing is another.
  const choices = Object.fromEntries(
    (['topper', 'needle'] as const).map((part) => [part, { choice: held[part], why }]),
  );
  next = applyChange(next, {
    stage: 'layers',
    set: { choices: { ...next.layers.choices, ...choices } as never },
  });
  const support = { sheets: thing.tried === 'support' ? thing.sheets : [...held.sheets], why };
  next = applyChange(next, { stage: 'layers', set: { support } });
  const method = thing.tried === 'method' ? thing.method : held.method;
  next = applyChange(next, { stage: 'hoop', set: { method, methodWhy: why } });
  if (of.swatch)
    next = { ...next, piece: { ...next.piece, sizes: [] }, design: { ...next.design, names: null } };
  return next;
}
