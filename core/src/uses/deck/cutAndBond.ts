import { count, mm, type Phrase, phrase } from '../../base/units/phrase';
import { STABILIZERS } from '../../catalogue/materials';
import type { HouseRules } from '../../model/houseRules';
import type { Sheet } from '../../model/ticket/layers';
import type { Plan } from '../../planner/planned';
import { cutWords } from '../../stages/design/applique/cutOffset';
import type { LayersPlan } from '../../stages/layers/planLayers';
import { wantedPieces } from '../cutting/sheetPieces';
import { type Step, stepOf } from './step';

const SNIPS = phrase`Scissors away from you.`;
export const IRON = phrase`Iron and steam burn: keep fingers off the edge.`;
export const SPRAY = phrase`On the sheet, not on the cloth; outdoors or well aired, away from the machine and any flame. Read the label.`;

/** A material's name inside a sentence. */
const within = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

/** A sheet's name inside a sentence. */
export const nameOf = ({ stabilizer }: Pick<Sheet, 'stabilizer'>): string =>
  within(STABILIZERS[stabilizer].name);

/** The cloth of an appliqué: the web first, where it has one, then every piece. */
export function clothCutSteps({ design, place, piece }: Plan, rules: HouseRules): Step[] {
  const cloths = design.facts?.cloths ?? [];
  // Of an order of names the deck is that of the one on the table.
  const times = (place?.copies.length || 1) * (design.allNames === null ? piece.pieces : 1);
  const kinds = [...new Set(cloths.map(({ applique }) => applique))];
  return kinds.flatMap((applique, i) => {
    const { cloth, way } = applique;
    const pieces = cloths.filter((one) => one.applique === applique).length * times;
    const name = cloth.name.trim() || 'cloth';
    const cut = stepOf(
      'cut',
      `cut cloth ${i}`,
      way === 'trimmed'
        ? phrase`Cut the ${name} for the appliqué.`
        : phrase`Cut the ${name} for the appliqué: ${count(pieces)} ${pieces === 1 ? 'piece' : 'pieces'}.`,
      { hint: cutWords(applique, design.facts?.scale ?? 1, rules), caution: SNIPS },
    );
    if (!cloth.fused) return [cut];
    const web = phrase`Fuse the web to the wrong side of the ${name}, paper outwards; let it cool.`;
    return [stepOf('cut', `web ${i}`, web, { caution: IRON }), cut];
  });
}

/** Every sheet, film and cover that is cut, with its own sides, from the cloth down. */
export function cutSteps(plan: Plan, rules: HouseRules): Step[] {
  return wantedPieces(plan, rules).map((piece, i) =>
    stepOf(
      'cut',
      `cut ${i} ${piece.type}`,
      piece.count > 1
        ? phrase`Cut ${count(piece.count)} of the ${within(piece.name)}: ${mm(piece.widthMm)} × ${mm(piece.heightMm)} each.`
        : phrase`Cut the ${within(piece.name)}: ${mm(piece.widthMm)} × ${mm(piece.heightMm)}.`,
      {
        figure: mm(piece.widthMm),
        hint: phrase`${piece.serves}`,
        caution: i === 0 ? SNIPS : null,
        ring: 'sheet',
        cut: { widthMm: piece.widthMm, heightMm: piece.heightMm },
      },
    ),
  );
}

/** The sheets that are made one with the cloth before the ring closes on it, from the cloth down. */
export function bondedBeforeRing({ sheets }: Pick<LayersPlan, 'sheets'>, floated: boolean): Sheet[] {
  return sheets.filter(
    ({ where, bond, fastening }) =>
      (bond !== 'none' || (where === 'on the piece' && fastening !== 'none')) &&
      where !== 'under the ring' &&
      !(floated && where === 'in the ring'),
  );
}

const ontoWhat = (before: Sheet | undefined): string =>
  before ? `the ${nameOf(before)}` : 'the wrong side of the cloth';

/** What fastens a sheet on the piece besides its bond; in the ring that is done once it is closed. */
const BESIDES: Record<Sheet['fastening'], string> = {
  pins: ' Pin it too, outside the field, heads outwards.',
  tape: ' Tape its corners too.',
  'basting box': '',
  none: '',
};

function bondText(sheet: Sheet, before: Sheet | undefined): Phrase {
  const name = nameOf(sheet);
  const onto = ontoWhat(before);
  const besides = sheet.where === 'on the piece' ? BESIDES[sheet.fastening] : '';
  if (sheet.bond === 'fused')
    return phrase`Fuse the ${name} to ${onto}, centred on the pin: press and lift, do not slide; let it cool.${besides}`;
  if (sheet.bond === 'sprayed')
    return phrase`Spray the ${name} and smooth it onto ${onto}, centred on the pin.${besides}`;
  if (sheet.bond === 'sticky')
    return phrase`Peel the paper off the ${name} and smooth it onto ${onto}, sticky side to the cloth.${besides}`;
  if (sheet.fastening === 'pins')
    return phrase`Pin the ${name} to ${onto}, outside the field, heads outwards.`;
  return phrase`Hold the ${name} against ${onto} with ${sheet.fastening === 'tape' ? 'tape at its corners' : 'a few long hand stitches'}.`;
}

/** Fusing, spraying and sticking, before the ring closes on the cloth; begun at the cloth. */
export function bondSteps({ layers, hoop, place }: Plan): Step[] {
  if (!layers || !hoop) return [];
  const bonded = bondedBeforeRing(layers, hoop.method === 'floated');
  return bonded.map((sheet, i) =>
    stepOf('bond', `bond ${i} ${sheet.stabilizer}`, bondText(sheet, bonded[i - 1]), {
      cross: place?.centre ?? null,
      caution: sheet.bond === 'fused' ? IRON : sheet.bond === 'sprayed' ? SPRAY : null,
    }),
  );
}
