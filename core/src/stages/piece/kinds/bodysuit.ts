import type { PieceKind, PieceOutline, PieceView } from '../geometry';
import type { Reading, Readings } from '../readings';
import { closedByMirror, contradictionsOf, curve, strip } from './shapes';
import { frontOf, type TopCut, topOutline } from './top';
import { CHEST_WIDTH, TOP_RULES } from './topReadings';

const CUT: TopCut = { sleeve: 'short', hem: { name: 'crotch fastening', mm: 30 }, collar: 'rib' };
const SHOULDER_OF_CHEST = 0.24;
const ARMHOLE_OF_CHEST = 0.44;

const READINGS: readonly Reading[] = [
  { ...CHEST_WIDTH, name: 'width under the arms', leastMm: 150, mostMm: 400, typicalMm: 215 },
  {
    id: 'length',
    name: 'collar seam to crotch',
    how: 'From the collar seam at centre front straight down to the crotch edge.',
    leastMm: 180,
    mostMm: 600,
    typicalMm: 330,
    from: 'collarSeam',
    to: 'hem',
    waits: TOP_RULES,
  },
];
const NAMES = Object.fromEntries(READINGS.map((r) => [r.id, r.name]));

/** Of the chest: the hips above the crotch, half the crotch, how far a leg opening bows down, and what stretches open. */
const HIP_UP = 0.42;
const CROTCH_HALF = 0.17;
const LEG_BOW = { out: 1.1, down: 0.06 };
const OPENING = 0.8;

/** The body of a top, with leg openings cut up to the hips. */
function outlineOf(readings: Readings): PieceOutline {
  const { chestWidth: w = 0 } = readings;
  const body = topOutline(
    { ...readings, shoulder: w * SHOULDER_OF_CHEST, armhole: w * ARMHOLE_OF_CHEST },
    CUT,
    'front',
  );
  const foot = body.landmarks.hem?.y ?? 0;
  const hip = { x: w / 2, y: foot - w * HIP_UP };
  const crotch = { x: w * CROTCH_HALF, y: foot };
  const leg = curve(hip, { x: crotch.x * LEG_BOW.out, y: hip.y + w * LEG_BOW.down }, crotch);
  const right = (points: PieceOutline['outline']) => points.slice(0, points.length / 2);
  return {
    ...body,
    outline: closedByMirror([...right(body.outline).slice(0, -1), ...leg]),
    hoopable: closedByMirror([...right(body.hoopable).slice(0, -1), ...leg.slice(0, -2)]),
    seams: body.seams
      .filter((s) => s.id !== 'hem')
      .map((s) =>
        s.id.startsWith('sideSeam')
          ? { ...s, line: s.line.map((p) => ({ x: p.x, y: Math.min(p.y, hip.y) })) }
          : s,
      ),
    noGo: [
      ...body.noGo.filter((a) => a.id !== 'hemBand'),
      strip('crotch', CUT.hem.name, {
        left: -crotch.x,
        right: crotch.x,
        top: foot - CUT.hem.mm,
        bottom: foot,
      }),
    ],
    opening: { name: 'neck and legs', widthMm: w * OPENING },
  };
}

const VIEW: PieceView = { ...frontOf(CUT), outlineOf };

export const BODYSUIT: PieceKind = {
  name: 'Baby bodysuit',
  family: 'Baby and children',
  form: 'tubular',
  traits: ['worn', 'against skin', 'baby', 'sleeves'],
  usual: { fabricId: 'thin-jersey', colour: '#FAFAF7' },
  readings: READINGS,
  contradictions: (r) =>
    contradictionsOf(r, NAMES, [
      [
        (r.length ?? 0) < (r.chestWidth ?? 0) * 1.05,
        'length',
        'chestWidth',
        'the legs would begin at the arms',
      ],
    ]),
  views: [VIEW],
  loading: [
    'Open the snaps and spread the legs; slide the ring in from below.',
    'Fold neck flaps, sleeves and legs back, and tape them outside the ring.',
  ],
  placements: [
    {
      id: 'centre-chest',
      name: 'Centre chest',
      faces: 'Centre chest, just below the collar seam',
      view: 'front',
      rule: { by: 'top-below', row: 'topBelowCollar' },
    },
  ],
};
