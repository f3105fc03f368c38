import type { PictureOffer } from '@zt/core/records/pictures/offer';
import { useState } from 'react';
import { oneDigit } from '../../../components/figures';
import { Press } from '../../../components/ui/Press';
import { Row } from '../../../components/ui/Row';
import { Stack } from '../../../components/ui/Stack';
import { Txt } from '../../../components/ui/Txt';
import { useShop } from '../../../shop/useShop';

const UNITS: Record<string, string> = { percent: ' %', minutes: ' min' };

function TakeOffer({ offer }: { offer: PictureOffer }) {
  const { rules, setRules } = useShop();
  const [taken, setTaken] = useState(false);
  const { name, now, fitted, unit, from } = offer;
  const said = (value: number) => `${oneDigit(value)}${UNITS[unit] ?? ` ${unit}`}`;
  return (
    <Row wrap={false}>
      <Stack grow>
        <Txt as="small">{`${name}: ${said(now)} now; ${said(fitted)} would meet the ${from} measured.`}</Txt>
      </Stack>
      <Press
        title={taken ? 'Taken' : `Take ${said(fitted)}`}
        label={`Take ${said(fitted)} for ${name}`}
        disabled={taken}
        onPress={() => {
          setRules({ ...rules, numbers: { ...rules.numbers, ...offer.numbers } });
          setTaken(true);
        }}
      />
    </Row>
  );
}

/** Numbers of the house beside what the logbook would have them; each taken with one press. */
export function TakeOffers({ offers }: { offers: readonly PictureOffer[] }) {
  return offers.length === 0 ? null : (
    <Stack gap={8}>
      {offers.map((offer) => (
        <TakeOffer key={offer.name} offer={offer} />
      ))}
      <Txt as="small" tone="graphite">
        House rules put a number back.
      </Txt>
    </Stack>
  );
}
