import type { HandsOn, PlannedPiece } from '@zt/core/business/day/dayPlan';
import { type DayNow, dayNow, LATE_AFTER_MS, standAfter } from '@zt/core/business/day/now';
import { isUnderWay, type Stand, withStand } from '@zt/core/model/day';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { announce } from '../everyone/announce';
import { useShop } from '../shop/useShop';
import { askForPlan, onPlanning, type Planning, planningNow } from './dayPlanner';
import { type SharedDay, useDaySheet } from './useDaySheet';

/** So often the clock is looked at, ms. */
const LOOK_EVERY_MS = 5000;

/** The time now, looked at every few seconds. */
function useClock(): number {
  const [nowMs, setNow] = useState(Date.now);
  useEffect(() => {
    const look = setInterval(() => setNow(Date.now()), LOOK_EVERY_MS);
    return () => clearInterval(look);
  }, []);
  return nowMs;
}

/** The time zone of the shop: as its rules say, else that of this device. */
const zoneOf = (zone: string): string => zone || Intl.DateTimeFormat().resolvedOptions().timeZone;

export interface DayInHand extends Planning {
  shared: SharedDay;
  nowMs: number;
  now: DayNow | null;
  /** Plans anew from now. */
  again: () => void;
  /** Hands have done what they were to do next. */
  done: () => void;
  /** What was said to be done last, to be taken back; null where nothing was. */
  last: { piece: PlannedPiece; hands: HandsOn; undo: () => void } | null;
}

/**
 * The plan of the day, made anew as pieces come along, tickets change, or it runs late. Where it is only followed, it is
 * made only once any piece of it is begun.
 */
export function useDayPlan({ followed = false } = {}): DayInHand {
  const shared = useDaySheet();
  const { shelf, rules, ready: isShopHere } = useShop();
  const planning = useSyncExternalStore(onPlanning, planningNow);
  const nowMs = useClock();
  const { tickets, sheet, isHere, change } = shared;
  const isWanted = !followed || isUnderWay(sheet, tickets);
  const ready = isHere && isShopHere && isWanted;
  const asked = useMemo(
    () => ({ tickets, sheet, shelf, rules, zone: zoneOf(rules.hours.zone) }),
    [tickets, sheet, shelf, rules],
  );
  useEffect(() => {
    if (ready) askForPlan({ ...asked, nowMs: Date.now() });
  }, [ready, asked]);
  const now = planning.plan && dayNow(planning.plan, nowMs);
  const [last, setLast] = useState<{ piece: PlannedPiece; hands: HandsOn; before: Stand | null } | null>(
    null,
  );
  const isLate = now !== null && now.behindMs >= LATE_AFTER_MS && !planning.working;
  useEffect(() => {
    if (!isLate || !ready) return;
    announce('The day runs late: it is planned anew from now.');
    askForPlan({ ...asked, nowMs: Date.now() }, { anew: true });
  }, [isLate, ready, asked]);
  return {
    ...planning,
    shared,
    nowMs,
    now,
    again: () => askForPlan({ ...asked, nowMs: Date.now() }, { anew: true }),
    done: () => {
      const { hands = null, piece = null } = now ?? {};
      if (!hands || !piece) return;
      setLast({ piece, hands, before: sheet.stands[piece.id] ?? null });
      change((before) => {
        const stand = before.stands[piece.id];
        return withStand(before, piece.id, standAfter(hands.what, piece, { stand, nowMs: Date.now() }));
      });
    },
    last: last && {
      ...last,
      undo: () => {
        setLast(null);
        change((before) => withStand(before, last.piece.id, last.before));
      },
    },
  };
}
