import { type DayAnswer, type DaySheet, DaySheetSchema, EMPTY_DAY } from '@zt/core/model/day';
import { titleOf } from '@zt/core/planner/titleOf';
import { mergeFitting } from '@zt/core/sync/merge';
import { useCallback, useMemo } from 'react';
import { useDayQuery } from '../services/dayApi';
import type { Queued } from '../store/queue';
import { putDay } from '../store/shopActs';
import { useAppDispatch, useAppSelector } from '../store/store';

const MINE = { by: '', when: '' };
const fits = (sheet: DaySheet) => DaySheetSchema.safeParse(sheet).success;

function sheetWith(theirs: DaySheet, one: Queued): DaySheet {
  if (one.endpoint !== 'saveDay') return theirs;
  const { sheet: mine, base } = one.arg;
  return base ? mergeFitting({ base, mine, theirs }, MINE, fits) : mine;
}

export interface SharedDay extends Omit<DayAnswer, 'sheet'> {
  sheet: DaySheet;
  /** Whether it was read at all. */
  isHere: boolean;
  failed: boolean;
  /** Changes the sheet as it is when it is changed. */
  change: (make: (sheet: DaySheet) => DaySheet) => void;
}

const NOTHING: DayAnswer = {
  sheet: EMPTY_DAY,
  tickets: [],
  later: [],
  spoilt: { pieces: 0, spoilt: 0 },
  more: { tickets: 0, notAgreed: 0 },
};

/** Tickets to be planned and those that wait, as the sheet says it now. */
function withoutLater({ tickets, later }: DayAnswer, sheet: DaySheet): Pick<DayAnswer, 'tickets' | 'later'> {
  const waits = (id: string) => sheet.later.includes(id);
  const put = tickets.filter(({ ticket }) => waits(ticket.id));
  return {
    tickets: put.length > 0 ? tickets.filter(({ ticket }) => !waits(ticket.id)) : tickets,
    later: [
      ...later.filter(({ id }) => waits(id)),
      ...put.map(({ ticket }) => ({ id: ticket.id, name: titleOf(ticket) })),
    ],
  };
}

/** The day's sheet with what was said here and is not acknowledged yet, and the tickets that are due first. */
export function useDaySheet(): SharedDay {
  const { data = NOTHING, isError, isSuccess } = useDayQuery(undefined, { refetchOnMountOrArgChange: true });
  const waiting = useAppSelector(({ queue }) => queue.waiting);
  const dispatch = useAppDispatch();
  const sheet = useMemo(() => waiting.reduce(sheetWith, data.sheet), [data.sheet, waiting]);
  const change = useCallback(
    (make: (sheet: DaySheet) => DaySheet) => dispatch(putDay(make(sheet), sheet)),
    [dispatch, sheet],
  );
  const split = useMemo(() => withoutLater(data, sheet), [data, sheet]);
  return { ...data, ...split, sheet, isHere: isSuccess, failed: isError, change };
}
