import type { HouseNumber } from '../../catalogue/houseNumber';
import { DESIGN_NUMBERS } from '../../catalogue/numbers/design';
import { FINISH_NUMBERS } from '../../catalogue/numbers/finish';
import { HOOP_NUMBERS } from '../../catalogue/numbers/hoop';
import { LAYER_NUMBERS } from '../../catalogue/numbers/layers';
import { MOUNT_NUMBERS } from '../../catalogue/numbers/mount';
import { PIECE_NUMBERS } from '../../catalogue/numbers/piece';
import { PLACE_NUMBERS } from '../../catalogue/numbers/place';
import { STITCH_NUMBERS } from '../../catalogue/numbers/stitch';
import { HOOP_KINDS } from '../../stages/hoop/kinds';

const ofHoopKinds: Record<string, HouseNumber> = Object.fromEntries(
  HOOP_KINDS.flatMap(({ closes }) => (closes ? [[closes.id, closes]] : [])),
);

/** Every number a shop may change, by id: the numbers of each stage in the order of work. */
export const NUMBERS = {
  ...PIECE_NUMBERS,
  ...DESIGN_NUMBERS,
  ...PLACE_NUMBERS,
  ...HOOP_NUMBERS,
  ...ofHoopKinds,
  ...LAYER_NUMBERS,
  ...MOUNT_NUMBERS,
  ...STITCH_NUMBERS,
  ...FINISH_NUMBERS,
};

export type NumberId = keyof typeof NUMBERS;
