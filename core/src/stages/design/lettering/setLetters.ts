import { boxOf, centreOf, heightOf, widthOf } from '../../../base/geometry/box';
import type { Ring } from '../../../base/geometry/clip';
import { type Point, subtract } from '../../../base/geometry/point';
import { hullOf } from '../../../base/geometry/polygon';
import { mm, phrase } from '../../../base/units/phrase';
import type { Artwork, SetLetter } from '../../../model/ticket/artwork';
import { ARTWORK_BOUNDS, MOST_DESIGN_MM, MOST_STITCHES } from '../../../model/ticket/designBounds';
import type { Lettering } from '../../../model/ticket/lettering';
import { countStitches } from '../stitches/countStitches';
import { lettersKey } from './lettersKey';
import { measureLetter } from './measureLetter';
import { frameOf, monogramOf } from './monogram';
import {
  isRefused,
  type LettersRefused,
  type LettersSetting,
  missingIn,
  type Placed,
  placedLetters,
  refused,
} from './placedLetters';

/** Letters as they were set, ready to go onto a ticket. */
export interface LettersSet {
  ok: true;
  widthMm: number;
  heightMm: number;
  stitches: number;
  artwork: Artwork;
}

const rounded = (value: number): number => Math.round(value * 100) / 100;

const ringData = (ring: Ring, centre: Point): string =>
  `M${ring.map((p) => `${rounded(p.x - centre.x)} ${rounded(p.y - centre.y)}`).join('L')}Z`;

/** The letters that are judged: each once, as it came out smallest. */
function lettersIn(placed: readonly Placed[]): SetLetter[] {
  const found = new Map<string, SetLetter>();
  for (const { text, region } of placed) {
    if (!/[\p{L}\p{N}]/u.test(text)) continue;
    const letter = measureLetter(text.slice(0, 12), region);
    const before = found.get(letter.letter);
    if (!before || before.heightMm > letter.heightMm) found.set(letter.letter, letter);
  }
  return [...found.values()];
}

/** Turned letters are measured as they stand on a straight line. */
const straight = (recipe: Lettering): Lettering => ({ ...recipe, baseline: 'line' });

/** What is set: the letters with what goes round them, and the letters to be judged. */
function shapesOf(
  recipe: Lettering,
  setting: LettersSetting,
): { shapes: Placed[]; judged: Placed[] } | LettersRefused {
  const letters = recipe.monogram ? monogramOf(recipe, setting) : placedLetters(recipe, setting);
  if (isRefused(letters)) return letters;
  const upright = recipe.monogram ? letters : placedLetters(straight(recipe), setting);
  const frame = recipe.monogram ? frameOf(letters, recipe.monogram.frame, recipe.capMm) : [];
  return { shapes: [...frame, ...letters], judged: isRefused(upright) ? letters : upright };
}

/**
 * Letters set in a typeface, in mm about their visible centre: every letter a shape, with the stitches it would take. A
 * text of spaces, letters that the face does not have, and letters that go round a circle more than once are refused in
 * words.
 */
export function setLetters(recipe: Lettering, setting: LettersSetting): LettersSet | LettersRefused {
  if (recipe.text.trim() === '') return refused('empty', phrase`There are no letters to set.`);
  const missing = missingIn(recipe.text, setting.face);
  if (missing.length > 0)
    return refused(
      'missing',
      phrase`This typeface has no ${missing.map((l) => `“${l}”`).join(', ')}.`,
      missing,
    );
  const made = shapesOf(recipe, setting);
  if (isRefused(made)) return made;
  const { shapes, judged } = made;
  const box = boxOf(shapes.flatMap(({ region }) => region.flat()));
  const [width, height] = [widthOf(box), heightOf(box)];
  if (!(width > 0) || !(height > 0)) return refused('empty', phrase`There are no letters to set.`);
  if (Math.max(width, height) > MOST_DESIGN_MM)
    return refused(
      'too-large',
      phrase`Set so they are ${mm(Math.max(width, height))} long: at most ${mm(MOST_DESIGN_MM)}.`,
    );
  const regions = shapes.map(({ region }) => ({ region, stop: 0 }));
  const [stitches = 0] = countStitches(regions, setting.figures, setting.clip);
  const centre = centreOf(box);
  return {
    ok: true,
    widthMm: rounded(width),
    heightMm: rounded(height),
    stitches: Math.min(MOST_STITCHES, Math.max(1, stitches)),
    artwork: artworkOf(shapes, {
      centre,
      letters: lettersIn(judged),
      madeFrom: lettersKey(recipe, setting.figures),
    }),
  };
}

interface AboutShapes {
  centre: Point;
  letters: SetLetter[];
  madeFrom: string;
}

function artworkOf(shapes: readonly Placed[], { centre, letters, madeFrom }: AboutShapes): Artwork {
  const hull = hullOf(shapes.flatMap(({ region }) => region.flat()));
  return {
    fileName: '',
    paths: shapes.map(({ region }) => ({
      d: region.map((ring) => ringData(ring, centre)).join(''),
      stop: 0,
      strokeMm: null,
    })),
    hull: hull.slice(0, ARTWORK_BOUNDS.hull).map((p) => {
      const from = subtract(p, centre);
      return { x: rounded(from.x), y: rounded(from.y) };
    }),
    fileCentre: { x: 0, y: 0 },
    remarks: [],
    letters,
    madeFrom,
    source: null,
  };
}
