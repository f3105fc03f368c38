import { say } from '@zt/core/base/units/phrase';
import { numberFor } from '@zt/core/catalogue/houseNumber';
import { NEEDLES } from '@zt/core/catalogue/materials';
import { STITCH_NUMBERS } from '@zt/core/catalogue/numbers/stitch';
import type { Machine, Supply } from '@zt/core/model/shelf';
import type { NeedleId } from '@zt/core/model/ticket/layers';
import { needleCare } from '@zt/core/stages/stitch/needleCare';
import { changeNeedle, needlesOf, SUPPLIES } from '@zt/core/stock/supplies';
import { useState } from 'react';
import { amount, oneDigit } from '../../components/figures';
import { NeedleRack } from '../../components/NeedleRack';
import { UndoBar } from '../../components/UndoBar';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useRules, useShelf, useUnits } from '../../hooks/useTicket';
import { putItem } from '../../store/shopActs';
import { useAppDispatch } from '../../store/store';

/** Machine and drawer before a needle was changed, and what to say of it. */
interface Changed {
  machine: Machine;
  supply: Supply | null;
  text: string;
}

/** How long each needle has stitched, when to change it, and how, safely. */
export function NeedleCare({ machine }: { machine: Machine }) {
  const rules = useRules();
  const plan = usePlan('stitch', 'layers');
  const shelf = useShelf();
  const units = useUnits();
  const care = needleCare(rules);
  const dispatch = useAppDispatch();
  const [before, setBefore] = useState<Changed | null>(null);
  const stops = plan.stitch?.stops ?? [];
  const [picked, setPicked] = useState(stops[0]?.needle ?? 0);
  const most = numberFor(rules, STITCH_NUMBERS.needleHours);
  const needles = needlesOf(machine);
  const at = Math.min(picked, needles.length - 1);
  const { type, hours } = needles[at] ?? { type: null, hours: 0 };
  const wanted = (plan.layers?.parts.needle.choice.id ?? '75-embroidery') as NeedleId;
  const which = needles.length === 1 ? 'Needle' : `Needle ${at + 1}`;
  const changed = () => {
    const { machine: item, supply } = changeNeedle(machine, at, wanted, shelf);
    const left = supply ? ` ${amount(supply.left, SUPPLIES[supply.type].unit)} left of it.` : '';
    const was = shelf.supplies.find(({ id }) => id === supply?.id) ?? null;
    setBefore({ machine, supply: was, text: `${which} counts from 0.${left}` });
    dispatch(putItem('machines', item));
    if (supply) dispatch(putItem('supplies', supply));
  };
  const putBack = () => {
    if (before) dispatch(putItem('machines', before.machine));
    if (before?.supply) dispatch(putItem('supplies', before.supply));
    setBefore(null);
  };
  return (
    <Stack gap={6}>
      {needles.length > 1 ? (
        <NeedleRack
          needles={needles.map((needle, i) => {
            const stop = stops.find((s) => s.needle === i);
            return {
              ...needle,
              ...(stop ? { thread: { hex: stop.hex, name: stop.called } } : {}),
            };
          })}
          mostHours={most}
          chosen={at}
          onChoose={setPicked}
        />
      ) : null}
      <Txt testID="needle-hours">
        {`${which} of ${machine.name}: ${oneDigit(hours)} of ${oneDigit(most)} hours.`}
      </Txt>
      {type && type !== wanted ? (
        <Txt as="strong" testID="needle-type">
          {`In it is ${NEEDLES[type].name}; this ticket wants ${NEEDLES[wanted].name}.`}
        </Txt>
      ) : null}
      {before ? <UndoBar text={before.text} onPutBack={putBack} /> : null}
      <Disclosure title={`Change ${which.toLowerCase()}`} label="Changing the needle">
        <Txt as="small">{say(care.when, units)}</Txt>
        {care.steps.map((step, i) => (
          <Txt key={i} as="small">{`${i + 1}. ${say(step, units)}`}</Txt>
        ))}
        <Txt as="small" tone="madder">
          {say(care.afterStrike, units)}
        </Txt>
        <Press title={`A new ${SUPPLIES[wanted].name} is in`} label="A new needle is in" onPress={changed} />
      </Disclosure>
    </Stack>
  );
}
