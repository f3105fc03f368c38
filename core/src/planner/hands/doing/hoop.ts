import { add, type Point, rotate } from '../../../base/geometry/point';
import type { Leg } from '../../../model/deed';
import { asPrinted, type Hands } from '../job';
import { type DoDeed, type DoDeeds, iron, nothing, takeSheet } from './doDeeds';

const WAYS: Record<Leg['way'], Point> = {
  left: { x: -1, y: 0 },
  right: { x: 1, y: 0 },
  up: { x: 0, y: -1 },
  down: { x: 0, y: 1 },
};

/** Where a hand comes that goes from a mark by legs as they are printed, each along its line, the way that leads most as it is said. */
function gone({ job }: Hands, mark: Point, axisDeg: number, legs: readonly Leg[]): Point {
  return legs.reduce((at, { mm, way, along }) => {
    const line = rotate({ x: 1, y: 0 }, along === 'axis' ? axisDeg : axisDeg + 90);
    const said = WAYS[way];
    const by = asPrinted(mm, job.units) * (line.x * said.x + line.y * said.y > 0 ? 1 : -1);
    return add(at, { x: line.x * by, y: line.y * by });
  }, mark);
}

const spotOf = ({ job: { copies } }: Hands, copy: number) => copies[copy - 1] ?? copies[0];

const findHoopCentre: DoDeed<'find hoop centre'> = ({ from, legs }, hands) => {
  const spot = spotOf(hands, from);
  if (!hands.state.isMarked) hands.refuse('no-centre');
  hands.state.foundAt = spot ? gone(hands, spot.centre, spot.turnDeg, legs) : null;
};

const layHoop: DoDeed<'lay hoop'> = ({ on }, hands) => {
  const { state, job, act, refuse } = hands;
  if (job.isTubular && job.hasCloth && !state.isLoaded) refuse('not-loaded');
  if (on === 'hoop centre' && !state.foundAt) refuse('no-centre');
  state.hoopAt = on === 'marks' ? (spotOf(hands, act.copy)?.centre ?? null) : state.foundAt;
  state.foundAt = null;
};

/** A hoop goes into a piece through its opening, with both its sides, and the piece lies flat round it. */
const load: DoDeed<'load'> = ({ how }, { job, state, refuse }) => {
  if (how === 'own') return;
  state.isLoaded = true;
  const { geometry, fabric } = job.results.piece;
  const opening = geometry?.opening;
  if (!geometry || !opening || state.openSeams.size > 0) return;
  const { ringWidthMm, ringHeightMm } = job.laid.verdict.hoop;
  const xs = geometry.outline.map(({ x }) => x);
  const across = job.laid.ring.map(({ x }) => x);
  const wide = (all: number[]) => Math.max(...all) - Math.min(...all);
  const isTight = opening.widthMm < Math.min(ringWidthMm, ringHeightMm);
  if (isTight || wide(across) + 2 * fabric.thicknessMm > wide(xs) + 1) refuse('does-not-go-in');
};

const close: DoDeed<'close'> = (_, hands) => {
  const { state, job, refuse } = hands;
  if (!state.hoopAt) refuse('no-centre');
  if (job.laid.verdict.whyNotHooped.length > 0) refuse('hoop-open');
  state.closed = 'on cloth';
};

const hoopSheets: DoDeed<'hoop sheets'> = ({ sheets }, hands) => {
  for (const sheet of sheets) {
    takeSheet(hands, sheet);
    hands.state.inHoop.add(sheet);
  }
  hands.state.closed = 'on sheets';
};

const peel: DoDeed<'peel'> = ({ sheet }, { state, refuse }) => {
  if (!state.inHoop.has(sheet)) refuse('not-cut');
  if (!state.scored.has(sheet)) refuse('paper-on');
  state.tacky.add(sheet);
};

