import type { HoopKind } from '../../model/shelf';
import { type HouseNumber, houseNumbers } from '../houseNumber';

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
  closesScrewMm: { name: 'A screw hoop closes on', value: 3, unit: 'mm', reason: 'Thicker stacks pop out.' },
  closesQuickMm: {
    name: 'A quick-release hoop closes on',
    value: 2.2,
    unit: 'mm',
    reason: 'Its spring has little travel.',
  },
  closesMagneticMm: {
    name: 'A magnetic hoop closes on',
    value: 7,
    unit: 'mm',
    reason: 'Beyond this the magnets lose their hold.',
  },
  closesClampMm: { name: 'A clamp frame closes on', value: 5, unit: 'mm', reason: 'Its jaws open no wider.' },
});

/** The number that says what each kind of hoop closes on; an open frame takes any thickness. */
export const CLOSES_BY_KIND: Record<HoopKind, HouseNumber | null> = {
  screw: HOOP_NUMBERS.closesScrewMm,
  'quick-release': HOOP_NUMBERS.closesQuickMm,
  magnetic: HOOP_NUMBERS.closesMagneticMm,
  'clamp frame': HOOP_NUMBERS.closesClampMm,
  'open frame': null,
};
