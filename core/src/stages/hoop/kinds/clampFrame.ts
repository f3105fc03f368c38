import { phrase } from '../../../base/units/phrase';
import type { HoopKind } from './hoopKind';

export const CLAMP_FRAME: HoopKind = {
  id: 'clamp frame',
  closes: {
    id: 'closesClampMm',
    name: 'A clamp frame closes on',
    value: 5,
    unit: 'mm',
    reason: 'Its jaws open no wider.',
  },
  floatedOnly: null,
  flat: false,
  spares: [],
  arrows: 'arrow to arrow',
  orientation: phrase`Frame with its bracket as it goes on the machine, jaws up.`,
  orientationHint: phrase`Its middle marks face you.`,
  loosen: phrase`Open both jaws.`,
  loosenHint: null,
  close: phrase`Close the far jaw, smooth the cloth towards you, then close the near jaw.`,
  closeCaution: phrase`Fingers clear of the jaws.`,
  closed: null,
};
