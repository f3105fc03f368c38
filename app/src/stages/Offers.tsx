import { type Stage, say } from '@zt/core';
import { offeredInWords } from '@zt/core/uses/sharing/index';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { Callout } from '../components/ui/Callout';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Txt } from '../components/ui/Txt';
import { useFindings, useTicket, useUnits } from '../hooks/useTicket';
import { offerSettled } from '../store/editor';
import { useAppDispatch } from '../store/store';

const timeOf = (when: string): string => (when === '' ? '' : format(parseISO(when), 'd MMM, HH:mm'));

/** Fields of this stage that were changed on two devices: what stands, what the other entered, and which is right. */
export function OffersOf({ stage }: { stage: Stage }) {
  const ticket = useTicket();
  const units = useUnits();
  const dispatch = useAppDispatch();
  return useFindings(stage).map(({ code, field: id = '', text }) => {
    const offer = code === 'offered' ? ticket.offers[id] : undefined;
    if (!offer) return null;
    const { stands, offered } = offeredInWords(ticket, offer, timeOf(offer.when));
    return (
      <Callout key={id} tone="tape" role="group" aria-label={say(text, units)}>
        <Txt as="strong">{say(text, units)}</Txt>
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
