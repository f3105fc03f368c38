import { type Finding, finding } from '../findings/finding';
import type { Fabric } from '../piece/schema';
import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import type { Hoop } from '../shelf/schema';
import { count, mm, phrase } from '../units/phrase';
import { closesOnMm } from './closesOn';
import { floatRescue } from './rescues';

/** A stack that is too thick only with its sheets: the cloth alone is judged with the hoop. */
export function stackFindings(
  hoop: Hoop,
  stack: { fabric: Fabric; clampedSheets: number },
  rules: HouseRules,
): Finding[] {
  const closes = closesOnMm(hoop, rules);
  const sheets = stack.clampedSheets * numberFor(rules, 'sheetThicknessMm');
  const thick = stack.fabric.thicknessMm + sheets;
  if (stack.fabric.thicknessMm > closes || thick <= closes) return [];
  return [
    finding(
      'hoop',
      'hoop-stack-thick',
      'warn',
      phrase`Cloth and ${count(stack.clampedSheets)} ${stack.clampedSheets === 1 ? 'sheet' : 'sheets'} are ${mm(thick)} thick; ${hoop.name} closes on ${mm(closes)}. Slide a sheet under the hoop instead, or float it.`,
      { mends: [floatRescue()] },
    ),
  ];
}
