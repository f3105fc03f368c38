import { formatLength } from '@zt/core/base/units/length';
import { numberFor } from '@zt/core/catalogue/houseNumber';
import { PLACE_NUMBERS } from '@zt/core/catalogue/numbers/place';
import type { PlaceInput } from '@zt/core/model/ticket/place';
import { Callout } from '../../components/ui/Callout';
import { Choice } from '../../components/ui/Choice';
import { LengthField } from '../../components/ui/LengthField';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useRules, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';

const KEEP = [
  { id: 'gap', name: 'keep the gap' },
  { id: 'ends', name: 'keep the ends' },
] as const;

/** Repeats along a hem: the wished gap in, how many and how far apart out. */
export function RepeatFields() {
  const ticket = useTicket('place');
  const plan = usePlan('place');
  const units = useUnits();
  const rules = useRules();
  const { change } = useTicketActs();
  const { repeat } = ticket.place;
  const run = plan.place?.run;
  const open = plan.place?.placement.copies === 'open hem';
  const set = (changes: Partial<PlaceInput['repeat']>) =>
    change({ stage: 'place', set: { repeat: { ...repeat, ...changes } } });
  return (
    <Stack gap={10}>
      {run ? (
        <Callout tone="tape">
          <Txt as="figure" testID="run">
            {`${run.count} at ${formatLength(run.pitchMm, units)} pitch`}
          </Txt>
          <Txt>{`gap ${formatLength(run.gapMm, units)}${open ? `, ${formatLength(run.marginMm, units)} left at either end` : ''}`}</Txt>
        </Callout>
      ) : null}
      <LengthField
        label="wished gap"
        at="place.repeat.gapMm"
        mm={repeat.gapMm ?? numberFor(rules, PLACE_NUMBERS.repeatGapMm)}
        onLength={(gapMm) => set({ gapMm })}
      />
      {open ? (
        <>
          <LengthField
            label="margin at either end"
            at="place.repeat.marginMm"
            mm={repeat.marginMm ?? numberFor(rules, PLACE_NUMBERS.repeatMarginMm)}
            onLength={(marginMm) => set({ marginMm })}
          />
          <Choice
            label="What is left over"
            small
            options={KEEP}
            chosen={repeat.keep}
            onChoose={(keep) => set({ keep })}
          />
        </>
      ) : null}
    </Stack>
  );
}
