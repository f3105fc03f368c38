import { say } from '@zt/core/base/units/phrase';
import type { Part } from '@zt/core/model/ticket/part';
import { calibrationFor } from '@zt/core/stages/design/stitches/calibrate';
import { Press } from '../../components/ui/Press';
import { useIsExample } from '../../example/useExample';
import { usePlan, useRules, useUnits } from '../../hooks/useTicket';
import { setRules } from '../../store/shopActs';
import { useAppDispatch } from '../../store/store';

/** What the machine's own count teaches of how it counts: taken into the house rules with one tap. */
export function CountSo({ part }: { part: Part }) {
  const { design } = usePlan('design');
  const rules = useRules();
  const units = useUnits();
  const dispatch = useAppDispatch();
  const taught = calibrationFor(part, design.facts?.made ?? null, rules);
  // Nothing of an example is kept.
  if (useIsExample() || !taught) return null;
  return (
    <Press
      title={say(taught.text, units)}
      onPress={() => dispatch(setRules({ ...rules, numbers: { ...rules.numbers, ...taught.numbers } }))}
    />
  );
}
