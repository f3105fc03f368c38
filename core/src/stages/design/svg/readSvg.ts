import { ramerDouglasPeucker } from 'clipper2-ts';
import { type INode, parseSync } from 'svgson';
import { colourDifference, nameOfColour } from '../../../base/colour/colour';
import { type Box, boxOf, centreOf, heightOf, widthOf } from '../../../base/geometry/box';
import { areaOf, type Ring } from '../../../base/geometry/clip';
import { type Point, subtract } from '../../../base/geometry/point';
import { hullOf } from '../../../base/geometry/polygon';
import { drawingIdOf } from '../../../model/drawingId';
import type { Artwork, ColourStop } from '../../../model/ticket/artwork';
import { ARTWORK_BOUNDS, lettersOfPaths, MOST_DESIGN_MM } from '../../../model/ticket/designBounds';
import { colourOrder, runsOf } from '../order/colourOrder';
import { countStitches, tooManyStitches } from '../stitches/countStitches';
import type { StitchFigures } from '../stitchFigures';
import { drawnKey } from './drawnKey';
import { withoutHidden } from './hidden';
import { viewBoxMatrix } from './matrix';
import { type Paint, plainPaint, seenOn } from './paint';
import { DRAWING_REFUSALS, type SvgRefusal, whySvgTextIsRefused } from './refuse';
import { PASSED_OVER, type Painted, shapesOf } from './shapes';
import { type PageSize, pageSizeOf } from './svgLength';
import type { DrawingTools } from './tools';

/** A drawing read at its true size, ready to go onto a ticket. */
export interface ReadSvg {
  ok: true;
  widthMm: number;
  heightMm: number;
  stitches: number;
  colours: ColourStop[];
  artwork: Artwork;
}

/** A drawing that can be stitched, of which nobody has said how large it is. */
export interface HowWide {
  ok: false;
  code: 'how-wide';
  message: string;
  /** How many times as high as wide the part is that is seen. */
  upright: number;
}

/** What a drawing is read with. */
export interface ReadSetting {
  figures: StitchFigures;
  tools: DrawingTools;
  /** The cloth it goes onto, #rrggbb: see-through colours are seen on it. */
  cloth: string;
  /** How wide what is seen of it shall be, mm; null as the file says. */
  widthMm: number | null;
}

/** Of so much or less nobody says that it is hidden, mm². */
const HIDDEN_MM2 = 0.05;

interface Stitched {
  rings: readonly Ring[];
  /** All of it, where something drawn later hides some of it; null where nothing does. */
  whole: readonly Ring[] | null;
  hex: string;
  /** The parts that it lies on, by their place in the drawing. */
  on: readonly number[];
}

/** The root of the simplified drawing; null for what is no SVG, or cannot be read. */
function simplified(text: string, { simplify }: DrawingTools): INode | SvgRefusal {
  try {
    const root = parseSync(simplify(withNames(text)));
    return root.name === 'svg' ? root : DRAWING_REFUSALS.notSvg;
  } catch (error) {
    return /limit|too (deep|many)|recurs/i.test(String(error))
      ? DRAWING_REFUSALS.tooComplex
      : DRAWING_REFUSALS.notSvg;
  }
}

/** Drawings that forgot to say that they are SVG are SVG all the same. */
function withNames(text: string): string {
  const root = /<svg\b[^>]*>/i.exec(text)?.[0];
  if (root === undefined) return text;
  const missing = [
    ...(/\sxmlns\s*=/.test(root) ? [] : [' xmlns="http://www.w3.org/2000/svg"']),
    ...(/xlink:/.test(text) && !/xmlns:xlink\s*=/.test(text)
      ? [' xmlns:xlink="http://www.w3.org/1999/xlink"']
      : []),
  ].join('');
  return missing === '' ? text : text.replace(root, root.replace(/^<svg/i, `<svg${missing}`));
}

/** No point of a design that a hoop takes lies farther from its page's corner, mm. */
const FARTHEST_POINT_MM = 3 * MOST_DESIGN_MM;
const WHITE: Paint = { r: 1, g: 1, b: 1, alpha: 1 };
/** What is painted, as it would be stitched: what is hidden is taken away. */
function stitchedOf(
  shapes: readonly Painted[],
  { tools, cloth }: ReadSetting,
  remarks: Set<string>,
): Stitched[] {
  const seen = withoutHidden(shapes, tools.clip);
  if (!seen) remarks.add('So many shapes lie on each other that what is hidden was left in.');
  const ground = plainPaint(cloth) ?? WHITE;
  const all = seen ?? shapes.map((shape, i) => ({ ...shape, seen: shape.region, on: i > 0 ? [i - 1] : [] }));
  return all.map(
    ({ seen: rings, region, paint, on }): Stitched => ({
      rings,
      whole: areaOf(region) - areaOf(rings) > HIDDEN_MM2 ? region : null,
      hex: seenOn(paint, ground),
      on,
    }),
  );
}

