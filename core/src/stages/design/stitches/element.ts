import { type Clipper, isInside, islandsOf, type Region, type Ring } from '../../../base/geometry/clip';
import { type Mesh, meshOf } from '../../../base/geometry/mesh';
import { distance, type Point } from '../../../base/geometry/point';
import { routeIn } from '../../../base/geometry/route';
import { stitchAlong } from './along';
import { byWidth, FINE_MM } from './byWidth';
import { apartOf, columnsOf } from './columns';
import { edgeInMm, stitchFill } from './fill';
import type { HowToStitch } from './howToStitch';
import { stitchProngs } from './prongs';
import { startsOf, stitchRun, stitchSatin } from './satin';
import type { StitchWriter } from './stitches';

/** What is stitched in one go: a shape of one colour, what is hidden of it taken away. mm. */
export interface Element {
  region: Region;
  /** What is stitched along the rings of its middle in place of its area, as cloth is held. */
  line?: LineOfStitches;
  stop: number;
  how: HowToStitch;
}

/** Closed lines that are stitched along: as a run, or with a prong inwards at every pitch. mm. */
export interface LineOfStitches {
  rings: Region;
  /** Null for a run. */
  prong: { longMm: number; pitchMm: number } | null;
}

/** What is stitched with, and what comes later. */
export interface StitchTools {
  clip: Clipper;
  writer: StitchWriter;
  /** Whether something that is stitched later will lie over a point. */
  isCoveredLater: (p: Point) => boolean;
}

/** A piece of an element that is stitched one way. */
interface Job {
  region: Region;
  /** Where it may be begun. */
  starts: readonly Point[];
  stitch: () => void;
}

/** Points along the rim of a column are no farther apart, mm: its pitch. */
const RIM_STEP_MM = 0.4;
/** A nearer place is reached by a stitch, mm. */
const STEP_MM = 1.2;
/** The thread is carried over the cloth no farther, mm: beyond, it is cut. */
const CARRIED_MM = 2.5;
/** A way that is to be hidden is looked at so often, mm. */
const LOOK_MM = 0.6;

/** Points along a line, its ends left out by a stitch's width. */
function lookedAt(line: readonly Point[]): Point[] {
  return line.flatMap((b, i) => {
    const a = line[i - 1];
    if (!a) return [];
    const steps = Math.ceil(distance(a, b) / LOOK_MM);
    return Array.from({ length: Math.max(0, steps - 1) }, (_, k) => ({
      x: a.x + ((b.x - a.x) * (k + 1)) / steps,
      y: a.y + ((b.y - a.y) * (k + 1)) / steps,
    }));
  });
}

/** An element while it is stitched: what of it is done, and how the needle gets about in it. */
class InHand {
  private done: Region[] = [];
  private mesh: Mesh | null | undefined;
  constructor(
    readonly element: Element,
    readonly bench: StitchTools,
  ) {}

  finished(region: Region): void {
    this.done.push(region);
  }

  private hides = (p: Point): boolean =>
    (isInside(this.element.region, p) && !this.done.some((region) => isInside(region, p))) ||
    this.bench.isCoveredLater(p);

  private wayInside(from: Point, to: Point): Point[] | null {
    if (this.mesh === undefined) this.mesh = meshOf(this.element.region, Number.POSITIVE_INFINITY);
    return this.mesh ? routeIn(this.mesh, from, to) : null;
  }

  /** The line by which a place is reached unseen: straight, or round about within the shape; null where none is. */
  private hiddenWay(at: Point, to: Point): Point[] | null {
    const far = distance(at, to);
    if (far <= STEP_MM || lookedAt([at, to]).every(this.hides)) return [to];
    const inside = far <= LONG_MM ? this.wayInside(at, to) : null;
    return inside && lookedAt(inside).every(this.hides) ? inside : null;
  }

  /** Brings the needle to a place: by stitches where they will be hidden, else carried a little way, else cut. */
  arrive(to: Point): void {
    const { writer } = this.bench;
    // Another colour begins where it is stitched, not where the last one ended.
    const at = writer.isFresh() ? null : writer.at();
    const way = at && this.hiddenWay(at, to);
    if (way) stitchAlong(writer, way, { stitchMm: this.element.how.runStitchMm, kind: 'travel' });
    else if (at && distance(at, to) <= CARRIED_MM) writer.to(to.x, to.y, 'jump');
    else writer.trimTo(to.x, to.y);
  }
}
/** A way round within a shape is looked for no farther, mm. */
const LONG_MM = 60;

