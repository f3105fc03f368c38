import { STAGES, type Stage } from '@zt/core/model/stages';
import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import { announce } from '../everyone/announce';
import { isOnControl, lettersAct } from '../everyone/keys';
import type { Shop } from '../shop/useShop';
import { redone, undone } from '../store/editor';
import { useAppDispatch } from '../store/store';
import { useTicket, useTicketActs } from './useTicket';

interface KeysContext {
  stage: Stage;
  onStage: (stage: Stage) => void;
  shop: Shop;
}

export const ARROWS: Record<string, { x: number; y: number; way: string }> = {
  ArrowLeft: { x: -1, y: 0, way: 'left' },
  ArrowRight: { x: 1, y: 0, way: 'right' },
  ArrowUp: { x: 0, y: -1, way: 'up' },
  ArrowDown: { x: 0, y: 1, way: 'down' },
};
export const TURNS: Record<string, number> = { '[': -1, ']': 1, '{': -15, '}': 15 };

export const isWithin = (target: EventTarget | null, place: string): boolean =>
  target instanceof Element && target.closest(place) !== null;

/**
 * The keyboard on a ticket. On the sheet: arrows nudge 1 mm (Shift 5), [ ] turn 1° (Shift 15). On the sheet or the
 * tape: 1–9 stages. Anywhere but on a control: u units, n a piece, ? these keys, unless they are turned off.
 */
export function useKeys({ stage, onStage, shop }: KeysContext): void {
  const ticket = useTicket('place');
  const { change } = useTicketActs();
  const dispatch = useAppDispatch();
  const router = useRouter();
  useEffect(() => {
    const moves = stage === 'place' || stage === 'hoop';
    const { offset, turnDeg } = ticket.place;
    const onSheet = (event: KeyboardEvent): boolean => {
      const arrow = ARROWS[event.key];
      const turn = TURNS[event.key];
      if (!moves || (!arrow && turn === undefined)) return false;
      if (arrow) {
        const by = event.shiftKey ? 5 : 1;
        const to = { x: offset.x + arrow.x * by, y: offset.y + arrow.y * by };
        change({ stage: 'place', set: { offset: to } }, 'design nudged');
        announce(`Moved ${by} mm ${arrow.way}.`);
      } else if (turn !== undefined) {
        change({ stage: 'place', set: { turnDeg: (turnDeg + turn) % 360 } }, 'design turned');
        announce(`Turned ${turn}°.`);
      }
      return true;
    };
    const letter = (key: string): boolean => {
      if (key === 'u')
        shop.setUnits(shop.units.system === 'in' ? { system: 'mm' } : { system: 'in', denominator: 16 });
      else if (key === 'n') router.push('/new');
      else if (key === '?') router.push('/keys');
      else return false;
      return true;
    };
    const keys = (event: KeyboardEvent): boolean => {
      const { key, target } = event;
      if ((event.ctrlKey || event.metaKey) && key.toLowerCase() === 'z') {
        if (isWithin(target, 'input, textarea')) return false;
        dispatch(event.shiftKey ? redone() : undone());
        return true;
      }
      if (event.ctrlKey || event.metaKey || event.altKey) return false;
      const isSheet = isWithin(target, '[data-testid=sheet]');
      if (isSheet && onSheet(event)) return true;
      const number = STAGES[Number(key) - 1];
      if (number && (isSheet || isWithin(target, '[data-testid=tape]'))) {
        onStage(number);
        return true;
      }
      return !isOnControl(target) && lettersAct() && letter(key);
    };
    const down = (event: KeyboardEvent) => {
      if (keys(event)) event.preventDefault();
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  }, [ticket.place, stage, onStage, shop, change, dispatch, router]);
}
