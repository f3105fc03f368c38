import { boxOf } from '../../../base/geometry/box';
import { boxesTouch } from '../../../base/geometry/boxIndex';
import { type Clipper, isInside, type Region } from '../../../base/geometry/clip';
import { ARTWORK_BOUNDS } from '../../../model/ticket/designBounds';
import { type Made, type MadeStop, THINNERS, type Thinner } from '../../../model/ticket/made';
import { keyOfStop } from '../../../model/ticket/partStop';
import { linesAsRings } from '../parts/stopsOfDesign';
import { ringsOfPath } from '../pathData';
import { byWidth } from './byWidth';
import { type DensityMap, densityMap, type HotSpot, hotSpots, mostFelt } from './density';
import type { Element } from './element';
import { heldCloth } from './heldCloth';
import { type StitchQuestion, type StitchShape, wider } from './question';
import { type StitchProgress, stitchDesign } from './stitchDesign';
import type { Stitches } from './stitches';
import { countElements } from './summary';

/** The stitches of a design, what they come to, and how thick they lie. */
export interface StitchAnswer {
  made: Made;
  stitches: Stitches;
  map: DensityMap | null;
}

/** What lies under another reaches in under it by so much, so that no gap opens, mm; less where thread is to be saved. */
const LAP_MM = { fills: 0.6, all: 0.05 };

function regionOf({ d, strokeMm }: StitchShape, clip: Clipper): Region {
  const lines = ringsOfPath(d);
  return strokeMm === null ? clip.union(lines, 'evenodd') : clip.union(linesAsRings(lines, strokeMm));
}

/** What of each shape is stitched: not what lies under shapes of later parts, but for a lap. */
function seenOf(
  regions: readonly Region[],
  { shapes, how, cutUnder }: StitchQuestion,
  clip: Clipper,
): Region[] {
  const boxes = regions.map((region) => boxOf(region.flat()));
  const partOf = (i: number): string => shapes[i]?.part ?? '';
  const places = new Map([...new Set(shapes.map(({ part }) => part))].map((part, i) => [part, i]));
  const coverOf = new Map<number, Region>();
  const cover = (i: number): Region => {
    const known = coverOf.get(i);
    if (known) return known;
    const region = regions[i] ?? [];
    const covering = cutUnder === 'all' ? region : byWidth(region, how, clip).fill;
    const made = clip.offset(covering, -LAP_MM[cutUnder]);
    coverOf.set(i, made);
    return made;
  };
  return regions.map((region, i) => {
    const box = boxes[i];
    if (!box) return region;
    const over = regions.flatMap((_, k) => {
      const other = boxes[k];
      const isLater = (places.get(partOf(k)) ?? 0) > (places.get(partOf(i)) ?? 0);
      return isLater && other && boxesTouch(box, other) ? [k] : [];
    });
    return over.reduce<Region>((left, k) => clip.subtract(left, cover(k)), region);
  });
}

function elementsOf(question: StitchQuestion, clip: Clipper): Element[] {
  const { shapes, how } = question;
  const held = shapes.map((shape) => heldCloth(regionOf(shape, clip), shape, clip));
  const seen = seenOf(
    held.map(({ region }) => region),
    question,
    clip,
  );
  return shapes.map(({ stop, angleDeg, way, applique }, i) => {
    const { region = [], line } = held[i] ?? {};
    const own = applique
      ? ({ ...how, angleDeg, edgeRuns: false, way: 'satin' } as const)
      : { ...how, angleDeg, way };
    return line ? { region, line, stop, how: own } : { region: seen[i] ?? region, stop, how: own };
  });
}

/** What the elements come to, put together by the stops of the parts. */
function stopsOf(question: StitchQuestion, stitches: Stitches): MadeStop[] {
  const counts = countElements(stitches, question.shapes.length);
  const stops = new Map<string, MadeStop>();
  for (const [i, { part, partStop, step }] of question.shapes.entries()) {
    const count = counts[i];
    if (!count) continue;
    const key = keyOfStop({ part, stop: partStop, step });
    const own = stops.get(key) ?? {
      part,
      stop: partStop,
      step,
      fill: 0,
      satin: 0,
      other: 0,
      threadMm: 0,
      trims: 0,
      jumps: 0,
    };
    own.fill += count.fill;
    own.satin += count.satin;
    own.other += count.stitches - count.fill - count.satin;
    own.threadMm += count.threadMm;
    own.trims += count.trims;
    own.jumps += count.jumps;
    stops.set(key, own);
  }
  return [...stops.values()];
}

const MOST_SPOTS = 12;
/** A place thinner than this is nowhere a hot spot, mm of thread on mm². */
const LOOKED_AT = 5.5;

const bounded = (cover: number): number => Math.round(Math.min(ARTWORK_BOUNDS.cover, cover) * 100) / 100;

