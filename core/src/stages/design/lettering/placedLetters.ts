import { type Clipper, type Region, type Ring, withoutCrumbs } from '../../../base/geometry/clip';
import { add, rotate } from '../../../base/geometry/point';
import { mm, type Phrase, phrase } from '../../../base/units/phrase';
import type { Lettering } from '../../../model/ticket/lettering';
import type { StitchFigures } from '../stitchFigures';
import { radiusOfLine, standingAt } from './onBaseline';
import { type Cluster, type SetLine, setLine } from './setLine';
import type { Typeface } from './typeface';

/** Why letters cannot be set so; `missing` are those that the face does not have. */
export interface LettersRefused {
  ok: false;
  code: 'empty' | 'missing' | 'too-round' | 'too-large' | 'monogram';
  message: Phrase;
  missing: string[];
}

/** What letters are set with. */
export interface LettersSetting {
  face: Typeface;
  clip: Clipper;
  figures: StitchFigures;
}

/** A letter, or what stands for several, where it lies: its region in mm, y down. */
export interface Placed {
  text: string;
  region: Region;
}

/** No chord of an outline is farther from its curve than this, mm: a fraction of a thread, and of large letters more. */
const toleranceFor = (capMm: number): number => Math.max(0.02, capMm / 4000);
/** Specks below this are none that is stitched, mm². */
const CRUMB_MM2 = 0.005;

export const refused = (
  code: LettersRefused['code'],
  message: Phrase,
  missing: string[] = [],
): LettersRefused => ({
  ok: false,
  code,
  message,
  missing,
});

export const isRefused = <T extends object>(found: T | LettersRefused): found is LettersRefused =>
  'ok' in found && found.ok === false;

const segmenter = new Intl.Segmenter(undefined, { granularity: 'grapheme' });
/** What a reader takes for one letter, marks and all. */
export const graphemesOf = (text: string): string[] =>
  [...segmenter.segment(text)].map(({ segment }) => segment);

/** What is not drawn is not asked for: joiners, variation selectors, directions. */
const NOT_DRAWN = /^(?:\p{Cf}|\p{Zs}|\p{Variation_Selector})$/u;

/** The letters of a text that a face cannot set, each once. */
export function missingIn(text: string, face: Pick<Typeface, 'has'>): string[] {
  const composed = (letter: string) => letter.normalize('NFC');
  const holds = (letter: string) =>
    [...letter].every((sign) => NOT_DRAWN.test(sign) || face.has(sign.codePointAt(0) ?? 0));
  const all = graphemesOf(text.replace(/\s+/g, ' ')).filter(
    (letter) => !holds(letter) && !holds(composed(letter)),
  );
  return [...new Set(all)];
}

/** The region of a cluster about its own middle on the baseline, mm, y down. */
function regionOf({ glyphs, advance }: Cluster, capMm: number, { face, clip }: LettersSetting): Region {
  const mmPerUnit = capMm / face.capHeight;
  const rings = glyphs.flatMap(({ id, x, y }) =>
    face
      .outlineOf(id, toleranceFor(capMm) / mmPerUnit)
      .map(
        (ring): Ring =>
          ring.map((p) => ({ x: (p.x + x - advance / 2) * mmPerUnit, y: -(p.y + y) * mmPerUnit })),
      ),
  );
  return rings.length === 0 ? [] : withoutCrumbs(clip.union(rings), CRUMB_MM2);
}

/** Regions of the letters of a text in mm, y down, as large as the capitals are to be, on their baselines. */
export function placedLetters(recipe: Lettering, setting: LettersSetting): Placed[] | LettersRefused {
  const { face } = setting;
  const mmPerUnit = recipe.capMm / face.capHeight;
  const lines = recipe.text
    .normalize('NFC')
    .split('\n')
    .map((line) => setLine(line.replace(/\s+$/, ''), face, recipe.spacingMm / mmPerUnit));
  const widest = Math.max(...lines.map(({ width }) => width));
  const placed: Placed[] = [];
  for (const [i, line] of lines.entries()) {
    const downMm = (i * recipe.capMm * recipe.linePercent) / 100;
    const bend = { baseline: recipe.baseline, radiusMm: recipe.radiusMm, downMm };
    const why = whyNotRound(line, { ...bend, mmPerUnit });
    if (why) return why;
    const start = startOf(line, widest, recipe);
    for (const cluster of line.clusters) {
      const region = regionOf(cluster, recipe.capMm, setting);
      if (region.length === 0) continue;
      const { at, turnDeg } = standingAt((start + cluster.x + cluster.advance / 2) * mmPerUnit, bend);
      placed.push({
        text: cluster.text,
        region: region.map((ring) => ring.map((p) => add(rotate(p, turnDeg), at))),
      });
    }
  }
  return placed;
}

/** Where a line starts, seen from the middle, in units of the face. */
function startOf({ width }: SetLine, widest: number, { align, baseline }: Lettering): number {
  if (align === 'middle' || baseline === 'circle') return -width / 2;
  return align === 'left' ? -widest / 2 : widest / 2 - width;
}

/** An arc holds so much of a whole turn; the rest keeps its ends apart. */
const MOST_OF_TURN = 0.98;

function whyNotRound(
  { width }: SetLine,
  { mmPerUnit, ...bend }: Parameters<typeof radiusOfLine>[0] & { mmPerUnit: number },
): LettersRefused | null {
  if (bend.baseline === 'line') return null;
  const radius = radiusOfLine(bend);
  const needed = (width * mmPerUnit) / (MOST_OF_TURN * 2 * Math.PI);
  if (radius > 0 && radius >= needed) return null;
  const more = Math.ceil(bend.radiusMm + (needed - radius));
  return refused(
    'too-round',
    phrase`The letters go round more than once: they need a radius of ${mm(more)}, or smaller letters.`,
  );
}
