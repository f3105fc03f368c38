import type { Unread } from '../model/fields/unread';
import type { PieceKindId } from '../model/pieceKindIds';
import { STAGES } from '../model/stages';
import type { Ticket } from '../model/ticket';
import type { DesignInput } from '../model/ticket/design';
import { NO_COPIES_ASKED } from '../model/ticket/place';
import { layersOfToday, sheetsOfToday } from '../stages/layers/keptSheets';
import { PIECE_KINDS } from '../stages/piece/kinds';

const EMPTY_DESIGN: DesignInput = {
  name: '',
  widthMm: null,
  heightMm: null,
  stitches: null,
  densityClass: null,
  colours: [{ hex: '#1F4E79', name: 'navy', stitches: null }],
  hasUp: true,
  lettering: false,
  letterHeightMm: null,
  scalePercent: 100,
  artwork: null,
  elementMoves: [],
  looks: null,
};

/** A bare ticket for a kind of piece; the id is the caller's. */
export function newTicket(id: string, kind: PieceKindId): Ticket {
  const { usual, placements } = PIECE_KINDS[kind];
  return {
    id,
    name: '',
    customer: '',
    due: null,
    settled: [],
    settledAs: {},
    piece: {
      kind,
      fabricId: usual.fabricId,
      fabricChanges: {},
      colour: usual.colour,
      readings: {},
      evenness: [],
      grain: null,
      quantity: 1,
      sizes: [],
      sewing: {},
      stripEdge: null,
      opened: [],
    },
    design: EMPTY_DESIGN,
    place: {
      placement: placements[0].id,
      school: null,
      offset: { x: 0, y: 0 },
      turnDeg: 0,
      method: 'tape',
      depth: null,
      snaps: true,
      ...NO_COPIES_ASKED,
      scatter: { ...NO_COPIES_ASKED.scatter, spots: [] },
    },
    hoop: { hoopId: null, turnDeg: null, shift: null, method: null, methodWhy: '', split: false, part: 0 },
    layers: { support: null, choices: {} },
    mount: { machineId: null, mirror: false, checked: [], readings: [], obstacles: [] },
    stitch: { bobbinLeftM: null, stopsDone: 0 },
    finish: { done: [] },
    log: {
      used: { method: null, hoopId: null, sheets: null, topper: null, needle: null, bobbin: null },
      faults: {},
      misplacementMm: null,
      minutes: {},
      note: '',
      nextTime: '',
      by: '',
    },
    unread: {},
  };
}

/** A size of an order that did not count its pieces yet. */
const ONE = { count: 1 };

/** A ticket as an older version kept it: unread texts stood with the piece and the design. */
type KeptTicket = Ticket & { piece: { unread?: Unread }; design: { unread?: Unread } };

const under = (path: string, unread: Unread = {}): Unread =>
  Object.fromEntries(Object.entries(unread).map(([key, text]) => [`${path}.${key}`, text]));

/**
 * A ticket kept by an older version, with the fields that came since at their usual values. Nothing that was
 * entered is changed; a ticket of today comes back equal.
 */
export function withTodaysFields(kept: KeptTicket): Ticket {
  const bare = newTicket(kept.id, kept.piece.kind);
  const filled = STAGES.map((stage) => [stage, { ...bare[stage], ...kept[stage] }]);
  const today: Ticket = { ...bare, ...kept, ...Object.fromEntries(filled) };
  const sizes = today.piece.sizes.map((size) => ({ ...ONE, ...size }));
  return {
    ...today,
    piece: { ...today.piece, sizes },
    unread: {
      ...under('piece.readings', kept.piece.unread),
      ...under('design', kept.design.unread),
      ...today.unread,
    },
    layers: layersOfToday(today.layers, today.hoop.method),
    log: logOfToday(today.log, today.hoop.method),
  };
}

/** A report of any version as it is kept today; `planned` is the method asked for on its ticket. */
export function logOfToday(log: Ticket['log'], planned: Ticket['hoop']['method']): Ticket['log'] {
  const { sheets, method } = log.used;
  return sheets ? { ...log, used: { ...log.used, sheets: sheetsOfToday(sheets, method ?? planned) } } : log;
}