function fillJob(region: Region, { element, bench }: InHand): Job {
  const { clip, writer } = bench;
  const inner = clip.offset(region, -edgeInMm);
  const around = inner.flat();
  let mesh: Mesh | null | undefined;
  const route = (from: Point, to: Point): Point[] | null => {
    if (mesh === undefined) mesh = meshOf(region, Number.POSITIVE_INFINITY);
    return mesh ? routeIn(mesh, from, to) : null;
  };
  return {
    region,
    starts: around.length > 0 ? around : region.flat(),
    stitch: () => stitchFill(writer, region, { how: element.how, inner, route }),
  };
}

/** A column of which no triangles can be made is stitched in rows across it. */
function asRows(region: Region, { element, bench }: InHand): Job {
  const how = { ...element.how, underlay: 0, fillRowMm: element.how.satinPitchMm };
  return {
    region,
    starts: region.flat(),
    stitch: () => stitchFill(bench.writer, region, { how, inner: [], route: () => null }),
  };
}

function columnJobs(region: Region, inHand: InHand, stitch: typeof stitchSatin): Job[] {
  const { element, bench } = inHand;
  const mesh = meshOf(region, RIM_STEP_MM);
  const all = mesh ? apartOf(columnsOf(mesh)) : [];
  const jobs = all.map((columns): Job => {
    const starts = startsOf(columns);
    return { region, starts, stitch: () => stitch(bench.writer, columns, element.how) };
  });
  return jobs.length === 0 ? [asRows(region, inHand)] : jobs;
}

/** The pieces of an element: what is filled, then satin, then lines; each as far as it hangs together. */
function jobsOf(inHand: InHand): Job[][] {
  const { region, how, line } = inHand.element;
  const { clip } = inHand.bench;
  if (line) return [line.rings.map((ring) => lineJob(ring, line, inHand))];
  const parts = how.way ? { fill: [], satin: [], run: [], [how.way]: region } : byWidth(region, how, clip);
  return [
    islandsOf(parts.fill).map((island) => fillJob(island, inHand)),
    islandsOf(parts.satin).flatMap((island) => columnJobs(island, inHand, stitchSatin)),
    islandsOf(parts.run).flatMap((island) => columnJobs(island, inHand, stitchRun)),
  ];
}

const nearestOf = (points: readonly Point[], at: Point | null): Point | null =>
  at === null
    ? (points[0] ?? null)
    : points.reduce<Point | null>(
        (best, p) => (best && distance(at, best) <= distance(at, p) ? best : p),
        null,
      );

/** A slit narrower than twice this is none that a needle leaves open, mm. */
const SLIT_MM = 0.08;

/** A region without slits and notches: made larger, and as much smaller again. */
const closed = (region: Region, clip: Clipper): Region =>
  clip.simplify(clip.offset(clip.offset(region, SLIT_MM), -SLIT_MM), FINE_MM);

/** A line is begun at whatever point of it is nearest. */
function lineJob(ring: Ring, { rings, prong }: LineOfStitches, { element, bench }: InHand): Job {
  const { writer } = bench;
  return {
    region: [],
    starts: ring,
    stitch: () => {
      const first = nearestOf(ring, writer.at()) ?? ring[0];
      const at = first ? ring.indexOf(first) : 0;
      const round = [...ring.slice(at), ...ring.slice(0, at + 1)];
      if (prong) stitchProngs(writer, round, { ...prong, rings });
      else stitchAlong(writer, round, { stitchMm: element.how.runStitchMm, kind: 'run' });
    },
  };
}

/** Stitches an element, piece after piece, the nearest next. */
export function stitchElement(drawn: Element, bench: StitchTools): void {
  const element = drawn.line ? drawn : { ...drawn, region: closed(drawn.region, bench.clip) };
  const inHand = new InHand(element, bench);
  for (const jobs of jobsOf(inHand)) {
    const left = new Set(jobs);
    while (left.size > 0) {
      const at = bench.writer.at();
      const [job, start] = nearestJob([...left], at);
      left.delete(job);
      if (!start) continue;
      inHand.arrive(start);
      job.stitch();
      inHand.finished(job.region);
    }
  }
}

function nearestJob(jobs: readonly Job[], at: Point | null): [Job, Point | null] {
  const all = jobs.map((job): [Job, Point | null] => [job, nearestOf(job.starts, at)]);
  const far = (p: Point | null): number => (at && p ? distance(at, p) : p ? 0 : Number.POSITIVE_INFINITY);
  return all.reduce((best, one) => (far(one[1]) < far(best[1]) ? one : best));
}
