import { STAGE_OF_HANDS } from '@zt/core/business/day/now';
import { type Href, useRouter } from 'expo-router';
import { Press } from '../components/ui/Press';
import { NowOnDay } from './NowOnDay';
import { useDayPlan } from './useDayPlan';

/** What the day asks of hands now, below the step that is in them; and the way to another piece where that is next. */
export function DayAtTable({ ticketId }: { ticketId: string }) {
  const router = useRouter();
  const day = useDayPlan({ followed: true });
  const { hands = null, piece = null } = day.now ?? {};
  if (day.shared.failed && !day.plan) return null;
  const isOther = piece !== null && piece.ticketId !== ticketId;
  return (
    <NowOnDay
      day={day}
      aside={
        hands && isOther ? (
          <Press
            title="To its cards"
            onPress={() =>
              router.replace(`/ticket/${piece.ticketId}/card/${STAGE_OF_HANDS[hands.what]}` as Href)
            }
          />
        ) : null
      }
    />
  );
}
