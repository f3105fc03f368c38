import { clockDay, clockTime } from '@zt/core/business/day/calendar';
import type { DayPlan } from '@zt/core/business/day/dayPlan';
import { orderOnMachine, pinnedAt } from '@zt/core/business/day/pin';
import { type Href, useRouter } from 'expo-router';
import { Callout } from '../components/ui/Callout';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Txt } from '../components/ui/Txt';
import type { SharedDay } from './useDaySheet';

interface PieceActsProps {
  plan: DayPlan;
  work: number;
  shared: SharedDay;
  onLater: (ticketId: string) => void;
  onClose: () => void;
}

/** What can be said of the piece that was tapped: earlier or later on its machine, pinned or not, or another day. */
export function PieceActs({ plan, work, shared, onLater, onClose }: PieceActsProps) {
  const router = useRouter();
  const piece = plan.works[work];
  if (!piece) return null;
  const { sheet, change } = shared;
  const order = orderOnMachine(plan, work);
  const at = order.indexOf(work);
  const move = (to: number) =>
    change((before) => ({ ...before, pinned: pinnedAt(plan, { work, at: to }, before.pinned) }));
  const isPinned = sheet.pinned.includes(piece.id);
  const isBegun = sheet.stands[piece.id] !== undefined && sheet.stands[piece.id]?.at !== 'prepared';
  const done =
    piece.doneMs === null
      ? 'not within the days ahead'
      : `${clockDay(piece.doneMs, plan.zone)}, ${clockTime(piece.doneMs, plan.zone)}`;
  return (
    <Callout tone="chalk" role="region" aria-label={`No. ${piece.no}`}>
      <Txt as="strong">{`No. ${piece.no}: ${piece.name}`}</Txt>
      <Txt as="small">{`${piece.floated ? 'Floated' : 'Hooped'} in ${piece.hoopName}. Done ${done}.`}</Txt>
      <Row wrap>
        {at > 0 ? <Press title="Earlier" onPress={() => move(at - 1)} /> : null}
        {at >= 0 && at < order.length - 1 ? <Press title="Later" onPress={() => move(at + 1)} /> : null}
        {at >= 0 && !isPinned ? <Press title="Pin it here" onPress={() => move(at)} /> : null}
        {isPinned ? (
          <Press
            title="Unpin it"
            onPress={() =>
              change((before) => ({ ...before, pinned: before.pinned.filter((id) => id !== piece.id) }))
            }
          />
        ) : null}
        {isBegun ? null : <Press title="Another day" onPress={() => onLater(piece.ticketId)} />}
        <Press title="Its ticket" onPress={() => router.push(`/ticket/${piece.ticketId}/piece` as Href)} />
        <Press kind="link" title="Close" onPress={onClose} />
      </Row>
    </Callout>
  );
}
