import { cornersOf } from '../../../base/geometry/box';
import type { PieceKind, PieceOutline } from '../geometry';
import type { Reading, Readings } from '../readings';
import { contradictionsOf, seam, twins } from './shapes';

const reading = (
  id: string,
  name: string,
  how: string,
  typicalMm: number,
  ends: [string, string],
): Reading => ({
  id,
  name,
  how,
  leastMm: 60,
  mostMm: 3000,
  typicalMm,
  from: ends[0],
  to: ends[1],
});

const READINGS: readonly Reading[] = [
  reading('panelWidth', 'cloth, side to side', 'The cloth as it is now, edge to edge.', 760, [
    'clothLeft',
    'clothRight',
  ]),
  reading('panelHeight', 'cloth, top to bottom', 'The cloth as it is now, cut edge to cut edge.', 760, [
    'clothTop',
    'clothFoot',
  ]),
  reading('patternTop', 'pattern, top edge', 'The cutting line of the pattern along its top.', 360, [
    'patternTopLeft',
    'patternTopRight',
  ]),
  reading('patternFoot', 'pattern, bottom edge', 'The cutting line of the pattern along its bottom.', 620, [
    'patternFootLeft',
    'patternFootRight',
  ]),
  reading('patternHeight', 'pattern, height', 'From its top cutting line to its bottom one.', 640, [
    'patternTop',
    'patternFoot',
  ]),
  {
    ...reading('seam', 'seam allowance', 'From the cutting line to the line it will be sewn on.', 15, [
      'seamTop',
      'patternTop',
    ]),
    leastMm: 0,
    mostMm: 60,
  },
];
const NAMES = Object.fromEntries(READINGS.map((r) => [r.id, r.name]));

/** A pattern chalked on cloth before cutting. Origin at the middle of the pattern's top edge. */
function outlineOf(r: Readings): PieceOutline {
  const {
    panelWidth = 0,
    panelHeight = 0,
    patternTop = 0,
    patternFoot = 0,
    patternHeight = 0,
    seam: s = 0,
  } = r;
  const above = Math.max(0, (panelHeight - patternHeight) / 2);
  const cloth = { left: -panelWidth / 2, right: panelWidth / 2, top: -above, bottom: panelHeight - above };
  const trapezoid = (inset: number) => {
    const slant = Math.hypot(1, (patternFoot - patternTop) / 2 / Math.max(1, patternHeight));
    const halfAt = (y: number) =>
      patternTop / 2 + ((patternFoot - patternTop) / 2) * (y / Math.max(1, patternHeight)) - inset * slant;
    const [top, foot] = [inset, patternHeight - inset];
    return [
      { x: -halfAt(top), y: top },
      { x: halfAt(top), y: top },
      { x: halfAt(foot), y: foot },
      { x: -halfAt(foot), y: foot },
    ];
  };
  const [cut, sewn] = [trapezoid(0), trapezoid(s)];
  const ring = (points: typeof cut) => [...points, points[0] ?? { x: 0, y: 0 }];
  return {
    outline: cornersOf(cloth),
    hoopable: cornersOf(cloth),
    within: { name: 'seam line', area: sewn },
    seams: [
      seam('seamLine', 'seam line', ring(sewn)),
      seam('cuttingLine', 'cutting line', ring(cut), 'fold'),
    ],
    noGo: [],
    landmarks: {
      patternTop: { x: 0, y: 0 },
      patternFoot: { x: 0, y: patternHeight },
      seamTop: { x: 0, y: s },
      seamFoot: { x: 0, y: patternHeight - s },
      clothTop: { x: -panelWidth * 0.42, y: cloth.top },
      clothFoot: { x: -panelWidth * 0.42, y: cloth.bottom },
      ...twins('cloth', { x: panelWidth / 2, y: patternHeight * 0.5 }),
      ...twins('patternTop', { x: patternTop / 2, y: 0 }),
      ...twins('patternFoot', { x: patternFoot / 2, y: patternHeight }),
    },
    opening: null,
    centreFrom: 0,
    centreTo: patternHeight,
  };
}

const MIDDLE = {
  by: 'middle',
  top: { landmark: 'seamTop', name: 'the top seam line' },
  foot: { landmark: 'seamFoot', name: 'the bottom seam line' },
} as const;

export const PANEL: PieceKind = {
  name: 'Panel, embroidered before cutting',
  family: 'Cloth still to be sewn',
  form: 'flat',
  traits: [],
  usual: { fabricId: 'stable-cotton', colour: '#FAFAF7' },
  readings: READINGS,
  contradictions: (r) =>
    contradictionsOf(r, NAMES, [
      [
        Math.max(r.patternTop ?? 0, r.patternFoot ?? 0) > (r.panelWidth ?? 0),
        'patternFoot',
        'panelWidth',
        'the pattern would be wider than the cloth',
      ],
      [
        (r.patternHeight ?? 0) > (r.panelHeight ?? 0),
        'patternHeight',
        'panelHeight',
        'the pattern would be higher than the cloth',
      ],
      [
        (r.seam ?? 0) * 4 > Math.min(r.patternTop ?? 0, r.patternHeight ?? 0),
        'seam',
        'patternTop',
        'the seams would take up the pattern',
      ],
    ]),
  views: [
    {
      id: 'panel',
      name: 'Panel',
      datum: "below the pattern's top edge",
      datumSign: 1,
      wearersLeft: null,
      halving: {
        name: "the pattern's bottom edge",
        left: 'patternFootLeft',
        right: 'patternFootRight',
        edge: 'cutting line',
        fold: 'side cutting lines matched',
        second: { landmark: 'patternTop', name: "the middle of the pattern's top edge" },
      },
      outlineOf,
    },
  ],
  placements: [
    {
      id: 'panel-middle',
      name: 'Middle of the pattern',
      faces: 'Centred inside the seam line',
      view: 'panel',
      rule: MIDDLE,
    },
    {
      id: 'scatter',
      name: 'Scattered',
      faces: 'Many of it, spread inside the seam line',
      view: 'panel',
      rule: MIDDLE,
      copies: 'scatter',
    },
  ],
};
