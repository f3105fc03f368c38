import type { Reading, Readings } from '../readings';
import type { SpotRule } from '../usualPlacement';

/** The rules of tops read down from the collar, up from a hem: how long the piece is comes later. */
export const TOP_RULES: readonly SpotRule['by'][] = [
  'side-chest',
  'centre-chest',
  'top-below',
  'jacket-back',
  'sleeve',
  'hem-corner',
];

/** What the tape reads on tops, and the names of the readings. */
export const CHEST_WIDTH: Reading = {
  id: 'chestWidth',
  name: 'underarm to underarm',
  how: 'Lay it flat. Tape straight across, from underarm seam to underarm seam.',
  leastMm: 180,
  mostMm: 1000,
  typicalMm: 520,
  from: 'underarmLeft',
  to: 'underarmRight',
};
export const TOP_READINGS: readonly Reading[] = [
  CHEST_WIDTH,
  {
    id: 'length',
    name: 'collar seam to hem',
    how: 'From the collar seam at centre front straight down to the hem edge.',
    leastMm: 200,
    mostMm: 1200,
    typicalMm: 620,
    from: 'collarSeam',
    to: 'hem',
    waits: TOP_RULES,
  },
  {
    id: 'shoulder',
    name: 'shoulder seam',
    how: 'Along the shoulder seam, from the collar to the sleeve seam.',
    leastMm: 30,
    mostMm: 300,
    typicalMm: 145,
    from: 'neckPointRight',
    to: 'shoulderRight',
    waits: TOP_RULES,
    byArmhole: true,
  },
  {
    id: 'armhole',
    name: 'armhole depth',
    how: 'Straight down from the end of the shoulder seam to the level of the underarm.',
    leastMm: 80,
    mostMm: 450,
    typicalMm: 220,
    from: 'shoulderLeft',
    to: 'armholeFoot',
    waits: TOP_RULES,
    byArmhole: true,
  },
  {
    id: 'hemWidth',
    name: 'hem, edge to edge',
    how: 'Straight across the hem, lying flat. Leave it out when the sides run straight.',
    leastMm: 150,
    mostMm: 1100,
    typicalMm: 520,
    from: 'hemCornerLeft',
    to: 'hemCornerRight',
    optional: true,
  },
];

export const SLEEVE_READINGS: readonly Reading[] = [
  {
    id: 'sleeveHem',
    name: 'sleeve hem, edge to edge',
    how: 'Lay the sleeve flat. Straight across its hem.',
    leastMm: 50,
    mostMm: 350,
    typicalMm: 180,
    from: 'hemLeft',
    to: 'hemRight',
    on: 'sleeve',
    needed: ['sleeve'],
  },
  {
    id: 'sleeveLength',
    name: 'underarm to sleeve hem',
    how: 'Along the underarm seam, from the armhole to the sleeve hem.',
    leastMm: 30,
    mostMm: 700,
    typicalMm: 130,
    from: 'sleeveUnderarm',
    to: 'hemRight',
    waits: ['sleeve'],
    on: 'sleeve',
    needed: ['sleeve'],
  },
];

export const POCKET_READINGS: readonly Reading[] = [
  {
    id: 'pocketTop',
    name: 'collar seam to pocket',
    how: 'From the collar seam at centre front straight down to the top edge of the pocket.',
    leastMm: 60,
    mostMm: 1000,
    typicalMm: 400,
    from: 'collarSeam',
    to: 'pocketTop',
    waits: ['side-chest', 'top-below'],
  },
  {
    id: 'pocketWidth',
    name: 'pocket, top edge',
    how: 'Straight across the top edge of the pocket.',
    leastMm: 60,
    mostMm: 600,
    typicalMm: 220,
    from: 'pocketLeft',
    to: 'pocketRight',
    waits: ['side-chest', 'centre-chest', 'top-below'],
  },
];

/** What a hem corner is measured from: without them the usual ones of the kind stand in. */
export const HEM_BAND: Reading = {
  id: 'hemBand',
  name: 'hem, depth',
  how: 'From the hem edge straight up to its stitching; of a rib, to the seam it is sewn on with.',
  leastMm: 0,
  mostMm: 200,
  typicalMm: 20,
  from: 'hem',
  to: 'hemLine',
  optional: true,
  only: ['hem-corner'],
};
export const POCKET_FOOT: Reading = {
  id: 'pocketFoot',
  name: 'pocket, foot',
  how: 'Straight across the foot of the pocket, from edge to edge.',
  leastMm: 60,
  mostMm: 800,
  typicalMm: 320,
  from: 'pocketFootLeft',
  to: 'pocketFootRight',
  optional: true,
  only: ['hem-corner'],
};

/** The readings of a family with some of them typically smaller or larger. */
export const sizedReadings = (readings: readonly Reading[], typical: Readings): Reading[] =>
  readings.map((r) => ({ ...r, typicalMm: typical[r.id] ?? r.typicalMm }));

export const TOP_NAMES: Readonly<Record<string, string>> = Object.fromEntries(
  [...TOP_READINGS, ...SLEEVE_READINGS, ...POCKET_READINGS, HEM_BAND, POCKET_FOOT].map((r) => [r.id, r.name]),
);
