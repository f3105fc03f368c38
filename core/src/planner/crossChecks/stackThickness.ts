import { count, mm, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { HOOP_NUMBERS } from '../../catalogue/numbers/hoop';
import { type Finding, finding, type Mend } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import type { Sheet } from '../../model/ticket/layers';
import type { Fabric } from '../../model/ticket/piece';
import { closesOnMm } from '../../stages/hoop/closesOn';
import type { HoopPlan } from '../../stages/hoop/planHoop';
import { floatRescue } from '../../stages/hoop/rescues/method';
import type { LayersPlan } from '../../stages/layers/planLayers';

/** A sheet out of the ring: a fused one stays on the piece as a patch, another is slipped under. */
const slippedUnder = (sheet: Sheet): Sheet =>
  sheet.bond === 'fused'
    ? { ...sheet, where: 'on the piece' }
    : { ...sheet, where: 'under the ring', bond: 'none', fastening: 'tape' };

/** So many hooped sheets, the lowest first, slid under the hoop instead; nothing where fewer are hooped. */
function slideUnder(sheets: readonly Sheet[], most: number): Mend[] {
  const hooped = sheets.flatMap(({ where }, i) => (where === 'in the ring' ? [i] : []));
  if (hooped.length < most) return [];
  const slid = hooped.slice(-most);
  return [
    {
      label:
        most === 1
          ? phrase`Slide a sheet under the hoop`
          : phrase`Slide ${count(most)} sheets under the hoop`,
      result: phrase`the ring holds cloth and what is left`,
      cost: phrase`taped from below, it can creep`,
      change: {
        stage: 'layers',
        set: {
          support: {
            sheets: sheets.map((sheet, i) => (slid.includes(i) ? slippedUnder(sheet) : sheet)),
            why: 'the hoop does not close on the whole stack',
          },
        },
      },
    },
  ];
}

/** A hooped stack that is too thick only with its sheets: the cloth alone is judged with the hoop. */
export function stackFindings(
  hoop: Pick<HoopPlan, 'laid' | 'method'>,
  stack: { fabric: Fabric; layers: LayersPlan },
  rules: HouseRules,
): Finding[] {
  if (!hoop.laid || hoop.method !== 'hooped') return [];
  const chosen = hoop.laid.verdict.hoop;
  const clamped = stack.layers.stack.filter((layer) => layer.sheet && layer.clamped).length;
  const closes = closesOnMm(chosen, rules);
  const sheetMm = numberFor(rules, HOOP_NUMBERS.sheetThicknessMm);
  const thick = stack.fabric.thicknessMm + clamped * sheetMm;
  if (stack.fabric.thicknessMm > closes || thick <= closes) return [];
  const slid = slideUnder(stack.layers.sheets, Math.ceil((thick - closes) / sheetMm - 1e-9));
  return [
    finding(
      'hoop',
      'hoop-stack-thick',
      'warn',
      phrase`Cloth and ${count(clamped)} ${clamped === 1 ? 'sheet' : 'sheets'} are ${mm(thick)} thick; ${chosen.name} closes on ${mm(closes)}.`,
      { mends: [...slid, floatRescue()] },
    ),
  ];
}
