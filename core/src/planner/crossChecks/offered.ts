import { phrase } from '../../base/units/phrase';
import { type Finding, finding } from '../../model/finding';
import { STAGES, type Stage } from '../../model/stages';
import type { Ticket } from '../../model/ticket';
import { fieldName, stageOfField } from '../fieldNames';

const UNREAD = /^unread\./;
const isStage = (at: string): at is Stage => (STAGES as readonly string[]).includes(at);

/** Fields that were changed on two devices, each until somebody has said which value is right. `field` is the offer. */
export const offeredFindings = (ticket: Ticket): Finding[] =>
  Object.entries(ticket.offers).map(([id, { at }]) => {
    const field = at.replace(UNREAD, '');
    const name = isStage(field) ? `all of ${field}` : fieldName(field, ticket);
    return finding(
      stageOfField(field),
      'offered',
      'warn',
      phrase`${name} was changed on two devices: say which is right.`,
      { field: id },
    );
  });
