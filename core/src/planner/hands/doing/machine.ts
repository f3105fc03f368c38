import { add, distance, type Point, rotate } from '../../../base/geometry/point';
import type { DisplayUnits } from '../../../base/units/length';
import type { MachineDeed } from '../../../model/deed';
import { appliquesOf } from '../acts/before';
import type { Hands } from '../job';
import { type DoDeed, type DoDeeds, iron, nothing, stopOf, take } from './doDeeds';

/** How far stitching may lie off its marks, mm: what two readings of a tape by its own marks round away, and a machine's step. */
const mostOffMm = (units: DisplayUnits): number =>
  units.system === 'mm' ? 1 : (25.4 / units.denominator / 2) * Math.SQRT2 + 0.4;
const HAIR_MM = 0.01;

/** What is stitched now, about the design's centre, and where its file's centre lies. */
const partOf = ({ job: { parts, laid }, act: { hooping, phase } }: Hands) => {
  const index =
    hooping.part === null ? (phase === 'further copies' ? 0 : (laid.split?.index ?? 0)) : hooping.part - 1;
  return { index, part: parts[index] ?? parts[0] };
};

/** A point of the design in the hoop frame, as the machine has it: the file centred, turned and mirrored about it, then moved. */
function stitchedAt(
  p: Point,
  fileCentre: Point,
  { turnDeg, mirror, move }: NonNullable<Hands['state']['keys']>,
): Point {
  const about = { x: p.x - fileCentre.x, y: p.y - fileCentre.y };
  return add(rotate(mirror ? { x: -about.x, y: about.y } : about, turnDeg), move);
}

const isInField = ({ job }: Hands, p: Point): boolean => {
  const { fieldWidthMm, fieldHeightMm, round } = job.laid.verdict.hoop;
  return round
    ? Math.hypot(p.x, p.y) <= fieldWidthMm / 2 + HAIR_MM
    : Math.abs(p.x) <= fieldWidthMm / 2 + HAIR_MM && Math.abs(p.y) <= fieldHeightMm / 2 + HAIR_MM;
};

/** The outline of what is stitched, in the hoop. */
function outlineIn(hands: Hands): Point[] {
  const { keys } = hands.state;
  const { part } = partOf(hands);
  return keys && part ? part.hull.map((p) => stitchedAt(p, part.fileCentre, keys)) : [];
}

/** Refuses what does not land where its marks are. */
function land(hands: Hands): void {
  const { job, state, act, refuse } = hands;
  const { part } = partOf(hands);
  const spot = job.copies[act.copy - 1];
  if (!state.keys || !part || !spot) return;
  if (!outlineIn(hands).every((p) => isInField(hands, p))) refuse('outside-field');
  if (!state.hoopAt || (job.isRead && act.phase !== 'further copies')) return;
  // The field of a hoop that is latched in another place lies otherwise in it.
  if (job.laid.split?.split.byPositions) return;
  const middle = stitchedAt({ x: 0, y: 0 }, part.fileCentre, state.keys);
  const at = add(state.hoopAt, rotate(middle, state.onPieceDeg));
  const wanted = { x: spot.centre.x - job.wantedOff.x, y: spot.centre.y - job.wantedOff.y };
  if (distance(at, wanted) > mostOffMm(job.units)) refuse('off-marks');
}

/** Something holds the piece, and something lies beneath what is stitched. */
function isHeld({ job, state, refuse }: Hands): void {
  const beneath = state.inHoop.size + state.onPiece.size + state.under.size;
  if (beneath === 0 && job.layers.sheets.length > 0) refuse('nothing-beneath');
  if (!job.hasCloth) return;
  if (job.isFloated ? state.holds.size === 0 : state.closed !== 'on cloth') refuse('nothing-holds');
}

/** Everything that must be so before the needle comes down. */
function ready(hands: Hands): void {
  const { state, job, refuse } = hands;
  if (state.closed === 'no') refuse('hoop-open');
  if (!state.isOnMachine) refuse('not-mounted');
  if (!state.isNeedleIn) refuse('no-needle');
  if (!state.keys) refuse('no-keys');
  if (!state.isTraced) refuse('not-traced');
  if (state.isPinned) refuse('pins-in-field');
  isHeld({ ...hands, job });
  land(hands);
}

const baste: DoDeed<'baste'> = ({ mm }, hands) => {
  const { state, job, refuse } = hands;
  if (job.holesStay) refuse('holes-stay');
  state.holds.add('basting');
  ready(hands);
  const outline = outlineIn(hands);
  const [xs, ys] = [outline.map(({ x }) => x), outline.map(({ y }) => y)];
  const box = [Math.min(...xs) - mm, Math.max(...xs) + mm].flatMap((x) =>
    [Math.min(...ys) - mm, Math.max(...ys) + mm].map((y) => ({ x, y })),
  );
  if (!box.every((p) => isInField(hands, p))) refuse('basting-outside');
  state.left.boxes += 1;
};