/** The parts in the order of fewest thread changes; none comes before one it lies on. What is gained is said. */
function withFewChanges(parts: readonly Stitched[], remarks: Set<string>): Stitched[] {
  const hexes = [...new Set(parts.map(({ hex }) => hex))];
  const colours = parts.map(({ hex }) => hexes.indexOf(hex));
  const { order, runs, bound } = colourOrder({ colours, after: parts.map(({ on }) => on) });
  const drawn = runsOf(
    parts.map((_, i) => i),
    colours,
  );
  if (runs < drawn)
    remarks.add(
      `Shapes of one colour were put together where none lies on another: ${drawn} colour stops became ${runs}${runs > bound ? `; no order has fewer than ${bound}` : ''}.`,
    );
  return order.flatMap((i) => parts[i] ?? []);
}

const rounded = (value: number) => Math.round(value * 100) / 100;

/** The finest thinning of a line, µm: below a thread's width. */
const FINE_UM = 50;

const ringData = (ring: Ring, centre: Point, thinUm: number): string => {
  const thinned = ramerDouglasPeucker(
    ring.map((p) => ({ x: (p.x - centre.x) * 1000, y: (p.y - centre.y) * 1000 })),
    thinUm,
  );
  return `M${thinned.map((p) => `${rounded(p.x / 1000)} ${rounded(p.y / 1000)}`).join('L')}Z`;
};

/** Runs of one colour in drawing order are the colour stops, their stitches still to be counted; and each part's stop. */
function colourStops(parts: readonly Pick<Stitched, 'hex'>[]): {
  colours: ColourStop[];
  stopOf: number[];
} {
  const colours: ColourStop[] = [];
  const stopOf = parts.map(({ hex }) => {
    if (colours[colours.length - 1]?.hex !== hex)
      colours.push({ hex, name: nameOfColour(hex), stitches: null });
    return colours.length - 1;
  });
  return { colours, stopOf };
}

/** The nearest two of the colours become one, again and again, until there are few enough. */
function fewerColours(parts: readonly Stitched[], most: number): Stitched[] {
  const weights = new Map<string, number>();
  for (const { hex, rings } of parts) weights.set(hex, (weights.get(hex) ?? 0) + areaOf(rings));
  const all = [...weights.keys()];
  const into = new Map<string, string>();
  const pairs = all
    .flatMap((a, i) => all.slice(i + 1).map((b) => ({ a, b, apart: colourDifference(a, b) })))
    .sort((p, q) => p.apart - q.apart);
  const rootOf = (hex: string): string => {
    const next = into.get(hex);
    return next === undefined ? hex : rootOf(next);
  };
  let left = all.length;
  for (const { a, b } of pairs) {
    if (left <= most) break;
    const [x, y] = [rootOf(a), rootOf(b)];
    if (x === y) continue;
    const [kept, gone] = (weights.get(x) ?? 0) >= (weights.get(y) ?? 0) ? [x, y] : [y, x];
    into.set(gone, kept);
    left -= 1;
  }
  return parts.map((part) => ({ ...part, hex: rootOf(part.hex) }));
}

/** Colours beyond this many are not told apart pair by pair. */
const MOST_COMPARED = 400;

/** Parts of one colour one after the other, each colour where it is drawn first. */
function byColour(parts: readonly Stitched[]): Stitched[] {
  const hexes = [...new Set(parts.map(({ hex }) => hex))];
  return hexes.flatMap((hex) => parts.filter((part) => part.hex === hex));
}

/** Parts in an order and in colours that a ticket holds; what had to be put together is said. Null beyond. */
function withFewStops(parts: Stitched[], remarks: Set<string>): Stitched[] | null {
  const most = ARTWORK_BOUNDS.stops;
  if (colourStops(parts).colours.length <= most) return parts;
  remarks.add(`It changes its colour more than ${most} times: the shapes of one colour were put together.`);
  const together = byColour(parts);
  const colours = new Set(together.map(({ hex }) => hex)).size;
  if (colours <= most) return together;
  if (colours > MOST_COMPARED) return null;
  remarks.add(`It has ${colours} colours: the nearest were made one, ${most} are left.`);
  return byColour(fewerColours(together, most));
}

