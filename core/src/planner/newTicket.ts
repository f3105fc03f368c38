import type { Unread } from '../model/fields/unread';
import type { PieceKindId } from '../model/pieceKindIds';
import { STAGES } from '../model/stages';
import type { Ticket } from '../model/ticket';
import type { Inputs } from '../model/ticket/inputs';
import { EMPTY_LOG } from '../model/ticket/log';
import { designOfToday, type KeptDesign, offersOfToday, unreadOfToday } from '../stages/design/keptDesign';
import { layersOfToday, sheetsOfToday } from '../stages/layers/keptSheets';
import { STAGE_CONTRACTS } from './stage';

/** A bare ticket for a kind of piece, every stage empty; the id is the caller's. */
export function newTicket(id: string, kind: PieceKindId): Ticket {
  const inputs = Object.fromEntries(STAGES.map((stage) => [stage, STAGE_CONTRACTS[stage].empty(kind)]));
  return {
    id,
    name: '',
    customer: '',
    due: null,
    blankMinor: null,
    orderId: null,
    samePieceAs: null,
    settled: [],
    settledAs: {},
    ...(inputs as Inputs),
    unread: {},
    offers: {},
  };
}

/** A size of an order that did not count its pieces yet. */
const ONE = { count: 1 };

/** A ticket as an older version kept it: unread texts stood with the piece and the design. */
type KeptTicket = Omit<Ticket, 'design'> & {
  piece: { unread?: Unread };
  design: KeptDesign & { unread?: Unread };
};

const under = (path: string, unread: Unread = {}): Unread =>
  Object.fromEntries(Object.entries(unread).map(([key, text]) => [`${path}.${key}`, text]));

/**
 * A ticket kept by an older version, with the fields that came since at their usual values. Nothing that was
 * entered is changed; a ticket of today comes back equal.
 */
export function withTodaysFields(kept: KeptTicket): Ticket {
  const bare = newTicket(kept.id, kept.piece.kind);
  const filled = STAGES.map((stage) => [stage, { ...bare[stage], ...kept[stage] }]);
  const { unread: ofDesign, ...design } = kept.design;
  const today: Ticket = { ...bare, ...kept, ...Object.fromEntries(filled), design: designOfToday(design) };
  const sizes = today.piece.sizes.map((size) => ({ ...ONE, ...size }));
  return {
    ...today,
    piece: { ...today.piece, sizes },
    unread: unreadOfToday({
      ...under('piece.readings', kept.piece.unread),
      ...under('design', ofDesign),
      ...today.unread,
    }),
    offers: offersOfToday(today.offers),
    layers: layersOfToday(today.layers, today.hoop.method),
    log: logOfToday(today.log, today.hoop.method),
  };
}

/** A report of any version as it is kept today; `planned` is the method asked for on its ticket. */
export function logOfToday(kept: Ticket['log'], planned: Ticket['hoop']['method']): Ticket['log'] {
  const log = { ...EMPTY_LOG, ...kept, used: { ...EMPTY_LOG.used, ...kept.used } };
  const { sheets, method } = log.used;
  return sheets ? { ...log, used: { ...log.used, sheets: sheetsOfToday(sheets, method ?? planned) } } : log;
}
