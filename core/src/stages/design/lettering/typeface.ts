/// <reference path="./harfbuzz.d.ts" />
import createHarfBuzz from 'harfbuzzjs/hb.js';
import hbjs from 'harfbuzzjs/hbjs.js';
import type { Ring } from '../../../base/geometry/clip';
import { flattenPath } from '../svg/flatten';

/** A glyph of a shaped run, in the face's units. `cluster` is the place in the text that it stands for. */
export interface ShapedGlyph {
  id: number;
  cluster: number;
  dx: number;
  dy: number;
  advance: number;
}

/** A typeface ready to set text in. Units are the face's own, y up. */
export interface Typeface {
  unitsPerEm: number;
  /** Height of a capital, by its H; seven tenths of the em where there is none. */
  capHeight: number;
  has: (codePoint: number) => boolean;
  /** One run of one direction, its glyphs from left to right, kerned and joined as the face says. */
  shape: (text: string, direction: 'ltr' | 'rtl') => ShapedGlyph[];
  /** The outline of a glyph as rings of straight pieces, no farther from it than so many units. */
  outlineOf: (glyph: number, tolerance: number) => Ring[];
}

/** Opens typefaces by their bytes. */
export type OpenTypeface = (bytes: Uint8Array) => Typeface;

const H = 0x48;
const CAP_SHARE = 0.7;

/** The shaper (HarfBuzz compiled to wasm), from its compiled bytes. */
export async function loadShaper(wasmBinary: Uint8Array): Promise<OpenTypeface> {
  const hb = hbjs(await createHarfBuzz({ wasmBinary }));
  return (bytes) => {
    const face = hb.createFace(hb.createBlob(bytes), 0);
    const font = hb.createFont(face);
    const codePoints = new Set(face.collectUnicodes());
    const shape = (text: string, direction: 'ltr' | 'rtl'): ShapedGlyph[] => {
      const buffer = hb.createBuffer();
      buffer.addText(text);
      buffer.guessSegmentProperties();
      buffer.setDirection(direction);
      hb.shape(font, buffer);
      const glyphs = buffer
        .json()
        .map(({ g, cl, dx, dy, ax }) => ({ id: g, cluster: cl, dx, dy, advance: ax }));
      buffer.destroy();
      return glyphs;
    };
    const [capital] = codePoints.has(H) ? shape('H', 'ltr') : [];
    const capHeight = capital ? font.glyphExtents(capital.id)?.yBearing : undefined;
    return {
      unitsPerEm: face.upem,
      capHeight: capHeight || CAP_SHARE * face.upem,
      has: (codePoint) => codePoints.has(codePoint),
      shape,
      outlineOf: (glyph, tolerance) =>
        (flattenPath(font.glyphToPath(glyph), tolerance) ?? []).map(({ points }) => points),
    };
  };
}
