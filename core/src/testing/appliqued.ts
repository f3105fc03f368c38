import { type Applique, USUAL_APPLIQUE } from '../model/ticket/applique';
import type { Artwork } from '../model/ticket/artwork';
import { EMPTY_PART, type Part } from '../model/ticket/part';

const d = (points: readonly (readonly [number, number])[]): string =>
  `M${points.map(([x, y]) => `${x} ${y}`).join('L')}Z`;

const square = (x: number, y: number, half: number) =>
  [
    [x - half, y - half],
    [x + half, y - half],
    [x + half, y + half],
    [x - half, y + half],
  ] as const;

const pathsOf = (paths: readonly { d: string; stop: number }[]): Artwork => ({
  fileName: 'shapes.svg',
  paths: paths.map((path) => ({ ...path, strokeMm: null })),
  hull: [
    { x: -50, y: -20 },
    { x: 50, y: -20 },
    { x: 50, y: 20 },
    { x: -50, y: 20 },
  ],
  fileCentre: { x: 0, y: 0 },
  remarks: [],
  letters: [],
  madeFrom: '',
  source: null,
});

/** Two squares of 40 mm side by side in red, the left one with a hole of 16 mm; a dot of 6 mm in blue on the right one. */
export const SQUARES: Part = {
  ...EMPTY_PART,
  id: 'part-of-squares',
  widthMm: 100,
  heightMm: 40,
  stitches: 8000,
  colours: [
    { hex: '#A93F36', name: 'madder', stitches: 7600 },
    { hex: '#1F3A5F', name: 'navy', stitches: 400 },
  ],
  artwork: pathsOf([
    { d: d(square(-30, 0, 20)) + d(square(-30, 0, 8)), stop: 0 },
    { d: d(square(30, 0, 20)), stop: 0 },
    { d: d(square(30, 0, 3)), stop: 1 },
  ]),
};

/** The squares with the red ones of cloth. */
export const appliqued = (rest: Partial<Applique> = {}): Part => ({
  ...SQUARES,
  appliques: [{ ...USUAL_APPLIQUE, stop: 0, ...rest }],
});
