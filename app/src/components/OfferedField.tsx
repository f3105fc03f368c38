import type { DisplayUnits } from '@zt/core/base/units/length';
import { type Phrase, say } from '@zt/core/base/units/phrase';
import type { Offer as OfferedValue } from '@zt/core/model/offer';
import { offeredInWords } from '@zt/core/sync/inWords';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { Callout } from './ui/Callout';
import { Press } from './ui/Press';
import { Row } from './ui/Row';
import { Txt } from './ui/Txt';

interface OfferedFieldProps {
  schema: Parameters<typeof offeredInWords>[0];
  thing: unknown;
  offer: OfferedValue;
  /** Which field was changed on two devices. */
  text: Phrase;
  units: DisplayUnits;
  onSettle: (take: boolean) => void;
}

const timeOf = (when: string): string => (when === '' ? '' : format(parseISO(when), 'd MMM, HH:mm'));

/** A field that was changed on two devices: what stands, what the other entered, and which is right. */
export function OfferedField({ schema, thing, offer, text, units, onSettle }: OfferedFieldProps) {
  const { stands, offered } = offeredInWords(schema, thing, offer, timeOf(offer.when));
  return (
    <Callout tone="tape" role="group" aria-label={say(text, units)}>
      <Txt as="strong">{say(text, units)}</Txt>
      <Txt>{say(stands, units)}</Txt>
      <Txt>{say(offered, units)}</Txt>
      <Row wrap>
        <Press title="Keep what stands" onPress={() => onSettle(false)} />
        <Press title="Use the other" onPress={() => onSettle(true)} />
      </Row>
    </Callout>
  );
}
