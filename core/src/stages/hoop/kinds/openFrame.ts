import { phrase } from '../../../base/units/phrase';
import type { HoopKind } from './hoopKind';

export const OPEN_FRAME: HoopKind = {
  id: 'open frame',
  closes: null,
  floatedOnly: phrase`an open frame has no inner ring: the piece is floated on it`,
  flat: false,
  spares: [],
  arrows: 'arrow to arrow',
  orientation: phrase`Frame upside down on the table: the sheet goes on from below.`,
  orientationHint: phrase`Its arrow points as the piece's top will.`,
  loosen: phrase`Wipe old adhesive off the frame.`,
  loosenHint: null,
  close: phrase`Press the sheet on all round the frame, then turn it over.`,
  closeCaution: null,
  closed: null,
};
