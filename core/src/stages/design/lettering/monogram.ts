import { boxOf, centreOf, heightOf, widthOf } from '../../../base/geometry/box';
import type { Region, Ring } from '../../../base/geometry/clip';
import { add, type Point, subtract } from '../../../base/geometry/point';
import { count, phrase } from '../../../base/units/phrase';
import type { Frame, Lettering } from '../../../model/ticket/lettering';
import {
  graphemesOf,
  type LettersRefused,
  type LettersSetting,
  type Placed,
  placedLetters,
} from './placedLetters';

/** Of three letters the outer two are so high, seen from the middle one. */
const SIDE_SHARE = 0.62;
/** Between two letters, and between letters and their frame, seen from the height of the capital. */
const GAP_SHARE = 0.12;
const FRAME_GAP_SHARE = 0.18;
const FRAME_SHARE = 0.07;
const LEAST_FRAME_MM = 1.5;
const RING_PIECES = 180;

const boxOfLetter = (placed: readonly Placed[]) => boxOf(placed.flatMap(({ region }) => region.flat()));
const moved = (region: Region, by: Point): Region => region.map((ring) => ring.map((p) => add(p, by)));

/** One letter of a monogram by itself, its ink in the middle of the origin. */
function letterOf(text: string, capMm: number, [recipe, setting]: [Lettering, LettersSetting]): Placed[] {
  const alone: Lettering = { ...recipe, text, capMm, spacingMm: 0, baseline: 'line', monogram: null };
  const placed = placedLetters(alone, setting);
  if ('ok' in placed) return [];
  const middle = centreOf(boxOfLetter(placed));
  return placed.map(({ region, ...rest }) => ({
    ...rest,
    region: moved(region, subtract({ x: 0, y: 0 }, middle)),
  }));
}

/**
 * One to three letters side by side, their ink a gap apart and level with each other's middle; of three the middle one is
 * as high as a capital is to be, and the others are smaller. More than three are refused.
 */
export function monogramOf(recipe: Lettering, setting: LettersSetting): Placed[] | LettersRefused {
  const letters = graphemesOf(recipe.text.replace(/\s+/g, ''));
  if (letters.length > 3)
    return {
      ok: false,
      code: 'monogram',
      message: phrase`A monogram has one to three letters: “${recipe.text.trim()}” has ${count(letters.length)}. Set it as a name.`,
      missing: [],
    };
  const gap = GAP_SHARE * recipe.capMm + recipe.spacingMm;
  let right = 0;
  return letters.flatMap((letter, i) => {
    const isSide = letters.length === 3 && i !== 1;
    const placed = letterOf(letter, recipe.capMm * (isSide ? SIDE_SHARE : 1), [recipe, setting]);
    const box = boxOfLetter(placed);
    if (!(widthOf(box) > 0)) return [];
    const by = { x: right - box.left, y: 0 };
    right += widthOf(box) + gap;
    return placed.map(({ text, region }) => ({ text, region: moved(region, by) }));
  });
}

const ringOf = (centre: Point, radius: number): Ring =>
  Array.from({ length: RING_PIECES }, (_, i) => {
    const angle = (i / RING_PIECES) * 2 * Math.PI;
    return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
  });

const lozengeOf = (centre: Point, [x, y]: [number, number]): Ring => [
  { x: centre.x, y: centre.y - y },
  { x: centre.x + x, y: centre.y },
  { x: centre.x, y: centre.y + y },
  { x: centre.x - x, y: centre.y },
];

const reversed = (ring: Ring): Ring => [...ring].reverse();

/** What goes round letters, a band of even width clear of all of them; nothing without a frame. */
export function frameOf(letters: readonly Placed[], frame: Frame, capMm: number): Placed[] {
  if (frame === 'none') return [];
  const points = letters.flatMap(({ region }) => region.flat());
  const box = boxOf(points);
  const centre = centreOf(box);
  const gap = FRAME_GAP_SHARE * capMm;
  const band = Math.max(LEAST_FRAME_MM, FRAME_SHARE * capMm);
  if (frame === 'ring') {
    const inner = Math.max(...points.map((p) => Math.hypot(p.x - centre.x, p.y - centre.y))) + gap;
    return [{ text: '', region: [ringOf(centre, inner + band), reversed(ringOf(centre, inner))] }];
  }
  // A lozenge of the letters' own proportions: |x| / a + |y| / b = 1 beyond every point of them.
  const upright = heightOf(box) / widthOf(box);
  const slope = Math.min(2, Math.max(0.5, upright));
  const reach = Math.max(...points.map((p) => Math.abs(p.x - centre.x) + Math.abs(p.y - centre.y) / slope));
  const steep = Math.hypot(1, 1 / slope);
  const at = (out: number): [number, number] => [reach + out * steep, (reach + out * steep) * slope];
  return [{ text: '', region: [lozengeOf(centre, at(gap + band)), reversed(lozengeOf(centre, at(gap)))] }];
}