/** Shapes of one stop as one shape: of one colour, their order shows nothing. */
function joinedPaths(paths: Artwork['paths']): Artwork['paths'] {
  const joined = new Map<number, Artwork['paths'][number]>();
  for (const path of paths) {
    const before = joined.get(path.stop);
    joined.set(path.stop, before ? { d: before.d + path.d, stop: path.stop, strokeMm: null } : path);
  }
  return [...joined.values()];
}

/** Coarser and coarser: a drawing of very many points is thinned until a ticket holds it. */
const THINNINGS_UM = [FINE_UM, 150, 400];

/** The shapes of a drawing as a ticket holds them, thinned and joined as far as that asks; null beyond. */
function pathsOf(
  parts: readonly Stitched[],
  stopOf: readonly number[],
  centre: Point,
): Artwork['paths'] | null {
  for (const thinUm of THINNINGS_UM) {
    const data = (rings: readonly Ring[]): string =>
      rings.map((ring) => ringData(ring, centre, thinUm)).join('');
    const seen = parts.map(({ rings }, i) => ({ d: data(rings), stop: stopOf[i] ?? 0, strokeMm: null }));
    if (lettersOfPaths(seen) > ARTWORK_BOUNDS.letters) continue;
    const wholes = seen.map((path, i) => {
      const { whole } = parts[i] ?? {};
      return whole ? { ...path, whole: data(whole) } : path;
    });
    const paths = lettersOfPaths(wholes) > ARTWORK_BOUNDS.letters ? seen : wholes;
    const held = paths.length > ARTWORK_BOUNDS.paths ? joinedPaths(paths) : paths;
    return held.length > ARTWORK_BOUNDS.paths ? null : held;
  }
  return null;
}

function artworkOf(
  parts: readonly Stitched[],
  stopOf: readonly number[],
  frame: { box: Box; page: { x: number; y: number }; fileName: string; remarks: Iterable<string> },
): Artwork | null {
  const centre = centreOf(frame.box);
  const paths = pathsOf(parts, stopOf, centre);
  const hull = hullOf(parts.flatMap(({ rings }) => rings.flat()));
  if (!paths || hull.length > ARTWORK_BOUNDS.hull) return null;
  return {
    fileName: frame.fileName.slice(0, ARTWORK_BOUNDS.fileName),
    paths,
    hull: hull.map((p) => ({ x: rounded(p.x - centre.x), y: rounded(p.y - centre.y) })),
    fileCentre: subtract(frame.page, centre),
    remarks: [...frame.remarks].slice(0, ARTWORK_BOUNDS.remarks),
    letters: [],
    madeFrom: '',
    source: null,
  };
}

/** The page that a drawing of no size is looked at on, mm: large enough to see what there is. */
const NOMINAL_MM = 100;

interface Drawn {
  page: PageSize;
  shapes: Painted[];
  remarks: Set<string>;
  box: Box;
}

/** What is painted on a page of some size; a refusal where there is nothing, or far too much. */
function drawnOn(root: INode, page: PageSize, { tools }: ReadSetting): Drawn | SvgRefusal {
  const { viewBox, preserveAspectRatio } = root.attributes;
  const matrix = viewBoxMatrix(viewBox, preserveAspectRatio, { width: page.widthMm, height: page.heightMm });
  const { shapes, remarks, gaveUp } = shapesOf(root, { matrix, ...page }, tools.clip, FARTHEST_POINT_MM);
  if (gaveUp === 'too many') return DRAWING_REFUSALS.tooComplex;
  if (gaveUp === 'too far') return DRAWING_REFUSALS.tooBig;
  const box = boxOf(
    shapes.flatMap(({ box: { left, top, right, bottom } }) => [
      { x: left, y: top },
      { x: right, y: bottom },
    ]),
  );
  if (shapes.length === 0 || !(widthOf(box) > 0) || !(heightOf(box) > 0)) return DRAWING_REFUSALS.empty;
  return { page, shapes, remarks, box };
}

