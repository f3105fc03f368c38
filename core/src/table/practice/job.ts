import { type Box, boxOf } from '../../base/geometry/box';
import { add, fullTurnDeg, ORIGIN, type Point, rotate, subtract } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import { type Phrase, say } from '../../base/units/phrase';
import type { HouseRules } from '../../model/houseRules';
import type { PracticeJob, PracticePose } from '../../model/practice';
import type { Machine, Shelf } from '../../model/shelf';
import type { Ticket } from '../../model/ticket';
import type { Plan } from '../../planner/planned';
import type { DesignFacts } from '../../stages/design/designFacts';
import { pointsOfPath } from '../../stages/design/pathData';
import { codeOf, type Stitches } from '../../stages/design/stitches/stitches';
import { factsInHoop, type LaidHoop } from '../../stages/hoop/layHoop';
import { inHoopFrame } from '../../stages/hoop/ring';
import { keysTo } from '../../stages/mount/keys';
import { bobbinM } from '../../stages/stitch/planStitch';

export const STRAIGHT: PracticePose = { turnDeg: 0, shift: ORIGIN };

const ROWS = 24;

/** Rows to and fro over a convex hull, for a design without a drawing. */
function rowsOver(hull: Polygon): Point[] {
  const box = boxOf(hull);
  return Array.from({ length: ROWS }, (_, i) => {
    const y = box.top + ((box.bottom - box.top) * (i + 0.5)) / ROWS;
    const xs = hull.flatMap((a, k) => {
      const b = hull[(k + 1) % hull.length] ?? a;
      return a.y > y === b.y > y ? [] : [a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y)];
    });
    const row = [Math.min(...xs), Math.max(...xs)].map((x) => ({ x, y }));
    return i % 2 === 0 ? row : row.reverse();
  }).flat();
}

/** The way the needle goes in one colour stop. */
type Way = Pick<PracticeJob['stops'][number], 'path' | 'cutBefore'>;

/** Whether a point of the design is stitched in the hooping in hand, as its file has it: about the design's centre. */
type IsStitched = (p: Point) => boolean;

/** How far a point lies outside a box, mm. */
const outsideMm = ({ left, right, top, bottom }: Box, { x, y }: Point): number =>
  Math.max(0, left - x, x - right, top - y, y - bottom);

/** All of a design in one go; of a split one the part in hand, its overlaps with it, and what reaches out beside it. */
function isStitchedIn({ split, turnDeg }: LaidHoop): IsStitched {
  if (!split || split.split.parts.length < 2) return () => true;
  const boxes = split.split.parts.map(({ hull }) => boxOf(hull.map((p) => rotate(p, -turnDeg))));
  return (p) => {
    const outside = boxes.map((box) => outsideMm(box, rotate(p, -turnDeg)));
    return (outside[split.index] ?? 0) <= Math.min(...outside);
  };
}

/** Along the drawing's shapes, or in rows over the hull. */
function wayAlong({ artwork, scale, hull }: DesignFacts, stop: number, isStitched: IsStitched): Way {
  const points = (artwork?.paths ?? [])
    .filter((path) => path.stop === stop)
    .flatMap((path) => pointsOfPath(path.d).map((p) => ({ x: p.x * scale, y: p.y * scale })))
    .filter(isStitched);
  return { path: points.length > 1 ? points : rowsOver(hull), cutBefore: null };
}

const TRIM = codeOf('trim');
const hundredth = (value: number): number => Math.round(value * 100) / 100;

/** Stitch after stitch as they were made; where the thread leaves the part in hand it is cut. */
function wayOfStitches(
  { x, y, kind, stop: stops }: Stitches,
  { scale }: DesignFacts,
  stop: number,
  isStitched: IsStitched,
): Way {
  const [path, cutBefore]: [Point[], number[]] = [[], []];
  let isCut = false;
  for (const [i, own] of stops.entries()) {
    if (own !== stop) continue;
    const at = { x: hundredth((x[i] ?? 0) * scale), y: hundredth((y[i] ?? 0) * scale) };
    isCut ||= kind[i] === TRIM || (path.length > 0 && !isStitched(at));
    if (!isStitched(at)) continue;
    if (isCut) cutBefore.push(path.length);
    isCut = false;
    path.push(at);
  }
  return { path, cutBefore };
}

