import type { PieceKindId } from '../../../model/pieceKindIds';
import type { PieceKind } from '../geometry';
import { APRON } from './apron';
import { DRAWSTRING_BAG, TOTE } from './bag';
import { BANDANA } from './bandana';
import { BIB, BURP_CLOTH } from './bib';
import { BODYSUIT } from './bodysuit';
import { CUSHION } from './cushion';
import { DENIM_JACKET, WAISTCOAT, WORK_JACKET } from './jacket';
import { BREAD_CLOTH, HANDKERCHIEF, NAPKIN, TABLECLOTH, TEA_TOWEL, WAFFLE_TOWEL } from './linen';
import { ORNAMENT } from './ornament';
import { PANEL } from './panel';
import { SKIRT_HEM, SKIRT_PANEL } from './skirt';
import { HOODIE, SWEATSHIRT } from './sweatshirt';
import { BATH_TOWEL, FINGERTIP_TOWEL, HAND_TOWEL, WASHCLOTH } from './towel';
import { SOFT_TOY } from './toy';
import { POLO, SCRUB_TOP, T_SHIRT, TODDLER_TOP } from './tShirt';

/** Every kind of piece by id; a new one is a file in `kinds/`, a line here and its id with those of the model. */
export const PIECE_KINDS: Readonly<Record<PieceKindId, PieceKind>> = {
  't-shirt': T_SHIRT,
  polo: POLO,
  'scrub-top': SCRUB_TOP,
  sweatshirt: SWEATSHIRT,
  hoodie: HOODIE,
  'work-jacket': WORK_JACKET,
  'denim-jacket': DENIM_JACKET,
  waistcoat: WAISTCOAT,
  'skirt-hem': SKIRT_HEM,
  apron: APRON,
  bodysuit: BODYSUIT,
  'toddler-top': TODDLER_TOP,
  bib: BIB,
  'burp-cloth': BURP_CLOTH,
  'bath-towel': BATH_TOWEL,
  'hand-towel': HAND_TOWEL,
  'fingertip-towel': FINGERTIP_TOWEL,
  washcloth: WASHCLOTH,
  'tea-towel': TEA_TOWEL,
  'waffle-towel': WAFFLE_TOWEL,
  napkin: NAPKIN,
  'bread-cloth': BREAD_CLOTH,
  tablecloth: TABLECLOTH,
  handkerchief: HANDKERCHIEF,
  tote: TOTE,
  'drawstring-bag': DRAWSTRING_BAG,
  cushion: CUSHION,
  'soft-toy': SOFT_TOY,
  bandana: BANDANA,
  'skirt-panel': SKIRT_PANEL,
  panel: PANEL,
  ornament: ORNAMENT,
};
