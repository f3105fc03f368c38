import { svgNumber } from './svgLength';

type Attributes = Readonly<Record<string, string>>;

const ellipse = (cx: number, cy: number, rx: number, ry: number): string =>
  rx <= 0 || ry <= 0
    ? ''
    : `M${cx - rx} ${cy}A${rx} ${ry} 0 1 1 ${cx + rx} ${cy}A${rx} ${ry} 0 1 1 ${cx - rx} ${cy}Z`;

function rectangle(a: Attributes): string {
  const [x, y, w, h] = [svgNumber(a.x), svgNumber(a.y), svgNumber(a.width), svgNumber(a.height)];
  if (w <= 0 || h <= 0) return '';
  const rx = Math.min(svgNumber(a.rx ?? a.ry), w / 2);
  const ry = Math.min(svgNumber(a.ry ?? a.rx), h / 2);
  if (rx <= 0 || ry <= 0) return `M${x} ${y}h${w}v${h}h${-w}Z`;
  const corner = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
  return `M${x + rx} ${y}h${w - 2 * rx}${corner(rx, ry)}v${h - 2 * ry}${corner(-rx, ry)}h${2 * rx - w}${corner(-rx, -ry)}v${2 * ry - h}${corner(rx, -ry)}Z`;
}

const points = (a: Attributes, close: string): string => {
  const numbers = (a.points ?? '')
    .trim()
    .split(/[\s,]+/)
    .filter(Boolean);
  return numbers.length < 4 ? '' : `M${numbers.join(' ')}${close}`;
};

const SHAPES: Record<string, (a: Attributes) => string> = {
  path: (a) => a.d ?? '',
  rect: rectangle,
  circle: (a) => ellipse(svgNumber(a.cx), svgNumber(a.cy), svgNumber(a.r), svgNumber(a.r)),
  ellipse: (a) => ellipse(svgNumber(a.cx), svgNumber(a.cy), svgNumber(a.rx), svgNumber(a.ry)),
  line: (a) => `M${svgNumber(a.x1)} ${svgNumber(a.y1)}L${svgNumber(a.x2)} ${svgNumber(a.y2)}`,
  polyline: (a) => points(a, ''),
  polygon: (a) => points(a, 'Z'),
};

/** Path data of a basic shape in its own user units; null for an element that is no shape. */
export function shapePath(name: string, attributes: Attributes): string | null {
  return SHAPES[name]?.(attributes) ?? null;
}
