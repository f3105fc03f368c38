import { phrase } from '../../../base/units/phrase';
import type { HoopKind } from './hoopKind';

export const MAGNETIC: HoopKind = {
  id: 'magnetic',
  closes: {
    id: 'closesMagneticMm',
    name: 'A magnetic hoop closes on',
    value: 7,
    unit: 'mm',
    reason: 'Beyond this the magnets lose their hold.',
  },
  floatedOnly: null,
  flat: true,
  /** A flat ring does not mark these, though a pressed-in one would; loops are crushed by either. */
  spares: ['knit', 'faux suede', 'canvas', 'stable woven'],
  arrows: 'both arrows one way',
  orientation: phrase`Lower frame on the table, its arrow away from you; the upper frame beside it, not above it.`,
  orientationHint: phrase`Both arrows the same way, or the notches do not agree.`,
  loosen: phrase`Lift the upper frame well clear before the cloth comes between.`,
  loosenHint: phrase`Wipe both faces: a thread between the magnets weakens them.`,
  close: phrase`Close it far side first, then both sides together, the near side last: straight down, without dragging.`,
  closeCaution: phrase`Magnets snap shut: fingers out from between. Keep them from what a magnet harms; the hoop's manual says what.`,
  closed: null,
};
