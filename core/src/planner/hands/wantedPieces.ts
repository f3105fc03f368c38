import { numberFor } from '../../catalogue/houseNumber';
import { LAYER_NUMBERS } from '../../catalogue/numbers/layers';
import type { Thing } from '../../model/deed';
import type { HouseRules } from '../../model/houseRules';
import type { ChoicePart } from '../../model/ticket/layers';
import type { HoopPlan } from '../../stages/hoop/planHoop';
import type { LayersPlan } from '../../stages/layers/planLayers';
import type { Results } from '../planned';
import { hoopingsOn } from './hoopings';

/** A sheet, film or cover that a ticket asks for. */
export interface WantedPiece {
  thing: Thing;
  /** The material it is of, by the trade's name, as the shelf has it. */
  type: string;
  name: string;
  widthMm: number;
  heightMm: number;
  /** How many such pieces: one to each hooping of every piece in the order. */
  count: number;
  /** What it is for, in words. */
  serves: string;
}

type Size = Pick<WantedPiece, 'widthMm' | 'heightMm'>;

/** So much of a film lies outside the basting box that holds it, mm. */
const LEAST_CAUGHT_MM = 5;

const beyond = ({ widthMm, heightMm }: Size, mm: number): Size => ({
  widthMm: widthMm + 2 * mm,
  heightMm: heightMm + 2 * mm,
});

/**
 * A topper is cut to be held: as large as the design and what the basting box takes of it, where that holds it; else
 * past the field, where its edges are pinned or taped out of the way of the foot. Over several copies it covers the field.
 */
function topperSize(
  {
    layers,
    hoop,
    mount,
    facts,
  }: { layers: LayersPlan; hoop: HoopPlan; mount: Results['mount']; facts: Size },
  rules: HouseRules,
): Size {
  const { topperHeldBy } = layers;
  const bastingMm = mount ? mount.bastingMm : layers.bastingMm;
  const field = hoop.laid?.verdict.hoop;
  const isWide =
    topperHeldBy !== 'basting box' ||
    bastingMm === null ||
    hoop.laid?.split != null ||
    hoop.hoopings.length > 0;
  if (field && isWide)
    return beyond(
      { widthMm: field.fieldWidthMm, heightMm: field.fieldHeightMm },
      numberFor(rules, LAYER_NUMBERS.topperHeldBeyondMm),
    );
  const edge = numberFor(rules, LAYER_NUMBERS.topperBeyondMm);
  return beyond(facts, Math.max(edge, (bastingMm ?? 0) + LEAST_CAUGHT_MM));
}

type WantedOf = Pick<Results, 'piece' | 'layers' | 'hoop' | 'design' | 'place' | 'mount'>;

/**
 * The pieces a ticket's stack is cut from: what is in the ring is the ring and its allowance, what is not the
 * field and its allowance, a film what holds it asks for, a cover the design and its own, one to each copy. Empty while the plan has no hoop.
 */
export function wantedPieces(
  { piece, layers, hoop, design, place, mount }: WantedOf,
  rules: HouseRules,
): WantedPiece[] {
  if (!layers || !hoop?.laid || !hoop.cut || !design.facts) return [];
  const count = hoopingsOn({ hoop, mount }) * piece.pieces;
  const { widthMm, heightMm, patch } = hoop.cut;
  const stacked = layers.stack.filter(({ sheet }) => sheet !== null);
  const sheets = stacked.flatMap(({ sheet, clamped, name }, i) => {
    const size = clamped ? { widthMm, heightMm } : patch;
    const serves = clamped ? 'For the ring, with enough to grip all round.' : 'A patch over the whole field.';
    return sheet
      ? [
          {
            thing: `sheet ${i}` as const,
            type: sheet.stabilizer,
            name,
            ...size,
            count,
            serves,
          },
        ]
      : [];
  });
  const over = (part: ChoicePart & Thing, size: Size, serves: string, times = count) => {
    const { id, name } = layers.parts[part].choice;
    return id === 'none' ? [] : [{ thing: part, type: id, name, ...size, count: times, serves }];
  };
  // Over cloth that is laid for each copy a film comes for each.
  const isFilmLaidEach = design.facts.cloths.length > 0 && mount !== null;
  const films = isFilmLaidEach ? (1 + mount.copies.length) * piece.pieces : count;
  // Of an order of names they are cut alike, as large as the largest asks.
  const facts = { ...design.facts, ...design.together };
  const covers = Math.max(1, place?.copies.length ?? 0) * piece.pieces;
  const cover = beyond(facts, numberFor(rules, LAYER_NUMBERS.coverBeyondMm));
  return [
    ...sheets,
    ...over('topper', topperSize({ layers, hoop, mount, facts }, rules), 'Laid on top of the cloth.', films),
    ...over('cover', cover, 'Over the back, when all is stitched.', covers),
  ];
}