/** Each stop's way: by its stitches where it has some. A colour of which nothing is in the part in hand has none. */
function waysOf(facts: DesignFacts, stitches: Stitches | null, isStitched: IsStitched): Way[] {
  return facts.stops.map((_, stop) => {
    const made = stitches && wayOfStitches(stitches, facts, stop, isStitched);
    const isMade = stitches?.stop.includes(stop) ?? false;
    return made && isMade ? made : wayAlong(facts, stop, isStitched);
  });
}

/** What is laid on the machine beside the plan. */
export interface LaidOn {
  /** How the piece really sits in the hoop. */
  lie?: PracticePose | undefined;
  /** The stitches of its design; null where they were not made: then the needle follows its shapes. */
  stitches?: Stitches | null;
}

/**
 * A ticket on the practice machine, its piece hooped as planned or as `lie` has it; null while the plan has no hoop
 * or no machine takes it. The design is about the file's own centre, which is what a machine centres.
 */
export function practiceJob(
  ticket: Ticket,
  plan: Plan,
  shop: { shelf: Shelf; rules: HouseRules },
  { lie = STRAIGHT, stitches = null }: LaidOn = {},
): PracticeJob | null {
  const { mount, hoop, design, piece } = plan;
  const laid = hoop?.laid;
  if (!mount?.machine || !laid || !design.facts || !piece.geometry) return null;
  const facts = factsInHoop(design.facts, laid);
  const aboutFile = (p: Point) => subtract(p, facts.fileCentre);
  const threadMm = facts.stops.reduce((sum, stop) => sum + stop.threadMm, 0);
  const ways = waysOf(facts, stitches, isStitchedIn(laid));
  const countOf = (i: number): number =>
    ways[i]?.cutBefore ? (ways[i]?.path.length ?? 0) : (facts.stops[i]?.stitches ?? 0);
  const count = stitches?.stop.length ?? facts.stops.reduce((sum, one) => sum + one.stitches, 0);
  const inHoop = (p: Point) => add(rotate(p, lie.turnDeg), lie.shift);
  return {
    ticketId: ticket.id,
    name: ticket.name || ticket.design.name,
    machine: mount.machine,
    hoops: hoopsFor(mount.machine, laid, shop.shelf),
    hoopId: laid.verdict.hoop.id,
    hull: facts.hull.map(aboutFile),
    stops: ways.flatMap(({ path, cutBefore }, i) =>
      path.length === 0
        ? []
        : [
            {
              hex: facts.stops[i]?.hex ?? '#59626E',
              name: facts.stops[i]?.name ?? '',
              stitches: countOf(i),
              path: path.map(aboutFile),
              cutBefore,
              sameThread: plan.stitch?.stops[i]?.isSame ?? false,
              handsAfter: wordsOf(plan.stitch?.stops[i]?.time.cloth?.what ?? null),
            },
          ],
    ),
    obstacles: ticket.mount.obstacles,
    footMm: mount.trace.footMm,
    bobbinM: ticket.stitch.bobbinLeftM ?? mount.machine.bobbinMetres,
    bobbinMPerStitch: bobbinM({ stitches: 1, threadMm: threadMm / Math.max(1, count) }, shop.rules),
    marks: Object.fromEntries(Object.entries(mount.marksShould).map(([mark, p]) => [mark, inHoop(p)])),
    cloth: piece.geometry.outline.map((p) => inHoop(inHoopFrame(p, laid))),
    clothHex: piece.colour,
    wanted: wantedFor(facts, laid, ticket.mount.mirror, lie),
  };
}

const wordsOf = (words: Phrase | null): string | null => words && say(words, { system: 'mm' });

/** The keys that bring the design onto the piece as it really lies. */
function wantedFor(
  facts: DesignFacts,
  laid: LaidHoop,
  mirror: boolean,
  lie: PracticePose,
): PracticeJob['wanted'] {
  const planned = keysTo(facts, laid.designAt, { turnDeg: -laid.turnDeg, mirror });
  return {
    turnDeg: fullTurnDeg(planned.turnDeg + lie.turnDeg),
    mirror,
    move: add(rotate(planned.move, lie.turnDeg), lie.shift),
  };
}

const hoopsFor = (machine: Machine, laid: LaidHoop, shelf: Shelf) => {
  const own = shelf.hoops.filter((h) => h.machineIds.includes(machine.id));
  return own.some((h) => h.id === laid.verdict.hoop.id) ? own : [laid.verdict.hoop, ...own];
};
