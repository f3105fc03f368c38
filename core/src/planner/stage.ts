import type { HouseNumber } from '../catalogue/houseNumber';
import { THREADS } from '../catalogue/materials';
import { DESIGN_NUMBERS } from '../catalogue/numbers/design';
import { EVIDENCE_NUMBERS } from '../catalogue/numbers/evidence';
import { FINISH_NUMBERS } from '../catalogue/numbers/finish';
import { HOOP_NUMBERS } from '../catalogue/numbers/hoop';
import { LAYER_NUMBERS } from '../catalogue/numbers/layers';
import { MOUNT_NUMBERS } from '../catalogue/numbers/mount';
import { PIECE_NUMBERS } from '../catalogue/numbers/piece';
import { PLACE_NUMBERS } from '../catalogue/numbers/place';
import { STITCH_NUMBERS } from '../catalogue/numbers/stitch';
import type { HouseRules } from '../model/houseRules';
import type { PieceKindId } from '../model/pieceKindIds';
import type { Shelf } from '../model/shelf';
import type { STAGES, Stage } from '../model/stages';
import type { Ticket } from '../model/ticket';
import { EMPTY_DESIGN } from '../model/ticket/design';
import { EMPTY_FINISH } from '../model/ticket/finish';
import { EMPTY_HOOP } from '../model/ticket/hoop';
import type { Inputs } from '../model/ticket/inputs';
import type { ThreadId } from '../model/ticket/layers';
import { EMPTY_LAYERS } from '../model/ticket/layers';
import { EMPTY_LOG } from '../model/ticket/log';
import { EMPTY_MOUNT } from '../model/ticket/mount';
import { emptyPiece } from '../model/ticket/piece';
import { emptyPlace } from '../model/ticket/place';
import { EMPTY_STITCH } from '../model/ticket/stitch';
import { planDesign } from '../stages/design/planDesign';
import { planFinish } from '../stages/finish/planFinish';
import { HOOP_KINDS } from '../stages/hoop/kinds';
import { factsInHoop, type LaidHoop } from '../stages/hoop/layHoop';
import { machineFor } from '../stages/hoop/machineFor';
import { type HoopPlan, planHoop } from '../stages/hoop/planHoop';
import { layerFacts } from '../stages/layers/facts';
import { planLayers } from '../stages/layers/planLayers';
import { planLog } from '../stages/log/planLog';
import { planMount } from '../stages/mount/planMount';
import { PIECE_KINDS } from '../stages/piece/kinds';
import { planPiece } from '../stages/piece/planPiece';
import type { UsualPlacement } from '../stages/piece/usualPlacement';
import { centreOn, chestSchoolOf, planPlace } from '../stages/place/planPlace';
import { planStitch } from '../stages/stitch/planStitch';
import { threadFor } from '../stock/fromShelf';
import { pieceOnTable } from './onTable';
import type { Results } from './planned';

/** What every stage may look at: the ticket, the shop, and the placement, which says the face that is worked on. */
export interface Given {
  ticket: Ticket;
  shelf: Shelf;
  rules: HouseRules;
  placement: UsualPlacement;
}

/** The stages before one, in the order of work. */
type Before<S extends Stage, All extends readonly Stage[] = typeof STAGES> = All extends readonly [
  infer First extends Stage,
  ...infer Rest extends readonly Stage[],
]
  ? First extends S
    ? never
    : First | Before<S, Rest>
  : never;

/** What a stage is worked out from: what is given, and the results of earlier stages. */
type Upstream<S extends Stage> = Given & Pick<Results, Before<S>>;

/**
 * One stage: what it begins with, the numbers it goes by, and what it works out. The schema of what is entered stands
 * below, with the ticket it is kept in (`INPUT_SCHEMAS` of the model).
 */
export interface StageContract<S extends Stage> {
  /** What is entered before anything is said about it. */
  empty: (kind: PieceKindId) => Inputs[S];
  /** The numbers of the trade that it goes by, which a shop may change. */
  numbers: Readonly<Record<string, HouseNumber>>;
  /** Null while an earlier stage cannot be worked out. */
  plan: (upstream: Upstream<S>) => Results[S];
}

/** The design and the drawn piece, which all later stages wait for; null while one of them is not known. */
function workable({ piece, design }: Pick<Results, 'piece' | 'design'>) {
  const { geometry } = piece;
  const { facts } = design;
  return geometry && facts ? { piece: { ...piece, geometry }, facts } : null;
}

/** The machine it goes on. */
const machineOf = ({ ticket, shelf, hoop }: Given & Pick<Results, 'hoop'>) =>
  machineFor(ticket.mount, hoop?.laid?.verdict.hoop ?? null, shelf);

/** Whether the design lies in a hoop's field: only then is there a way to mount it. */
const isStitchable = (hoop: HoopPlan): hoop is HoopPlan & { laid: LaidHoop } =>
  hoop.laid !== null && !hoop.findings.some((f) => f.code === 'hoop-misses' || f.code === 'hoop-opening');

/** What each kind of hoop closes on, by the number's id. */
const numbersOfHoopKinds = (): Record<string, HouseNumber> =>
  Object.fromEntries(HOOP_KINDS.flatMap(({ closes }) => (closes ? [[closes.id, closes]] : [])));

