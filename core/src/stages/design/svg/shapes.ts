import type { INode } from 'svgson';
import { type Box, boxOf, contains } from '../../../base/geometry/box';
import type { Clipper, Region, Ring } from '../../../base/geometry/clip';
import { flattenPath, type Polyline } from './flatten';
import { after, type Matrix, mapped, matrixOf, mostScaleOf } from './matrix';
import { brightnessOf, meanOfStops, type Paint, plainPaint } from './paint';
import { type StrokeStyle, strokeRings } from './strokeOutline';

/** What one shape paints: a region in mm, in one colour. */
export interface Painted {
  region: Region;
  box: Box;
  paint: Paint;
}

export const PASSED_OVER = {
  text: 'Text in the file was passed over: turn it into outlines first.',
  image: 'A picture in the file was passed over: only drawn shapes can be stitched.',
  effect: 'An effect in the file (a blur, a shadow) was passed over: its shapes are read without it.',
  gradient: 'A run of colours is read as its mean colour.',
  pattern: 'A pattern in the file is read as one plain colour.',
  seeThrough: 'See-through colours are read as they look on the cloth.',
  mask: 'A mask of greys is read as a sharp edge.',
  edge: 'What lies past the edge of the page is cut off, as a browser shows it.',
  marker: 'Signs along a line (markers) are read only where the line itself is drawn.',
  faint: 'Shapes that are hardly seen were passed over.',
} as const;

/** A drawing of more shapes or points is none that anyone stitches. */
const MOST_SHAPES = 12_000;
const MOST_POINTS = 1_500_000;
/** How far a curve's straight pieces may lie from it, mm: well below a thread's width. */
const TOLERANCE_MM = 0.02;
/** What is seen less than this is not stitched. */
const LEAST_ALPHA = 0.08;

export type TooMuch = 'too many' | 'too far';

export interface ShapesOf {
  shapes: Painted[];
  remarks: Set<string>;
  /** Why it was given up; null when all was read. */
  gaveUp: TooMuch | null;
}

interface Scope {
  byId: ReadonlyMap<string, INode>;
  clip: Clipper;
  /** No point may lie farther from the page's corner, mm. */
  farthestMm: number;
  out: Omit<ShapesOf, 'shapes'>;
  points: number;
}

interface Above {
  matrix: Matrix;
  alpha: number;
  /** What is cut out for the shapes within; null where nothing is. */
  within: Region | null;
  /** Where the shapes go: the drawing's own, or those of a mask. */
  into: Painted[];
}

const idIn = (text: string | undefined): string | null =>
  /^\s*url\(\s*["']?#([^"')]+)["']?\s*\)/.exec(text ?? '')?.[1] ?? null;
const numberOf = (text: string | undefined, fallback: number): number => {
  const value = Number.parseFloat(text ?? '');
  return Number.isFinite(value) ? value : fallback;
};

/** The paint of a fill or a line; null for none. */
function paintOf(text: string | undefined, alpha: number, scope: Scope): Paint | null {
  if (text === undefined || text === 'none') return null;
  const id = idIn(text);
  if (id === null) return plainPaint(text, alpha);
  const server = scope.byId.get(id);
  if (server?.name === 'pattern') {
    scope.out.remarks.add(PASSED_OVER.pattern);
    const first = firstPainted(server);
    return plainPaint(first ?? '#808080', alpha);
  }
  const mean = server ? meanOfStops(server) : null;
  if (!mean) return null;
  scope.out.remarks.add(PASSED_OVER.gradient);
  return { ...mean, alpha: mean.alpha * alpha };
}

const firstPainted = (node: INode): string | undefined =>
  node.children
    .map(({ attributes, ...child }) =>
      attributes.fill && !/none|url/.test(attributes.fill)
        ? attributes.fill
        : firstPainted({ attributes, ...child } as INode),
    )
    .find((fill) => fill !== undefined);

const ringsIn = (lines: readonly Polyline[], matrix: Matrix): Ring[] =>
  lines.filter(({ points }) => points.length > 2).map(({ points }) => points.map((p) => mapped(matrix, p)));

/** The path of a node in its own units, fine enough for the size it is shown in; null when it cannot be read. */
const linesOf = ({ attributes }: INode, matrix: Matrix): Polyline[] | null =>
  flattenPath(attributes.d ?? '', TOLERANCE_MM / Math.max(1e-9, mostScaleOf(matrix)));

const STYLE_OF = {
  cap: (text: string | undefined): StrokeStyle['cap'] =>
    text === 'round' || text === 'square' ? text : 'butt',
  join: (text: string | undefined): StrokeStyle['join'] =>
    text === 'round' || text === 'bevel' ? text : 'miter',
};