/** The drawing at the size that the file or a person says; the question where neither does. */
function atTrueSize(root: INode, text: string, setting: ReadSetting): Drawn | SvgRefusal | HowWide {
  const page = pageSizeOf(/<svg\b[^>]*>/i.exec(text)?.[0] ?? '', root.attributes, NOMINAL_MM);
  if (!page) return DRAWING_REFUSALS.notSvg;
  const isSaid = page.isTrue && setting.widthMm === null;
  if (isSaid && Math.max(page.widthMm, page.heightMm) > MOST_DESIGN_MM) return DRAWING_REFUSALS.tooBig;
  const drawn = drawnOn(root, page, setting);
  if (isSaid || 'ok' in drawn) return drawn;
  const width = widthOf(drawn.box);
  if (setting.widthMm === null || !(setting.widthMm > 0))
    return {
      ok: false,
      code: 'how-wide',
      message: 'This drawing does not say how large it is. How wide is it to be?',
      upright: heightOf(drawn.box) / width,
    };
  const by = setting.widthMm / width;
  const larger = { ...page, widthMm: page.widthMm * by, heightMm: page.heightMm * by };
  return Math.max(larger.widthMm, larger.heightMm) > FARTHEST_POINT_MM
    ? DRAWING_REFUSALS.tooBig
    : drawnOn(root, larger, setting);
}

/** A drawing read once, at the size that is said. */
function readAt(text: string, fileName: string, setting: ReadSetting): ReadSvg | SvgRefusal | HowWide {
  const refused = whySvgTextIsRefused(text);
  if (refused) return refused;
  const root = simplified(text, setting.tools);
  if ('ok' in root) return root;
  const drawn = atTrueSize(root, text, setting);
  if ('ok' in drawn) return drawn;
  const { remarks, page } = drawn;
  const { tools } = setting;
  if (/<text[\s>]/i.test(text)) remarks.add(PASSED_OVER.text);
  if (/<image[\s>]/i.test(text)) remarks.add(PASSED_OVER.image);
  if (/marker-(start|mid|end)/.test(text)) remarks.add(PASSED_OVER.marker);
  const parts = withFewChanges(stitchedOf(drawn.shapes, setting, remarks), remarks);
  const all = withFewStops(parts, remarks);
  if (!all) return DRAWING_REFUSALS.tooManyStops;
  const box = boxOf(all.flatMap(({ rings }) => rings.flat()));
  if (all.length === 0 || !(widthOf(box) > 0) || !(heightOf(box) > 0)) return DRAWING_REFUSALS.empty;
  const middle = { x: page.widthMm / 2, y: page.heightMm / 2 };
  const off = subtract(middle, centreOf(box));
  const sides = [widthOf(box), heightOf(box), Math.abs(off.x), Math.abs(off.y)];
  if (!sides.every((side) => side <= MOST_DESIGN_MM)) return DRAWING_REFUSALS.tooBig;
  const { colours: uncounted, stopOf } = colourStops(all);
  const regions = all.map(({ rings }, i) => ({ region: rings, stop: stopOf[i] ?? 0 }));
  if (tooManyStitches(regions, setting.figures)) return DRAWING_REFUSALS.tooManyStitches;
  const counts = countStitches(regions, setting.figures, tools.clip);
  const colours = uncounted.map((colour, i) => ({ ...colour, stitches: counts[i] ?? 0 }));
  const stitches = counts.reduce((sum, count) => sum + count, 0);
  const artwork = artworkOf(all, stopOf, { box, page: middle, fileName, remarks });
  if (!artwork) return DRAWING_REFUSALS.tooComplex;
  const widthMm = rounded(widthOf(box));
  const drawing = drawingIdOf(text);
  const madeFrom = drawnKey({ drawing, widthMm, figures: setting.figures, cloth: setting.cloth });
  return {
    ok: true,
    widthMm,
    heightMm: rounded(heightOf(box)),
    stitches,
    colours,
    artwork: { ...artwork, madeFrom, source: { drawing, asRead: colours } },
  };
}

/** A width is met so closely, mm. */
const MET_MM = 0.02;

/**
 * Reads an SVG file as a browser shows it, at its true size: outline, colour stops in drawing order, visible centre
 * against the file's centre, and the stitches it would take; what lies hidden is taken away, lines are outlined. mm, 96
 * px to the inch. Nothing in the file is run or fetched; a file that cannot be used comes back as a coded refusal, one
 * without a size in mm as a question. Never throws on any text. What is passed over is named in the remarks.
 */
export function readSvg(
  text: string,
  fileName: string,
  setting: ReadSetting,
): ReadSvg | SvgRefusal | HowWide {
  const first = readAt(text, fileName, setting);
  const { widthMm } = setting;
  if (!first.ok || widthMm === null || Math.abs(first.widthMm - widthMm) < MET_MM) return first;
  // What lies hidden reached farther than what is seen.
  return readAt(text, fileName, { ...setting, widthMm: (widthMm * widthMm) / first.widthMm });
}
