import type { INode } from 'svgson';
import { shapePath } from './shapePath';
import { INITIAL_STYLE, type Style, type StyleRule, styleOf, styleRulesOf } from './style';
import { svgLengthMm, svgNumber } from './svgLength';

/** A shape as drawn: path data in its own units, the transforms above it (outermost first), its style. */
export interface DrawnShape {
  d: string;
  transforms: readonly string[];
  style: Style;
}

export interface Walked {
  shapes: DrawnShape[];
  remarks: Set<string>;
  tooMany: boolean;
}

const MOST_SHAPES = 4000;
const MOST_DEPTH = 40;
const NOT_DRAWN = new Set([
  'defs',
  'symbol',
  'clipPath',
  'mask',
  'marker',
  'pattern',
  'metadata',
  'title',
  'desc',
  'style',
  'linearGradient',
  'radialGradient',
  'filter',
]);

interface Scope {
  byId: ReadonlyMap<string, INode>;
  rules: readonly StyleRule[];
  out: Walked;
}

interface TreePlace {
  transforms: readonly string[];
  style: Style;
  depth: number;
}

function everyNode(node: INode, visit: (node: INode) => void): void {
  visit(node);
  for (const child of node.children) everyNode(child, visit);
}

/** The transform of a viewBox shown in a box of the given size (`xMidYMid meet`, or `none`). */
export function viewBoxTransform(node: INode, width: number, height: number): string {
  const [x = 0, y = 0, w = 0, h = 0] = (node.attributes.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (!(w > 0 && h > 0)) return '';
  const stretch = (node.attributes.preserveAspectRatio ?? '').startsWith('none');
  const [sx, sy] = stretch
    ? [width / w, height / h]
    : [Math.min(width / w, height / h), Math.min(width / w, height / h)];
  const [dx, dy] = [(width - w * sx) / 2, (height - h * sy) / 2];
  return `translate(${dx} ${dy}) scale(${sx} ${sy}) translate(${-x} ${-y})`;
}

function walkUse(node: INode, scope: Scope, place: TreePlace): void {
  const id = (node.attributes.href ?? node.attributes['xlink:href'] ?? '').replace(/^#/, '');
  const target = scope.byId.get(id);
  if (!target) return;
  const moved = `translate(${svgNumber(node.attributes.x)} ${svgNumber(node.attributes.y)})`;
  const inner = { ...place, transforms: [...place.transforms, moved], depth: place.depth + 1 };
  if (target.name !== 'symbol') {
    walkNode(target, scope, inner);
    return;
  }
  const width = svgNumber(node.attributes.width ?? target.attributes.width, 100);
  const height = svgNumber(node.attributes.height ?? target.attributes.height, 100);
  const fitted = { ...inner, transforms: [...inner.transforms, viewBoxTransform(target, width, height)] };
  const style = styleOf(target, fitted.style, scope.rules);
  for (const child of target.children) walkNode(child, scope, { ...fitted, style });
}

function nestedSvg(node: INode, place: TreePlace): TreePlace {
  const moved = `translate(${svgNumber(node.attributes.x)} ${svgNumber(node.attributes.y)})`;
  const [w, h] = [svgLengthMm(node.attributes.width), svgLengthMm(node.attributes.height)];
  const fitted =
    w !== null && h !== null
      ? viewBoxTransform(node, svgNumber(node.attributes.width), svgNumber(node.attributes.height))
      : '';
  return { ...place, transforms: [...place.transforms, moved, fitted] };
}

function walkNode(node: INode, scope: Scope, above: TreePlace): void {
  if (node.type !== 'element' || scope.out.tooMany) return;
  if (above.depth > MOST_DEPTH || scope.out.shapes.length >= MOST_SHAPES) {
    scope.out.tooMany = true;
    return;
  }
  if (NOT_DRAWN.has(node.name)) return;
  if (node.name === 'text')
    scope.out.remarks.add('Text in the file was passed over: turn it into outlines first.');
  if (node.name === 'image')
    scope.out.remarks.add('A picture in the file was passed over: only drawn shapes can be stitched.');
  const style = styleOf(node, above.style, scope.rules);
  if (!style.visible) return;
  const transform = node.attributes.transform;
  let place: TreePlace = {
    transforms: transform ? [...above.transforms, transform] : above.transforms,
    style,
    depth: above.depth + 1,
  };
  if (node.name === 'use') {
    walkUse(node, scope, place);
    return;
  }
  if (node.name === 'svg') place = nestedSvg(node, place);
  const d = shapePath(node.name, node.attributes);
  if (d !== null) {
    if (d !== '') scope.out.shapes.push({ d, transforms: place.transforms, style });
    return;
  }
  for (const child of node.children) walkNode(child, scope, place);
}

/** Every shape of a drawing in drawing order, with `use` followed and styles inherited. */
export function walkDrawing(root: INode, rootTransform: string): Walked {
  const byId = new Map<string, INode>();
  let css = '';
  everyNode(root, (node) => {
    if (node.attributes.id !== undefined) byId.set(node.attributes.id, node);
    if (node.name === 'style') css += node.children.map((child) => child.value).join('\n');
  });
  const scope: Scope = {
    byId,
    rules: styleRulesOf(css),
    out: { shapes: [], remarks: new Set(), tooMany: false },
  };
  const style = styleOf(root, INITIAL_STYLE, scope.rules);
  const own = root.attributes.transform ? [rootTransform, root.attributes.transform] : [rootTransform];
  for (const child of root.children) walkNode(child, scope, { transforms: own, style, depth: 0 });
  return scope.out;
}
