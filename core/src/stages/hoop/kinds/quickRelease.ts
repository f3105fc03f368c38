import { mm, phrase } from '../../../base/units/phrase';
import type { HoopKind } from './hoopKind';

export const QUICK_RELEASE: HoopKind = {
  id: 'quick-release',
  closes: {
    id: 'closesQuickMm',
    name: 'A quick-release hoop closes on',
    value: 2.2,
    unit: 'mm',
    reason: 'Its spring has little travel.',
  },
  floatedOnly: null,
  flat: false,
  spares: [],
  arrows: 'arrow to arrow',
  orientation: phrase`Inner ring the right way round: size marks readable, arrow to arrow.`,
  orientationHint: phrase`Upside down, its notches are off by up to ${mm(25)}.`,
  loosen: phrase`Squeeze the lever open all the way.`,
  loosenHint: phrase`Never force the clip: if it does not close, the stack is too thick for it.`,
  close: phrase`Press the inner ring in: top edge first, then both sides; let the lever close last.`,
  closeCaution: null,
  closed: null,
};