/** A film is as large as what holds it asks: past the field at its pins, past the box that is basted. */
const layTopper: DoDeed<'lay topper'> = ({ by }, hands) => {
  const { state, job, refuse } = hands;
  const { hoop } = job.laid.verdict;
  if (by === 'pins' && job.holesStay) refuse('holes-stay');
  const hull = partOf(hands).part?.hull ?? [];
  const [xs, ys] = [hull.map(({ x }) => x), hull.map(({ y }) => y)];
  const round = 2 * (job.layers.bastingMm ?? 0);
  take(
    hands,
    'topper',
    by === 'basting box'
      ? {
          widthMm: Math.max(...xs) - Math.min(...xs) + round,
          heightMm: Math.max(...ys) - Math.min(...ys) + round,
        }
      : { widthMm: hoop.fieldWidthMm + 10, heightMm: hoop.fieldHeightMm + 10 },
  );
  state.topper = by;
  Object.assign(state.left, {
    topper: true,
    filmRest: job.layers.parts.topper.choice.id !== 'permanent-film',
  });
};

const stitch: DoDeed<'stitch'> = ({ stop }, hands) => {
  const { state, job, act, refuse } = hands;
  ready(hands);
  const stops = job.results.stitch?.stops ?? [];
  const { index } = partOf(hands);
  const done = { copy: act.copy, part: index + 1, stop };
  const isSame = (one: typeof done) =>
    one.copy === done.copy &&
    one.part === done.part &&
    (one.stop === stop || one.stop === 'all' || stop === 'all');
  if (state.stitched.some((one) => isSame(one as typeof done))) refuse('twice-stitched');
  state.stitched.push(done);
  if (stop === 'all') {
    if (stops.some(({ time }) => time.cloth)) refuse('no-cloth');
  } else {
    // Cloth is down before its tack-down, and trimmed before its edge.
    const before = stops[stop - 1]?.time.cloth;
    const isDone = before?.id === 'trim' ? state.trimmed : state.laid;
    if (before && !isDone.has(stopOf(stop - 1, hands))) refuse('no-cloth');
  }
  const isLast = stop === 'all' || stop === stops.length - 1;
  if (isLast && job.layers.parts.topper.choice.id !== 'none' && !state.topper) refuse('no-topper');
};

const layCloth: DoDeed<'lay cloth'> = ({ stop, isFused }, hands) => {
  const { state, job, refuse } = hands;
  if (state.topper) refuse('pinned-down');
  const of = job.results.stitch?.stops[stop]?.applique?.of;
  const cloth = of ? appliquesOf(job.results).indexOf(of) : -1;
  if (!state.clothsCut.has(cloth)) refuse('not-cut');
  if (isFused) {
    iron(hands);
    if (state.isWet) refuse('wet-fused');
  }
  if (state.webbed.has(cloth) && !isFused && of?.way !== 'trimmed') refuse('paper-on');
  state.laid.add(stopOf(stop, hands));
};

export const DO_MACHINE: DoDeeds<
  MachineDeed['do'] | 'enter keys' | 'stitch' | 'take hoop off' | 'put hoop back' | 'lay cloth' | 'trim cloth'
> = {
  'lay out threads': nothing,
  'fit needle': (_, { state, refuse }) => {
    if (state.keys) refuse('keys-lost');
    state.isNeedleIn = true;
  },
  'fill bobbin': nothing,
  'free the carriage': nothing,
  'reach under': nothing,
  latch: (_, { state, refuse }) => {
    if (state.closed === 'no') refuse('hoop-open');
    state.isOnMachine = true;
    state.keys = null;
    state.isTraced = false;
  },
  'needle over mark': nothing,
  'see the top': nothing,
  'clear the field': (_, { state }) => {
    state.isPinned = false;
  },
  'lay topper': layTopper,
  trace: (_, { state, refuse }) => {
    if (!state.isOnMachine) refuse('not-mounted');
    if (!state.keys) refuse('no-keys');
    state.isTraced = true;
  },
  baste,
  'enter keys': ({ keys }, { state, refuse }) => {
    if (!state.isOnMachine) refuse('not-mounted');
    state.keys = keys;
    state.isTraced = false;
  },
  stitch,
  'take hoop off': (_, { state, refuse }) => {
    if (!state.isOnMachine) refuse('not-mounted');
    state.isOnMachine = false;
  },
  'put hoop back': (_, { state, refuse }) => {
    if (state.closed === 'no') refuse('hoop-open');
    state.isOnMachine = true;
  },
  'lay cloth': layCloth,
  'trim cloth': ({ stop }, hands) => {
    if (hands.state.topper) hands.refuse('pinned-down');
    if (hands.state.isOnMachine) hands.refuse('trimmed-on-machine');
    hands.state.trimmed.add(stopOf(stop, hands));
  },
};
