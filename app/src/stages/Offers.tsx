import { fieldName, STAGES, type Stage, say, stageOfField, type Ticket } from '@zt/core';
import { offeredInWords } from '@zt/core/uses/sharing/index';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { Callout } from '../components/ui/Callout';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Txt } from '../components/ui/Txt';
import { useTicket, useUnits } from '../hooks/useTicket';
import { offerSettled } from '../store/editor';
import { useAppDispatch } from '../store/store';
import { STAGE_NAMES } from '../tape/Tape';

/** What a field is called: a stage where all of it is offered. */
const nameOf = (at: string, ticket: Ticket): string =>
  (STAGES as readonly string[]).includes(at) ? `all of ${STAGE_NAMES[at as Stage]}` : fieldName(at, ticket);

const timeOf = (when: string): string => (when === '' ? '' : format(parseISO(when), 'd MMM, HH:mm'));

/** Fields of this stage that were changed on two devices: what stands, what the other entered, and which is right. */
export function OffersOf({ stage }: { stage: Stage }) {
  const ticket = useTicket();
  const units = useUnits();
  const dispatch = useAppDispatch();
  const own = Object.entries(ticket.offers).filter(([, { at }]) => stageOfField(at) === stage);
  return own.map(([id, offer]) => {
    const name = nameOf(offer.at, ticket);
    const { stands, offered } = offeredInWords(ticket, offer, timeOf(offer.when));
    return (
      <Callout key={id} tone="tape" role="group" aria-label={`${name} was changed on two devices`}>
        <Txt as="strong">{`${name} was changed on two devices`}</Txt>
        <Txt>{say(stands, units)}</Txt>
        <Txt>{say(offered, units)}</Txt>
        <Row wrap>
          <Press title="Keep what stands" onPress={() => dispatch(offerSettled({ id, take: false }))} />
          <Press title="Use the other" onPress={() => dispatch(offerSettled({ id, take: true }))} />
        </Row>
      </Callout>
    );
  });
}