/** Smoothed onto what is tacky it is held by it. */
const smooth: DoDeed<'smooth'> = (_, { state, job, refuse }) => {
  if (!state.hoopAt) refuse('no-centre');
  const isPapered = (sheet: number) => job.layers.sheets[sheet]?.bond === 'sticky' && !state.tacky.has(sheet);
  if ([...state.inHoop].some(isPapered)) refuse('paper-on');
  if (state.tacky.size > 0) state.holds.add('tack');
};

const fasten: DoDeed<'fasten'> = ({ by }, { state, job, refuse }) => {
  if (by === 'pins' && job.holesStay) refuse('holes-stay');
  state.holds.add(by);
};

const slip: DoDeed<'slip'> = ({ sheet, fastening }, hands) => {
  const { state, job, refuse } = hands;
  if (state.closed === 'no') refuse('hoop-open');
  if (fastening === 'pins' && job.holesStay) refuse('holes-stay');
  takeSheet(hands, sheet);
  state.under.add(sheet);
};

/** Out of the hoop: what was in it goes with the piece, and nothing holds it any more. */
export function unhoop({ state }: Hands): void {
  Object.assign(state, {
    closed: 'no',
    inHoop: new Set(),
    onPiece: new Map(),
    under: new Set(),
    tacky: new Set(),
    scored: new Set(),
    holds: new Set(),
    hoopAt: null,
    foundAt: null,
    isOnMachine: false,
    keys: null,
    isTraced: false,
    topper: null,
  });
}

export const DO_HOOP: DoDeeds<
  | 'open seam'
  | 'set hoop parts'
  | 'turn bracket'
  | 'loosen'
  | 'hoop sheets'
  | 'feel sheets'
  | 'score'
  | 'peel'
  | 'spray'
  | 'load'
  | 'lay under'
  | 'find hoop centre'
  | 'turn hoop'
  | 'lay hoop'
  | 'smooth'
  | 'close'
  | 'see it flush'
  | 'fuse in hoop'
  | 'fasten'
  | 'feel cloth'
  | 'test stretch'
  | 'slip'
  | 'roll'
  | 'take up part'
  | 'take off and unhoop'
> = {
  'open seam': ({ seam }, { state }) => {
    state.openSeams.add(seam);
  },
  'set hoop parts': nothing,
  'turn bracket': ({ turnDeg }, { state, job }) => {
    state.onPieceDeg = (job.copies[0]?.turnDeg ?? 0) + turnDeg;
  },
  loosen: nothing,
  'hoop sheets': hoopSheets,
  'feel sheets': nothing,
  score: ({ sheet }, { state }) => {
    state.scored.add(sheet);
  },
  peel,
  spray: ({ sheet }, { state }) => {
    state.tacky.add(sheet);
  },
  load,
  'lay under': ({ sheets }, hands) => {
    for (const sheet of sheets) {
      takeSheet(hands, sheet);
      hands.state.inHoop.add(sheet);
    }
  },
  'find hoop centre': findHoopCentre,
  'turn hoop': ({ deg }, { state, job }) => {
    state.onPieceDeg = (job.copies[0]?.turnDeg ?? 0) + job.laid.turnDeg + deg;
  },
  'lay hoop': layHoop,
  smooth,
  close,
  'see it flush': nothing,
  'fuse in hoop': (_, hands) => {
    iron(hands);
    if (hands.state.isWet) hands.refuse('wet-fused');
    hands.state.holds.add('fused');
  },
  fasten,
  'feel cloth': nothing,
  'test stretch': nothing,
  slip,
  roll: nothing,
  'take up part': ({ part, of }, { state }) => {
    if (part < of) state.left.crosses = true;
  },
  'take off and unhoop': (_, hands) => {
    unhoop(hands);
    // Until it is said otherwise it lies as it lay for the first.
    hands.state.onPieceDeg = (hands.job.copies[0]?.turnDeg ?? 0) + hands.job.laid.turnDeg;
  },
};
