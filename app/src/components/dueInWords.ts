import { isOpenState, type Order } from '@zt/core/model/order';
import { format } from 'date-fns/format';
import { isToday } from 'date-fns/isToday';
import { parseISO } from 'date-fns/parseISO';

/** A promised day as a list shows it. */
export function dueInWords(due: string | null): string {
  if (due === null) return 'no day set';
  const day = parseISO(due);
  return isToday(day) ? 'today' : format(day, 'EEE d MMM');
}

/** Whether an order is past its day and still not handed over. Days as ISO writes them. */
export const isLate = ({ due, state }: Pick<Order, 'due' | 'state'>, today: string): boolean =>
  due !== null && due < today && isOpenState(state);
