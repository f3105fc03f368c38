import { say } from '@zt/core/base/units/phrase';
import type { Cheaper } from '@zt/core/business/cost/cheaper';
import { View } from 'react-native';
import { Offer } from '../../components/Offer';
import { Callout } from '../../components/ui/Callout';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { announce } from '../../everyone/announce';
import { useTicketActs, useUnits } from '../../hooks/useTicket';
import { type Costed, useCheaper } from './useCost';

interface WayProps {
  way: Cheaper;
  saves: string;
}

function Way({ way, saves }: WayProps) {
  const units = useUnits();
  const { change } = useTicketActs();
  const brings = way.brings.map(({ text }) => say(text, units)).join(' ');
  const title = say(way.label, units);
  const { change: makes } = way;
  const words = { title, detail: saves, ...(brings ? { cost: brings } : {}) };
  if (makes)
    return (
      <Offer
        {...words}
        tone="moss"
        onTake={() => {
          change(makes, 'cheaper');
          announce(`Done: ${title}.`);
        }}
      />
    );
  return (
    <Callout tone="moss" gap={2}>
      <Txt as="strong">{title}</Txt>
      <Txt as="small" tone="moss">
        {saves}
      </Txt>
    </Callout>
  );
}

/** What would make it cheaper, each planned as it would be; what is planned otherwise is one tap, and undone by one. */
export function CheaperWays({ costed, money }: { costed: Costed; money: (minor: number) => string }) {
  const { found, isDone } = useCheaper(costed);
  const pieces = costed.cost?.pieces ?? 1;
  return (
    <View role="group" aria-label="What would make it cheaper">
      <Stack gap={8}>
        <Txt as="heading" level={2}>
          What would make it cheaper
        </Txt>
        {found.map((way) => (
          <Way
            key={way.id}
            way={way}
            saves={`saves ${money(way.savesMinor)}${pieces > 1 ? `, ${money(way.savesMinor / pieces)} a piece` : ''}`}
          />
        ))}
        {isDone ? (
          found.length === 0 ? (
            <Txt>Nothing that was tried: fewer colours, another hold, another machine, other rolls.</Txt>
          ) : null
        ) : (
          <Txt as="small" tone="graphite">
            Planning what could be changed.
          </Txt>
        )}
      </Stack>
    </View>
  );
}
