/** Millimetres in one CSS pixel at 96 to the inch. */
export const MM_PER_PX = 25.4 / 96;

const MM_PER: Record<string, number> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  px: MM_PER_PX,
  '': MM_PER_PX,
};

/** An absolute SVG length in mm, or null when it has none (missing, percent, em, unreadable). */
export function svgLengthMm(text: string | undefined): number | null {
  const parts = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*([a-z%]*)\s*$/i.exec(text ?? '');
  const perUnit = MM_PER[parts?.[2]?.toLowerCase() ?? '%'];
  return parts === null || perUnit === undefined ? null : Number(parts[1]) * perUnit;
}

/** A plain number attribute in user units; `fallback` when missing or unreadable. */
export function svgNumber(text: string | undefined, fallback = 0): number {
  const value = Number.parseFloat(text ?? '');
  return Number.isFinite(value) ? value : fallback;
}
