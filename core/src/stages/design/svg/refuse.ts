import { MOST_CHARACTERS } from '../../../model/drawing';
import { ARTWORK_BOUNDS, MOST_DESIGN_MM, MOST_STITCHES } from '../../../model/ticket/designBounds';

export type SvgRefusal = {
  ok: false;
  code:
    | 'too-large'
    | 'not-svg'
    | 'entities'
    | 'script'
    | 'external'
    | 'empty'
    | 'too-complex'
    | 'too-big'
    | 'too-many-stops'
    | 'too-many-stitches';
  message: string;
};

const SAFE = 'Nothing was run, and your ticket is as it was.';
const refusal = (code: SvgRefusal['code'], what: string): SvgRefusal => ({
  ok: false,
  code,
  message: `${what} ${SAFE}`,
});

export const DRAWING_REFUSALS = {
  tooLarge: refusal(
    'too-large',
    'This file is over 5 MB. Save a simpler drawing, without embedded pictures.',
  ),
  notSvg: refusal('not-svg', 'This is not an SVG drawing, or it is damaged. Choose a file saved as SVG.'),
  entities: refusal('entities', 'This file defines entities of its own. Save it as plain SVG.'),
  script: refusal('script', 'This file carries a script. Save it as plain SVG, without scripts or events.'),
  external: refusal(
    'external',
    'This file points to something outside itself. Save it with everything inside.',
  ),
  empty: refusal('empty', 'Nothing in this drawing can be stitched: no filled shapes and no lines.'),
  tooComplex: refusal(
    'too-complex',
    'This drawing repeats itself too many times. Simplify it and try again.',
  ),
  tooBig: refusal(
    'too-big',
    `This drawing is over ${MOST_DESIGN_MM} mm wide or high, or lies as far off its page: larger than any hoop. Save it in the size it is stitched.`,
  ),
  tooManyStitches: refusal(
    'too-many-stitches',
    `This drawing would take over ${MOST_STITCHES} stitches. Save it smaller, or with less of it filled.`,
  ),
  tooManyStops: refusal(
    'too-many-stops',
    `This drawing has far more colours than the ${ARTWORK_BOUNDS.stops} that a ticket holds. Save it with fewer.`,
  ),
} as const;

const OUTSIDE = /(?:xlink:)?href\s*=\s*(["'])(?!\s*#|\s*data:image\/)[^"']*\1/i;
const OUTSIDE_CSS = /url\(\s*["']?(?!\s*#)|@import/i;

/** Reasons to refuse a file from its text alone, before anything reads it as a tree. */
export function whySvgTextIsRefused(text: string): SvgRefusal | null {
  if (text.length > MOST_CHARACTERS) return DRAWING_REFUSALS.tooLarge;
  const plain = text.replace(/<!--[\s\S]*?-->/g, '');
  if (/<!ENTITY/i.test(plain)) return DRAWING_REFUSALS.entities;
  if (!/<svg[\s>]/i.test(plain)) return DRAWING_REFUSALS.notSvg;
  if (/<script[\s>]|<foreignObject[\s>]|\son[a-z]+\s*=|javascript:/i.test(plain))
    return DRAWING_REFUSALS.script;
  const withoutLinks = plain.replace(/<\/?a[\s>][^>]*>/gi, '');
  if (OUTSIDE.test(withoutLinks) || OUTSIDE_CSS.test(withoutLinks) || /<\?xml-stylesheet/i.test(plain)) {
    return DRAWING_REFUSALS.external;
  }
  return null;
}
