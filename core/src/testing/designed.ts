import { applyChange, type Change, type Ticket } from '../model/ticket';
import type { DesignInput } from '../model/ticket/design';
import type { Part } from '../model/ticket/part';

/** What is said of a design of one part: of the design itself, and of that part. */
export type OneDesign = Partial<Omit<DesignInput, 'parts' | 'scalePercent'> & Omit<Part, 'scalePercent'>> & {
  scalePercent?: number;
};

const OF_DESIGN = ['name', 'hasUp', 'looks', 'scalePercent', 'order'];

/** A design whose first part is changed, and itself, by the names of the fields. */
export function oneDesign(design: DesignInput, changes: OneDesign): DesignInput {
  const entries = Object.entries(changes);
  const own = Object.fromEntries(entries.filter(([key]) => OF_DESIGN.includes(key)));
  const ofPart = Object.fromEntries(entries.filter(([key]) => !OF_DESIGN.includes(key)));
  return {
    ...design,
    ...own,
    parts: design.parts.map((part, i) => (i === 0 ? { ...part, ...ofPart } : part)),
  };
}

/** The change that makes a ticket's design so. */
export const designChange = (ticket: Ticket, changes: OneDesign): Change => ({
  stage: 'design',
  set: oneDesign(ticket.design, changes),
});

/** The ticket with its design so. */
export const designed = (ticket: Ticket, changes: OneDesign): Ticket =>
  applyChange(ticket, designChange(ticket, changes));
