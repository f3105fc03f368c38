import { mm, phrase } from '../../../base/units/phrase';
import type { HoopKind } from './hoopKind';

export const SCREW: HoopKind = {
  id: 'screw',
  closes: {
    id: 'closesScrewMm',
    name: 'A screw hoop closes on',
    value: 3,
    unit: 'mm',
    reason: 'Thicker stacks pop out.',
  },
  floatedOnly: null,
  flat: false,
  spares: [],
  arrows: 'arrow to arrow',
  orientation: phrase`Inner ring the right way round: size marks readable, arrow to arrow.`,
  orientationHint: phrase`Upside down, its notches are off by up to ${mm(25)}.`,
  loosen: phrase`Loosen the screw until the inner ring drops in with cloth and sheet.`,
  loosenHint: phrase`A ring that must be forced is too tight: it drags the cloth.`,
  close: phrase`Press the inner ring in: top edge first, then both sides, the bottom last.`,
  closeCaution: null,
  closed: {
    text: phrase`Push the inner ring ${mm(1)} to ${mm(2)} past flush. The screw finger-tight only.`,
    hint: phrase`A driver on the screw breaks hoops.`,
  },
};
