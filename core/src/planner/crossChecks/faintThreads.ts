import { lightnessOf } from '../../base/colour/colour';
import { count, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { LAYER_NUMBERS } from '../../catalogue/numbers/layers';
import { type Finding, finding } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import type { DesignFacts } from '../../stages/design/designFacts';
import { isSeenOn } from '../../stock/fromShelf';

/** Threads that run together with the cloth, said where the colours are chosen. */
export function faintThreads(ground: string, facts: DesignFacts | null, rules: HouseRules): Finding[] {
  const faint = (facts?.stops ?? []).filter(({ hex }) => !isSeenOn(ground, hex, rules));
  const [first] = faint;
  if (!facts || !first) return [];
  const apart = Math.abs(lightnessOf(first.hex) - lightnessOf(ground));
  const which =
    faint.length === facts.stops.length && faint.length > 1 ? 'All its threads are' : `${first.name} is`;
  const text = phrase`${which} near the colour of the cloth: ${count(Math.round(apart))} apart in lightness, seen from ${count(numberFor(rules, LAYER_NUMBERS.leastContrast))}. The drawing shows it with a fine line.`;
  const severity = faint.length === facts.stops.length ? 'warn' : 'note';
  return [finding('design', 'design-faint-thread', severity, text)];
}
