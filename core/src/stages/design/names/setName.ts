import type { Region } from '../../../base/geometry/clip';
import { nearestPair } from '../../../base/geometry/nearestPair';
import type { Lettering } from '../../../model/ticket/lettering';
import type { Narrower } from '../../../model/ticket/names';
import {
  isRefused,
  type LettersRefused,
  type LettersSetting,
  placedLetters,
} from '../lettering/placedLetters';
import { type LettersSet, setLetters } from '../lettering/setLetters';
import { floored } from './onTable';

/** A name to be set, and what it is held against. Lengths in mm at 100 %. */
export interface NameAsked {
  letters: Lettering;
  /** No wider than this; null for any width. */
  withinMm: number | null;
  /** Letters come no closer than this. */
  leastGapMm: number;
  /** Letters lower than this close up. */
  leastLetterMm: number;
}

export type NameAnswer = (LettersSet & { narrower: Narrower | null }) | LettersRefused;

const gapBetween = (a: Region, b: Region): number =>
  Math.min(...a.flatMap((ring) => b.map((other) => nearestPair(ring, other).mm)));

/** The least gap between letters that follow one another; below zero or zero where they touch or are joined. */
function closest(letters: Lettering, setting: LettersSetting): number {
  const placed = placedLetters(letters, setting);
  if (isRefused(placed)) return 0;
  const gaps = placed.slice(1).map(({ region }, i) => gapBetween(placed[i]?.region ?? [], region));
  return Math.min(Number.POSITIVE_INFINITY, ...gaps);
}

/** Pairs of letters in the longest line: so often the space between letters is counted. */
const pairsIn = (text: string): number =>
  Math.max(...text.split('\n').map((line) => [...line.trim()].length - 1), 0);

/** Whether a recipe comes out no wider than is allowed. */
const fits = (letters: Lettering, withinMm: number, setting: LettersSetting): boolean => {
  const set = setLetters(letters, setting);
  return set.ok && set.widthMm <= withinMm;
};

/** Letters drawn closer until the name fits, if they then still stand apart. */
function closer(
  { letters, leastGapMm }: NameAsked,
  { widthMm, withinMm }: { widthMm: number; withinMm: number },
  setting: LettersSetting,
): number | null {
  const pairs = pairsIn(letters.text);
  if (pairs === 0 || closest(letters, setting) <= 0) return null;
  // On an arc the width does not follow the spacing in proportion: three tries come close enough, or none does.
  let [spacingMm, width] = [letters.spacingMm, widthMm];
  for (let tries = 0; tries < 3; tries++) {
    spacingMm = floored(spacingMm - (width - withinMm) / pairs);
    if (spacingMm < -20) return null;
    const set = setLetters({ ...letters, spacingMm }, setting);
    if (!set.ok) return null;
    if (set.widthMm <= withinMm)
      return closest({ ...letters, spacingMm }, setting) >= leastGapMm ? spacingMm : null;
    width = set.widthMm;
  }
  return null;
}

/** The share of its height at which a name fits, if its letters are then still high enough. */
function smaller(
  { letters, leastLetterMm }: NameAsked,
  { set, withinMm }: { set: LettersSet; withinMm: number },
  setting: LettersSetting,
): number | null {
  const heights = set.artwork.letters.map(({ heightMm }) => heightMm);
  for (let percent = Math.floor((100 * withinMm) / set.widthMm); percent >= 10; percent--) {
    if (Math.min(...heights) * (percent / 100) < leastLetterMm) return null;
    const capMm = floored((letters.capMm * percent) / 100);
    if (fits({ ...letters, capMm }, withinMm, setting)) return percent;
  }
  return null;
}

/** The texts with one of the gaps between words, or what follows a hyphen, begun on a new line. */
const inTwoLines = (text: string): string[] =>
  text.includes('\n')
    ? []
    : [...text.matchAll(/\s+|(?<=[^\s-]-)(?=[^\s-])/g)].flatMap(({ index, 0: gap }) => {
        const [first, second] = [text.slice(0, index).trim(), text.slice(index + gap.length).trim()];
        return first && second ? [`${first}\n${second}`] : [];
      });

/** The break at which the name is narrowest, if it then fits. */
function twoLines({ letters }: NameAsked, withinMm: number, setting: LettersSetting): string | null {
  const tried = inTwoLines(letters.text).flatMap((text) => {
    const set = setLetters({ ...letters, text }, setting);
    return set.ok && set.widthMm <= withinMm ? [{ text, widthMm: set.widthMm }] : [];
  });
  return tried.sort((a, b) => a.widthMm - b.widthMm)[0]?.text ?? null;
}

/**
 * A name set in a typeface as `setLetters` does, and where it is wider than is allowed what would make it narrower: every
 * way is set and measured before it is offered.
 */
export function setName(asked: NameAsked, setting: LettersSetting): NameAnswer {
  const set = setLetters(asked.letters, setting);
  if (!set.ok) return set;
  const { withinMm } = asked;
  if (withinMm === null || set.widthMm <= withinMm) return { ...set, narrower: null };
  const narrower = {
    spacingMm: closer(asked, { widthMm: set.widthMm, withinMm }, setting),
    capPercent: smaller(asked, { set, withinMm }, setting),
    text: twoLines(asked, withinMm, setting),
  };
  return { ...set, narrower };
}