function strokeStyleOf({ attributes }: INode): StrokeStyle {
  const dashes = (attributes['stroke-dasharray'] ?? '')
    .split(/[\s,]+/)
    .filter(Boolean)
    .map(Number)
    .filter(Number.isFinite);
  return {
    width: numberOf(attributes['stroke-width'], 1),
    cap: STYLE_OF.cap(attributes['stroke-linecap']),
    join: STYLE_OF.join(attributes['stroke-linejoin']),
    miterLimit: numberOf(attributes['stroke-miterlimit'], 4),
    dashes,
    dashOffset: numberOf(attributes['stroke-dashoffset'], 0),
  };
}

const isBox = (region: Region): boolean => {
  const [ring, ...others] = region;
  if (!ring || others.length > 0 || ring.length !== 4) return false;
  const box = boxOf(ring);
  return ring.every(({ x, y }) => (x === box.left || x === box.right) && (y === box.top || y === box.bottom));
};

/** What of a region lies within; a box that holds all of it cuts nothing. */
function cut(region: Region, within: Region | null, clip: Clipper): Region {
  if (within === null || region.length === 0) return region;
  if (isBox(within) && contains(boxOf(within.flat()), boxOf(region.flat()))) return region;
  return clip.intersect(region, within);
}

const isTooFar = (rings: readonly Ring[], mm: number): boolean =>
  rings.some((ring) => ring.some(({ x, y }) => !(Math.abs(x) <= mm && Math.abs(y) <= mm)));

/** The region of raw rings, or null when the drawing is given up for them. */
function regionOf(rings: Ring[], rule: 'nonzero' | 'evenodd', scope: Scope): Region | null {
  scope.points += rings.reduce((sum, ring) => sum + ring.length, 0);
  if (scope.points > MOST_POINTS) scope.out.gaveUp = 'too many';
  else if (isTooFar(rings, scope.farthestMm)) scope.out.gaveUp = 'too far';
  return scope.out.gaveUp === null ? scope.clip.union(rings, rule) : null;
}

const ruleOf = (text: string | undefined): 'nonzero' | 'evenodd' =>
  text === 'evenodd' ? 'evenodd' : 'nonzero';

/** Puts down what is seen of a region. */
function put(
  { region, paint }: Pick<Painted, 'paint'> & { region: Region | null },
  { within, into }: Above,
  { clip }: Scope,
): void {
  const seen = region ? cut(region, within, clip) : [];
  if (seen.length > 0) into.push({ region: seen, box: boxOf(seen.flat()), paint });
}

function paintPath(node: INode, above: Above, scope: Scope): void {
  const { attributes } = node;
  if (attributes.visibility === 'hidden' || attributes.visibility === 'collapse') return;
  const { matrix, alpha } = above;
  const lines = linesOf(node, matrix);
  if (!lines) return;
  const fill = paintOf(attributes.fill ?? '#000', alpha * numberOf(attributes['fill-opacity'], 1), scope);
  const stroke = paintOf(attributes.stroke, alpha * numberOf(attributes['stroke-opacity'], 1), scope);
  const filled = () => {
    if (!fill) return;
    const rule = ruleOf(attributes['fill-rule'] ?? attributes['clip-rule']);
    put({ region: regionOf(ringsIn(lines, matrix), rule, scope), paint: fill }, above, scope);
  };
  const stroked = () => {
    if (!stroke) return;
    const style = strokeStyleOf(node);
    const rings = strokeRings(lines, style, TOLERANCE_MM / Math.max(1e-9, mostScaleOf(matrix)));
    const region = regionOf(
      rings.map((ring) => ring.map((p) => mapped(matrix, p))),
      'nonzero',
      scope,
    );
    put({ region, paint: stroke }, above, scope);
  };
  for (const layer of attributes['paint-order'] === 'stroke' ? [stroked, filled] : [filled, stroked]) layer();
}

