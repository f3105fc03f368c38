import { type Finding, finding } from '../findings/finding';
import type { LayersPlan } from '../layers/planLayers';
import type { Fabric } from '../piece/schema';
import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import { count, mm, phrase } from '../units/phrase';
import { closesOnMm } from './closesOn';
import type { HoopPlan } from './planHoop';
import { floatRescue } from './rescues';

/** A hooped stack that is too thick only with its sheets: the cloth alone is judged with the hoop. */
export function stackFindings(
  hoop: Pick<HoopPlan, 'laid' | 'method'>,
  stack: { fabric: Fabric; layers: LayersPlan },
  rules: HouseRules,
): Finding[] {
  if (!hoop.laid || hoop.method !== 'hooped') return [];
  const chosen = hoop.laid.verdict.hoop;
  const clamped = stack.layers.stack.filter((layer) => layer.role === 'sheet' && layer.clamped).length;
  const closes = closesOnMm(chosen, rules);
  const thick = stack.fabric.thicknessMm + clamped * numberFor(rules, 'sheetThicknessMm');
  if (stack.fabric.thicknessMm > closes || thick <= closes) return [];
  return [
    finding(
      'hoop',
      'hoop-stack-thick',
      'warn',
      phrase`Cloth and ${count(clamped)} ${clamped === 1 ? 'sheet' : 'sheets'} are ${mm(thick)} thick; ${chosen.name} closes on ${mm(closes)}. Slide a sheet under the hoop instead, or float it.`,
      { mends: [floatRescue()] },
    ),
  ];
}
