import type { Method } from '../../model/ticket/hoop';
import {
  CHOICE_PARTS,
  type Choices,
  type KeptHold,
  type KeptSheet,
  type LayersInput,
  type Sheet,
  withChoice,
} from '../../model/ticket/layers';

const HELD: Record<KeptHold, Omit<Sheet, 'stabilizer'>> = {
  fused: { where: 'in the ring', bond: 'fused', fastening: 'none' },
  hooped: { where: 'in the ring', bond: 'none', fastening: 'none' },
  spray: { where: 'in the ring', bond: 'sprayed', fastening: 'none' },
  sticky: { where: 'in the ring', bond: 'sticky', fastening: 'none' },
  'basting box': { where: 'in the ring', bond: 'none', fastening: 'basting box' },
  pins: { where: 'in the ring', bond: 'none', fastening: 'pins' },
  tape: { where: 'under the ring', bond: 'none', fastening: 'tape' },
};

const isKept = (sheet: Sheet | KeptSheet): sheet is KeptSheet => 'hold' in sheet;

/**
 * Sheets as they are kept today, from what a ticket of any version kept. Under a piece that floated, a fused sheet
 * beside another was on the piece only; alone it was in the ring, so that the piece lay on it.
 */
export function sheetsOfToday(
  kept: readonly (Sheet | KeptSheet)[],
  method: Method | 'partly' | null,
): Sheet[] {
  return kept.map((sheet) => {
    if (!isKept(sheet)) return sheet;
    const { stabilizer, hold } = sheet;
    const onPiece = method === 'floated' && hold === 'fused' && kept.length > 1;
    return { stabilizer, ...HELD[hold], ...(onPiece ? { where: 'on the piece' as const } : {}) };
  });
}

/** Choices whose ids are still known; one that is not was never followed. */
const choicesOfToday = (
  kept: Readonly<Record<string, { choice: string; why: string } | undefined>>,
): Choices =>
  CHOICE_PARTS.reduce<Choices>((all, part) => {
    const own = kept[part];
    return own ? withChoice(all, part, own.choice, own.why) : all;
  }, {});

/** The layers of a ticket of any version, as they are kept today. */
export const layersOfToday = ({ support, choices }: LayersInput, method: Method | null): LayersInput => ({
  support: support && { ...support, sheets: sheetsOfToday(support.sheets, method) },
  choices: choicesOfToday(choices),
});
