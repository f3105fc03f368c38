import type { UsualPlacement } from '../usualPlacement';

/** The usual places on tops. */
export const CHEST_PLACEMENTS: readonly [UsualPlacement, ...UsualPlacement[]] = [
  {
    id: 'left-chest',
    name: 'Left chest',
    faces: "Wearer's left chest, on your right as it faces you",
    view: 'front',
    rule: { by: 'side-chest', side: 1 },
  },
  {
    id: 'right-chest',
    name: 'Right chest',
    faces: "Wearer's right chest, on your left as it faces you",
    view: 'front',
    rule: { by: 'side-chest', side: -1 },
  },
  {
    id: 'centre-chest',
    name: 'Centre chest',
    faces: 'Centre chest, below the collar seam',
    view: 'front',
    rule: { by: 'centre-chest' },
  },
];
export const FULL_FRONT: UsualPlacement = {
  id: 'full-front',
  name: 'Full front',
  faces: 'Full front, its top below the collar seam',
  view: 'front',
  rule: { by: 'top-below', row: 'topBelowCollar' },
};
export const BACK_PLACEMENTS: readonly UsualPlacement[] = [
  {
    id: 'upper-back',
    name: 'Upper back',
    faces: 'Upper back, its top below the back collar seam',
    view: 'back',
    rule: { by: 'top-below', row: 'topBelowBackUpper' },
  },
  {
    id: 'full-back',
    name: 'Full back',
    faces: 'Full back, its top below the back collar seam',
    view: 'back',
    rule: { by: 'top-below', row: 'topBelowBackFull' },
  },
];
export const SLEEVE_PLACEMENT: UsualPlacement = {
  id: 'sleeve',
  name: 'Sleeve',
  faces: 'On the outer fold of the sleeve, above its hem',
  view: 'sleeve',
  rule: { by: 'sleeve' },
};
export const HEM_CORNERS: readonly UsualPlacement[] = [
  {
    id: 'hem-corner-left',
    name: 'Hem corner, left',
    faces: "Wearer's left hem corner, on your right as it faces you",
    view: 'front',
    rule: { by: 'hem-corner', side: 1 },
  },
  {
    id: 'hem-corner-right',
    name: 'Hem corner, right',
    faces: "Wearer's right hem corner, on your left as it faces you",
    view: 'front',
    rule: { by: 'hem-corner', side: -1 },
  },
];
