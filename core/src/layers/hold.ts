import type { LayerFacts } from './facts';
import { STABILIZERS } from './materials';
import type { Hold, Sheet, StabilizerId } from './schema';

export const HOLD_WORDS: Record<Hold, string> = {
  fused: 'fused to the cloth',
  hooped: 'hooped with the cloth',
  spray: 'held with temporary spray adhesive',
  sticky: 'sticky sheet in the hoop',
  'basting box': 'held with a basting box',
  pins: 'pinned outside the field',
  tape: 'slid underneath, taped',
};

/** Whether a hold may be used for this sheet on this cloth. */
export function holdAllowed(hold: Hold, sheet: StabilizerId, facts: LayerFacts): boolean {
  const { grade } = STABILIZERS[sheet];
  if (hold === 'fused') return grade === 'fusible' && facts.iron !== 'no';
  if (hold === 'sticky') return grade === 'sticky';
  if (hold === 'hooped') return grade !== 'sticky';
  return true;
}

const SCHOOL_HOLD: Record<LayerFacts['schools']['hold'], Hold> = {
  fuse: 'fused',
  spray: 'spray',
  sticky: 'sticky',
  baste: 'basting box',
};

/**
 * How each sheet of a stack is held, from the cloth downwards. A sticky sheet sticks, a fusible one is
 * fused where the cloth takes an iron. Of the plain ones the first is clamped with the cloth when it is
 * hooped, or bonded by the shop's way when it floats; further ones lie loose underneath.
 */
export function holdSheets(sheets: readonly StabilizerId[], facts: LayerFacts): Sheet[] {
  let bonded = false;
  return sheets.map((stabilizer) => {
    const { grade } = STABILIZERS[stabilizer];
    if (grade === 'sticky') return { stabilizer, hold: 'sticky' };
    if (holdAllowed('fused', stabilizer, facts)) return { stabilizer, hold: 'fused' };
    if (facts.structure === 'canvas') return { stabilizer, hold: 'tape' };
    if (!facts.floated) return { stabilizer, hold: 'hooped' };
    if (bonded) return { stabilizer, hold: 'tape' };
    bonded = true;
    const wished = SCHOOL_HOLD[facts.schools.hold];
    return {
      stabilizer,
      hold: holdAllowed(wished, stabilizer, facts) && wished !== 'fused' ? wished : 'spray',
    };
  });
}

/** Whether a sheet is in the ring: clamped with the cloth, or the one the cloth floats on. */
export function clampedSheet(sheets: readonly Sheet[], floated: boolean): number | null {
  if (!floated) return null;
  const sticky = sheets.findIndex((s) => s.hold === 'sticky');
  if (sticky >= 0) return sticky;
  const plain = sheets.findIndex((s) => s.hold !== 'fused' && s.hold !== 'tape');
  if (plain >= 0) return plain;
  return sheets.length > 0 ? sheets.length - 1 : null;
}