/** How many shapes lie on each other about a spot, at least one. */
const LAYERS_WITHIN_MM = 0.75;
function layersAt({ at }: HotSpot, elements: readonly Element[]): number {
  const around = [0, 90, 180, 270].map((deg) => ({
    x: at.x + LAYERS_WITHIN_MM * Math.cos((deg * Math.PI) / 180),
    y: at.y + LAYERS_WITHIN_MM * Math.sin((deg * Math.PI) / 180),
  }));
  const on = elements.filter(({ region }) => [at, ...around].some((p) => isInside(region, p)));
  return Math.max(1, on.length);
}

/** A question that is stitched thinner; null where it is so already. */
function thinnedBy(question: StitchQuestion, thinner: Thinner): StitchQuestion | null {
  const { how } = question;
  if (thinner === 'cut') return question.cutUnder === 'all' ? null : { ...question, cutUnder: 'all' };
  if (thinner === 'underlay')
    return how.underlay === 0 ? null : { ...question, how: { ...how, underlay: 0 } };
  const by = wider(how.fillRowMm) / how.fillRowMm;
  const rows = { ...how, fillRowMm: how.fillRowMm * by, satinPitchMm: how.satinPitchMm * by };
  if (thinner === 'rows') return { ...question, how: rows };
  return question.cutUnder === 'all' ? null : { ...question, how: rows, cutUnder: 'all' };
}

function* stitched(
  question: StitchQuestion,
  clip: Clipper,
): Generator<StitchProgress, { stitches: Stitches; elements: Element[] }> {
  const elements = elementsOf(question, clip);
  return { stitches: yield* stitchDesign(elements, clip), elements };
}

/** The stitches of a design alone, without what they come to. The same question has the same stitches. */
export function* stitchesAlone(question: StitchQuestion, clip: Clipper): Generator<StitchProgress, Stitches> {
  return (yield* stitched(question, clip)).stitches;
}

/** How thick the thickest place is, stitched each way that makes it thinner. */
function* tried(question: StitchQuestion, clip: Clipper): Generator<StitchProgress, Made['thinned']> {
  const thinned: Made['thinned'] = {};
  for (const thinner of THINNERS) {
    const other = thinnedBy(question, thinner);
    if (!other) continue;
    const { stitches } = yield* stitched(other, clip);
    const map = densityMap(stitches);
    if (map) thinned[thinner] = bounded(mostFelt(map));
  }
  return thinned;
}

/** A question with one part laid over all the others, and stitched after them. */
function withOnTop(question: StitchQuestion, part: string): StitchQuestion {
  const [under, over] = [false, true].map((isOver) =>
    question.shapes.filter((shape) => (shape.part === part) === isOver),
  );
  const last = question.stops;
  return {
    ...question,
    shapes: [...(under ?? []), ...(over ?? []).map((shape) => ({ ...shape, stop: last + shape.stop }))],
    stops: last * 2,
  };
}

/** So many parts are tried on top. */
const MOST_ON_TOP = 3;

/** Which part that lies beneath at a spot makes it thinnest where it is laid over the others. */
function* triedOnTop(
  question: StitchQuestion,
  { at }: HotSpot,
  { elements, clip }: { elements: readonly Element[]; clip: Clipper },
): Generator<StitchProgress, Made['onTop']> {
  const here = question.shapes.flatMap(({ part }, i) =>
    isInside(elements[i]?.region ?? [], at) ? [part] : [],
  );
  const beneath = [...new Set(here)].slice(0, -1).slice(0, MOST_ON_TOP);
  let best: Made['onTop'] = null;
  for (const part of beneath) {
    const { stitches } = yield* stitched(withOnTop(question, part), clip);
    const map = densityMap(stitches);
    const cover = bounded(map ? mostFelt(map) : 0);
    if (best === null || cover < best.cover) best = { part, cover };
  }
  return best;
}

/**
 * The stitches of a design: shapes as regions, what is hidden of them taken away, stitched one after the other; and what
 * they come to. Yields how far it has come. The same question has the same answer.
 */
export function* answerStitches(
  question: StitchQuestion,
  clip: Clipper,
): Generator<StitchProgress, StitchAnswer> {
  const { stitches, elements } = yield* stitched(question, clip);
  const map = densityMap(stitches);
  const spots = map ? hotSpots(map, LOOKED_AT, MOST_SPOTS) : [];
  const thinned = spots.length > 0 ? yield* tried(question, clip) : {};
  const [worst] = spots;
  const onTop = worst ? yield* triedOnTop(question, worst, { elements, clip }) : null;
  const made: Made = {
    madeFrom: question.key,
    stops: stopsOf(question, stitches),
    mostCover: bounded(map ? mostFelt(map) : 0),
    spots: spots.map((spot) => ({
      at: spot.at,
      cover: bounded(spot.cover),
      layers: layersAt(spot, elements),
    })),
    thinned,
    onTop,
  };
  return { made, stitches, map };
}
