/** Units that say how large a thing is on cloth; pixels do not. */
const MM_PER: Record<string, number> = {
  mm: 1,
  cm: 10,
  q: 0.25,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
};

const LENGTH = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*([a-z%]*)\s*$/i;

/** An SVG length in a unit of paper, in mm; null when it has none (missing, pixels, percent, em, unreadable). */
export function svgLengthMm(text: string | undefined): number | null {
  const parts = LENGTH.exec(text ?? '');
  const perUnit = MM_PER[parts?.[2]?.toLowerCase() ?? ''];
  return parts === null || perUnit === undefined ? null : Number(parts[1]) * perUnit;
}

export interface PageSize {
  widthMm: number;
  heightMm: number;
  /** Whether the file says so itself, in a unit of paper. */
  isTrue: boolean;
}

const attributeIn = (tag: string, name: string): string | undefined =>
  new RegExp(`\\s${name}\\s*=\\s*(["'])([^"']*)\\1`, 'i').exec(tag)?.[2];

/**
 * The page of a drawing by its own first tag: in mm where that says so, one side by the other's; else as many mm long as
 * `nominalMm`, in the proportion of the simplified drawing. Null for a page without area.
 */
export function pageSizeOf(
  tag: string,
  simplified: Record<string, string>,
  nominalMm: number,
): PageSize | null {
  const [width, height] = [Number(simplified.width), Number(simplified.height)];
  const [own, ownHigh] = [svgLengthMm(attributeIn(tag, 'width')), svgLengthMm(attributeIn(tag, 'height'))];
  const [, , w = width, h = height] = (simplified.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const sizes: [number, number] =
    own !== null && ownHigh !== null
      ? [own, ownHigh]
      : own !== null
        ? [own, (own * h) / w]
        : ownHigh !== null
          ? [(ownHigh * w) / h, ownHigh]
          : [(nominalMm * width) / Math.max(width, height), (nominalMm * height) / Math.max(width, height)];
  const [widthMm, heightMm] = sizes;
  if (!(widthMm > 0 && heightMm > 0 && Number.isFinite(widthMm * heightMm))) return null;
  return { widthMm, heightMm, isTrue: own !== null || ownHigh !== null };
}
