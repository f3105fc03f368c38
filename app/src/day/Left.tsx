import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import type { DayPlan } from '@zt/core/business/day/dayPlan';
import { type Href, Link } from 'expo-router';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Stack } from '../components/ui/Stack';
import { Txt } from '../components/ui/Txt';
import type { SharedDay } from './useDaySheet';

interface LeftProps {
  plan: DayPlan | null;
  shared: SharedDay;
  units: DisplayUnits;
  onBack: (ticketId: string) => void;
}

const tickets = (count: number): string => `${count} ${count === 1 ? 'ticket' : 'tickets'}`;

/** What of the bench is not on the day: what cannot be planned yet, what waits, and what comes after. */
export function Left({ plan, shared, units, onBack }: LeftProps) {
  const { later, more } = shared;
  const notPlanned = plan?.notPlanned ?? [];
  return (
    <>
      {notPlanned.length > 0 ? (
        <Stack gap={4}>
          <Txt as="heading" level={2}>
            Not planned yet
          </Txt>
          {notPlanned.map(({ ticketId, title, why }) => (
            <Link key={title} href={`/ticket/${ticketId}/piece` as Href}>
              <Txt>{`${title}: ${say(why, units)}`}</Txt>
            </Link>
          ))}
        </Stack>
      ) : null}
      {later.length > 0 ? (
        <Stack gap={4}>
          <Txt as="heading" level={2}>
            Another day
          </Txt>
          {later.map(({ id, name }) => (
            <Row key={id} align="middle" spread>
              <Txt>{name}</Txt>
              <Press title="Put it on the day" label={`Put ${name} on the day`} onPress={() => onBack(id)} />
            </Row>
          ))}
        </Stack>
      ) : null}
      {more.notAgreed > 0 ? (
        <Txt
          as="small"
          tone="graphite"
        >{`${tickets(more.notAgreed)} of orders that are only asked for: planned once they are agreed.`}</Txt>
      ) : null}
      {more.tickets > 0 ? (
        <Txt as="small" tone="graphite">{`${tickets(more.tickets)} more come after these.`}</Txt>
      ) : null}
    </>
  );
}