/** The nine stages. Tape, new tickets, plans and house numbers are folds over them in the order of work. */
export const STAGE_CONTRACTS: { readonly [S in Stage]: StageContract<S> } = {
  piece: {
    empty: (kind) => emptyPiece(kind, PIECE_KINDS[kind].usual),
    numbers: PIECE_NUMBERS,
    plan: ({ ticket, rules, shelf, placement }) =>
      planPiece(pieceOnTable(ticket), rules, {
        viewId: placement.view,
        fabrics: shelf.fabrics,
        unread: ticket.unread,
        // A depth from another landmark asks for the whole piece, and so do landmarks that are joined.
        markedBy:
          ticket.place.depth || ticket.place.method === 'join'
            ? null
            : { by: placement.rule.by, school: chestSchoolOf(placement, ticket.place, rules) },
      }),
  },
  design: {
    empty: () => EMPTY_DESIGN,
    numbers: DESIGN_NUMBERS,
    plan: ({ ticket, rules, piece }) => planDesign(ticket.design, rules, piece.fabric),
  },
  place: {
    empty: (kind) => emptyPlace(PIECE_KINDS[kind].placements[0].id),
    numbers: PLACE_NUMBERS,
    plan: (up) => {
      const on = workable(up);
      return on && planPlace({ placement: up.placement, input: up.ticket.place, ...on, rules: up.rules });
    },
  },
  hoop: {
    empty: () => EMPTY_HOOP,
    numbers: { ...HOOP_NUMBERS, ...numbersOfHoopKinds() },
    plan: planHoopStage,
  },
  layers: {
    empty: () => EMPTY_LAYERS,
    numbers: LAYER_NUMBERS,
    plan: ({ ticket, shelf, rules, piece, design, hoop }) =>
      hoop && design.facts
        ? planLayers(ticket.layers, layerFacts(piece, design.facts, hoop, rules), shelf)
        : null,
  },
  mount: {
    empty: () => EMPTY_MOUNT,
    numbers: MOUNT_NUMBERS,
    plan: planMountStage,
  },
  stitch: {
    empty: () => EMPTY_STITCH,
    numbers: STITCH_NUMBERS,
    plan: (up) => {
      const { ticket, shelf, rules, piece, design, place, layers } = up;
      if (!place || !layers || !design.facts) return null;
      return planStitch(ticket.stitch, design.facts, {
        machine: machineOf(up),
        shelf,
        rules,
        kind: THREADS[layers.parts.thread.choice.id as ThreadId],
        copies: Math.max(1, place.copies.length),
        pieces: piece.pieces,
        asManyOfThis: design.allNames ?? piece.pieces,
      });
    },
  },
  finish: {
    empty: () => EMPTY_FINISH,
    numbers: FINISH_NUMBERS,
    plan: ({ piece, design, place, hoop, layers, mount, rules }) => {
      const parts = hoop?.laid?.split?.split.parts.length ?? 1;
      const copies = Math.max(1, place?.copies.length ?? 0);
      // Of the first one the hoop may lie so that there is no room for it.
      const taped = mount && mount.bastingMm === null ? 1 : 0;
      const boxes = layers?.bastingMm == null ? 0 : copies * parts - taped;
      const stitched = { boxes, crosses: parts > 1 };
      return layers && planFinish({ piece, stitched, layers, cloths: design.facts?.cloths ?? [], rules });
    },
  },
  log: {
    empty: () => EMPTY_LOG,
    numbers: EVIDENCE_NUMBERS,
    plan: ({ ticket, design, hoop, layers }) =>
      planLog(ticket.log, {
        widthMm: design.facts?.widthMm ?? 0,
        layers: ticket.layers,
        held: hoop &&
          layers && {
            method: hoop.method,
            sheets: layers.sheets,
            topper: layers.parts.topper.choice.id,
            needle: layers.parts.needle.choice.id,
          },
      }),
  },
};

function planHoopStage(up: Upstream<'hoop'>): Results['hoop'] {
  const { ticket, shelf, rules, place, placement } = up;
  const on = workable(up);
  if (!on || !place) return null;
  const { piece, facts } = on;
  const laying = { placement, input: ticket.place, ...on, rules };
  return planHoop(ticket.hoop, {
    shelf,
    rules,
    // One hoop serves all names of an order: it is judged for them together.
    facts: { ...facts, ...up.design.together },
    largest: up.design.together?.largest ?? null,
    designCentre: place.centre,
    designTurnDeg: place.turnDeg,
    outline: piece.geometry,
    fabric: piece.fabric,
    opened: piece.opened,
    copies: place.copies.map((copy) => copy.footprint),
    closedHem: placement.copies === 'closed hem',
    design: ticket.design,
    offset: ticket.place.offset,
    centreFor: (changed) => centreOn({ ...laying, facts: changed }),
    mount: ticket.mount,
  });
}

function planMountStage(up: Upstream<'mount'>): Results['mount'] {
  const { ticket, rules, place, hoop, layers } = up;
  const on = workable(up);
  if (!on || !place || !hoop || !layers || !isStitchable(hoop)) return null;
  return planMount(ticket.mount, {
    facts: factsInHoop(on.facts, hoop.laid),
    design: on.facts,
    hoop,
    layers,
    machine: machineOf(up),
    threads: on.facts.stops.map(
      ({ hex, name }) =>
        threadFor(hex, THREADS[layers.parts.thread.choice.id as ThreadId], up.shelf.threads).thread?.name ??
        name,
    ),
    kind: on.piece.kind,
    place,
    offset: ticket.place.offset,
    scalePercent: ticket.design.scalePercent,
    outline: on.piece.geometry,
    fabric: on.piece.fabric,
    rules,
  });
}