/** What is cut out by a clip path or a mask: all that a clip path paints; of a mask what is bright, in its order. */
function cutOutOf(holder: INode, matrix: Matrix, scope: Scope, depth: number): Region {
  const own = matrixOf(holder.attributes.transform);
  if (!own) return [];
  const into: Painted[] = [];
  const within = cutsOn(holder, matrix, scope, depth + 1);
  for (const child of holder.children)
    walkNode(child, { matrix: after(matrix, own), alpha: 1, within, into }, scope, depth + 1);
  if (holder.name !== 'mask') return scope.clip.union(into.flatMap(({ region }) => region));
  const byAlpha = holder.attributes['mask-type'] === 'alpha';
  return into.reduce<Region>((bright, { region, paint }) => {
    const brightness = byAlpha ? paint.alpha : brightnessOf(paint);
    if (brightness > 0.1 && brightness < 0.9) scope.out.remarks.add(PASSED_OVER.mask);
    if (brightness > 0.5) return scope.clip.union(bright.concat(region));
    return byAlpha || paint.alpha < 0.5 ? bright : scope.clip.subtract(bright, region);
  }, []);
}

/** What the clip path and the mask of a node leave of what is within; null where it has neither. */
function cutsOn({ attributes }: INode, matrix: Matrix, scope: Scope, depth: number): Region | null {
  const holders = [attributes['clip-path'], attributes.mask].flatMap(
    (text) => scope.byId.get(idIn(text) ?? '') ?? [],
  );
  if (holders.length > 0 && depth > MOST_DEPTH) scope.out.gaveUp = 'too many';
  if (scope.out.gaveUp !== null) return null;
  return holders.reduce<Region | null>((within, holder) => {
    const region = cutOutOf(holder, matrix, scope, depth);
    return within === null ? region : cut(region, within, scope.clip);
  }, null);
}

function walkNode(node: INode, above: Above, scope: Scope, depth: number): void {
  if (node.type !== 'element' || scope.out.gaveUp !== null) return;
  if (above.into.length > MOST_SHAPES || depth > MOST_DEPTH) {
    scope.out.gaveUp = 'too many';
    return;
  }
  if (node.name !== 'g' && node.name !== 'path') return;
  const own = matrixOf(node.attributes.transform);
  if (!own) return;
  const matrix = after(above.matrix, own);
  const alpha = above.alpha * numberOf(node.attributes.opacity, 1);
  if (node.attributes.filter !== undefined) scope.out.remarks.add(PASSED_OVER.effect);
  const cuts = cutsOn(node, matrix, scope, depth);
  const within = cuts && above.within ? cut(cuts, above.within, scope.clip) : (cuts ?? above.within);
  if (within?.length === 0) return;
  const here = { ...above, matrix, alpha, within };
  if (node.name === 'path') paintPath(node, here, scope);
  else for (const child of node.children) walkNode(child, here, scope, depth + 1);
}

const MOST_DEPTH = 400;

function everyNode(node: INode, visit: (node: INode) => void): void {
  visit(node);
  for (const child of node.children) everyNode(child, visit);
}

/**
 * What a simplified drawing paints, bottom first, in mm: fills and outlined lines, cut by their clips, masks and the
 * page. `page` maps the drawing's units onto a page of so many mm.
 */
export function shapesOf(
  root: INode,
  page: { matrix: Matrix; widthMm: number; heightMm: number },
  clip: Clipper,
  farthestMm: number,
): ShapesOf {
  const byId = new Map<string, INode>();
  everyNode(root, (node) => {
    if (node.attributes.id !== undefined) byId.set(node.attributes.id, node);
  });
  const out: Omit<ShapesOf, 'shapes'> = { remarks: new Set(), gaveUp: null };
  const scope: Scope = { byId, clip, farthestMm, out, points: 0 };
  const into: Painted[] = [];
  for (const child of root.children)
    walkNode(child, { matrix: page.matrix, alpha: 1, within: null, into }, scope, 0);
  const shapes = into.filter(({ paint }) => paint.alpha >= LEAST_ALPHA);
  if (shapes.length < into.length) out.remarks.add(PASSED_OVER.faint);
  if (shapes.some(({ paint }) => paint.alpha < 0.995)) out.remarks.add(PASSED_OVER.seeThrough);
  const edge: Region = [
    [
      { x: 0, y: 0 },
      { x: page.widthMm, y: 0 },
      { x: page.widthMm, y: page.heightMm },
      { x: 0, y: page.heightMm },
    ],
  ];
  const isOnPage = ({ box }: Painted) => contains(boxOf(edge.flat()), box, TOLERANCE_MM);
  if (out.gaveUp !== null || shapes.every(isOnPage)) return { ...out, shapes };
  const onlyOnPage = shapes.flatMap((shape): Painted[] => {
    if (isOnPage(shape)) return [shape];
    const region = clip.intersect(shape.region, edge);
    return region.length > 0 ? [{ ...shape, region, box: boxOf(region.flat()) }] : [];
  });
  out.remarks.add(PASSED_OVER.edge);
  return { ...out, shapes: onlyOnPage };
}
