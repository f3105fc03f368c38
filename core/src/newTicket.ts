import type { DesignInput } from './design/schema';
import { PIECE_KINDS } from './piece/kinds';
import type { PieceKindId } from './piece/schema';
import { placementsFor } from './place/placements';
import type { Ticket } from './ticket';

const EMPTY_DESIGN: DesignInput = {
  name: '',
  widthMm: null,
  heightMm: null,
  unread: {},
  stitches: null,
  densityClass: null,
  colours: [{ hex: '#1F4E79', name: 'navy', stitches: null }],
  hasUp: true,
  lettering: false,
  letterHeightMm: null,
  scalePercent: 100,
  artwork: null,
};

/** A bare ticket for a kind of piece; the id is the caller's. */
export function newTicket(id: string, kind: PieceKindId): Ticket {
  const worn = PIECE_KINDS[kind].worn;
  return {
    id,
    name: '',
    customer: '',
    due: null,
    settled: [],
    piece: {
      kind,
      fabricId: worn ? 'jersey-tee' : 'terry-towel',
      fabricChanges: {},
      colour: worn ? '#C9D6DF' : '#EFE6D2',
      readings: {},
      unread: {},
      evenness: [],
    },
    design: EMPTY_DESIGN,
    place: {
      placement: placementsFor(kind)[0]?.id ?? 'above-border',
      school: null,
      offset: { x: 0, y: 0 },
      turnDeg: 0,
      method: 'tape',
    },
    hoop: { hoopId: null, turnDeg: null, shift: null, method: null, methodWhy: '' },
    layers: { support: null, choices: {} },
    mount: { machineId: null, mirror: false, checked: [] },
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
  };
}
