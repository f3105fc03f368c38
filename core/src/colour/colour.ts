import { colorsNamed, converter, differenceCiede2000, nearest, parse } from 'culori';

const toLab = converter('lab65');
const difference = differenceCiede2000();

/** CIE L* (0 black to 100 white, D65) of a hex colour. An unreadable colour counts as mid grey (50). */
export function lightnessOf(hex: string): number {
  return toLab(parse(hex))?.l ?? 50;
}

/** CIEDE2000 difference of two hex colours; an unreadable one counts as infinitely far. */
export function colourDifference(a: string, b: string): number {
  const [labA, labB] = [parse(a), parse(b)];
  return labA && labB ? difference(labA, labB) : Infinity;
}

const nearestName = nearest(Object.keys(colorsNamed), differenceCiede2000());

/** The plain web name nearest to a hex colour, in words: `darkslateblue` is not split further. */
export function nameOfColour(hex: string): string {
  return nearestName(hex, 1)[0] ?? hex;
}
