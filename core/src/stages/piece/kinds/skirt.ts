import { cornersOf } from '../../../base/geometry/box';
import { PLACE_NUMBERS } from '../../../catalogue/numbers/place';
import type { PieceKind, PieceOutline, PieceView } from '../geometry';
import type { Reading, Readings } from '../readings';
import type { CopyRule, UsualPlacement } from '../usualPlacement';
import { contradictionsOf, level, onBothSides, seam, strip, twins, upright } from './shapes';

/** How much of the skirt above the hem is drawn, mm. */
const SHOWN_MM = 360;

/**
 * A hem laid out flat. A closed one is drawn once round, from centre back to centre back: what hangs over one
 * end comes in at the other, and its side seams, a quarter from the middle, may be stitched over.
 */
const hemOutline = (run: number, hemDepth: number, closed: boolean): PieceOutline => {
  const half = run / 2;
  const edge = closed ? 0 : 12;
  const round = { left: -run, right: run, top: -SHOWN_MM, bottom: 0 };
  const sides = onBothSides(
    'sideSeam',
    closed ? 'side seam' : 'panel edge',
    upright(closed ? half / 2 : half - edge, -SHOWN_MM, 0),
  );
  return {
    ...(closed ? { within: { name: 'skirt', area: cornersOf(round) }, folds: sides } : {}),
    outline: cornersOf({ left: -half, right: half, top: -SHOWN_MM, bottom: 0 }),
    hoopable: cornersOf({ left: -half + edge, right: half - edge, top: -SHOWN_MM, bottom: -hemDepth }),
    seams: [seam('hem', 'hem', level(half, -hemDepth), 'hem'), ...(closed ? [] : sides)],
    noGo:
      hemDepth > 0 ? [strip('hemBand', 'hem', { left: -half, right: half, top: -hemDepth, bottom: 0 })] : [],
    landmarks: {
      hem: { x: 0, y: 0 },
      hemLine: { x: 0, y: -hemDepth },
      hemInside: { x: half / 3, y: -hemDepth },
      hemEdge: { x: half / 3, y: 0 },
      ...twins('end', { x: half, y: -SHOWN_MM * 0.72 }),
      ...twins('side', { x: closed ? half / 2 : half, y: -SHOWN_MM * 0.72 }),
    },
    opening: closed ? { name: 'hem', widthMm: half } : null,
    centreFrom: -SHOWN_MM,
    centreTo: 0,
  };
};

const HEM_DEPTH: Reading = {
  id: 'hemDepth',
  name: 'hem, depth',
  how: 'From the edge to the line of stitching; 0 where it is not yet turned up.',
  leastMm: 0,
  mostMm: 150,
  typicalMm: 30,
  from: 'hemInside',
  to: 'hemEdge',
};

function skirt(
  name: string,
  run: Reading,
  closed: boolean,
  more: { family: PieceKind['family']; copies: CopyRule; edge: string },
): PieceKind {
  const view: PieceView = {
    id: 'hem',
    name: 'Hem',
    datum: 'above the hem',
    datumSign: -1,
    wearersLeft: null,
    halving: {
      name: closed ? 'laid flat, side seam to side seam' : run.name,
      left: 'sideLeft',
      right: 'sideRight',
      edge: closed ? 'side seam' : more.edge,
      fold: closed ? 'side seams matched' : 'panel edges matched',
      second: null,
    },
    span: { left: 'endLeft', right: 'endRight' },
    outlineOf: (r: Readings) => hemOutline(r[run.id] ?? 0, r.hemDepth ?? 0, closed),
  };
  const single: UsualPlacement = {
    id: 'hem-middle',
    name: 'One, at the middle',
    faces: 'One at the middle, above the hem',
    view: 'hem',
    rule: { by: 'above-hem', gap: PLACE_NUMBERS.aboveSkirtHemMm },
  };
  return {
    name,
    family: more.family,
    form: closed ? 'tubular' : 'flat',
    traits: [],
    usual: { fabricId: 'dress-weight', colour: '#DCE7DA' },
    readings: [run, HEM_DEPTH],
    sews: ['hem-band'],
    contradictions: (r) =>
      contradictionsOf(r, { [run.id]: run.name, hemDepth: HEM_DEPTH.name }, [
        [
          (r.hemDepth ?? 0) * 3 > (r[run.id] ?? 0),
          'hemDepth',
          run.id,
          'the hem would be deeper than the skirt is wide',
        ],
      ]),
    views: [view],
    placements: [
      {
        ...single,
        id: 'hem-border',
        name: 'Border of repeats',
        faces: closed ? 'All round the hem, from the centre front out' : 'Along the hem, from the middle out',
        copies: more.copies,
      },
      single,
    ],
  };
}

export const SKIRT_HEM = skirt(
  'Dress or skirt hem',
  {
    id: 'circumference',
    name: 'hem, all round',
    how: 'Lay the hem flat, tape fold to fold, and double it; or walk the tape all round.',
    leastMm: 300,
    mostMm: 8000,
    typicalMm: 1480,
    from: 'endLeft',
    to: 'endRight',
  },
  true,
  { family: 'Garments', copies: 'closed hem', edge: 'end of the hem at centre back' },
);

export const SKIRT_PANEL = skirt(
  'Skirt panel, open',
  {
    id: 'panelWidth',
    name: 'panel, along the hem',
    how: 'Along the hem edge of the panel, raw edge to raw edge.',
    leastMm: 150,
    mostMm: 4000,
    typicalMm: 740,
    from: 'endLeft',
    to: 'endRight',
  },
  false,
  { family: 'Cloth still to be sewn', copies: 'open hem', edge: 'panel edge' },
);
