import type { Box } from '../base/geometry/box';
import type { SheetCut } from '../business/cutPlan/guillotine';

const EPSILON_MM = 1e-6;
const same = (a: Box, b: Box): boolean =>
  (['left', 'top', 'right', 'bottom'] as const).every((side) => Math.abs(a[side] - b[side]) < 1e-6);

/**
 * Somebody who cuts as the plan says, beginning with what is in the hand: every cut is made through one whole sheet, from
 * edge to edge. Returns the sheets they end with; throws where there is nothing to cut.
 */
export function followCuts(begin: readonly Box[], { cuts }: Pick<SheetCut, 'cuts'>): Box[] {
  let sheets = [...begin];
  for (const { of, way, atMm } of cuts) {
    // Off the roll: everything up to the cut comes away.
    const at = sheets.findIndex(
      (sheet) =>
        same(sheet, of) ||
        (sheet.right > of.right + EPSILON_MM &&
          sheet.left === of.left &&
          way === 'across' &&
          atMm === of.right),
    );
    const sheet = sheets[at];
    if (!sheet) throw new Error(`no sheet ${JSON.stringify(of)} is in the hand`);
    const halves: [Box, Box] =
      way === 'across'
        ? [
            { ...sheet, right: atMm },
            { ...sheet, left: atMm },
          ]
        : [
            { ...sheet, bottom: atMm },
            { ...sheet, top: atMm },
          ];
    sheets = [...sheets.slice(0, at), ...sheets.slice(at + 1), ...halves];
  }
  return sheets;
}
