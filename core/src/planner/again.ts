import type { Ticket } from '../model/ticket';
import { EMPTY_FINISH } from '../model/ticket/finish';
import { EMPTY_LOG } from '../model/ticket/log';
import { EMPTY_STITCH } from '../model/ticket/stitch';
import { withTodaysFields } from './newTicket';

/**
 * The same piece once more: measured, placed, hooped and supported as it was then, nothing of it done yet. What was
 * found on that very piece (where its marks lay in the hoop, what lay on the ring) is left out. The id is the caller's.
 */
export function again(done: Ticket, id: string): Ticket {
  const { place, hoop, mount, piece, design, ...as } = withTodaysFields(done);
  const { names } = design;
  return {
    ...as,
    id,
    due: null,
    orderId: null,
    samePieceAs: null,
    settled: [],
    settledAs: {},
    design: {
      ...design,
      names: names && { ...names, rows: names.rows.map((row) => ({ ...row, done: false })) },
    },
    piece: { ...piece, evenness: [], grain: null },
    place: { ...place, done: [] },
    hoop: { ...hoop, done: [], part: 0 },
    mount: { ...mount, checked: [], readings: [], obstacles: [] },
    stitch: EMPTY_STITCH,
    finish: EMPTY_FINISH,
    log: EMPTY_LOG,
    unread: {},
    offers: {},
  };
}
