import { differenceCiede2000, nearest, parse, toLab } from './modes';
import { COLOUR_NAMES } from './names';

const difference = differenceCiede2000();

/** CIE L* (0 black to 100 white, D65) of a hex colour. An unreadable colour counts as mid grey (50). */
export function lightnessOf(hex: string): number {
  return toLab(parse(hex))?.l ?? 50;
}

/** CIEDE2000 difference of two colours in L*, a*, b* (D65): Sharma, Wu and Dalal 2005. */
export function labDifference(
  a: { l: number; a: number; b: number },
  b: { l: number; a: number; b: number },
): number {
  return difference({ mode: 'lab65', ...a }, { mode: 'lab65', ...b });
}

/** CIEDE2000 difference of two hex colours; an unreadable one counts as infinitely far. */
export function colourDifference(a: string, b: string): number {
  const [labA, labB] = [toLab(parse(a)), toLab(parse(b))];
  return labA && labB ? labDifference(labA, labB) : Infinity;
}

const NAMES = Object.keys(COLOUR_NAMES);
const nearestName = nearest(NAMES, differenceCiede2000(), (name: string) => COLOUR_NAMES[name] ?? '#808080');

/** The plain name nearest to a hex colour, by CIEDE2000. An unreadable colour keeps its own text. */
export function nameOfColour(hex: string): string {
  return parse(hex) ? (nearestName(hex, 1)[0] ?? hex) : hex;
}
