import type { INode } from 'svgson';
import { formatHex, parse, toRgb } from '../../../base/colour/modes';

/** A plain colour, and how much of it is seen: 0 to 1. */
export interface Paint {
  r: number;
  g: number;
  b: number;
  alpha: number;
}

/** What a colour in words or figures is; null for none, or one that is not known. */
export function plainPaint(text: string | undefined, alpha = 1): Paint | null {
  const rgb = text === undefined ? undefined : toRgb(parse(text));
  return rgb ? { r: rgb.r, g: rgb.g, b: rgb.b, alpha: alpha * (rgb.alpha ?? 1) } : null;
}

/** The mean of a gradient over its length: each colour counts for as far as it reaches. */
export function meanOfStops(gradient: INode): Paint | null {
  const stops = gradient.children
    .filter(({ name }) => name === 'stop')
    .flatMap(({ attributes }) => {
      const paint = plainPaint(attributes['stop-color'] ?? '#000', Number(attributes['stop-opacity'] ?? 1));
      return paint ? [{ at: Math.min(1, Math.max(0, Number(attributes.offset ?? 0))), paint }] : [];
    });
  const [first, last] = [stops[0], stops[stops.length - 1]];
  if (!first || !last) return null;
  const spans = [{ at: 0, paint: first.paint }, ...stops, { at: 1, paint: last.paint }];
  let [sum, weight]: [Paint, number] = [{ r: 0, g: 0, b: 0, alpha: 0 }, 0];
  spans.slice(1).forEach((end, i) => {
    const start = spans[i] ?? end;
    const reach = end.at - start.at;
    for (const { paint } of [start, end]) {
      // A colour that is hardly seen counts for little.
      const share = (reach / 2) * paint.alpha;
      weight += share;
      sum = {
        r: sum.r + paint.r * share,
        g: sum.g + paint.g * share,
        b: sum.b + paint.b * share,
        alpha: sum.alpha + paint.alpha * (reach / 2),
      };
    }
  });
  if (!(weight > 0)) return { ...first.paint, alpha: 0 };
  return { r: sum.r / weight, g: sum.g / weight, b: sum.b / weight, alpha: sum.alpha };
}

/** The colour as it is seen on the cloth, as #rrggbb. */
export function seenOn({ r, g, b, alpha }: Paint, cloth: Paint): string {
  const over = (top: number, under: number) => top * alpha + under * (1 - alpha);
  return (
    formatHex({ mode: 'rgb', r: over(r, cloth.r), g: over(g, cloth.g), b: over(b, cloth.b) }) ?? '#000000'
  );
}

/** How bright it is to a mask, 0 to 1. */
export const brightnessOf = ({ r, g, b, alpha }: Paint): number =>
  (0.2126 * r + 0.7152 * g + 0.0722 * b) * alpha;
