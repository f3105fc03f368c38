import { STAGES, type Stage } from '@zt/core';
import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import type { Shop } from '../shop/useShop';
import { redone, undone } from '../store/editor';
import { useAppDispatch } from '../store/store';
import { useTicket, useTicketActs } from './useTicket';

interface KeysContext {
  stage: Stage;
  onStage: (stage: Stage) => void;
  shop: Shop;
}

const ARROWS: Record<string, { x: number; y: number }> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};
const TURNS: Record<string, number> = { '[': -1, ']': 1, '{': -15, '}': 15 };
const inField = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** The keyboard on a ticket: arrows nudge 1 mm (Shift 5), [ ] turn 1° (Shift 15), 1–9 stages, u units, z undo. */
export function useKeys({ stage, onStage, shop }: KeysContext): void {
  const ticket = useTicket('place');
  const { change } = useTicketActs();
  const dispatch = useAppDispatch();
  const router = useRouter();
  useEffect(() => {
    const moves = stage === 'place' || stage === 'hoop';
    const { offset, turnDeg } = ticket.place;
    const keys = (event: KeyboardEvent): boolean => {
      const arrow = ARROWS[event.key];
      const turn = TURNS[event.key];
      const number = Number(event.key);
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z')
        dispatch(event.shiftKey ? redone() : undone());
      else if (event.ctrlKey || event.metaKey || event.altKey) return false;
      else if (arrow && moves) {
        const by = event.shiftKey ? 5 : 1;
        change(
          { stage: 'place', set: { offset: { x: offset.x + arrow.x * by, y: offset.y + arrow.y * by } } },
          'design nudged',
        );
      } else if (turn !== undefined && moves)
        change({ stage: 'place', set: { turnDeg: (turnDeg + turn) % 360 } }, 'design turned');
      else if (number >= 1 && number <= STAGES.length) onStage(STAGES[number - 1] ?? stage);
      else if (event.key === 'u')
        shop.setUnits(shop.units.system === 'in' ? { system: 'mm' } : { system: 'in', denominator: 16 });
      else if (event.key === 'n') router.push('/new');
      else if (event.key === '?') router.push('/keys');
      else return false;
      return true;
    };
    const down = (event: KeyboardEvent) => {
      if (!inField(event.target) && keys(event)) event.preventDefault();
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  }, [ticket.place, stage, onStage, shop, change, dispatch, router]);
}
