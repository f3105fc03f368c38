import { say } from '@zt/core/base/units/phrase';
import { sayDone, sayNow } from '@zt/core/business/day/now';
import type { ReactNode } from 'react';
import { Callout } from '../components/ui/Callout';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Txt } from '../components/ui/Txt';
import { useShop } from '../shop/useShop';
import type { DayInHand } from './useDayPlan';

/** What hands do now, how long the machine can be left alone, and the press that says it is done. */
export function NowOnDay({ day, aside }: { day: DayInHand; aside?: ReactNode }) {
  const { units } = useShop();
  const { plan, now, nowMs, working, done, last } = day;
  if (!plan || !now || plan.works.length === 0) return null;
  const { hands, piece } = now;
  return (
    <Callout tone="tape" role="status" aria-label="Now">
      <Txt as="strong" testID="now">
        {say(sayNow(now, plan, nowMs), units)}
      </Txt>
      {hands && piece ? (
        <Row wrap>
          <Press
            // Another thing to be done is another press: none is meant for one and taken for the other.
            key={`${piece.id} ${hands.what}`}
            kind="main"
            title={say(sayDone(hands, piece), units)}
            disabled={working !== null}
            onPress={done}
          />
          {aside}
        </Row>
      ) : null}
      {last ? (
        <Press
          kind="link"
          title={`Undo: ${say(sayDone(last.hands, last.piece), units).replace(/^N/, 'n')}`}
          onPress={last.undo}
        />
      ) : null}
    </Callout>
  );
}
