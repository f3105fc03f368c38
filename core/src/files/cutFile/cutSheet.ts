import type { Clipper, Region } from '../../base/geometry/clip';
import type { Phrase } from '../../base/units/phrase';
import { mm, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { DESIGN_NUMBERS } from '../../catalogue/numbers/design';
import type { HouseRules } from '../../model/houseRules';
import type { Cloth } from '../../model/ticket/applique';
import type { DesignFacts } from '../../stages/design/designFacts';
import { clothPieces } from './cutPieces';
import { type Nested, nest } from './nest';

/** The pieces of one cloth as they are cut from it. */
export interface CutSheet {
  cloth: Cloth;
  pieces: readonly string[];
  nested: Nested;
  remarks: Phrase[];
}

/** What cut sheets follow from. */
export interface CutAsked {
  facts: Pick<DesignFacts, 'cloths' | 'scale'>;
  /** How often the design is stitched. */
  times: number;
  rules: HouseRules;
}

export interface CutProgress {
  done: number;
  of: number;
}

/** Pieces that no strip of this width takes. */
function tooWide(names: readonly string[], { tooWide: wide }: Nested, { name, stripMm }: Cloth): Phrase[] {
  return wide.map(
    (piece) =>
      phrase`“${names[piece] ?? ''}” does not fit on ${name || 'cloth'} ${mm(stripMm)} wide: take a wider piece.`,
  );
}

/**
 * The pieces of every cloth of a design, laid on it. Yields how far it has come, cloth by cloth. A design without cloth has
 * no sheets.
 */
export function* clothSheets(
  { facts, times, rules }: CutAsked,
  clip: Clipper,
): Generator<CutProgress, CutSheet[]> {
  const sheets: CutSheet[] = [];
  for (const { cloth, pieces, remarks } of clothPieces(facts.cloths, { clip, scale: facts.scale, rules })) {
    const nested = yield* nest(
      {
        pieces,
        times,
        widthMm: cloth.stripMm,
        gapMm: numberFor(rules, DESIGN_NUMBERS.nestGapMm),
        alongGrain: cloth.alongGrain,
      },
      clip,
    );
    const names = pieces.map(({ name }) => name);
    sheets.push({ cloth, pieces: names, nested, remarks: [...remarks, ...tooWide(names, nested, cloth)] });
  }
  return sheets;
}

/** As it is seen by the blade: fused cloth lies with its web upwards, so everything is its own mirror. */
export function asCut({ cloth, nested }: CutSheet): Region[] {
  const { fused } = cloth;
  const { widthMm } = nested;
  const regions = nested.laid.map(({ region }) => region);
  return fused
    ? regions.map((region) => region.map((ring) => ring.map(({ x, y }) => ({ x: widthMm - x, y })).reverse()))
    : regions;
}
