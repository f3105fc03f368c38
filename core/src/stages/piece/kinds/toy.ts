import type { PieceKind, PieceOutline, PieceView } from '../geometry';
import type { Readings } from '../readings';
import type { UsualPlacement } from '../usualPlacement';
import { contradictionsOf, ellipse, level, seam, twins } from './shapes';

const BODY_OVER_BELLY = 1.18;
/** Half the body's height, of the height between its seams: it bulges past them. */
const BODY_HALF_OF_HEIGHT = 0.56;
/** The head above the neck seam, of the belly's width. */
const HEAD = { up: 0.38, halfWide: 0.42, halfHigh: 0.38 };
/** Half a seam's length, and the opening for the stuffing, of the belly's width. */
const SEAM_HALF_OF_WIDTH = 0.26;
const STUFFING_OF_WIDTH = 0.7;

/** Belly or back: a round body with the head sketched above it. Origin at the middle of the neck seam. */
function bodyOf({ width: w = 0, height: h = 0 }: Readings): PieceOutline {
  const body = ellipse({ x: 0, y: h / 2 }, (w / 2) * BODY_OVER_BELLY, h * BODY_HALF_OF_HEIGHT);
  const inside = body.filter((p) => p.y >= 0 && p.y <= h);
  const head = ellipse({ x: 0, y: -w * HEAD.up }, w * HEAD.halfWide, w * HEAD.halfHigh);
  return {
    outline: body,
    hoopable: inside,
    seams: [
      seam('neckSeam', 'neck seam', level(w * SEAM_HALF_OF_WIDTH, 0)),
      seam('baseSeam', 'base seam', level(w * SEAM_HALF_OF_WIDTH, h)),
    ],
    noGo: [{ id: 'head', name: 'head', area: head }],
    landmarks: {
      neckSeam: { x: 0, y: 0 },
      baseSeam: { x: 0, y: h },
      ...twins('side', { x: w / 2, y: h / 2 }),
    },
    opening: { name: 'seam for the stuffing', widthMm: w * STUFFING_OF_WIDTH },
    centreFrom: 0,
    centreTo: h,
  };
}

/** The underside: a round patch. Origin at its back edge. */
function undersideOf({ base = 0 }: Readings): PieceOutline {
  const disc = ellipse({ x: 0, y: base / 2 }, base / 2, base / 2);
  return {
    outline: disc,
    hoopable: ellipse({ x: 0, y: base / 2 }, base / 2 - 6, base / 2 - 6),
    seams: [],
    noGo: [],
    landmarks: {
      backEdge: { x: 0, y: 0 },
      frontEdge: { x: 0, y: base },
      ...twins('side', { x: base / 2, y: base / 2 }),
    },
    opening: { name: 'seam for the stuffing', widthMm: base },
    centreFrom: 0,
    centreTo: base,
  };
}

const body = (id: string, name: string, wearersLeft: 'left' | 'right'): PieceView => ({
  id,
  name,
  datum: 'below the neck seam',
  datumSign: 1,
  wearersLeft,
  halving: {
    name: `across the ${name.toLowerCase()}`,
    left: 'sideLeft',
    right: 'sideRight',
    edge: 'side seam',
    fold: 'side seams matched',
    second: { landmark: 'neckSeam', name: 'the middle of the neck seam' },
  },
  outlineOf: bodyOf,
});

const ON_BODY = ['belly', 'back'];
const onBody = (view: string, name: string): UsualPlacement => ({
  id: view,
  name,
  faces: `The middle of the ${view}, between neck and base seams`,
  view,
  rule: {
    by: 'middle',
    top: { landmark: 'neckSeam', name: 'the neck seam' },
    foot: { landmark: 'baseSeam', name: 'the base seam' },
  },
});

export const SOFT_TOY: PieceKind = {
  name: 'Soft toy, stuffing out',
  family: 'Bags, cushions, toys',
  form: 'tubular',
  traits: ['toy'],
  loading: [
    'Stuffing out, bag of beans out: keep them together for afterwards.',
    'Turn the skin inside out through the seam; head, arms and legs folded back and taped outside the ring.',
  ],
  usual: { fabricId: 'plush', colour: '#EBC9C4' },
  readings: [
    {
      id: 'width',
      name: 'belly, side to side',
      how: 'Stuffing out, skin flat. Straight across the belly.',
      leastMm: 50,
      mostMm: 500,
      typicalMm: 160,
      from: 'sideLeft',
      to: 'sideRight',
      needed: ON_BODY,
    },
    {
      id: 'height',
      name: 'neck seam to base seam',
      how: 'Down the middle, from the seam at the neck to the seam at the base.',
      leastMm: 50,
      mostMm: 600,
      typicalMm: 180,
      from: 'neckSeam',
      to: 'baseSeam',
      needed: ON_BODY,
    },
    {
      id: 'base',
      name: 'underside, across',
      how: 'Straight across the patch the toy sits on.',
      leastMm: 40,
      mostMm: 400,
      typicalMm: 120,
      from: 'sideLeft',
      to: 'sideRight',
      on: 'underside',
      needed: ['underside'],
    },
  ],
  contradictions: (r) =>
    contradictionsOf(r, { width: 'belly, side to side', height: 'neck seam to base seam' }, [
      [(r.width ?? 0) > (r.height ?? Infinity) * 3, 'width', 'height', 'the belly would be a flat band'],
    ]),
  views: [
    body('belly', 'Belly', 'right'),
    body('back', 'Back', 'left'),
    {
      id: 'underside',
      name: 'Underside',
      datum: 'below the back edge',
      datumSign: 1,
      wearersLeft: null,
      halving: {
        name: 'across the underside',
        left: 'sideLeft',
        right: 'sideRight',
        edge: 'seam',
        fold: 'seam to seam',
        second: { landmark: 'backEdge', name: 'the middle of the back edge' },
      },
      outlineOf: undersideOf,
    },
  ],
  placements: [
    onBody('belly', 'Belly'),
    onBody('back', 'Back'),
    {
      id: 'underside',
      name: 'Underside',
      faces: 'The middle of the patch it sits on',
      view: 'underside',
      rule: {
        by: 'middle',
        top: { landmark: 'backEdge', name: 'the back edge' },
        foot: { landmark: 'frontEdge', name: 'the front edge' },
      },
    },
  ],
};
