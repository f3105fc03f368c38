import { THREADS } from '../catalogue/materials';
import { byGravity } from '../model/finding';
import type { HouseRules } from '../model/houseRules';
import type { Shelf } from '../model/shelf';
import type { Ticket } from '../model/ticket';
import type { ThreadId } from '../model/ticket/layers';
import type { Fabric } from '../model/ticket/piece';
import { planDesign } from '../stages/design/planDesign';
import { planFinish } from '../stages/finish/planFinish';
import { factsInHoop, type LaidHoop } from '../stages/hoop/layHoop';
import { type HoopChoice, type HoopPlan, planHoop } from '../stages/hoop/planHoop';
import { tensionFor } from '../stages/hoop/tension';
import { layerFacts } from '../stages/layers/facts';
import { type LayersPlan, planLayers } from '../stages/layers/planLayers';
import { machineFor } from '../stages/mount/machineFor';
import { planMount } from '../stages/mount/planMount';
import { rankTurns } from '../stages/mount/rankTurns';
import { planPiece } from '../stages/piece/planPiece';
import { centreOn, placementOf, planPlace } from '../stages/place/planPlace';
import { planStitch } from '../stages/stitch/planStitch';
import { faintThreads } from './crossChecks/faintThreads';
import { stackFindings } from './crossChecks/stackThickness';
import type { Plan } from './planned';
import { changedSince } from './settle';
import { isKeptUnread, unreadFindings } from './unreadFindings';

/** What waits for the piece and the design. */
const NOT_YET = { place: null, hoop: null, layers: null, mount: null, stitch: null, finish: null };

/**
 * Works out the whole plan of a ticket against a shelf and house rules. Pure: the same inputs give the
 * same plan. Never throws on a ticket of the schema; what cannot be right is a finding of severity stop.
 */
export function planTicket(ticket: Ticket, shelf: Shelf, rules: HouseRules): Plan {
  const placement = placementOf(ticket.place, ticket.piece.kind, shelf.placements);
  const piece = planPiece(ticket.piece, rules, { viewId: placement.view, fabrics: shelf.fabrics });
  const design = planDesign(ticket.design, rules);
  const { geometry } = piece;
  const { facts } = design;
  if (!geometry || !facts) return gather(ticket, { ...NOT_YET, piece, design }, rules);

  const laying = { placement, input: ticket.place, piece: { ...piece, geometry }, facts, rules };
  const place = planPlace(laying);
  const lie = { outline: geometry.outline, centre: place.centre, designTurnDeg: place.turnDeg };
  const question = {
    facts,
    designCentre: place.centre,
    designTurnDeg: place.turnDeg,
    outline: geometry,
    fabric: piece.fabric,
    opened: piece.opened,
    rules,
  };
  const choice = planHoop(ticket.hoop, question, {
    shelf,
    copies: place.copies.map((copy) => copy.footprint),
    closedHem: placement.copies === 'closed hem',
    scalePercent: ticket.design.scalePercent,
    artwork: ticket.design.artwork,
    offset: ticket.place.offset,
    centreFor: (changed) => centreOn({ ...laying, facts: changed }),
    preferTurns: (hoopChosen, turns) =>
      rankTurns(turns, lie, machineFor(ticket.mount, hoopChosen, shelf)).map((r) => r.turnDeg),
  });
  const layers = planLayers(ticket.layers, layerFacts(piece, facts, choice, rules), shelf);
  const hoop = withLayers(choice, { fabric: piece.fabric, layers }, rules);
  const machine = machineFor(ticket.mount, hoop.laid?.verdict.hoop ?? null, shelf);
  const ranks = rankTurns(hoop.turns, lie, machine);
  const mount = isStitchable(hoop)
    ? planMount(ticket.mount, {
        facts: factsInHoop(facts, hoop.laid),
        hoop,
        layers,
        ranks,
        machine,
        kind: piece.kind,
        place,
        offset: ticket.place.offset,
        scalePercent: ticket.design.scalePercent,
        outline: geometry,
        fabric: piece.fabric,
        rules,
      })
    : null;
  const stitch = planStitch(ticket.stitch, facts, {
    machine,
    shelf,
    rules,
    kind: THREADS[layers.parts.thread.choice.id as ThreadId],
    copies: Math.max(1, place.copies.length),
    pieces: piece.pieces,
  });
  const finish = planFinish({ piece, opened: piece.opened, layers, rules });
  return gather(
    ticket,
    {
      piece,
      design,
      place,
      hoop,
      layers,
      mount,
      stitch,
      finish,
    },
    rules,
  );
}

/** The hoop once its layers are known: how taut they lie, and whether it closes on all of them. */
function withLayers(
  choice: HoopChoice,
  stack: { fabric: Fabric; layers: LayersPlan },
  rules: HouseRules,
): HoopPlan {
  const tension = tensionFor(stack.fabric, choice.method, stack.layers.bonded, rules);
  return {
    ...choice,
    tension: tension.text,
    findings: [...choice.findings, ...stackFindings(choice, stack, rules)],
    reasons: [...choice.reasons, tension],
  };
}

/** Whether the design lies in a hoop's field: only then is there a way to mount it. */
const isStitchable = (hoop: HoopPlan): hoop is HoopPlan & { laid: LaidHoop } =>
  hoop.laid !== null && !hoop.findings.some((f) => f.code === 'hoop-misses' || f.code === 'hoop-opening');

/** A plan before its findings and reasons are gathered. */
type Stages = Omit<Plan, 'findings' | 'reasons'>;

function gather(ticket: Ticket, stages: Stages, rules: HouseRules): Plan {
  const { piece, design, place, hoop, layers, mount, stitch } = stages;
  const all = [piece, design, place, hoop, layers, mount, stitch].flatMap((stage) => stage ?? []);
  return {
    ...stages,
    findings: byGravity([
      ...unreadFindings(ticket, rules.units),
      ...all.flatMap((stage) => stage.findings).filter((f) => !isKeptUnread(ticket, f)),
      ...faintThreads(stages.piece.colour, stages.design.facts, rules),
      ...changedSince(ticket, stages),
    ]),
    reasons: all.flatMap((stage) => stage.reasons),
  };
}
