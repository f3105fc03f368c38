import { say } from '@zt/core';
import { sayDone, sayNow } from '@zt/core/uses/day/now';
import type { ReactNode } from 'react';
import { Callout } from '../components/ui/Callout';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Txt } from '../components/ui/Txt';
import type { DayInHand } from './useDayPlan';
import { useShop } from './useShop';

/** What hands do now, how long the machine can be left alone, and the press that says it is done. */
export function NowOnDay({ day, aside }: { day: DayInHand; aside?: ReactNode }) {
  const { units } = useShop();
  const { plan, now, nowMs, working, done } = day;
  if (!plan || !now) return null;
  const { hands, piece } = now;
  return (
    <Callout tone="tape" role="status" aria-label="Now">
      <Txt as="strong" testID="now">
        {say(sayNow(now, plan, nowMs), units)}
      </Txt>
      {hands && piece ? (
        <Row wrap>
          <Press
            kind="main"
            title={say(sayDone(hands, piece), units)}
            disabled={working !== null}
            onPress={done}
          />
          {aside}
        </Row>
      ) : null}
    </Callout>
  );
}
