import { houseNumbers } from '../houseNumber';

export const HOOP_NUMBERS = houseNumbers({
  ringClearanceMm: {
    name: 'Ring clear of seams and bands',
    value: 10,
    unit: 'mm',
    reason: 'A ring cannot close over a thick seam, a zip or a border.',
  },
  openingAllowanceMm: {
    name: 'Opening wider than the ring by',
    value: 20,
    unit: 'mm',
    reason: 'A hand must go in with the ring.',
  },
  bastingOutsideMm: {
    name: 'Basting box outside the design',
    value: 5,
    unit: 'mm',
    reason: 'Near enough to hold, far enough to pick out.',
  },
  bastingNearerMm: {
    name: 'Basting box where the field is tight',
    value: 3,
    unit: 'mm',
    reason: 'It must lie in the stitch field too.',
  },
  stabilizerAllowanceMm: {
    name: 'Stabilizer beyond ring or field',
    value: 25,
    unit: 'mm',
    reason: 'A hand-width less slips out of the ring.',
  },
  splitOverlapMm: {
    name: 'Parts of a split design overlap by',
    value: 15,
    unit: 'mm',
    reason: 'Room for the crosses, and for cloth that draws in.',
  },
  crossOutMm: {
    name: 'Registration cross outside the design',
    value: 6,
    unit: 'mm',
    reason: 'Picked out afterwards without touching the design.',
  },
  elementGapMm: {
    name: 'Elements of a design no nearer than',
    value: 3,
    unit: 'mm',
    reason: 'Nearer they read as one, and pull each other.',
  },
  sheetThicknessMm: {
    name: 'A stabilizer sheet, thickness',
    value: 0.4,
    unit: 'mm',
    reason: 'Pressed in a ring, a medium sheet.',
  },
});
