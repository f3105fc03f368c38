import { STABILIZERS } from '../../../catalogue/materials';
import type { Act } from '../../../model/deed';
import type { HouseRules } from '../../../model/houseRules';
import type { Sheet } from '../../../model/ticket/layers';
import type { LayersPlan } from '../../../stages/layers/planLayers';
import type { Results } from '../../planned';
import { actOf } from '../actOf';
import { wantedPieces } from '../wantedPieces';

/** Readings to take: those that the marks ask for, or those that can wait until the hoop closes. */
export const measureActs = ({ piece }: Results, phase: 'measure' | 'measure the rest'): Act[] =>
  piece.asked
    .filter((reading) => piece.later.includes(reading) === (phase === 'measure the rest'))
    .map(({ id }) => actOf(phase, `measure ${id}`, { do: 'measure', reading: id }));

/** The kinds of appliqué in a design, each with the cloth that it is cut from. */
export const appliquesOf = ({ design }: Pick<Results, 'design'>) => [
  ...new Set((design.facts?.cloths ?? []).map(({ applique }) => applique)),
];

/** Whether something is fused while the marks are on the cloth. */
const isFusedMarked = (results: Results): boolean =>
  (results.layers?.sheets ?? []).some(({ bond }) => bond === 'fused') ||
  appliquesOf(results).some(({ cloth, way }) => cloth.fused && way !== 'trimmed');

/** Preparing the cloth, its marks, and their way to the wrong side. */
export function markActs(results: Results): Act[] {
  const { place } = results;
  if (!place) return [];
  const last = place.marks.length - 1;
  const heatFollows = isFusedMarked(results);
  return [
    actOf('prepare', 'prepare', { do: 'prepare' }),
    ...place.marks.map((_, mark) =>
      actOf(mark === last ? 'transfer' : 'mark', `mark ${mark}`, { do: 'mark', mark, heatFollows }),
    ),
  ];
}

/** Every sheet, film and cover that is cut, with its own sides, from the cloth down. */
export const cutActs = (results: Results, rules: HouseRules): Act[] =>
  wantedPieces(results, rules).map(({ thing, type, widthMm, heightMm, count }, i) =>
    actOf('cut', `cut ${i} ${type}`, { do: 'cut', thing, widthMm, heightMm, count }),
  );

/** The cloth of each appliqué: the web first, where it has one, then every piece. */
export function clothCutActs(results: Results): Act[] {
  const { design, place, piece } = results;
  // Of an order of names the deck is that of the one on the table.
  const times = (place?.copies.length || 1) * (design.allNames === null ? piece.pieces : 1);
  return appliquesOf(results).flatMap((applique, cloth) => {
    const shapes = (design.facts?.cloths ?? []).filter((one) => one.applique === applique).length;
    const cut = actOf('cut', `cut cloth ${cloth}`, { do: 'cut cloth', cloth, pieces: shapes * times });
    return applique.cloth.fused ? [actOf('cut', `web ${cloth}`, { do: 'fuse web', cloth }), cut] : [cut];
  });
}

/** Whether a sheet is made one with the cloth before the hoop closes on it. */
const isBondedBefore = ({ where, bond, fastening }: Sheet, floated: boolean): boolean =>
  (bond !== 'none' || (where === 'on the piece' && fastening !== 'none')) &&
  where !== 'under the ring' &&
  !(floated && where === 'in the ring');

/** The sheets that are made one with the cloth before the hoop closes on it, by their place, from the cloth down. */
export const bondedBefore = ({ sheets }: Pick<LayersPlan, 'sheets'>, floated: boolean): number[] =>
  sheets.flatMap((sheet, i) => (isBondedBefore(sheet, floated) ? [i] : []));

/** Fusing, spraying and sticking, before the hoop closes on the cloth; begun at the cloth. */
export function bondActs(
  { layers, hoop }: Pick<Results, 'layers' | 'hoop'>,
  in_: Partial<Pick<Act, 'hooping' | 'copy'>> = {},
): Act[] {
  if (!layers || !hoop) return [];
  const bonded = bondedBefore(layers, hoop.method === 'floated');
  const isFirst = in_.hooping === undefined;
  return bonded.flatMap((sheet, i) => {
    const kept = layers.sheets[sheet];
    if (!kept) return [];
    const { stabilizer, bond, fastening, where } = kept;
    return [
      actOf(
        isFirst ? 'bond' : 'further copies',
        `bond ${isFirst ? i : `${in_.hooping?.number} ${i}`} ${stabilizer}`,
        {
          do: 'bond',
          sheet,
          onto: bonded[i - 1] ?? 'cloth',
          by: bond,
          fastening: where === 'on the piece' ? fastening : 'none',
        },
        in_,
      ),
    ];
  });
}

/** Whether a sheet is sold with paper on its tack. */
export const hasPaper = ({ stabilizer }: Sheet): boolean => STABILIZERS[stabilizer].grade === 'sticky';
